<script lang="ts">
	import {
		bibMetres,
		laidCopies,
		standingsAt,
		type Evaluation,
		type LaidCopy
	} from '$core/practice';
	import { columnsOf } from '../tape/layout';
	import Marking from './Marking.svelte';
	import Spots from './Spots.svelte';
	import Token from './Token.svelte';
	import { useWording } from '../page/wording.svelte';

	/** The ground to scale at the now-line: zones, drills with their spots, and who stands where. */
	let { evaluation, now }: { evaluation: Evaluation; now: number } = $props();

	const w = useWording();
	const ground = $derived(evaluation.context.ground);
	const zones = $derived(columnsOf(evaluation.context).map(({ zone }) => zone));
	const copies = $derived(laidCopies(evaluation, now));
	const standings = $derived(standingsAt(evaluation, now));
	/** How much larger than on the half pitch everything must be to be read. */
	const scale = $derived(bibMetres(ground) / 3.1);
	const usedZones = $derived(new Set(copies.map(({ zone }) => zone.id)));
	const moves = (copy: LaidCopy) => copy.played.run.drill?.rotation.moves ?? {};
</script>

<svg
	class="field"
	viewBox="-1.5 -2.5 {ground.length + 3} {ground.width + 5.5}"
	role="img"
	aria-label="{w('The ground with')} {standings.length} {w('players')}"
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
		x="-1.5"
		y="-2.5"
		width={ground.length + 3}
		height={ground.width + 5.5}
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
		<Spots spots={copy.spots} drill={copy.played.run.drill} moves={moves(copy)} />
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
	}
	.zone {
		fill: none;
		stroke: var(--action);
		stroke-width: 0.25;
		stroke-dasharray: 0.8 0.6;
	}
	.zone.used {
		stroke-dasharray: none;
		stroke-width: 0.35;
	}
	.name {
		font-size: 3px;
		font-weight: 800;
		fill: var(--action);
	}
	.footprint {
		fill: rgb(255 255 255 / 45%);
		stroke: var(--ink-soft);
		stroke-width: 0.18;
		stroke-dasharray: 0.5 0.5;
	}
</style>
