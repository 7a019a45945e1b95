<script lang="ts">
	import { Button, Checkbox } from 'carbon-components-svelte';
	import { evaluate } from '$core/playing';
	import { toContext } from '$core/practice';
	import BibShapes from '$lib/components/bib/BibShapes.svelte';
	import DrawingsSheet from '$lib/components/paper/DrawingsSheet.svelte';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/paper';
	import HandOut from '$lib/components/paper/HandOut.svelte';
	import type { Kind } from '$lib/components/paper/handOut';
	import PaperChoice from '$lib/components/paper/PaperChoice.svelte';
	import PlanSheet from '$lib/components/paper/PlanSheet.svelte';
	import { dayWords } from '$lib/components/page/dates';
	import type { PageData } from './$types';

	let { data }: { data: PageData } = $props();

	const say = useWords();
	let withDrawings = $state(false);
	let kind: Kind = $state('plan');
	let isLetter = $state(false);
	let numbersOnly = $state(false);
	const evaluation = $derived(evaluate(data.stored.practice, toContext(data.surroundings)));
	const practice = $derived(data.stored.practice);
</script>

<svelte:head
	><title>{say(texts.sheetFieldPlan, { day: dayWords(practice.date) })}</title></svelte:head
>
<BibShapes />
<header>
	<a href="/{practice.teamId}/practices/{practice.id}">{say(texts.backToTheBoard)}</a>
	<PaperChoice bind:kind bind:isLetter bind:numbersOnly />
	{#if kind === 'plan'}
		<Checkbox labelText={say(texts.withDrawingsOfTheDrills)} bind:checked={withDrawings} />
	{/if}
	<Button size="small" on:click={() => window.print()}>{say(texts.printThisSheet)}</Button>
</header>
<main>
	{#if kind === 'plan'}
		<PlanSheet {evaluation} week={data.week} />
		{#if withDrawings}<DrawingsSheet {evaluation} />{/if}
	{:else}
		<HandOut {evaluation} {kind} {numbersOnly} {isLetter} />
	{/if}
</main>

<style>
	header {
		display: flex;
		flex-wrap: wrap;
		gap: 8px 24px;
		align-items: end;
		padding: 10px 16px;
		border-bottom: 1px solid var(--ink);
	}
	header > :global(.bx--form-item) {
		flex: 0 0 auto;
	}
	a {
		color: var(--action);
		font-weight: 600;
	}
	main {
		padding: 16px;
	}
	@media print {
		header {
			display: none;
		}
		main {
			padding: 0;
		}
	}
</style>
