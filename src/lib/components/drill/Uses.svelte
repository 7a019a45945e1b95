<script lang="ts">
	import type { Drill } from '$core/model/drill';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/drill';
	import { dayWords } from '../page/dates';

	/** Where a drill was used, and the revisions that there are of it. */
	let {
		team,
		drill,
		uses,
		revisions
	}: {
		team: string;
		drill: Drill;
		uses: readonly {
			practice: string;
			date: string;
			isDone: boolean;
			players: number;
			turns: number;
			minutes: number;
			rungs: readonly string[];
		}[];
		revisions: readonly { revision: number; day: string }[];
	} = $props();

	const say = useWords();
	const nameOf = (id: string) => drill.rungs.find((rung) => rung.id === id)?.name ?? id;
	const usedWords = (use: (typeof uses)[number]) =>
		[
			use.isDone ? '' : say(texts.planned),
			say(texts.playerCount, { playerCount: use.players }),
			say(texts.turnsOfPlayer, { count: Math.round(use.turns) }),
			...use.rungs.map(nameOf)
		]
			.filter(Boolean)
			.join(', ');
</script>

<div>
	<section>
		<h2>{say(texts.whereItWasUsed)}</h2>
		<ul>
			{#each uses as use (use.practice)}
				<li>
					<a href="/{team}/practices/{encodeURIComponent(use.practice)}">{dayWords(use.date)}</a>
					<span>{usedWords(use)}</span>
				</li>
			{:else}
				<li>{say(texts.notYet)}</li>
			{/each}
		</ul>
	</section>
	{#if revisions.length > 1}
		<section>
			<h2>{say(texts.revisions)}</h2>
			<ul>
				{#each revisions as { revision, day } (revision)}
					<li>
						<a
							href="?revision={revision}"
							aria-current={revision === drill.revision ? 'true' : undefined}>{revision}</a
						>
						<span>{dayWords(day)}</span>
					</li>
				{/each}
			</ul>
		</section>
	{/if}
</div>

<style>
	section {
		padding-bottom: 16px;
	}
	h2 {
		font-size: 14px;
		font-weight: 700;
		border-bottom: 1px solid var(--rule);
		padding-bottom: 3px;
	}
	li {
		display: flex;
		gap: 12px;
		justify-content: space-between;
		font-size: 13px;
		line-height: 1.7;
	}
	a {
		font-weight: 600;
		color: var(--action);
	}
	[aria-current] {
		color: var(--ink);
	}
</style>
