<script lang="ts">
	import { bibMetres, type Evaluation, laidCopies, standingsAt } from '$core/playing';
	import { columnsOf } from '../tape/layout';
	import Marking from './Marking.svelte';
	import Spots from './Spots.svelte';
	import Token from './Token.svelte';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/field';

	/** The ground to scale at the now-line: zones, drills with their spots, and who stands where. */
	let {
		evaluation,
		now,
		label
	}: {
		evaluation: Evaluation;
		now: number;
		/** What is drawn; the ground with its players where it is not said. */
		label?: string;
	} = $props();

	const say = useWords();
	const ground = $derived(evaluation.context.ground);
	const zones = $derived(columnsOf(evaluation.context).map(({ zone }) => zone));
	const copies = $derived(laidCopies(evaluation, now));
	const standings = $derived(standingsAt(evaluation, now));
	/** How much larger than on the half pitch everything must be to be read. */
	const scale = $derived(bibMetres(ground) / 3.1);
	const usedZones = $derived(new Set(copies.map(({ zone }) => zone.id)));
</script>

<svg
	class="field"
	style:--unit={scale}
	viewBox="{-1.5 * scale} {-2.5 * scale} {ground.length + 3 * scale} {ground.width + 5.5 * scale}"
	role="img"
	aria-label={label ?? say(texts.theGroundWithPlayers, { standingCount: standings.length })}
>
	<defs>
		<pattern
			id="waiting"
			width="1.2"
			height="1.2"
			patternUnits="userSpaceOnUse"
			patternTransform="rotate(45)"
		>
			<rect width="1.2" height="1.2" fill="#fff" />
			<rect width="0.5" height="1.2" fill="#c8861a" />
		</pattern>
	</defs>
	<rect
		x={-1.5 * scale}
		y={-2.5 * scale}
		width={ground.length + 3 * scale}
		height={ground.width + 5.5 * scale}
		fill="var(--turf)"
	/>
	{#each ground.markings as marking, index (index)}<Marking {marking} />{/each}
	{#each zones as zone (zone.id)}
		<rect
			class="zone"
			class:used={usedZones.has(zone.id)}
			x={zone.x + 0.3}
			y={zone.y + 0.3}
			width={zone.length - 0.6}
			height={zone.width - 0.6}
		/>
	{/each}
	{#each copies as copy (copy.played.run.copy.id)}
		<rect
			class="footprint"
			x={copy.corner.x}
			y={copy.corner.y}
			width={copy.size.length}
			height={copy.size.width}
		/>
		<Spots {copy} {scale} />
	{/each}
	{#each zones as zone (zone.id)}
		<text
			class="name"
			x={zone.x + 0.9 * scale}
			y={zone.y + 3.3 * scale}
			style:font-size="{3 * scale}px">{zone.name}</text
		>
	{/each}
	{#each standings as standing (standing.person)}
		<Token {standing} {scale} player={evaluation.context.playerById.get(standing.person)} />
	{/each}
</svg>

<style>
	.field {
		display: block;
		width: 100%;
		border: 1px solid var(--ink);
		background: var(--turf);
	}
	.zone {
		fill: none;
		stroke: var(--action);
		stroke-width: calc(0.25px * var(--unit));
		stroke-dasharray: calc(0.8px * var(--unit)) calc(0.6px * var(--unit));
	}
	.zone.used {
		stroke-dasharray: none;
		stroke-width: calc(0.35px * var(--unit));
	}
	.name {
		font-size: 3px;
		font-weight: 800;
		fill: var(--action);
	}
	.footprint {
		fill: rgb(255 255 255 / 45%);
		stroke: var(--ink-soft);
		stroke-width: calc(0.18px * var(--unit));
		stroke-dasharray: calc(0.5px * var(--unit)) calc(0.5px * var(--unit));
	}
</style>
