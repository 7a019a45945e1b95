<script lang="ts">
	import type { Drill } from '$core/model/drill';
	import type { Sizing } from '$core/building';
	import type { SizeOption } from '$core/sizing';
	import { turnsWords } from '../tape/words';
	import { blockWordsOf } from './blocks';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/inspector';

	/** Ways to run a drill in copies: what each gives each player, and what stands in the way. */
	let {
		drill,
		sizing,
		copies,
		onpick
	}: {
		drill: Drill;
		sizing: Sizing;
		/** Copies that run now. */
		copies: number;
		onpick: (option: SizeOption) => void;
	} = $props();

	const say = useWords();
	const { options, best } = $derived(sizing.output);
	const percent = (share: number) => `${Math.round(share * 100)}%`;
	const reasons = (option: SizeOption) =>
		option.blockedBy
			.map((block) => blockWordsOf(block, option, { drill, room: sizing.room, say }))
			.join('; ');
</script>

<ul>
	{#each options as option, index (index)}
		{@const isFree = option.blockedBy.length === 0}
		<li class:best={index === best} class:now={option.copies === copies}>
			<button
				aria-pressed={option.copies === copies}
				onclick={() => onpick(option)}
				title={isFree ? '' : say(texts.blocked, { reasons: reasons(option) })}
			>
				<strong>{option.copies} × {[...new Set(option.sizes)].join('/')}</strong>
				<span>
					{say(texts.waits, {
						reps: turnsWords(option.reps, say),
						percent: percent(option.share.wait)
					})}
					{#if option.adultsAt > 0}{say(texts.adultFeeds)}{/if}
				</span>
				{#if index === best}<em>{say(texts.bestFree)}</em>{/if}
				{#if !isFree}<span class="blocked narrow">{reasons(option)}</span>{/if}
			</button>
		</li>
	{/each}
</ul>

<style>
	ul {
		border-top: 1px solid var(--rule);
	}
	li {
		border-bottom: 1px solid var(--rule);
	}
	button {
		width: 100%;
		border: 0;
		border-left: 4px solid transparent;
		background: none;
		padding: 4px 4px 4px 6px;
		font: inherit;
		font-size: 13px;
		color: inherit;
		text-align: left;
		cursor: pointer;
		line-height: 1.25;
	}
	button:hover {
		background: var(--chalk-deep);
	}
	.now button {
		border-left-color: var(--action);
		background: #fff;
	}
	em {
		font-style: normal;
		font-weight: 600;
		color: var(--action);
	}
	.blocked {
		display: block;
		color: var(--stop);
		font-size: 12.5px;
	}
</style>
