<script lang="ts">
	import type { Evaluation } from '$core/playing';
	import { group, least } from 'd3-array';
	import type { BoardView } from '$lib/state/boardView.svelte';
	import LaneHead from './LaneHead.svelte';
	import TapeBlockView from './TapeBlock.svelte';
	import TapePeriod from './TapePeriod.svelte';
	import Ruler from './Ruler.svelte';
	import type { Fault } from '$core/checks';
	import type { Edit } from '$core/practice';
	import type { Held } from '$lib/state/boardView.svelte';
	import type { DragBy, DragHandlers } from '../drag/dragged';
	import Ghost from './Ghost.svelte';
	import { clockAt } from '$core/conditions';
	import { columnsOf, type TapeBlock } from './layout';
	import { lanesOf, layPivot } from './pivots';
	import { proposeDrill, proposeMove, proposeResize, type Proposal } from './proposals';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/tape';

	const say = useWords();

	/** Time down a tape measure, zones across: the whole practice to scale. */
	let {
		evaluation,
		findings,
		view,
		onapply
	}: {
		evaluation: Evaluation;
		findings: readonly Fault[];
		view: BoardView;
		onapply: (edit: Edit) => void;
	} = $props();

	const RULER = 64;
	let width = $state(690);
	let height = $state(520);

	const columns = $derived(columnsOf(evaluation.context));
	const lanes = $derived(lanesOf(evaluation, view.pivot, say));
	const seconds = $derived(Math.max(evaluation.seconds, evaluation.practice.minutes * 60));
	const scale = $derived(Math.max(4.2 / 60, (height - 12) / seconds));
	const laneWidth = $derived(Math.max(62, (width - RULER) / Math.max(1, lanes.length)));
	const blocks = $derived(layPivot(evaluation, view.pivot, { lanes, opened: view.block }));
	const faults = $derived(
		new Map(
			findings
				.toReversed()
				.flatMap(({ at, severity }) => (at.block ? [[at.block, severity] as const] : []))
		)
	);
	/** The leftmost copy of each block: where copies are too narrow for words it says them for all. */
	const firsts = $derived(
		new Set(
			[...group(blocks, ({ blockId }) => blockId).values()].map(
				(copies) => least(copies, ({ column }) => column)?.key
			)
		)
	);
	const endSecond = $derived(evaluation.practice.minutes * 60);

	let paper: HTMLElement | undefined = $state();
	/** What letting go of a block or period would do. */
	let moving: Proposal | null = $state.raw(null);
	const held = $derived(view.held && proposalFor(view.held));
	const proposal = $derived(moving ?? held);

	/** Whether players of a unit run a block. */
	const isFor = ({ runs }: TapeBlock, unit: string) =>
		runs.some(({ players }) =>
			players.some((id) => evaluation.context.playerById.get(id)?.unit === unit)
		);

	/** The lane and the second under a point of the window. */
	function under(clientX: number, clientY: number) {
		const box = paper?.getBoundingClientRect();
		if (!box) return null;
		// Only lanes that are zones are places to drop on.
		const isZones = view.pivot === 'zone';
		const column = isZones ? Math.floor((clientX - box.left - RULER) / laneWidth) : -1;
		const isOver = clientX > box.left && clientX < box.right && clientY > box.top - 20;
		return isOver ? { column, second: (clientY - box.top) / scale } : null;
	}

	/** What dropping a drill of the shelf where it is held would do; null where that is not on the tape. */
	export function proposalFor({ clientX, clientY, ...drill }: Held): Proposal | null {
		const at = under(clientX, clientY);
		const proposal = at && proposeDrill(evaluation, { ...drill, columns, ...at }, say);
		return proposal && overAll(proposal);
	}

	/** Lanes that are no zones show a place in time only. */
	function overAll(proposal: Proposal): Proposal {
		if (view.pivot === 'zone') return proposal;
		return { ...proposal, ghost: { ...proposal.ghost, column: 0, columns: Infinity } };
	}
	function propose(periodId: string, block: TapeBlock | null, by: DragBy): Proposal | null {
		if (by.isResize)
			return proposeResize(
				evaluation,
				{ periodId, seconds: by.y / scale, isCoarse: by.isCoarse },
				say
			);
		const at = under(by.clientX, by.clientY);
		const blockId = block?.blockId ?? '';
		const copyIds = new Set(block?.runs.map(({ copy }) => copy.id));
		return at && proposeMove(evaluation, { periodId, blockId, copyIds, columns, ...at }, say);
	}
	const dragOf = (periodId: string, block: TapeBlock | null): DragHandlers => ({
		onmove: (by) => (moving = propose(periodId, block, by)),
		ondrop() {
			const dropped = moving;
			moving = null;
			if (dropped) onapply(dropped.edit);
		},
		oncancel: () => (moving = null)
	});
