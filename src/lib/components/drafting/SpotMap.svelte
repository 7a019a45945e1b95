<script lang="ts">
	import type { Drill } from '$core/model/drill';
	import { bibMetres, type Point } from '$core/playing';
	import { arrowStep } from '../drag/arrows';
	import { dragged, type DragBy, type DragHandlers } from '../drag/dragged';
	import { moveCurve } from '../field/curve';
	import RoleMark from '../field/RoleMark.svelte';
	import Way from '../field/Way.svelte';
	import Marking from '../field/Marking.svelte';
	import type { Ground } from '$core/model/team';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/drafting';
	import { linesOn, nearestSpot, snapped } from './mapLines';
	import { lineOf, type Side, type Tool } from './mapping';
	import type { SpotCalling } from './lines';
	import type { WayEnd } from './wayRows';

	/**
	 * The ground of a copy on a grid of metres. With the first tool spots are dragged, or moved by the arrow
	 * keys; with the others a line is drawn from a spot to another, by dragging or by pressing one and the next.
	 */
	let {
		drill,
		calling,
		tool,
		markings = [],
		onplace,
		onjoin,
		onput
	}: {
		drill: Drill;
		calling: SpotCalling;
		tool: Tool;
		/** What is painted on the ground under the grid. */
		markings?: Ground['markings'];
		onplace: (key: string, at: Point) => void;
		/** A line was drawn; its ends are spots, or points in metres where no spot is. */
		onjoin: (from: WayEnd, to: WayEnd) => void;
		/** A token of a side is put down on the ground. */
		onput?: (side: Side, at: Point) => void;
	} = $props();

	const say = useWords();
	/** A line a metre on grounds up to so many metres long. */
	const MOST_METRES = 45;
	let map: HTMLElement | undefined = $state();
	let pixels = $state(500);
	/** A spot that is being dragged. */
	let pulled: { key: string; at: Point } | null = $state.raw(null);
	/** A line that is being drawn: from a spot or a point to where the pointer is, and the spot under it. */
	let drawn: { from: WayEnd; start: Point; to: Point; over?: string } | null = $state.raw(null);
	/** The spot that the next line begins at, chosen by a press with the tool that is still in hand. */
	let pressed = $state.raw<{ key: string; tool: Tool } | null>(null);
	const begun = $derived(pressed?.tool === tool ? pressed.key : null);
	/** The line that is drawn with the tool in hand; null where spots are placed. */
	const line = $derived(lineOf(tool));

	const length = $derived(drill.ground.length);
	const width = $derived(drill.ground.width);
	const perMetre = $derived(pixels / length);
	/** Marks are drawn as large as on a field of this length. */
	const scale = $derived(bibMetres({ length }) / 3.1);
	/** On a whole ground, metres would be too narrow to read. */
	const every = $derived(length > MOST_METRES ? 5 : 1);
	const grid = $derived(
		[
			...Array.from({ length: Math.floor(length) + 1 }, (_, metre) => ({
				...{ d: `M${metre} 0V${width}`, metre }
			})),
			...Array.from({ length: Math.floor(width) + 1 }, (_, metre) => ({
				...{ d: `M0 ${metre}H${length}`, metre }
			}))
		]
			.filter(({ metre }) => metre % every === 0)
			.map(({ d, metre }) => ({ d, isFive: metre % 5 === 0 && every === 1 }))
	);
	const metres = (value: number | undefined) => (Number.isFinite(value) ? (value as number) : 0);
	const stored = $derived(
		drill.spots.map(({ id, role, x, y }) => ({ key: id, role, x: metres(x), y: metres(y) }))
	);
	const placed = $derived(
		stored.map((spot) => (pulled?.key === spot.key ? { ...spot, ...pulled.at } : spot))
	);
	const lines = $derived(linesOn(drill, placed));
	/** Spots on top of each other are named one below the other. */
	const STACKED = 28;
	const shown = $derived(
		placed.map((spot, index) => {
			const isUnder = ({ x, y }: Point) =>
				Math.hypot(x - spot.x, y - spot.y) * perMetre < STACKED / 2;
			return { ...spot, below: placed.slice(0, index).filter(isUnder).length * STACKED };
		})
	);

	const inMetres = (clientX: number, clientY: number): Point => {
		const { left = 0, top = 0 } = map?.getBoundingClientRect() ?? {};
		return { x: (clientX - left) / perMetre, y: (clientY - top) / perMetre };
	};
	const atPointer = ({ clientX, clientY }: DragBy) => inMetres(clientX, clientY);
	/** The spot whose mark or name is under the pointer. */
	const spotUnder = ({ clientX, clientY }: DragBy) =>
		document
			.elementsFromPoint(clientX, clientY)
			.flatMap((element) => element.closest<HTMLElement>('[data-spot]')?.dataset.spot ?? [])[0];
	/** The spot near a point, else the point itself. */
	const endAt = (point: Point): WayEnd => {
		const near = nearestSpot(placed, point, 24 / perMetre);
		const { x, y } = snapped(point, drill.ground);
		return near ?? [x, y];
	};
	function finish() {
		if (drawn) onjoin(drawn.from, drawn.over ?? endAt(drawn.to));
		drawn = null;
	}
	const dragOf = (key: string): DragHandlers => ({
		onmove(by) {
			const own = stored.find((spot) => spot.key === key);
			if (!own) return;
			const to = { x: own.x + by.x / perMetre, y: own.y + by.y / perMetre };
			if (!line) pulled = { key, at: snapped(to, drill.ground) };
			else drawn = { from: key, start: own, to: atPointer(by), over: spotUnder(by) };
		},
		ondrop() {
			if (pulled) onplace(pulled.key, pulled.at);
			pulled = null;
			finish();
		},
		oncancel() {
			pulled = null;
			drawn = null;
		}
	});
	/** A way may begin where no spot is; a move may not. */
	const groundDrag: DragHandlers = {
		onmove(by) {
			if (!line || line === 'move') return;
			const start = snapped(inMetres(by.clientX - by.x, by.clientY - by.y), drill.ground);
			drawn = { from: [start.x, start.y], start, to: atPointer(by), over: spotUnder(by) };
		},
		ondrop: finish,
		oncancel: () => (drawn = null)
	};
	function press(key: string) {
		if (!line) return;
		if (begun !== null) onjoin(begun, key);
		pressed = begun === null ? { key, tool } : null;
	}
	function down(event: KeyboardEvent, { key, x, y }: { key: string } & Point) {
		if (event.key === 'Escape' && begun !== null) {
			event.preventDefault();
			pressed = null;
		}
		const by = line ? null : arrowStep(event);
		if (!by) return;
		event.preventDefault();
		onplace(key, snapped({ x: x + by.x / 2, y: y + by.y / 2 }, drill.ground));
	}
	function put(event: MouseEvent) {
		if (tool === 'ours' || tool === 'theirs')
			onput?.(tool, snapped(inMetres(event.clientX, event.clientY), drill.ground));
	}
	const hint = $derived(
		!line
			? say(tool === 'place' ? texts.dragASpotOrMoveIt : texts.pressTheGround)
			: begun === null
				? say(texts.drawFromASpotToAnother)
				: say(texts.fromPressTheSpotThatIt, { name: calling.nameOf(begun) })
	);
