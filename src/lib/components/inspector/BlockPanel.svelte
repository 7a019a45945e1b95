<script lang="ts">
	import { type Evaluation, rungsRun } from '$core/playing';
	import { Button, Checkbox } from 'carbon-components-svelte';
	import { nanoid } from 'nanoid';
	import {
		climbOfCopy,
		mergeBlocks,
		sizeLane,
		splitBlock,
		splitIntoCopies,
		drillInPlace
	} from '$core/building';
	import type { Drill } from '$core/model/drill';
	import { drillOf, type Edit, type Found } from '$core/practice';
	import { copiesInZone, type SizeOption } from '$core/sizing';
	import { blockWords } from '../tape/words';
	import LineupTable from '../lineup/LineupTable.svelte';
	import Choice from '../page/Choice.svelte';
	import DrillChoice from './DrillChoice.svelte';
	import BlockDetails from './BlockDetails.svelte';
	import ClimbEditor from './ClimbEditor.svelte';
	import LaneControls from './LaneControls.svelte';
	import SizeList from './SizeList.svelte';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/inspector';

	/** A block: what it gives, where it is, its rung, who leads it, and in how many copies it runs. */
	let {
		evaluation,
		found,
		onapply
	}: { evaluation: Evaluation; found: Found; onapply: (edit: Edit) => void } = $props();

	const say = useWords();
	const { period, lane, block } = $derived(found);
	// The same object while nothing but the practice changes: what follows from it is not worked out anew.
	const context = $derived(evaluation.context);
	const drill = $derived(drillOf(context, block.drill));
	/** Those of every rung that is run, not of the drill underneath. */
	const ofRungs = (of: (rung: Drill) => readonly string[]) =>
		drill ? [...new Set(rungsRun(block, drill).flatMap(of))] : [];
	const cautions = $derived(ofRungs((rung) => rung.cautions));
	const cues = $derived(ofRungs((rung) => rung.cues.map((cue) => cue.say)));
	const counts = $derived(
		block.counting ? [block.counting] : ofRungs(({ success }) => (success ? [success.counts] : []))
	);
	const figures = $derived(evaluation.figures.blocks.get(block.id));
	const sized = $derived(sizeLane(evaluation, found));
	const size = $derived(figures?.sizes[0] ?? drill?.group.ideal ?? 1);
	/** The zones, each with how many copies of this size it holds. */
	const zoneChoices = $derived(
		context.ground.zones.map((zone) => {
			const holds = drill ? copiesInZone(drill, zone, size) : 0;
			const { id, name } = zone;
			return {
				id,
				name: holds > 0 ? say(texts.holds, { name, holds }) : say(texts.tooSmall, { name })
			};
		})
	);

	function pick(option: SizeOption) {
		if (!sized) return;
		const edit = splitIntoCopies(evaluation, {
			period,
			lane,
			block,
			option,
			room: sized.sizing.room,
			players: sized.players
		});
		if (edit) onapply(edit);
	}
	function place(copyId: string, zoneId: string) {
		const copies = lane.blocks.flatMap((each) => each.copies);
		const zoneIds = [...new Set(copies.map((copy) => (copy.id === copyId ? zoneId : copy.zoneId)))];
		onapply({ type: 'place-lane', lane: lane.id, zoneIds, copies: { [copyId]: zoneId } });
	}
	function staff(copyId: string, adult: string) {
		const copies = block.copies.map((copy) =>
			copy.id === copyId
				? { ...copy, adults: [adult, ...copy.adults.slice(1)].filter(Boolean) }
				: copy
		);
		onapply({ type: 'set-block', block: block.id, set: { copies } });
	}
	const keyOf = ({ id, revision = 1 }: Drill) => `${id}@${revision}`;
	/** What is at hand, and what is run where that is none of it: an older revision, say. */
	const shelf = $derived(
		drill && !context.shelf.includes(drill) ? [...context.shelf, drill] : context.shelf
	);
	function setDrill(key: string) {
		const other = shelf.find((each) => keyOf(each) === key);
		if (other && other !== drill)
			onapply(drillInPlace({ period, block }, { before: drill ?? { name: '' }, drill: other }));
	}
	/** A copy climbs as its block does until it has steps of its own. */
	function ownSteps(copyId: string, isOwn: boolean) {
		onapply(climbOfCopy(block, copyId, isOwn ? block.climb : null));
	}
	const cut = $derived(splitBlock(evaluation.practice, block.id, () => nanoid(8)));
	const merged = $derived(mergeBlocks(evaluation.practice, block.id));
