<script lang="ts">
	import { Button } from 'carbon-components-svelte';
	import { callsOf } from '$core/drill';
	import type { Block } from '$core/model/practice';
	import type { Drill } from '$core/model/drill';
	import { drillAlone, evaluate } from '$core/playing';
	import BibShapes from '../bib/BibShapes.svelte';
	import Field from '../field/Field.svelte';
	import Legend from '../field/Legend.svelte';
	import { saveDrawing } from './saveDrawing';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/drill';

	/** A drill on its own ground, run by the same simulation that plans with it. */
	let {
		drill,
		players,
		climb,
		adults
	}: { drill: Drill; players: number; climb: Block['climb']; adults: number } = $props();

	const say = useWords();
	const SPEEDS = [1, 2, 5, 10, 20];
	const MINUTES = 12;

	let speed = $state(2);
	let isPlaying = $state(false);
	/** Which of many orders prompts are called in. */
	let order = $state(1);
	let drawn: HTMLElement | undefined = $state();

	const evaluation = $derived.by(() => {
		const alone = drillAlone(drill, { players, climb, minutes: MINUTES, adults });
		return evaluate(alone.practice, alone.context);
	});
	const [played] = $derived(evaluation.runs);
	const seconds = $derived(evaluation.seconds);
	// A drill that changes begins anew, where it has been explained.
	let now = $derived(Math.min(played.playsFrom, evaluation.seconds - 1));
	/** The turn that started last, by its place among all; -1 while it is still explained. */
	const turn = $derived(played.turns.findLastIndex(({ second }) => second <= now + 0.01));
	const side = $derived(played.turns[turn]?.side ?? null);
	/** What is called in the turn that is on. */
	const called = $derived(callsOf(drill.prompts ?? [], turn + 1, (order * 0.618) % 1)[turn]);

	$effect(() => {
		if (!isPlaying) return;
		let last = performance.now();
		let frame = requestAnimationFrame(function tick(time) {
			now = Math.min(seconds - 1, now + ((time - last) / 1000) * speed);
			last = time;
			if (now >= seconds - 1) isPlaying = false;
			else frame = requestAnimationFrame(tick);
		});
		return () => cancelAnimationFrame(frame);
	});

	const clock = (second: number) =>
		`${Math.floor(second / 60)}:${String(Math.floor(second % 60)).padStart(2, '0')}`;
	function save() {
		const drawing = drawn?.querySelector<SVGSVGElement>('svg.field');
		if (drawing) saveDrawing(drawing, drill.id);
	}
	function step(by: 1 | -1) {
		isPlaying = false;
		const starts = played.turns.map(({ second }) => second);
		const next =
			by > 0
				? starts.find((start) => start > now + 0.01)
				: starts.findLast((start) => start < now - 0.01);
		now = next ?? now;
	}
</script>

<BibShapes />
<div class="run" bind:this={drawn}>
	{#if played.fault}
		<p class="fault">{say(texts.itDoesNotRun, { message: played.fault.message })}</p>
	{/if}
	<Field
		{evaluation}
		{now}
		label={say(texts.players, { name: drill.name, playerCount: players, clock: clock(now) })}
	/>
	{#if drill.sides}
		<p class="called">{say(texts.sideNow)} <strong>{side ?? '…'}</strong></p>
	{/if}
	{#if drill.prompts && drill.prompts.length > 0}
		<p class="called">
			{say(texts.called)} <strong>{called ?? '…'}</strong>
			<button type="button" class="link" onclick={() => (order += 1)}
				>{say(texts.callInAnotherOrder)}</button
			>
		</p>
	{/if}
	<div class="bar">
		<Button size="small" kind="tertiary" on:click={() => (isPlaying = !isPlaying)}
			>{isPlaying ? say(texts.stop) : say(texts.play)}</Button
		>
		<button type="button" class="link" aria-label={say(texts.backTurn)} onclick={() => step(-1)}
			>− 1</button
		>
		<button type="button" class="link" aria-label={say(texts.onTurn)} onclick={() => step(1)}
			>+ 1</button
		>
		<input
			type="range"
			aria-label={say(texts.secondOfTheRun)}
			aria-valuetext={clock(now)}
			min="0"
			max={seconds - 1}
			step="1"
			bind:value={now}
		/>
		<span class="clock">{clock(now)}</span>
		<button
			type="button"
			class="link"
			aria-label={say(texts.speedTimes, { speed })}
			onclick={() => (speed = SPEEDS[(SPEEDS.indexOf(speed) + 1) % SPEEDS.length])}>{speed}×</button
		>
	</div>
	<Legend />
	<button type="button" class="link save" onclick={save}>{say(texts.saveTheDrawingAsSVG)}</button>
</div>

<style>
	.run {
		display: grid;
		grid-template-columns: minmax(0, 1fr);
		gap: 8px;
	}
	.run :global(svg.field) {
		max-height: 54vh;
	}
	.fault {
		color: var(--stop);
		font-weight: 650;
	}
	.called {
		font-size: 15px;
	}
	.called .link {
		font-size: 13px;
		margin-left: 14px;
	}
	.bar {
		display: flex;
		align-items: center;
		gap: 14px;
	}
	.bar :global(.bx--btn) {
		padding: 0 14px;
		min-width: 60px;
	}
	input {
		flex: 1;
		min-width: 0;
		accent-color: var(--now);
		height: 26px;
	}
	.clock {
		font-size: 16px;
		font-weight: 700;
		min-width: 44px;
		text-align: right;
	}
	.save {
		justify-self: start;
	}
	.bar .link {
		min-width: 34px;
		text-align: center;
	}
</style>
