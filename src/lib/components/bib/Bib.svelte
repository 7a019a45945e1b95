<script lang="ts">
	import { bibLook } from './bibs';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/bib';

	const say = useWords();

	/** A group's bib with its letter, or with a number in its place. */
	let { bib, size = 20, label }: { bib: number; size?: number; label?: string } = $props();
	const look = $derived(bibLook(bib));
	const text = $derived(label ?? look.letter);
</script>

<svg
	width={size}
	height={size}
	viewBox="0 0 24 24"
	role="img"
	aria-label={say(texts.bib, { letter: look.letter })}
>
	<use href="#bib-{bib % 8}" />
	<rect
		x={text.length > 1 ? 5 : 6.5}
		y="8"
		width={text.length > 1 ? 14 : 11}
		height="11"
		fill="#fff"
	/>
	{#each { length: look.dots }, dot (dot)}
		<circle cx={12 + (dot - (look.dots - 1) / 2) * 4.5} cy="21" r="1.7" class="dot" />
	{/each}
	<text x="12" y="17" text-anchor="middle">{text}</text>
</svg>

<style>
	svg {
		flex: none;
		display: block;
	}
	.dot {
		fill: #1d2528;
		stroke: #fff;
		stroke-width: 0.8;
	}
	text {
		font-size: 10.5px;
		font-weight: 800;
		fill: #1d2528;
	}
</style>
