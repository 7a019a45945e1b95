<script lang="ts">
	import { type Evaluation, type PeriodWindow, playersNowhere } from '$core/playing';
	import Bib from '../bib/Bib.svelte';
	import LineupTable from '../lineup/LineupTable.svelte';
	import { clockAt } from '$core/conditions';
	import { percent } from '../tape/words';
	import { dayWords } from '../page/dates';
	import { sheetBlocks, type SheetBlock } from './sheet';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/paper';

	/** The whole practice on one page of A4, good in black and white. */
	let { evaluation, week }: { evaluation: Evaluation; week: number } = $props();

	const say = useWords();
	const { practice, context, windows, figures } = $derived(evaluation);
	/** Lines that a sheet takes in letters of the normal size, and in small ones. */
	const [ROOM, ROOM_OF_SMALL] = [30, 38];
	const wanted = $derived(
		practice.periods.reduce(
			(sum, { lanes, groups }) => sum + 1 + lanes.length + (groups && groups.length > 0 ? 3 : 0),
			0
		)
	);
	const isDense = $derived(wanted > ROOM);
	/** Only what is needed on the ground: rungs by their names, players by their numbers. */
	const isBrief = $derived(wanted > ROOM_OF_SMALL);
	const rows = $derived(
		windows.map((window) => ({
			window,
			blocks: sheetBlocks(evaluation, window, { say, isBrief })
		}))
	);
	const grouped = $derived(practice.periods.filter(({ groups }) => groups && groups.length > 0));
	const shortName = (id: string) => {
		const player = context.playerById.get(id);
		if (!player) return id;
		// A brief sheet has room for the number alone, where there is one.
		if (isBrief && player.number !== undefined) return String(player.number);
		return `${player.number ?? ''} ${player.name.split(' ')[0]}`.trim();
	};
	/** Lines that the sheet takes, by what stands on it. */
	const length = $derived(
		rows.reduce(
			(sum, { blocks }) =>
				sum + 1 + blocks.reduce((own, { set }) => own + (set.length > 0 ? 2 : 1), 0),
			grouped.length * 3
		)
	);
	/** Lines up to which a sheet has room for what counts and what is called. */
	const ROOMY = 22;
	const nowhere = $derived(playersNowhere(practice, evaluation.runs));
	const lineups = $derived(
		rows.flatMap(({ blocks }) =>
			blocks.flatMap(({ block, drill }) =>
				block.lineup ? [{ id: block.id, name: drill?.name ?? '', lineup: block.lineup }] : []
			)
		)
	);
	/** Minutes and seconds of a slot, `7:07`. */
	function slotLength({ slots: [{ fromSecond, toSecond }] }: PeriodWindow): string {
		const seconds = toSecond - fromSecond;
		return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
	}
	/** A period that is one block by the name of its drill is one row. */
	const isOne = ({ period, slots }: PeriodWindow, blocks: readonly SheetBlock[]) =>
		blocks.length === 1 &&
		blocks[0].drill?.name === period.name &&
		slots.length === 0 &&
		!period.note;

	/** Where a talk is held, and where players look. */
	function talkWords({ period: { zoneId, facing } }: PeriodWindow): string {
		const zone = context.zoneById.get(zoneId ?? '')?.name;
		const where = [
			...(zone === undefined ? [] : [say(texts.heldAt, { zoneName: zone })]),
			...(facing === undefined ? [] : [say(texts.facing, { facing: String(facing) })])
		];
		return where.length > 0 ? `· ${where.join(', ')}` : '';
	}
	/** When the whistle sends everyone to the next station: the move comes before the slot. */
	const whistles = ({ period, slots }: PeriodWindow) =>
		slots
			.slice(1)
			.map(({ fromSecond }) => clockAt(practice.start, fromSecond - (period.moveSeconds ?? 0)))
			.join(', ');
</script>

