<script lang="ts">
	import { timingOf, turnsOn, type Tap, type Timing } from '$core/drill';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/drafting';

	/** Times real tries by taps at each start and end, and hands over what they took. */
	let { onuse }: { onuse: (timing: Timing) => void } = $props();

	const say = useWords();
	let taps: Tap[] = $state.raw([]);
	const timing = $derived(timingOf(taps));
	const on = $derived(turnsOn(taps));

	const tap = (kind: Tap['kind']) => (event: MouseEvent) => {
		taps = [...taps, { kind, atSeconds: event.timeStamp / 1000 }];
	};
	const words = $derived.by(() => {
		const { tries, workSeconds, shortSeconds, longSeconds, headwaySeconds } = timing;
		if (tries === 0) return on > 0 ? say(texts.turnIsOn) : say(texts.tapAsARealTryBegins);
		const apart = headwaySeconds === null ? '' : say(texts.sFromStartToStart, { headwaySeconds });
		const many = say(texts.triesTryTries, { tries });
		return say(texts.sToS, { many, workSeconds, shortSeconds, longSeconds, apart });
	});
</script>

<details>
	<summary>{say(texts.timeRealTriesByTapping)}</summary>
	<div class="taps">
		<button type="button" class="tap" onclick={tap('start')}>{say(texts.turnStarts)}</button>
		<button type="button" class="tap" disabled={on === 0} onclick={tap('end')}
			>{say(texts.turnEnds)}</button
		>
	</div>
	<p role="status">{words}</p>
	<div class="ways">
		<button type="button" class="link" disabled={timing.tries === 0} onclick={() => onuse(timing)}
			>{say(texts.useTheseSeconds)}</button
		>
		<button
			type="button"
			class="link"
			disabled={taps.length === 0}
			onclick={() => (taps = taps.slice(0, -1))}>{say(texts.undoATap)}</button
		>
		<button type="button" class="link" disabled={taps.length === 0} onclick={() => (taps = [])}
			>{say(texts.beginAnew)}</button
		>
	</div>
</details>

<style>
	summary {
		cursor: pointer;
		font-size: 13px;
		font-weight: 600;
		color: var(--action);
		padding: 4px 0;
	}
	.taps {
		display: grid;
		grid-template-columns: 1fr 1fr;
		gap: 10px;
	}
	.tap {
		min-height: 56px;
		border: 2px solid var(--ink);
		background: #fff;
		font: inherit;
		font-size: 15px;
		font-weight: 700;
		color: var(--ink);
		cursor: pointer;
		touch-action: manipulation;
	}
	.tap:disabled {
		border-color: var(--rule);
		color: var(--ink-soft);
		cursor: default;
	}
	p {
		font-size: 14px;
		padding: 6px 0;
	}
	.ways {
		display: flex;
		flex-wrap: wrap;
		gap: 6px 16px;
	}
</style>
