<script lang="ts">
	import { group } from 'd3-array';
	import type { Lack } from '$core/season';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/season';
	import { wholeName, type Called } from './names';
	import SideSection from './SideSection.svelte';

	/** Players who have not had what the others had, each with what they lack. */
	let {
		team,
		lacks,
		squad,
		called,
		most = 6
	}: {
		team: string;
		lacks: readonly Lack[];
		squad: readonly { id: string; name: string }[];
		called: Called;
		most?: number;
	} = $props();

	const say = useWords();
	let isAll = $state(false);
	const byPlayer = $derived([...group(lacks, ({ player }) => player)]);
	const shown = $derived(isAll ? byPlayer : byPlayer.slice(0, most));
	const nameOf = (id: string) => squad.find((each) => each.id === id)?.name ?? id;
</script>

<SideSection id="lacks" title={say(texts.lacks)} aside={byPlayer.length}>
	<ul>
		{#each shown as [player, own] (player)}
			<li>
				<a href="/{team}/season?player={encodeURIComponent(player)}" data-sveltekit-noscroll
					>{nameOf(player)}</a
				>
				<p>
					{own
						.map(({ skill, minutes, mean }) =>
							say(texts.lackSays, {
								minutes: Math.round(minutes),
								mean: Math.round(mean),
								name: wholeName({ skill }, called, say)
							})
						)
						.join(' · ')}
				</p>
			</li>
		{:else}
			<li><p>{say(texts.noLacks)}</p></li>
		{/each}
	</ul>
	{#if byPlayer.length > most}
		<button type="button" class="link" onclick={() => (isAll = !isAll)}
			>{say(isAll ? texts.fewer : texts.allOf, { count: byPlayer.length })}</button
		>
	{/if}
</SideSection>

<style>
	li {
		padding: 5px 0;
		border-bottom: 1px solid var(--rule);
	}
	a {
		font-size: 14px;
		font-weight: 650;
		color: var(--ink);
	}
	p {
		font-size: 12.5px;
		color: var(--ink-soft);
	}
</style>
