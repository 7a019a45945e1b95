<script lang="ts">
	import { max } from 'd3-array';
	import { path } from 'd3-path';
	import { scaleSqrt } from 'd3-scale';
	import { arrowStep } from '../drag/arrows';
	import type { Together } from '$core/season';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/together';

	const say = useWords();

	/** Who was with whom: a square a pair, filled by their minutes; rows and columns in the same order. */
	let {
		together,
		nameOf
	}: { together: Together; nameOf: (id: string) => { name: string; short: string } } = $props();

	const CELL = 22;
	const NAMES = 170;
	const HEAD = 34;
	let marked: [number, number] | null = $state.raw(null);

	const { ids, minutes, times } = $derived(together);
	const size = $derived(ids.length * CELL);
	const most = $derived(max(minutes.flat()) || 1);
	/** Side of a square, so that its area goes with the minutes. */
	const side = $derived(scaleSqrt([0, most], [0, CELL - 3]));
	/** All squares of a kind as one path: a large squad has thousands. */
	const squares = $derived.by(() => {
		const [self, cell, never, met] = [path(), path(), path(), path()];
		for (const row of ids.keys())
			for (const column of ids.keys()) {
				const [x, y] = [NAMES + column * CELL, HEAD + row * CELL];
				(row === column ? self : cell).rect(x, y, CELL - 1, CELL - 1);
				if (row === column) continue;
				const length = Math.round(side(minutes[row][column]) * 10) / 10;
				const inset = (CELL - 1 - length) / 2;
				if (times[row][column] > 0) met.rect(x + inset, y + inset, length, length);
				else {
					const middle = CELL / 2 - 0.5;
					never.moveTo(x + middle + 3, y + middle);
					never.arc(x + middle, y + middle, 3, 0, 2 * Math.PI);
				}
			}
		return { self: `${self}`, cell: `${cell}`, never: `${never}`, met: `${met}` };
	});
	const words = $derived.by(() => {
		if (!marked) return say(texts.pointAtASquareOrGo);
		const [row, column] = marked;
		const [a, b] = [nameOf(ids[row]).name, nameOf(ids[column]).name];
		if (row === column) return a;
		const count = times[row][column];
		return say(texts.and, {
			a,
			b,
			count,
			minutes: minutes[row][column]
		});
	});

	function step(event: KeyboardEvent) {
		const by = arrowStep(event);
		if (!by) return;
		event.preventDefault();
		const last = ids.length - 1;
		const within = (value: number) => Math.min(last, Math.max(0, value));
		const [row, column] = marked ?? [0, 0];
		marked = [within(row + by.y), within(column + by.x)];
	}
	function point(event: PointerEvent & { currentTarget: SVGSVGElement }) {
		const box = event.currentTarget.getBoundingClientRect();
		const scale = (NAMES + size) / box.width;
		const column = Math.floor(((event.clientX - box.left) * scale - NAMES) / CELL);
		const row = Math.floor(((event.clientY - box.top) * scale - HEAD) / CELL);
		const isIn = row >= 0 && column >= 0 && row < ids.length && column < ids.length;
		marked = isIn ? [row, column] : null;
	}
</script>

<p role="status">{words}</p>
<div class="scroll">
	<!-- svelte-ignore a11y_no_noninteractive_element_interactions, a11y_no_noninteractive_tabindex -->
	<svg
		viewBox="0 0 {NAMES + size} {HEAD + size}"
		width={NAMES + size}
		role="img"
		aria-label={say(texts.whoHasWorkedWithWhomThe)}
		tabindex="0"
		onpointermove={point}
		onpointerleave={() => (marked = null)}
		onkeydown={step}
	>
		<path class="self" d={squares.self} />
		<path class="cell" d={squares.cell} />
		<path class="never" d={squares.never} />
		<path class="met" d={squares.met} />
		{#each ids as id, row (id)}
			<text
				class="name"
				class:on={marked?.[0] === row || marked?.[1] === row}
				x={NAMES - 8}
				y={HEAD + row * CELL + 15}>{nameOf(id).name}</text
			>
			<text
				class="short"
				class:on={marked?.[1] === row}
				x={NAMES + row * CELL + CELL / 2}
				y={HEAD - 8}>{nameOf(id).short}</text
			>
		{/each}
		{#if marked}
			<rect
				class="mark"
				x={NAMES + marked[1] * CELL - 1}
				y={HEAD + marked[0] * CELL - 1}
				width={CELL + 1}
				height={CELL + 1}
			/>
		{/if}
	</svg>
</div>

<style>
	p {
		font-size: 15px;
		font-weight: 650;
		padding-bottom: 6px;
		min-height: 28px;
	}
	.scroll {
		position: relative;
		overflow-x: auto;
	}
	svg {
		display: block;
		touch-action: pan-x pan-y;
	}
	.name,
	.short {
		font-size: 12.5px;
		fill: var(--ink);
	}
	.name {
		text-anchor: end;
	}
	.short {
		text-anchor: middle;
		font-size: 11.5px;
	}
	.on {
		font-weight: 800;
	}
	.cell {
		fill: #fff;
	}
	.self {
		fill: var(--rule);
	}
	.met {
		fill: var(--action);
	}
	.never {
		fill: none;
		stroke: var(--wait-ink);
		stroke-width: 1.5;
	}
	.mark {
		fill: none;
		stroke: var(--ink);
		stroke-width: 2;
	}
</style>