<article class="sheet" class:dense={isDense} class:brief={isBrief}>
	<header>
		<h1 class="wide">{dayWords(practice.date)}</h1>
		<p>
			{say(texts.when, {
				name: context.team.name,
				start: practice.start,
				end: clockAt(practice.start, practice.minutes * 60),
				place: practice.place,
				week: Math.max(0, week)
			})}
		</p>
		<p>
			<strong>{practice.expected.length}</strong>
			{say(texts.players)}
			<strong>{practice.adults.length}</strong>
			{say(texts.adults)}
			<strong>{percent(figures.busyShare)}</strong>
			{say(texts.busy)}
			<strong>{Math.round(figures.turns.mean)}</strong>
			{say(texts.turnsEach)}
		</p>
	</header>
	<table>
		<thead>
			<tr
				><th scope="col">{say(texts.clock)}</th><th scope="col">{say(texts.minZone)}</th><th
					scope="col">{say(texts.whatWhereWho)}</th
				><th scope="col">{say(texts.cues)}</th></tr
			>
		</thead>
		<tbody>
			{#each rows as { window, blocks } (window.period.id)}
				{#if !isOne(window, blocks)}
					<tr class="period">
						<th scope="row">{clockAt(practice.start, window.fromSecond)}</th>
						<td>{window.period.minutes}</td>
						<td colspan="2">
							<strong>{window.period.name}</strong>
							{#if window.slots.length > 0}
								{say(texts.slotsOfWhistleAt, {
									count: window.slots.length,
									length: slotLength(window),
									times: whistles(window)
								})}
							{/if}
							{talkWords(window)}
							{#if window.period.note}<span class="note">{window.period.note}</span>{/if}
						</td>
					</tr>
				{/if}
				{#each blocks as sheetBlock (sheetBlock.block.id)}
					{@const one = isOne(window, blocks)}
					<tr class:period={one}>
						{#if one}
							<th scope="row">{clockAt(practice.start, window.fromSecond)}</th>
							<td class="zone">{window.period.minutes} · {sheetBlock.zones}</td>
						{:else}
							<td></td>
							<td class="zone">{sheetBlock.zones}</td>
						{/if}
						<td>
							<strong>{sheetBlock.drill?.name ?? ''}</strong>
							{#if sheetBlock.rungs}<em class="rungs">{sheetBlock.rungs}</em>{/if}
							{#if sheetBlock.sides}<span>{say(texts.sides, { sides: sheetBlock.sides })}</span
								>{/if}
							{[sheetBlock.adults, sheetBlock.turns]
								.filter(Boolean)
								.map((each) => `· ${each}`)
								.join(' ')}
							<span class="bibs">
								{#each sheetBlock.bibs as list, slot (slot)}
									{#if slot > 0}<span aria-hidden="true">{window.slots.length > 0 ? '→' : ''}</span
										>{/if}
									{#each list as bib, place (place)}<Bib {bib} size={isBrief ? 12 : 15} />{/each}
								{/each}
							</span>
							<span class="narrow">{sheetBlock.numbers}</span>
							{#if sheetBlock.lines}<span class="narrow">{sheetBlock.lines}</span>{/if}
							{#if sheetBlock.set.length > 0}<span class="note">{sheetBlock.set.join(' · ')}</span
								>{/if}
						</td>
						<td class="cues narrow">
							{sheetBlock.cues.slice(0, 2).join(' · ')}
							{#if length <= ROOMY}{sheetBlock.counts.map((each) => `· ${each}`).join(' ')}{/if}
							{#if sheetBlock.cautions.length > 0}<b
									>{say(texts.care, { cautions: sheetBlock.cautions[0] })}</b
								>{/if}
						</td>
					</tr>
				{/each}
			{/each}
		</tbody>
	</table>
	{#if grouped.length > 0}
		<section>
			{#each grouped as period (period.id)}
				<h2>{say(texts.groupsIn, { name: period.name })}</h2>
				<ul>
					{#each period.groups ?? [] as group (group.id)}
						<li>
							<Bib bib={group.bib} size={isBrief ? 13 : 18} />
							<span class="narrow"
								>{group.players
									.filter((id) => practice.expected.includes(id))
									.map((id) =>
										id === group.leader ? say(texts.leads, { name: shortName(id) }) : shortName(id)
									)
									.join(isBrief ? ' ' : ', ')}</span
							>
						</li>
					{/each}
				</ul>
			{/each}
		</section>
	{/if}
	{#each lineups as { id, name, lineup } (id)}
		<section class="lineup">
			<h2>{say(texts.lineUpOf, { name })}</h2>
			<LineupTable {lineup} {context} />
		</section>
	{/each}
	{#if nowhere.length > 0}
		<p class="nowhere">
			<strong>{say(texts.inNoPartOfIt)}</strong>
			{nowhere.map((id) => context.playerById.get(id)?.name ?? id).join(', ')}
		</p>
	{/if}
	<p class="foot narrow">
		{say(texts.checkYourLeaguesRulesOnlyA)}
	</p>
</article>

<style>
	/* What stands behind slanted letters keeps off them. */
	.rungs {
		padding-right: 3px;
	}
	.sheet {
		background: #fff;
		width: 186mm;
		margin: 0 auto;
		font-size: 9.6pt;
		line-height: 1.22;
		color: #000;
	}
	.dense {
		font-size: 8.2pt;
		line-height: 1.14;
	}
	.brief {
		font-size: 8pt;
		line-height: 1.12;
	}
	.brief :is(th, td) {
		padding: 0.8px 5px;
	}
	.brief .cues b {
		display: inline;
	}
	.brief section ul {
		grid-template-columns: repeat(auto-fill, minmax(31mm, max-content));
		gap: 0 12px;
	}
	header {
		display: flex;
		flex-wrap: wrap;
		justify-content: space-between;
		align-items: baseline;
		gap: 0 12px;
		border-bottom: 2px solid #000;
		padding-bottom: 4px;
	}
	h1,
	h2 {
		font-weight: 750;
	}
	h1 {
		font-size: 15pt;
		line-height: 1.15;
	}
	table {
		border-collapse: collapse;
		table-layout: fixed;
		width: 100%;
	}
	thead th:nth-child(1) {
		width: 12mm;
	}
	thead th:nth-child(2) {
		width: 25mm;
	}
	thead th:nth-child(4) {
		width: 38%;
	}
	th,
	td {
		text-align: left;
		vertical-align: top;
		padding: 1.6px 5px;
	}
	thead th {
		border-bottom: 1px solid #000;
		font-size: 0.86em;
	}
	tr.period > * {
		border-top: 1px solid #000;
		padding-top: 3px;
	}
	.zone {
		font-weight: 700;
	}
	.cues b {
		display: block;
		font-weight: 600;
	}
	.bibs {
		display: inline-flex;
		gap: 1px;
		align-items: center;
		vertical-align: -3px;
	}
	section {
		display: grid;
		gap: 0 16px;
		border-top: 2px solid #000;
		margin-top: 5px;
		padding-top: 3px;
	}
	h2 {
		font-size: 1em;
		padding: 2px 0;
	}
	section ul {
		display: grid;
		grid-template-columns: 1fr 1fr;
		gap: 1px 16px;
	}
	section li {
		display: flex;
		gap: 5px;
		align-items: center;
	}
	.note {
		display: block;
		font-style: italic;
	}
	.nowhere {
		padding-top: 5px;
	}
	.foot {
		padding-top: 5px;
		font-size: 0.85em;
	}
	@page {
		size: A4;
		margin: 12mm;
	}
	@media print {
		.sheet {
			width: auto;
		}
		/* What does not fit goes on, whole rows of it, on a second page under the same headings. */
		tr,
		li,
		section.lineup {
			break-inside: avoid;
		}
		tr.period {
			break-after: avoid;
		}
		thead {
			display: table-header-group;
		}
	}
	@media (max-width: 760px) {
		.sheet {
			width: 100%;
		}
	}
</style>
