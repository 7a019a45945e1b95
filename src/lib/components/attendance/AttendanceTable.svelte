<script lang="ts">
	import type { Habit } from '$core/season';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/attendance';
	import { dayWords } from '../page/dates';
	import { habitWords, type At, type Said } from './week';

	/** Who comes to the practices of a week: a row a person, a column a practice. */
	let {
		heading,
		people,
		practices,
		saidOf,
		habits,
		fault,
		onsay
	}: {
		heading: string;
		people: readonly { id: string; name: string; about: string }[];
		practices: readonly { id: string; date: string; start: string; isHeld: boolean }[];
		saidOf: (at: At) => Said;
		habits: Readonly<Record<string, Habit>>;
		fault: At | null;
		onsay: (at: At, set: Partial<Said>) => void;
	} = $props();

	const say = useWords();
	const said = (practice: string, person: string) => saidOf({ practice, person });
	const coming = (practice: string) =>
		people.filter(({ id }) => said(practice, id).state !== 'absent').length;
	const isWrong = (practice: string, person: string) =>
		fault?.practice === practice && fault.person === person ? true : undefined;
</script>

<div class="scroll">
	<table>
		<thead>
			<tr>
				<th scope="col">{heading}</th>
				{#each practices as { id, date, start, isHeld } (id)}
					<th scope="col">
						{dayWords(date)}
						<span
							>{say(texts.of, {
								start,
								coming: coming(id),
								peopleCount: people.length,
								isHeld
							})}</span
						>
					</th>
				{/each}
				<th scope="col">{say(texts.soFar)}</th>
			</tr>
		</thead>
		<tbody>
			{#each people as person (person.id)}
				<tr>
					<th scope="row">{person.name} <span>{person.about}</span></th>
					{#each practices as { id: practice, date } (practice)}
						{@const at = { practice, person: person.id }}
						{@const now = said(practice, person.id)}
						<td class={now.state}>
							<div class="cell">
								<select
									aria-label={say(texts.on, { name: person.name, day: dayWords(date) })}
									value={now.state}
									onchange={(event) =>
										onsay(at, { state: event.currentTarget.value as Said['state'] })}
								>
									<option value="here">{say(texts.comes)}</option>
									<option value="late">{say(texts.late)}</option>
									<option value="absent">{say(texts.absent)}</option>
								</select>
								{#if now.state === 'late'}
									<input
										class="minutes"
										inputmode="numeric"
										aria-label={say(texts.minutesIsLateOn, {
											name: person.name,
											day: dayWords(date)
										})}
										aria-invalid={isWrong(practice, person.id)}
										placeholder={say(texts.min)}
										value={now.minutes}
										oninput={(event) => onsay(at, { minutes: event.currentTarget.value })}
									/>
								{:else if now.state === 'absent'}
									<input
										aria-label={say(texts.whyIsAbsentOn, {
											name: person.name,
											day: dayWords(date)
										})}
										placeholder={say(texts.reason)}
										maxlength="200"
										value={now.reason}
										oninput={(event) => onsay(at, { reason: event.currentTarget.value })}
									/>
								{/if}
							</div>
						</td>
					{/each}
					<td class="habit">
						{#if habits[person.id]?.isUsuallyLate}<strong>{say(texts.usuallyLate)}</strong>,{/if}
						{habits[person.id] ? habitWords(habits[person.id], say) : ''}
					</td>
				</tr>
			{/each}
		</tbody>
	</table>
</div>

<style>
	.scroll {
		position: relative;
		overflow-x: auto;
		border-top: 1px solid var(--ink);
		margin-bottom: 20px;
	}
	table {
		border-collapse: collapse;
		width: 100%;
	}
	th {
		text-align: left;
		font-size: 13px;
		padding: 5px 12px 5px 0;
		white-space: nowrap;
	}
	thead th {
		vertical-align: bottom;
		font-weight: 700;
	}
	th span {
		font-weight: 400;
		color: var(--ink-soft);
		font-size: 12px;
	}
	thead span {
		display: block;
	}
	th[scope='row'] {
		font-weight: 650;
		min-width: 190px;
	}
	tr > * {
		border-bottom: 1px solid var(--rule);
	}
	td {
		padding: 2px 12px 2px 0;
		min-width: 190px;
	}
	.cell {
		display: flex;
		gap: 6px;
		align-items: center;
	}
	select,
	input {
		min-height: 30px;
		border: 0;
		border-bottom: 1px solid transparent;
		background: transparent;
		font: inherit;
		font-size: 13px;
		color: var(--ink);
		padding: 2px 4px;
		min-width: 0;
	}
	.late select,
	.absent select {
		font-weight: 700;
	}
	.here select {
		color: var(--ink-soft);
	}
	.cell :is(select, input):hover,
	input {
		background: #fff;
		border-bottom-color: var(--ink-soft);
	}
	input {
		flex: 1;
		max-width: 260px;
	}
	input.minutes {
		flex: none;
		width: 56px;
		text-align: right;
	}
	input[aria-invalid] {
		box-shadow: inset 0 0 0 2px var(--stop);
	}
	.habit {
		font-size: 13px;
		color: var(--ink-soft);
		white-space: nowrap;
	}
	.habit strong {
		color: var(--ink);
	}
</style>
