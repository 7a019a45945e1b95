<script lang="ts">
	import { tick } from 'svelte';
	import { enhance } from '$app/forms';
	import { goto } from '$app/navigation';
	import Choice from '$lib/components/page/Choice.svelte';
	import { stay } from '$lib/components/page/notice.svelte';
	import Outcome from '$lib/components/page/Outcome.svelte';
	import Page from '$lib/components/page/Page.svelte';
	import RemoveDialog from '$lib/components/page/RemoveDialog.svelte';
	import { dayWords } from '$lib/components/page/dates';
	import SceneDrawing from '$lib/components/scene/SceneDrawing.svelte';
	import { useWords } from '$lib/components/page/words.svelte';
	import type { Seed } from '$core/model/scene';
	import type { ActionData, PageData } from './$types';
	import texts from '$texts/scenes';

	let { data, form }: { data: PageData; form: ActionData } = $props();

	const say = useWords();
	const schools = [
		{ id: 'both', name: say(texts.both) },
		{ id: 'seeds', name: say(texts.seeds) },
		{ id: 'talk', name: say(texts.talk) }
	];
	let prepares: string = $derived(data.prepares);
	async function choose(id: string) {
		prepares = id;
		await tick();
		school?.requestSubmit();
	}
	let going: Seed | null = $state(null);
	const hasSeeds = $derived(data.prepares !== 'talk');
	const games = $derived(
		data.games.map(({ id, opponent, date }) => ({
			id,
			name: say(texts.gameOn, { name: opponent, day: dayWords(date) })
		}))
	);
	const href = (id: string) =>
		`/${data.team.id}/scenes/${id}?list=seeds&season=${encodeURIComponent(data.season)}` +
		`&game=${encodeURIComponent(data.game?.id ?? '')}`;
	let school: HTMLFormElement | undefined = $state();
</script>

<Page team={data.team} current="game-week" title={say(texts.gameWeek)} intro={say(texts.gameIntro)}>
	{#snippet ways()}
		{#if games.length > 1}
			<Choice
				id="game"
				label={say(texts.whichGame)}
				of={games}
				chosen={data.game?.id ?? ''}
				onchoose={(id) => void goto(`?game=${encodeURIComponent(id)}`, { noScroll: true })}
			/>
		{/if}
		<form method="POST" action="?/prepare" bind:this={school} use:enhance={stay(say)}>
			<input type="hidden" name="season" value={data.season} />
			<input type="hidden" name="prepares" value={prepares} />
			<Choice
				id="prepares"
				label={say(texts.prepares)}
				of={schools}
				chosen={prepares}
				onchoose={choose}
			/>
		</form>
	{/snippet}
	<Outcome misfit={form && 'misfit' in form ? form.misfit : null} />
	{#if !data.game}
		<p class="none">
			{say(texts.noGame)} <a class="link" href="/{data.team.id}/dates">{say(texts.setGames)}</a>
		</p>
	{:else}
		<h2>
			{say(texts.gameOn, { name: data.game.opponent, day: dayWords(data.game.date) })}
			<small
				>{[data.game.start, data.game.place && say(texts.placeOf, { place: data.game.place })]
					.filter(Boolean)
					.join(' · ')}</small
			>
		</h2>
		<section>
			<h3>{say(texts.practicesTo)}</h3>
			<table>
				<tbody>
					{#each data.practices as { id, date, every, hasTalk, liveBlocks } (id)}
						<tr>
							<th scope="row"
								><a class="link" href="/{data.team.id}/practices/{id}">{dayWords(date)}</a></th
							>
							<td
								>{hasSeeds && data.seeds.length > 0
									? say(texts.every, { nth: String(every) })
									: ''}</td
							>
							<td>{say(texts.liveBlocks, { count: liveBlocks })}</td>
							<td>{hasTalk ? say(texts.withTalk, { most: data.talkMinutes }) : ''}</td>
						</tr>
					{:else}
						<tr><td>{say(texts.noPractices)}</td></tr>
					{/each}
				</tbody>
			</table>
		</section>
		<section>
			<div class="over">
				<h3>{say(texts.seedsOf)}</h3>
				{#if hasSeeds}<a class="link" href={href('new')}>{say(texts.drawASeed)}</a>{/if}
			</div>
			{#if !hasSeeds}
				<p>{say(texts.seedsOff)}</p>
			{:else if data.seeds.length === 0}
				<p>{say(texts.noSeeds)}</p>
			{/if}
			<ul>
				{#each data.seeds as seed (seed.id)}
					<li>
						<article aria-label={seed.name}>
							<SceneDrawing
								scene={seed}
								markings={data.grounds.find(({ id }) => id === seed.groundId)?.markings}
							/>
							<h4>{seed.name}</h4>
							{#if seed.call}<p>{say(texts.called, { call: seed.call })}</p>{/if}
							<div class="links">
								<a class="link" href={href(seed.id)}>{say(texts.edit)}</a>
								<button class="link" onclick={() => (going = seed)}>{say(texts.remove)}</button>
							</div>
						</article>
					</li>
				{/each}
			</ul>
		</section>
	{/if}
</Page>
{#if going}
	<RemoveDialog
		what={going.name}
		says={say(texts.removeSeedSays)}
		field="id"
		value={going.id}
		also={{ season: data.season }}
		onclose={() => (going = null)}
	/>
{/if}

<style>
	h2 {
		font-size: 24px;
		font-weight: 800;
	}
	h2 small {
		font-size: 15px;
		font-weight: 450;
		color: var(--ink-soft);
	}
	section {
		padding: 14px 0;
		margin-top: 14px;
		border-top: 1px solid var(--ink);
	}
	h3 {
		font-size: 17px;
		font-weight: 750;
		padding-bottom: 6px;
	}
	table {
		border-collapse: collapse;
		font-size: 15px;
	}
	th,
	td {
		padding: 5px 26px 5px 0;
		text-align: left;
		font-weight: 450;
	}
	th {
		font-weight: 650;
	}
	.over {
		display: flex;
		flex-wrap: wrap;
		gap: 4px 24px;
		align-items: baseline;
	}
	ul {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(280px, 1fr));
		gap: 20px;
		padding-top: 8px;
	}
	h4 {
		padding-top: 6px;
		font-size: 16px;
		font-weight: 750;
	}
	.links {
		display: flex;
		gap: 18px;
	}
</style>
