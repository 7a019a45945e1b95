<script lang="ts">
	import type { Player } from '$core/model/team';
	import type { Standing } from '$core/playing';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/field';
	import { called } from '$words';

	const say = useWords();

	/** A player on the ground: the bib with the number; hatched behind while waiting. */
	let {
		standing,
		player,
		scale
	}: { standing: Standing; player: Player | undefined; scale: number } = $props();

	const SIZE = 3.1;
	const label = $derived(
		player?.number === undefined ? (player?.name[0] ?? '?') : String(player.number)
	);
	const isBusy = $derived(standing.state === 'active' || standing.state === 'help');
</script>

<g class="token" style:transform="translate({standing.x}px, {standing.y}px) scale({scale})">
	<title
		>{say(standing.spot ? texts.doingAt : texts.doing, {
			person: player?.name ?? standing.person,
			state: called(standing.state, say),
			spot: standing.spot
		})}</title
	>
	{#if standing.state === 'wait'}
		<circle r={SIZE * 0.6} fill="url(#waiting)" stroke="#c8861a" stroke-width="0.15" />
	{/if}
	<use
		href={standing.group ? `#bib-${standing.group.bib}` : '#bib-none'}
		x={-SIZE / 2}
		y={-SIZE / 2}
		width={SIZE}
		height={SIZE}
		opacity={isBusy || standing.state === 'move' ? 1 : 0.75}
	/>
	<rect x={-0.72} y={-0.52} width="1.44" height="1.4" fill="#fff" />
	<text y="0.62" text-anchor="middle">{label}</text>
</g>

<style>
	.token {
		transition: transform 240ms linear;
	}
	text {
		font-size: 1.35px;
		font-weight: 800;
		font-stretch: 80%;
		fill: var(--ink);
	}
	@media (prefers-reduced-motion: reduce) {
		.token {
			transition: none;
		}
	}
</style>
