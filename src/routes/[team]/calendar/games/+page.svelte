<script lang="ts">
	import { Button } from 'carbon-components-svelte';
	import { nanoid } from 'nanoid';
	import { enhance } from '$app/forms';
	import { dayWords } from '$lib/components/page/dates';
	import { stay } from '$lib/components/page/notice.svelte';
	import Outcome from '$lib/components/page/Outcome.svelte';
	import Page from '$lib/components/page/Page.svelte';
	import { useWords } from '$lib/components/page/words.svelte';
	import type { ActionData, PageData } from './$types';
	import texts from '$texts/calendar';

	let { data, form }: { data: PageData; form: ActionData } = $props();

	const say = useWords();
	// What was found stays while an import of it is refused.
	let kept = $state<NonNullable<Extract<ActionData, { found: unknown }>>['found'] | null>(null);
	$effect(() => {
		if (form && 'found' in form && form.found) kept = form.found;
		if (form && 'imported' in form) kept = null;
	});
	const found = $derived(kept);
	/** Rows that are taken, and how their opponents are called. */
	let rows = $derived(
		(found?.games ?? []).map((game) => ({
			// What is there already, and what was called off before anybody knew of it, is left.
			isTaken: game.same ? game.same.isChanged : !game.isCancelled,
			opponent: game.opponent
		}))
	);
	const taken = $derived(
		(found?.games ?? []).flatMap(({ same: _same, onThatDay: _other, ...game }, index) =>
			rows[index]?.isTaken ? [{ ...game, opponent: rows[index].opponent.trim() }] : []
		)
	);
	let submission = $state(nanoid());
	const refusal = $derived(form && 'refusal' in form ? form.refusal : null);
	const misfit = $derived(
		form && 'misfit' in form
			? form.misfit
			: refusal
				? { path: [say(texts.file)], message: refusal }
				: null
	);

	function standing(game: NonNullable<typeof found>['games'][number]): string {
		const parts = [
			game.isCancelled ? say(texts.isCancelled) : null,
			game.same
				? game.same.isChanged
					? say(texts.isOther, {
							what: [dayWords(game.same.date), game.same.start, game.same.opponent]
								.filter(Boolean)
								.join(', ')
						})
					: say(texts.isSame)
				: say(texts.isNew),
			game.onThatDay ? say(texts.onThatDay) : null
		];
		return parts.filter(Boolean).join(' · ');
	}
</script>

<Page team={data.team} current="calendar" title={say(texts.games)} intro={say(texts.gamesIntro)}>
	<Outcome {misfit} />
	{#if form && 'imported' in form}
		<p role="status" class="done">
			{say(texts.imported, { count: form.imported ?? 0 })}
			<a href="/{data.team.id}/calendar?season={data.season.id}">{say(texts.toCalendar)}</a>
		</p>
	{/if}
	<form
		method="POST"
		action="?/look"
		enctype="multipart/form-data"
		class="file"
		use:enhance={(input) => {
			kept = null;
			submission = nanoid();
			return stay(say)(input);
		}}
	>
		<input type="hidden" name="season" value={data.season.id} />
		<label class="caption">
			{say(texts.file)}
			<input class="typed" type="file" name="file" accept=".ics,text/calendar" required />
		</label>
		<Button type="submit" size="small" kind={found ? 'tertiary' : 'primary'}
			>{say(texts.look)}</Button
		>
	</form>
	{#if found}
		<p>{say(texts.found, { count: found.games.length })}</p>
		{#if found.skipped > 0}<p>{say(texts.skipped, { count: found.skipped })}</p>{/if}
		{#if found.outside > 0}<p>{say(texts.outside, { count: found.outside })}</p>{/if}
		{#if found.games.length > 0}
			<form method="POST" action="?/import" use:enhance={stay(say)}>
				<input type="hidden" name="season" value={data.season.id} />
				<input type="hidden" name="base" value={found.stamp} />
				<input type="hidden" name="submission" value={submission} />
				<input type="hidden" name="taken" value={JSON.stringify(taken)} />
				<div class="scroll">
					<table>
						<thead>
							<tr>
								<th scope="col">{say(texts.take)}</th>
								<th scope="col">{say(texts.date)}</th>
								<th scope="col">{say(texts.starts)}</th>
								<th scope="col">{say(texts.opponent)}</th>
								<th scope="col">{say(texts.place)}</th>
								<th scope="col">{say(texts.standing)}</th>
							</tr>
						</thead>
						<tbody>
							{#each found.games as game, index (index)}
								<tr>
									<td>
										<input
											type="checkbox"
											aria-label={say(texts.takeRow, { opponentName: game.opponent })}
											checked={rows[index]?.isTaken}
											onchange={(event) =>
												(rows = rows.with(index, {
													...rows[index],
													isTaken: event.currentTarget.checked
												}))}
										/>
									</td>
									<td>{dayWords(game.date)}</td>
									<td>{game.start ?? ''}</td>
									<td>
										<input
											class="typed"
											maxlength="200"
											aria-label={say(texts.opponentOf, { day: dayWords(game.date) })}
											value={rows[index]?.opponent}
											oninput={(event) =>
												(rows = rows.with(index, {
													...rows[index],
													opponent: event.currentTarget.value
												}))}
										/>
									</td>
									<td>{game.place ?? ''}</td>
									<td>{standing(game)}</td>
								</tr>
							{/each}
						</tbody>
					</table>
				</div>
				<Button type="submit" disabled={taken.length === 0}
					>{say(texts.importChosen, { count: taken.length })}</Button
				>
			</form>
		{/if}
	{/if}
</Page>

<style>
	.file {
		display: flex;
		flex-wrap: wrap;
		gap: 12px 18px;
		align-items: end;
		padding-bottom: 14px;
	}
	p {
		padding: 2px 0 8px;
		font-size: 14px;
	}
	.done a {
		font-weight: 650;
		color: var(--action);
	}
	.scroll {
		overflow-x: auto;
		margin-bottom: 16px;
		border-top: 1px solid var(--ink);
	}
	table {
		border-collapse: collapse;
		width: 100%;
		font-size: 13.5px;
	}
	th {
		text-align: left;
		font-size: 12px;
		padding: 6px 8px 4px;
	}
	td {
		padding: 3px 8px;
		border-bottom: 1px solid var(--rule);
	}
	input[type='checkbox'] {
		width: 22px;
		height: 22px;
		accent-color: var(--action);
	}
	td .typed {
		min-width: 180px;
	}
</style>
