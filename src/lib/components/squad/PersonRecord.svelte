<script lang="ts">
	import type { Attendance } from '$core/model/attendance';
	import type { ExportPerson } from '$core/model/exportFiles';
	import type { Team } from '$core/model/team';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/squad';
	import { dayWords } from '../page/dates';
	import { skillName } from '$core/model/skill';

	/** What was said and counted of a player over time. */
	let {
		team,
		kept
	}: {
		team: Team;
		kept: {
			person: ExportPerson;
			attendance: (Omit<Attendance, 'person' | 'practice'> & { date: string })[];
			expected: readonly string[];
			counted: readonly { skill: string; minutes: number; turns: number }[];
		};
	} = $props();

	const say = useWords();
	const skill = (id: string) => skillName(id, team.skillAreas);
	const unit = (id: string | null) =>
		id === null ? say(texts.noUnit) : (team.units.find((each) => each.id === id)?.name ?? id);
	const said = ({ state, minutes, reason }: Omit<Attendance, 'person' | 'practice'>) => {
		const how =
			state !== 'late' ? texts.absent : minutes === undefined ? texts.cameLate : texts.minLate;
		const words = say(how, { minutes });
		return reason ? say(texts.because, { state: words, reason }) : words;
	};
</script>

<div class="record">
	<section>
		<h2>{say(texts.whatTheyWereGiven)}</h2>
		{#if kept.counted.length > 0}
			<table>
				<thead>
					<tr
						><th scope="col">{say(texts.skill)}</th><th scope="col">{say(texts.min)}</th><th
							scope="col">{say(texts.turns)}</th
						></tr
					>
				</thead>
				<tbody>
					{#each kept.counted as each (each.skill)}
						<tr>
							<td>{skill(each.skill)}</td>
							<td>{each.minutes}</td>
							<td>{each.turns}</td>
						</tr>
					{/each}
				</tbody>
			</table>
		{:else}
			<p>{say(texts.nothingYetNoPracticeWithThem)}</p>
		{/if}
	</section>
	<section>
		<h2>{say(texts.lateOrAbsentOfPractices, { expectedCount: kept.expected.length })}</h2>
		<ul>
			{#each kept.attendance as row (row.date)}
				<li><span>{dayWords(row.date)}</span> {said(row)}</li>
			{:else}
				<li>{say(texts.never)}</li>
			{/each}
		</ul>
	</section>
	<section>
		<h2>{say(texts.unitsAndRatingsFromTheDay)}</h2>
		<ul>
			{#each kept.person.units as each (each.since)}
				<li><span>{dayWords(each.since)}</span> {unit(each.unit)}</li>
			{/each}
			{#each kept.person.ratings as each (`${each.since} ${each.skill}`)}
				<li><span>{dayWords(each.since)}</span> {skill(each.skill)} {each.rating}</li>
			{/each}
		</ul>
	</section>
</div>

<style>
	.record {
		display: grid;
		gap: 18px;
		align-content: start;
	}
	h2 {
		font-size: 14px;
		font-weight: 700;
		padding-bottom: 4px;
		border-bottom: 1px solid var(--rule);
	}
	table {
		border-collapse: collapse;
		width: 100%;
	}
	th,
	td {
		text-align: right;
		font-size: 13px;
		padding: 3px 0 3px 12px;
	}
	th {
		font-weight: 700;
	}
	th:first-child,
	td:first-child {
		text-align: left;
		padding-left: 0;
	}
	li,
	p {
		font-size: 13px;
		line-height: 1.6;
	}
	li span {
		display: inline-block;
		min-width: 150px;
		color: var(--ink-soft);
	}
</style>
