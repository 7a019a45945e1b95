<script lang="ts">
	import type { Evaluation } from '$core/playing';
	import Field from '../field/Field.svelte';
	import Legend from '../field/Legend.svelte';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/paper';
	import { drawingsOf } from './drawings';

	/** The drills of a practice as they start, for today's numbers: the board's own drawing, on white. */
	let { evaluation }: { evaluation: Evaluation } = $props();

	const say = useWords();
	const drawings = $derived(drawingsOf(evaluation));
</script>

<article class="drawings" aria-label={say(texts.drawingsOfTheDrills)}>
	<ul>
		{#each drawings as { block, name, when, alone, now, cues } (block.id)}
			<li>
				<h2>{name} <span>{when}</span></h2>
				<Field evaluation={alone} {now} label="{name}, {when}" />
				{#each cues as { spot, say } (spot)}
					<p class="narrow"><strong>{spot}</strong> {say.join(' · ')}</p>
				{/each}
			</li>
		{/each}
	</ul>
	<Legend />
</article>

<style>
	.drawings {
		--turf: #fff;
		background: #fff;
		width: 186mm;
		margin: 16px auto 0;
		break-before: page;
		color: #000;
	}
	ul {
		display: grid;
		grid-template-columns: 1fr 1fr;
		gap: 5mm 6mm;
		padding-bottom: 4mm;
	}
	li {
		break-inside: avoid;
	}
	li :global(svg.field) {
		max-height: 62mm;
	}
	h2 {
		font-size: 10.5pt;
		font-weight: 750;
		padding-bottom: 1mm;
	}
	h2 span {
		font-weight: 400;
	}
	p {
		font-size: 9pt;
		line-height: 1.25;
	}
	@media print {
		.drawings {
			width: auto;
			margin: 0;
		}
	}
	@media (max-width: 760px) {
		.drawings {
			width: 100%;
		}
		ul {
			grid-template-columns: minmax(0, 1fr);
		}
	}
</style>