</script>

{#if drill}
	<p class="gives"><strong>{drill.name}</strong>: {blockWords(figures, say)}</p>
	{#if cues.length > 0}<p class="said">“{cues.join('”, “')}”</p>{/if}
	{#if counts.length > 0}<p class="said">
			{say(texts.countsHere, { counted: counts.join('; ') })}
		</p>{/if}
	{#if cautions.length > 0}<p class="care">
			<strong>{say(texts.care)}</strong>
			{cautions.join(' ')}
		</p>{/if}
	{#if block.lineup}
		<details>
			<summary>{say(texts.lineUpOfShifts, { shiftCount: block.lineup.shifts.length })}</summary>
			<LineupTable lineup={block.lineup} {context} />
		</details>
	{/if}
	<DrillChoice
		id="block-drill"
		label={say(texts.drill)}
		drills={shelf}
		{keyOf}
		chosen={keyOf(drill)}
		onchoose={setDrill}
	/>
	<ClimbEditor
		id="climb"
		{drill}
		climb={block.climb}
		minutes={block.minutes}
		onclimb={(climb) => onapply({ type: 'set-block', block: block.id, set: { climb } })}
	/>
	{#if sized}
		<div>
			<h3>{say(texts.howManyCopiesFor, { playerCount: sized.players.length })}</h3>
			<SizeList {drill} sizing={sized.sizing} copies={block.copies.length} onpick={pick} />
		</div>
	{/if}
	{#each block.copies as copy, index (copy.id)}
		<div class="copy">
			<Choice
				id="zone-{copy.id}"
				label={block.copies.length > 1
					? say(texts.zoneOfCopy, { index: index + 1 })
					: say(texts.zone)}
				of={zoneChoices}
				chosen={copy.zoneId}
				onchoose={(id) => place(copy.id, id)}
			/>
			<Choice
				id="adult-{copy.id}"
				label={say(texts.adult)}
				of={evaluation.practice.adults.map((id) => ({
					id,
					name: context.adultById.get(id)?.name ?? id
				}))}
				chosen={copy.adults[0] ?? ''}
				none={say(texts.nobody)}
				onchoose={(id) => staff(copy.id, id)}
			/>
			{#if block.copies.length > 1 && drill.rungs.length > 0}
				<Checkbox
					id="own-{copy.id}"
					labelText={say(texts.ownSteps, { index: index + 1 })}
					checked={copy.climb !== undefined}
					on:check={(event) => ownSteps(copy.id, event.detail)}
				/>
			{/if}
			{#if copy.climb}
				<ClimbEditor
					id="climb-{copy.id}"
					{drill}
					climb={copy.climb}
					minutes={block.minutes}
					onclimb={(climb) => onapply(climbOfCopy(block, copy.id, climb))}
				/>
			{/if}
		</div>
	{/each}
	<LaneControls {evaluation} {found} {onapply} />
	<BlockDetails {evaluation} {found} {onapply} />
	<div class="cuts">
		{#if cut}
			<Button
				kind="ghost"
				size="small"
				title={say(texts.theSecondHalfCanGoUp)}
				on:click={() => onapply(cut)}>{say(texts.cutThisBlock)}</Button
			>
		{/if}
		{#if merged}
			<Button kind="ghost" size="small" on:click={() => onapply(merged)}
				>{say(texts.mergeBlocks)}</Button
			>
		{/if}
	</div>
{/if}

<style>
	.gives,
	.said,
	.care {
		line-height: 1.3;
		font-size: 13px;
	}
	.care {
		color: var(--wait-ink);
	}
	.copy {
		display: grid;
		gap: 6px;
	}
	.cuts {
		display: flex;
	}
	h3 {
		font-size: 13px;
		font-weight: 700;
		padding-bottom: 3px;
	}
</style>
