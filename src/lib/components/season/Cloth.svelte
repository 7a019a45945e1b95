<script lang="ts">
	import { max } from 'd3-array';
	import type { Season } from '$core/model/season';
	import { stageOf, type SkillAreas } from '$core/model/skill';
	import type { ClothLine, WeekLoad } from '$core/season';
	import { weekOf } from '$core/season';
	import { dayWords } from '$lib/components/page/dates';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/season';
	import { percent } from '../tape/words';
	import Cell from './Cell.svelte';
	import LoadCell from './LoadCell.svelte';
	import { lineName } from './names';
	import Ribbon from './Ribbon.svelte';
	import { lineKey, phaseStretches, placeOf, type Opened, type ShownPractice } from './view';

	/** Weeks across, skills down: what each player had, what is planned, what is owed. */
	let {
		team,
		season,
		areas,
		units,
		practices,
		lines,
		weeks,
		today,
		jump,
		opened,
		onopen
	}: {
		team: string;
		season: Season;
		areas: SkillAreas;
		units: readonly { id: string; name: string }[];
		practices: readonly ShownPractice[];
		lines: readonly ClothLine[];
		weeks: readonly WeekLoad[];
		today: string;
		/** How many times the usual load stands out. */
		jump: number;
		/** What is opened: a line, a week, or a cell of both. */
		opened: Opened | null;
		onopen: (at: Opened) => void;
	} = $props();

	const say = useWords();
	const own = $props.id();
	const now = $derived(weekOf(season, today));
	const place = $derived(placeOf(season, today));
	const phases = $derived(phaseStretches(season));
	/** The tallest bar: at least half an hour, so that little does not look like much. */
	const scale = $derived(
		Math.max(30, max(lines, ({ cells }) => max(cells, ({ done, planned }) => done + planned)) ?? 0)
	);
	const mostLoad = $derived(max(weeks, ({ done, planned }) => done + planned) ?? 0);
	const hasContact = $derived(weeks.some(({ contact }) => contact > 0));
	let focused = $state({ line: 0, week: 1 });
	const at = $derived({
		line: Math.min(focused.line, Math.max(0, lines.length - 1)),
		week: Math.min(focused.week, season.weeks)
	});

	const STEPS: Record<string, [number, number]> = {
		ArrowLeft: [0, -1],
		ArrowRight: [0, 1],
		ArrowUp: [-1, 0],
		ArrowDown: [1, 0],
		Home: [0, -Infinity],
		End: [0, Infinity]
	};

	function move(event: KeyboardEvent) {
		const step = STEPS[event.key];
		if (!step) return;
		event.preventDefault();
		const clamp = (value: number, least: number, most: number) =>
			Math.min(most, Math.max(least, value));
		const line = clamp(at.line + step[0], 0, lines.length - 1);
		const week = clamp(at.week + step[1], 1, season.weeks);
		focused = { line, week };
		document.getElementById(`${own}-${line}-${week}`)?.focus();
	}

	/** On a narrow screen the week of today is what is looked at first. */
	function toToday(node: HTMLElement) {
		const cell = node.querySelector<HTMLElement>(`[data-week="${now}"]`);
		if (cell) node.scrollLeft = cell.offsetLeft - node.clientWidth / 2 - 60;
	}
</script>

