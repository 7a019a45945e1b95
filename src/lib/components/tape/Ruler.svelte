<script lang="ts">
	import { range } from 'd3-array';
	import { clockAt } from '$core/conditions';

	/** The tape measure at the side: a tick a minute, numbers every five; drag it to move the now-line. */
	let {
		seconds,
		scale,
		start,
		width,
		onmove
	}: {
		seconds: number;
		/** Pixels a second. */
		scale: number;
		start: string;
		width: number;
		onmove: (second: number) => void;
	} = $props();

	const minutes = $derived(range(0, Math.floor(seconds / 60) + 1));
	const tick = (minute: number) => (minute % 10 === 0 ? 26 : minute % 5 === 0 ? 18 : 9);

	function follow(event: PointerEvent & { currentTarget: Element }) {
		if (event.type === 'pointerdown') event.currentTarget.setPointerCapture(event.pointerId);
		// Only a press that began here moves the line, not one that is dragged across.
		if (!event.currentTarget.hasPointerCapture(event.pointerId)) return;
		const { top } = event.currentTarget.getBoundingClientRect();
		onmove((event.clientY - top) / scale);
	}
</script>

<svg
	class="ruler"
	{width}
	height={seconds * scale + 10}
	onpointerdown={follow}
	onpointermove={follow}
	aria-hidden="true"
>
	<path
		d={minutes
			.map((minute) => `M${width - tick(minute)} ${minute * 60 * scale + 0.5}H${width}`)
			.join('')}
		stroke="var(--ink)"
		stroke-width="1"
	/>
	<path d="M{width - 0.5} 0V{seconds * scale}" stroke="var(--ink)" stroke-width="1.5" />
	{#each minutes.filter((minute) => minute % 5 === 0) as minute (minute)}
		{@const y = minute * 60 * scale + (minute === 0 ? 12 : 4)}
		{#if minute % 10 === 0}
			<text x="4" {y} class="clock">{clockAt(start, minute * 60)}</text>
		{:else}
			<text x={width - 22} {y} class="minute" text-anchor="end">{minute}′</text>
		{/if}
	{/each}
</svg>

<style>
	.ruler {
		position: absolute;
		left: 0;
		top: 0;
		cursor: ns-resize;
		touch-action: none;
		background: var(--chalk);
	}
	text {
		font-size: 11.5px;
		fill: var(--ink);
		user-select: none;
	}
	.clock {
		font-weight: 700;
		font-size: 12px;
	}
	.minute {
		fill: var(--ink-soft);
		font-size: 10.5px;
	}
</style>
