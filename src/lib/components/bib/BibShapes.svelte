<script lang="ts">
	import BibCloth from './BibCloth.svelte';
	import { BIBS, TABARD } from './bibs';

	/** The bibs of a drawing, defined once and used by `#bib-N`. Put it into a page once. */
</script>

<svg width="0" height="0" aria-hidden="true" class="shapes">
	<defs>
		<clipPath id="tabard"><path d={TABARD} /></clipPath>
		{#each BIBS as look, bib (look.letter)}
			<symbol id="bib-{bib}" viewBox="0 0 24 24">
				<g clip-path="url(#tabard)"><BibCloth {look} /></g>
				<path d={TABARD} fill="none" stroke="#1d2528" stroke-width="1.6" />
			</symbol>
		{/each}
		<symbol id="bib-none" viewBox="0 0 24 24">
			<path d={TABARD} fill="#ffffff" stroke="#1d2528" stroke-width="1.6" />
		</symbol>
	</defs>
</svg>

<style>
	.shapes {
		position: absolute;
	}
</style>
