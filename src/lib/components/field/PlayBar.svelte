<script lang="ts">
	import { Button } from 'carbon-components-svelte';
	import type { BoardView } from '$lib/state/boardView.svelte';
	import { clockAt } from '$core/conditions';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/field';

	const say = useWords();

	/** Runs the practice past the now-line, or moves the line by hand. */
	let { view, seconds, start }: { view: BoardView; seconds: number; start: string } = $props();

	const SPEEDS = [30, 60, 120];

	$effect(() => {
		if (!view.isPlaying) return;
		let last = performance.now();
		let frame = requestAnimationFrame(function tick(time) {
			const next = view.now + ((time - last) / 1000) * view.speed;
			last = time;
			if (next >= seconds) view.isPlaying = false;
			view.moveTo(next, seconds);
			frame = requestAnimationFrame(tick);
		});
		return () => cancelAnimationFrame(frame);
	});
</script>

<div class="bar">
	<Button size="small" kind="tertiary" on:click={() => (view.isPlaying = !view.isPlaying)}>
		{view.isPlaying ? say(texts.stop) : say(texts.play)}
	</Button>
	<input
		type="range"
		aria-label={say(texts.nowLine)}
		aria-valuetext={say(texts.minutes, {
			count: Math.floor(view.now / 60),
			clock: clockAt(start, view.now)
		})}
		min="0"
		max={Math.max(1, seconds - 1)}
		step="10"
		bind:value={view.now}
	/>
	<button
		class="link"
		aria-label={say(texts.speedTimes, { speed: view.speed })}
		onclick={() => (view.speed = SPEEDS[(SPEEDS.indexOf(view.speed) + 1) % SPEEDS.length])}
	>
		{view.speed}×
	</button>
</div>

<style>
	.bar {
		display: flex;
		align-items: center;
		gap: 12px;
		padding: 6px 0;
	}
	.bar :global(.bx--btn) {
		padding: 0 14px;
		min-width: 60px;
	}
	input {
		flex: 1;
		min-width: 0;
		accent-color: var(--now);
		height: 24px;
	}
	.link {
		min-width: 40px;
		text-align: right;
	}
</style>
