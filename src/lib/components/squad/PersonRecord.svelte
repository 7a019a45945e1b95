<script lang="ts">
	import type { Attendance } from '$core/model/attendance';
	import type { ExportPerson } from '$core/model/exportFiles';
	import type { Team } from '$core/model/team';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/squad';
	import NumbersTable from '../table/NumbersTable.svelte';
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
	const counted = $derived(
		kept.counted.map((each) => ({ ...each, id: each.skill, name: skill(each.skill) }))
	);
	const columns = $derived([
		{ key: 'name' as const, heading: say(texts.skill) },
		{ key: 'minutes' as const, heading: say(texts.min) },
		{ key: 'turns' as const, heading: say(texts.turns) }
	]);
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
			<NumbersTable {columns} rows={counted} />
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
