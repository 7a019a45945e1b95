<script lang="ts">
	import Page from '$lib/components/page/Page.svelte';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/together';
	import NumbersTable from '$lib/components/table/NumbersTable.svelte';
	import Matrix from '$lib/components/together/Matrix.svelte';
	import Outcome from '$lib/components/page/Outcome.svelte';
	import MixGroups from '$lib/components/together/MixGroups.svelte';
	import type { ActionData, PageData } from './$types';

	let { data, form }: { data: PageData; form: ActionData } = $props();

	const say = useWords();
	const byId = $derived(new Map(data.players.map((player) => [player.id, player])));
	function nameOf(id: string) {
		const player = byId.get(id);
		return {
			name: player?.name ?? id,
			short: player?.number === undefined ? (player?.name ?? id).slice(0, 2) : String(player.number)
		};
	}
	const shown = $derived(data.together.pairs);
	const pairs = $derived(
		shown.map(({ a, b, times, minutes }) => ({
			id: `${a} ${b}`,
			one: nameOf(a).name,
			other: nameOf(b).name,
			times,
			minutes
		}))
	);
	const columns = $derived([
		{ key: 'one' as const, heading: say(texts.one) },
		{ key: 'other' as const, heading: say(texts.theOther) },
		{ key: 'times' as const, heading: say(texts.times) },
		{ key: 'minutes' as const, heading: say(texts.min) }
	]);
	/** The address of a part of the matrix, with all pairs or the first ones. */
	const pageOf = (part: number, isWhole: boolean) =>
		`?${new URLSearchParams({ part: String(part), ...(isWhole && { all: '' }) })}`;
	const tableSize = $derived(
		data.pairs > data.mostPairs
			? say(texts.theLeastMet, { mostPairs: data.mostPairs })
			: say(texts.all, { pairs: data.pairs })
	);
	const parts = $derived(Array.from({ length: data.parts }, (_, k) => k + 1));
	const intro = $derived(say(texts.practicesWereHeldASquareIs, { held: data.held }));
</script>

<Page team={data.team} current="together" title={say(texts.whoHasWorkedWithWhom)} {intro}>
	{#if data.players.length < 2}
		<p class="empty">
			{say(texts.withTwoPlayersInTheSquad)}
			<a href="/{data.team.id}/squad">{say(texts.addPlayers)}</a>
		</p>
	{:else}
		<div class="columns">
			<div class="matrix">
				{#if data.parts > 1}
					<nav aria-label={say(texts.partsOfTheSquad)}>
						{say(texts.theSquadInPartsWhoWorked)}
						{#each parts as part (part)}
							<a
								href={pageOf(part, data.isWhole)}
								aria-current={part === data.part ? 'page' : undefined}
								data-sveltekit-noscroll>{part}</a
							>
						{/each}
					</nav>
				{/if}
				<Matrix together={data.together} {nameOf} />
			</div>
			<section>
				<h2>{say(texts.leastMetOfPairsNever, { never: data.never, pairs: data.pairs })}</h2>
				<NumbersTable {columns} rows={pairs} names={2} />
				{#if data.pairs > shown.length || data.isWhole}
					<a class="link" href={pageOf(data.part, !data.isWhole)} data-sveltekit-noscroll>
						{data.isWhole ? say(texts.onlyTheLeastMet) : say(texts.pairsAsATable, { tableSize })}
					</a>
				{/if}
				<p>{say(texts.groupsOfTheKindFreshOn)}</p>
			</section>
		</div>
		<Outcome misfit={form?.misfit} />
		{#if form?.mixed}<p role="status">{say(texts.mixed, { count: form.mixed })}</p>{/if}
		{#if data.mixable.choices.length > 0}
			<MixGroups team={data.team.id} players={data.players} mixable={data.mixable} />
		{/if}
	{/if}
</Page>

<style>
	.columns {
		display: grid;
		grid-template-columns: minmax(0, auto) minmax(300px, 1fr);
		gap: 28px;
		align-items: start;
	}
	.matrix {
		min-width: 0;
	}
	section > .link {
		display: inline-block;
		padding-top: 10px;
	}
	nav {
		font-size: 13.5px;
		padding-bottom: 8px;
	}
	nav a {
		display: inline-block;
		min-width: 28px;
		padding: 4px 6px;
		text-align: center;
		color: var(--action);
		font-weight: 600;
	}
	nav a[aria-current] {
		background: var(--ink);
		color: var(--chalk);
	}
	h2 {
		font-size: 15px;
		font-weight: 700;
		padding-bottom: 8px;
		border-bottom: 1px solid var(--ink);
	}
	section p {
		color: var(--ink-soft);
		font-size: 13px;
		padding-top: 6px;
	}
	.empty {
		font-size: 15px;
		padding: 20px 0;
	}
	.empty a {
		font-weight: 600;
		color: var(--action);
	}
	@media (max-width: 1100px) {
		.columns {
			grid-template-columns: minmax(0, 1fr);
		}
	}
</style>