</script>

<p role="status">{hint}</p>
<div
	class="map"
	class:draws={line !== null || tool !== 'place'}
	bind:this={map}
	bind:clientWidth={pixels}
	style:aspect-ratio="{length} / {width}"
	style:max-width="calc(46vh * {length / width})"
	role="group"
	aria-label={say(texts.spotsOnAGridOfMetres)}
>
	<svg viewBox="0 0 {length} {width}" aria-hidden="true">
		{#each grid as { d, isFive } (d)}
			<path class="grid" class:five={isFive} {d} vector-effect="non-scaling-stroke" />
		{/each}
		{#each markings as marking, index (index)}<g class="marks"><Marking {marking} /></g>{/each}
		{#each lines as { key, kind, from, to } (key)}
			<Way
				{kind}
				d={kind === 'move' ? moveCurve(from, to).d : `M${from.x} ${from.y}L${to.x} ${to.y}`}
				end={to}
				{scale}
			/>
		{/each}
		{#if drawn && line}
			<Way
				kind={line}
				d="M{drawn.start.x} {drawn.start.y}L{drawn.to.x} {drawn.to.y}"
				end={drawn.to}
				{scale}
			/>
		{/if}
	</svg>
	<!-- By keys, tokens are added by the buttons below and moved with the arrows. -->
	<!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions -->
	<div class="ground" onclick={put} {@attach dragged(() => groundDrag)}></div>
	{#each shown as spot (spot.key)}
		<button
			type="button"
			class:begun={begun === spot.key}
			class:leftward={spot.x > length / 2}
			data-spot={spot.key}
			style="left:{spot.x * perMetre}px;top:{spot.y * perMetre + spot.below}px"
			aria-label={say(texts.spotMM, {
				name: calling.nameOf(spot.key) || 'new',
				x: spot.x,
				y: spot.y
			})}
			aria-pressed={line ? begun === spot.key : undefined}
			onclick={() => press(spot.key)}
			onkeydown={(event) => down(event, spot)}
			{@attach dragged(() => dragOf(spot.key))}
		>
			<svg viewBox="-1.2 -1.2 2.4 2.4" aria-hidden="true"><RoleMark role={spot.role} /></svg>
			{calling.nameOf(spot.key) || '?'}
		</button>
	{/each}
</div>

<style>
	p {
		font-size: 13px;
		color: var(--ink-soft);
		min-height: 20px;
		padding: 3px 0;
	}
	.map {
		position: relative;
		border: 1px solid var(--ink);
		background: var(--turf);
		margin: 0 14px 14px;
	}
	.map > svg {
		display: block;
		width: 100%;
		height: 100%;
	}
	.grid {
		stroke: #fff;
		stroke-width: 1;
		opacity: 0.7;
	}
	.marks {
		--turf-line: var(--ink-soft);
	}
	.five {
		stroke-width: 2;
		opacity: 1;
	}
	.ground {
		position: absolute;
		inset: 0;
		touch-action: none;
	}
	.draws .ground,
	.draws button {
		cursor: crosshair;
	}
	/* The mark is where the spot is; its name goes where there is more room. */
	button {
		position: absolute;
		transform: translate(-13px, -50%);
		display: flex;
		align-items: center;
		gap: 4px;
		min-height: 28px;
		padding: 1px 6px 1px 4px;
		border: 1px solid var(--ink);
		background: #fff;
		font: inherit;
		font-size: 13px;
		font-weight: 700;
		color: var(--ink);
		cursor: grab;
		touch-action: none;
		white-space: nowrap;
	}
	.leftward {
		flex-direction: row-reverse;
		transform: translate(calc(-100% + 13px), -50%);
		padding: 1px 4px 1px 6px;
	}
	button svg {
		width: 15px;
		height: 15px;
		flex: none;
	}
	.begun {
		background: var(--chalk-deep);
		outline: 3px solid var(--action);
	}
</style>