{#snippet number(week: number, shown: string, name: string)}
	<td class:faint={week > now}>
		<button
			type="button"
			aria-label={say(texts.numberOfWeek, { name, week, shown })}
			onclick={() => onopen({ week })}>{shown}</button
		>
	</td>
{/snippet}

<div class="scroll" style:--weeks={season.weeks} {@attach toToday}>
	<table>
		<caption class="unseen">{say(texts.cloth)}</caption>
		<colgroup>
			<col class="names" />
			{#each weeks.keys() as index (index)}<col class="week" />{/each}
		</colgroup>
		<thead>
			{#if phases.length > 0}
				<tr class="phases">
					<th></th>
					<td colspan={season.weeks}>
						{#each phases as { id, name, from, to } (id)}
							<span
								style:left="{(from / season.weeks) * 100}%"
								style:width="calc({((to - from) / season.weeks) * 100}% - 3px)"
								title={name}>{name}</span
							>
						{/each}
					</td>
				</tr>
			{/if}
			<tr>
				<th></th>
				{#each weeks.keys() as index (index)}
					{@const week = index + 1}
					<th scope="col" class="week" class:now={week === now} data-week={week}>
						<button
							type="button"
							aria-label={say(texts.week, { week })}
							onclick={() => onopen({ week })}>{week}</button
						>
						<Ribbon {team} {season} {practices} {week} {today} />
					</th>
				{/each}
			</tr>
		</thead>
		<tbody>
			{#each lines as line, row (lineKey(line))}
				<tr class:stage={stageOf(line.skill) !== null || line.unit !== undefined}>
					<th scope="row">
						<button type="button" onclick={() => onopen({ line: lineKey(line) })}
							>{lineName(line, { areas, units }, say)}</button
						>
					</th>
					{#each line.cells as cell, index (index)}
						{@const week = index + 1}
						<td>
							<Cell
								id="{own}-{row}-{week}"
								name={lineName(line, { areas, units }, say)}
								{cell}
								{week}
								{scale}
								isPast={week <= now}
								isOpen={opened?.line === lineKey(line) && opened.week === week}
								tabindex={row === at.line && week === at.week ? 0 : -1}
								onfocus={() => (focused = { line: row, week })}
								onkeydown={move}
								onopen={() => onopen({ line: lineKey(line), week })}
							/>
						</td>
					{/each}
				</tr>
			{/each}
		</tbody>
		<tfoot>
			<tr class="load">
				<th scope="row">{say(texts.load)}<small>{say(texts.loadSays)}</small></th>
				{#each weeks as load, index (index)}
					<td>
						<LoadCell
							{load}
							week={index + 1}
							most={mostLoad}
							{jump}
							onopen={() => onopen({ week: index + 1 })}
						/>
					</td>
				{/each}
			</tr>
			{#if hasContact}
				<tr class="numbers">
					<th scope="row">{say(texts.contact)}<small>{say(texts.contactSays)}</small></th>
					{#each weeks as { contact }, index (index)}
						{@render number(
							index + 1,
							contact > 0 ? String(Math.round(contact)) : '–',
							say(texts.contact)
						)}
					{/each}
				</tr>
			{/if}
			<tr class="numbers">
				<th scope="row">{say(texts.opposed)}<small>{say(texts.opposedSays)}</small></th>
				{#each weeks as { opposed }, index (index)}
					{@render number(index + 1, opposed === null ? '–' : percent(opposed), say(texts.opposed))}
				{/each}
			</tr>
		</tfoot>
	</table>
	{#if place !== null}
		<div class="line" style:--place={place} aria-hidden="true">
			<span>{dayWords(today).replace(/^\S+ /, '')}</span>
		</div>
	{/if}
</div>

<style>
	.scroll {
		position: relative;
		overflow-x: auto;
		padding-top: 20px;
		--names: 196px;
		--least: 44px;
	}
	table {
		table-layout: fixed;
		border-collapse: separate;
		border-spacing: 0;
		width: 100%;
		min-width: calc(var(--names) + var(--weeks) * var(--least));
	}
	col.names {
		width: var(--names);
	}
	th {
		text-align: left;
		font-weight: 600;
	}
	tbody th,
	tfoot th,
	thead th:first-child {
		position: sticky;
		left: 0;
		z-index: 2;
		background: var(--chalk);
	}
	.phases td {
		position: relative;
		height: 21px;
		padding: 0;
	}
	.phases span {
		position: absolute;
		top: 0;
		bottom: 3px;
		overflow: hidden;
		padding: 0 6px;
		background: var(--chalk-deep);
		font-size: 12px;
		font-weight: 700;
		line-height: 18px;
		white-space: nowrap;
		text-overflow: ellipsis;
	}
	th.week {
		text-align: center;
		vertical-align: top;
	}
	th.week button {
		width: 100%;
		min-height: 24px;
		font-size: 13px;
		text-align: center;
	}
	th.now button {
		font-weight: 800;
	}
	tbody tr > * {
		vertical-align: middle;
		border-bottom: 1px solid var(--rule);
	}
	tbody th button {
		display: flex;
		align-items: center;
		width: 100%;
		min-height: 28px;
		padding: 0 8px 0 0;
		font-size: 13.5px;
		font-weight: 700;
		line-height: 1.15;
		text-align: left;
	}
	tr.stage th button {
		padding-left: 14px;
		font-weight: 450;
		font-size: 13px;
	}
	button {
		border: 0;
		background: none;
		color: inherit;
		font: inherit;
		cursor: pointer;
	}
	th button:hover {
		text-decoration: underline;
		text-underline-offset: 3px;
	}
	td {
		padding: 0;
	}
	td button {
		position: relative;
		display: block;
		width: 100%;
		height: 28px;
		padding: 0;
	}
	td button:hover {
		background: var(--chalk-deep);
	}
	tfoot th {
		padding: 6px 8px 0 0;
		font-size: 13.5px;
		font-weight: 700;
		vertical-align: bottom;
	}
	small {
		display: block;
		font-size: 11.5px;
		font-weight: 450;
		color: var(--ink-soft);
	}
	.numbers td {
		vertical-align: bottom;
	}
	.numbers td button {
		height: 26px;
		font-size: 12.5px;
		text-align: center;
		font-variant-numeric: tabular-nums;
	}
	.faint {
		color: var(--ink-soft);
	}
	.line {
		position: absolute;
		top: 0;
		bottom: 0;
		left: calc(
			var(--names) + (max(100%, var(--names) + var(--weeks) * var(--least)) - var(--names)) *
				var(--place)
		);
		border-left: 2px solid var(--now);
		pointer-events: none;
	}
	.line span {
		position: absolute;
		top: 0;
		left: 0;
		transform: translateX(-50%);
		padding: 0 5px;
		background: var(--now);
		color: #fff;
		font-size: 11.5px;
		font-weight: 700;
		line-height: 16px;
		white-space: nowrap;
	}
	@media (max-width: 672px) {
		.scroll {
			--names: 128px;
		}
	}
</style>
