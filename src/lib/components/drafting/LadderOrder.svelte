<script lang="ts">
	import { ladderOf, type RungId } from '$core/drill';
	import { dragged, type DragHandlers } from '$lib/components/drag/dragged';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/drafting';
	import type { DrillDraft } from './draft.svelte';

	/** The ladder of a drill from its easiest rung on, the drill itself in its place: chosen by a click, ordered by drag or with Alt and an arrow. */
	let { draft }: { draft: DrillDraft } = $props();

	const say = useWords();
	let row: HTMLElement | undefined = $state();
	/** Where what is dragged would come; null while nothing is. */
	let drop: number | null = $state(null);
	const ladder = $derived(ladderOf(draft.kept));
	const nameOf = (id: RungId) =>
		id === null
			? say(texts.theDrillItself)
			: draft.kept.rungs.find((rung) => rung.id === id)?.name || say(texts.rung);

	/** The place in the ladder of a point of the window: before the first step whose middle is right of it or below it. */
	function placeAt(x: number, y: number): number {
		const steps = [...(row?.querySelectorAll('[data-step]') ?? [])];
		const passed = steps.filter((step) => {
			const { left, width, top, bottom } = step.getBoundingClientRect();
			return bottom < y || (top <= y && left + width / 2 < x);
		});
		return passed.length;
	}
	const dragOf = (id: RungId): DragHandlers => ({
		onmove: ({ clientX, clientY }) => (drop = placeAt(clientX, clientY)),
		ondrop() {
			const from = ladder.indexOf(id);
			if (drop !== null) draft.moveStep(id, drop > from ? drop - 1 : drop);
			drop = null;
		},
		oncancel: () => (drop = null)
	});
	function moveByKey(event: KeyboardEvent, id: RungId) {
		const by = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
		if (by === undefined || !event.altKey) return;
		event.preventDefault();
		draft.moveStep(id, ladder.indexOf(id) + by);
	}
</script>

<div class="segments" role="group" aria-label={say(texts.whatIsWritten)} bind:this={row}>
	{#if ladder.length > 1}<span class="end">{say(texts.easiest)}</span>{/if}
	{#each ladder as id, index (id ?? '')}
		<button
			type="button"
			data-step
			class:before={drop === index}
			class:after={drop === ladder.length && index === ladder.length - 1}
			aria-pressed={(draft.rungId ?? null) === id}
			aria-keyshortcuts="Alt+ArrowLeft Alt+ArrowRight"
			title={ladder.length > 1 ? say(texts.dragToOrder) : undefined}
			onclick={() => (draft.rungId = id ?? undefined)}
			onkeydown={(event) => moveByKey(event, id)}
			{@attach dragged(() => dragOf(id))}>{nameOf(id)}</button
		>
	{/each}
	{#if ladder.length > 1}<span class="end">{say(texts.hardest)}</span>{/if}
	<button
		type="button"
		class="link"
		onclick={() => draft.addRung(say(texts.newRung, { number: draft.kept.rungs.length + 1 }))}
		>{say(texts.addRung)}</button
	>
</div>

<style>
	.end {
		align-self: center;
		padding: 0 8px;
		font-size: 13px;
		color: var(--ink-soft);
	}
	button[data-step] {
		touch-action: none;
	}
	.before {
		box-shadow: -3px 0 0 var(--action);
	}
	.after {
		box-shadow: 3px 0 0 var(--action);
	}
	.link {
		margin-left: 16px;
	}
</style>
