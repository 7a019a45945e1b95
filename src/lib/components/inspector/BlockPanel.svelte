<script lang="ts">
	import type { Evaluation } from '$core/playing';
	import { Button, Select, SelectItem } from 'carbon-components-svelte';
	import { nanoid } from 'nanoid';
	import { mergeBlocks, sizeLane, splitBlock, splitIntoCopies } from '$core/building';
	import { drillOf, type Edit, type Found } from '$core/practice';
	import { copiesInZone, type SizeOption } from '$core/sizing';
	import { blockWords } from '../tape/words';
	import LineupTable from '../lineup/LineupTable.svelte';
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
	const drill = $derived(drillOf(evaluation.context, block.drill));
	const figures = $derived(evaluation.figures.blocks.get(block.id));
	const sized = $derived(sizeLane(evaluation, found));
	const zones = $derived(evaluation.context.ground.zones);
	const size = $derived(figures?.sizes[0] ?? drill?.group.ideal ?? 1);

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
	function setRung(rung: string) {
		const climb = [{ ...(rung && { rung }), minutes: block.minutes }];
		onapply({ type: 'set-block', block: block.id, set: { climb } });
	}
	const cut = $derived(splitBlock(evaluation.practice, block.id, () => nanoid(8)));
	const merged = $derived(mergeBlocks(evaluation.practice, block.id));
	const rungs = $derived(block.climb.map(({ rung }) => rung ?? ''));
	const value = (event: Event) => (event.target as HTMLSelectElement).value;
</script>

{#if drill}
	<p class="gives"><strong>{drill.name}</strong>: {blockWords(figures, say)}</p>
	{#if drill.cautions.length > 0}<p class="care">
			<strong>{say(texts.care)}</strong>
			{drill.cautions.join(' ')}
		</p>{/if}
	{#if block.lineup}
		<details>
			<summary>{say(texts.lineUpOfShifts, { shiftCount: block.lineup.shifts.length })}</summary>
			<LineupTable lineup={block.lineup} context={evaluation.context} />
		</details>
	{/if}
	{#if drill.rungs.length > 0}
		<Select
			id="rung"
			size="sm"
			labelText={say(texts.rung)}
			selected={rungs.length === 1 ? rungs[0] : 'climb'}
			on:change={(event) => setRung(value(event))}
		>
			<SelectItem value="" text={say(texts.theDrillItself)} />
			{#each drill.rungs as rung (rung.id)}
				<SelectItem value={rung.id} text="{rung.name}: {rung.change}" />
			{/each}
			{#if rungs.length > 1}
				<SelectItem value="climb" text={say(texts.climbOfRungs, { rungCount: rungs.length })} />
			{/if}
		</Select>
	{/if}
	{#if sized}
		<div>
			<h3>{say(texts.howManyCopiesFor, { playerCount: sized.players.length })}</h3>
			<SizeList {drill} sizing={sized.sizing} copies={block.copies.length} onpick={pick} />
		</div>
	{/if}
	{#each block.copies as copy, index (copy.id)}
		<div class="copy">
			<Select
				id="zone-{copy.id}"
				size="sm"
				labelText={block.copies.length > 1
					? say(texts.zoneOfCopy, { index: index + 1 })
					: say(texts.zone)}
				selected={copy.zoneId}
				on:change={(event) => place(copy.id, value(event))}
			>
				{#each zones as zone (zone.id)}
					{@const holds = copiesInZone(drill, zone, size)}
					<SelectItem
						value={zone.id}
						text={holds > 0
							? say(texts.holds, { name: zone.name, holds })
							: say(texts.tooSmall, { name: zone.name })}
					/>
				{/each}
			</Select>
			<Select
				id="adult-{copy.id}"
				size="sm"
				labelText={say(texts.adult)}
				selected={copy.adults[0] ?? ''}
				on:change={(event) => staff(copy.id, value(event))}
			>
				<SelectItem value="" text={say(texts.nobody)} />
				{#each evaluation.practice.adults as id (id)}
					<SelectItem value={id} text={evaluation.context.adultById.get(id)?.name ?? id} />
				{/each}
			</Select>
		</div>
	{/each}
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
