<script lang="ts">
	import type { Evaluation } from '$core/playing';
	import CarryTable from './CarryTable.svelte';
	import type { Kind } from './handOut';
	import StartsSheet from './StartsSheet.svelte';
	import StationCards from './StationCards.svelte';
	import WayCards from './WayCards.svelte';

	/** Cards to hand out, several on a sheet of paper, good in black and white. */
	let {
		evaluation,
		kind,
		isLetter,
		numbersOnly
	}: {
		evaluation: Evaluation;
		kind: Exclude<Kind, 'plan'>;
		isLetter: boolean;
		numbersOnly: boolean;
	} = $props();
</script>

<article
	class:letter={isLetter}
	class:one={kind === 'carry' || kind === 'adults' || kind === 'starts'}
	data-kind={kind}
>
	{#if kind === 'stations'}
		<StationCards {evaluation} {numbersOnly} />
	{:else if kind === 'starts'}
		<StartsSheet {evaluation} />
	{:else if kind === 'carry'}
		<CarryTable {evaluation} />
	{:else}
		<WayCards {evaluation} {numbersOnly} of={kind} />
	{/if}
</article>

<style>
	article {
		columns: 2;
		column-gap: 6mm;
		width: 186mm;
		margin: 0 auto;
		background: #fff;
		color: #000;
		font-size: 9pt;
		line-height: 1.28;
	}
	article.letter {
		width: 192mm;
		page: letter;
	}
	article.one {
		columns: 1;
	}
	article :global(.card) {
		break-inside: avoid;
		margin-bottom: 5mm;
		padding: 2.5mm;
		border: 1px solid #000;
	}
	article :global(.card h2) {
		display: flex;
		flex-wrap: wrap;
		gap: 6px;
		align-items: center;
		font-size: 1.2em;
		font-weight: 750;
	}
	article :global(.card p) {
		padding: 0;
		font-size: 1em;
		line-height: inherit;
	}
	article :global(table) {
		width: 100%;
		margin-top: 1.5mm;
		border-collapse: collapse;
	}
	article :global(:is(th, td)) {
		padding: 0.7mm 1.5mm 0.7mm 0;
		border-top: 1px solid #999;
		text-align: left;
		vertical-align: top;
		font-weight: 450;
	}
	article :global(thead th) {
		border-top: 0;
		font-size: 0.85em;
	}
	article :global(tbody th) {
		font-weight: 700;
		white-space: nowrap;
	}
	@page letter {
		size: letter;
		margin: 12mm;
	}
	@media print {
		article,
		article.letter {
			width: auto;
			margin: 0;
		}
	}
	@media (max-width: 760px) {
		article,
		article.letter {
			width: 100%;
			columns: 1;
		}
	}
</style>
