<script lang="ts">
	import { Button } from 'carbon-components-svelte';
	import { evaluate } from '$core/playing';
	import { toContext } from '$core/practice';
	import BibShapes from '$lib/components/bib/BibShapes.svelte';
	import DrawingsSheet from '$lib/components/paper/DrawingsSheet.svelte';
	import { useWording } from '$lib/components/page/wording.svelte';
	import PlanSheet from '$lib/components/paper/PlanSheet.svelte';
	import { dayWords } from '$lib/components/ui/dates';
	import type { PageData } from './$types';

	let { data }: { data: PageData } = $props();

	const w = useWording();
	let withDrawings = $state(false);
	const evaluation = $derived(evaluate(data.stored.practice, toContext(data.surroundings)));
	const practice = $derived(data.stored.practice);
</script>

<svelte:head><title>{dayWords(practice.date)}, sheet · Field Plan</title></svelte:head>
<BibShapes />
<header>
	<a href="/{practice.teamId}/practices/{practice.id}">Back to the board</a>
	<label class="tickable"
		><input type="checkbox" bind:checked={withDrawings} /> {w('with drawings of the drills')}</label
	>
	<Button size="small" on:click={() => window.print()}>Print this sheet</Button>
</header>
<main>
	<PlanSheet {evaluation} week={data.week} />
	{#if withDrawings}<DrawingsSheet {evaluation} />{/if}
</main>

<style>
	header {
		display: flex;
		gap: 24px;
		align-items: center;
		padding: 10px 16px;
		border-bottom: 1px solid var(--ink);
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