</script>

<section aria-label={say(texts.tape)} class="tape">
	<div class="scroll">
		<LaneHead
			{lanes}
			pivot={view.pivot}
			context={evaluation.context}
			ruler={RULER}
			{laneWidth}
			onpivot={(pivot) => (view.pivot = pivot)}
		/>
		<div class="paper" bind:clientWidth={width} bind:clientHeight={height}>
			<div
				bind:this={paper}
				class="length"
				style:height="{seconds * scale + 10}px"
				style:width="{RULER + laneWidth * lanes.length}px"
			>
				{#each lanes as lane, index (lane.id)}
					<div
						class="lane"
						style:left="{RULER + index * laneWidth}px"
						style:width="{laneWidth}px"
					></div>
				{/each}
				<Ruler
					{seconds}
					{scale}
					start={evaluation.practice.start}
					width={RULER}
					onmove={(second) => view.moveTo(second, seconds)}
				/>
				{#each evaluation.windows as window (window.period.id)}
					<TapePeriod
						{window}
						{scale}
						left={RULER}
						width={laneWidth * lanes.length}
						isSelected={view.period === window.period.id}
						onselect={() =>
							view.select(window.period.id, window.period.lanes[0]?.blocks[0]?.id ?? null)}
						drag={dragOf(window.period.id, null)}
					/>
				{/each}
				{#each blocks as block (block.key)}
					<TapeBlockView
						{block}
						context={evaluation.context}
						figures={evaluation.figures.blocks.get(block.blockId)}
						fault={faults.get(block.blockId)}
						isSelected={view.block === block.blockId}
						isBack={view.alone !== null && !isFor(block, view.alone)}
						box={{
							left: RULER + block.column * laneWidth,
							width: block.columns * laneWidth,
							top: block.fromSecond * scale,
							height: (block.toSecond - block.fromSecond) * scale
						}}
						{scale}
						isFirst={firsts.has(block.key)}
						onselect={() => view.select(block.window.period.id, block.blockId)}
						drag={dragOf(block.window.period.id, block)}
					/>
				{/each}
				{#if evaluation.seconds !== endSecond}
					<div class="end" style:top="{endSecond * scale}px">
						<span>{say(texts.end, { clock: clockAt(evaluation.practice.start, endSecond) })}</span>
					</div>
				{/if}
				{#if proposal}
					<Ghost {proposal} {scale} left={RULER} {laneWidth} lanes={lanes.length} />
				{/if}
				<div class="now" style:top="{view.now * scale}px">
					<span class="flag" style:top="{-Math.min(11, view.now * scale)}px"
						>{clockAt(evaluation.practice.start, view.now)}</span
					>
				</div>
			</div>
		</div>
	</div>
</section>

<style>
	.tape {
		min-height: 0;
		min-width: 0;
		display: grid;
	}
	.scroll {
		min-height: 0;
		overflow-x: auto;
		display: grid;
		grid-template-rows: auto 1fr;
	}
	.paper {
		position: relative;
		min-height: 0;
		overflow-y: auto;
		overflow-x: hidden;
		min-width: max-content;
	}
	.length {
		position: relative;
		min-width: 100%;
	}
	.lane {
		position: absolute;
		top: 0;
		bottom: 0;
		border-left: 1px solid var(--rule);
	}
	.now,
	.end {
		position: absolute;
		left: 0;
		right: 0;
		pointer-events: none;
		z-index: 4;
	}
	.now {
		border-top: 2px solid var(--now);
	}
	.flag {
		position: absolute;
		left: 0;
		padding: 2px 12px 2px 8px;
		background: var(--now);
		color: #fff;
		font-weight: 700;
		font-size: 13px;
		clip-path: polygon(0 0, calc(100% - 8px) 0, 100% 50%, calc(100% - 8px) 100%, 0 100%);
	}
	.end {
		border-top: 2px dashed var(--stop);
		z-index: 3;
	}
	.end span {
		position: absolute;
		right: 4px;
		top: -18px;
		font-size: 12px;
		font-weight: 600;
		color: var(--stop);
		background: var(--chalk);
		padding: 0 4px;
	}
</style>
