<script lang="ts">
	import { meanRating, type GroupOutput } from '$core/grouping';
	import type { Group } from '$core/model/practice';
	import type { Context } from '$core/practice';
	import Bib from '../bib/Bib.svelte';
	import { bibLook } from '../bib/bibs';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/groups';

	/** Groups side by side with who is in them; pressing a player keeps them where they are. */
	let {
		groups,
		players,
		context,
		pinned,
		output,
		onpin
	}: {
		groups: readonly Group[];
		players: readonly (readonly string[])[];
		context: Context;
		pinned: readonly string[];
		output: GroupOutput | null;
		onpin: (id: string) => void;
	} = $props();

	const say = useWords();
	const nameOf = (id: string) => context.playerById.get(id)?.name ?? id;
	const strength = (ids: readonly string[], digits: number) =>
		meanRating(ids.flatMap((id) => context.playerById.get(id) ?? []))?.toFixed(digits) ?? '';
	const skill = (id: string) => context.team.skillAreas.find((each) => each.id === id)?.name ?? id;
	const spreads = $derived(
		Object.entries(output?.spread ?? {}).map(([id, value]) => `${skill(id)} ${value.toFixed(2)}`)
	);
</script>

<div class="groups">
	{#each groups as group, index (group.id)}
		<section aria-label={say(texts.group, { letter: bibLook(group.bib).letter })}>
			<h3>
				<Bib bib={group.bib} size={22} />
				{say(texts.players, { indexCount: players[index]?.length ?? 0 })}
				<span>{strength(players[index] ?? [], 2)}</span>
			</h3>
			<ul>
				{#each players[index] ?? [] as id (id)}
					<li>
						<button
							aria-pressed={pinned.includes(id)}
							title={pinned.includes(id) ? say(texts.staysInThisGroup) : say(texts.keepInThisGroup)}
							onclick={() => onpin(id)}
						>
							<span class="pin" aria-hidden="true">{pinned.includes(id) ? '●' : ''}</span>
							{nameOf(id)}
							<span class="rating">{strength([id], 1)}</span>
						</button>
					</li>
				{/each}
			</ul>
		</section>
	{/each}
</div>
<p class="facts">
	{#if output}
		{#if spreads.length > 0}{say(texts.largestLessSmallestGroupMean, {
				spreads: spreads.join(', ')
			})}{/if}
		{say(texts.playersOfGroupHaveBeenTogether, { repeats: output.repeats })}
	{:else}
		{say(texts.asTheyAreNowPressPlayer)}
	{/if}
</p>

<style>
	.groups {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
		gap: 14px 16px;
	}
	h3 {
		display: flex;
		align-items: center;
		gap: 7px;
		font-size: 13px;
		font-weight: 700;
		border-bottom: 1px solid var(--ink);
		padding-bottom: 4px;
	}
	h3 span {
		margin-left: auto;
		font-weight: 500;
	}
	button {
		display: grid;
		grid-template-columns: 12px 1fr auto;
		gap: 3px;
		width: 100%;
		min-height: 26px;
		align-items: center;
		padding: 1px 0;
		border: 0;
		border-bottom: 1px solid var(--rule);
		background: transparent;
		color: var(--ink);
		font: inherit;
		font-size: 13px;
		text-align: left;
		cursor: pointer;
	}
	button:hover,
	button[aria-pressed='true'] {
		background: var(--chalk-deep);
	}
	.pin {
		color: var(--action);
	}
	.rating {
		color: var(--ink-soft);
	}
	.facts {
		font-size: 13px;
		line-height: 1.4;
		padding-top: 12px;
	}
</style>
