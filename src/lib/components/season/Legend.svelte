<script lang="ts">
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/season';
	import Choice from '../page/Choice.svelte';
	import type { Order } from './view';

	/** What the marks of the cloth mean, how its lines are ordered, and the same as a table. */
	let { order = $bindable(), isTable = $bindable() }: { order: Order; isTable: boolean } = $props();

	const say = useWords();
	const marks = $derived([
		{ kind: 'done', says: say(texts.legendDone) },
		{ kind: 'planned', says: say(texts.legendPlanned) },
		{ kind: 'owed', says: say(texts.legendOwed) },
		{ kind: 'empty', says: say(texts.legendEmpty) }
	]);
	const orders = $derived([
		{ id: 'listed', name: say(texts.asListed) },
		{ id: 'owed', name: say(texts.owedFirst) },
		{ id: 'least', name: say(texts.leastFirst) }
	]);
</script>

<div class="legend">
	<ul>
		{#each marks as { kind, says } (kind)}<li><i class={kind}></i>{says}</li>{/each}
		<li>
			<svg viewBox="0 0 14 14" aria-hidden="true"><path d="M7 1 L13 7 L7 13 L1 7 Z" /></svg>
			{say(texts.legendGame)}
		</li>
	</ul>
	<p>{say(texts.minutesAPlayer)}</p>
	<div class="ways">
		<Choice
			id="order"
			label={say(texts.order)}
			of={orders}
			chosen={order}
			onchoose={(id) => (order = id as Order)}
		/>
		<button type="button" class="link" onclick={() => (isTable = !isTable)}
			>{say(isTable ? texts.asACloth : texts.asATable)}</button
		>
	</div>
</div>

<style>
	.legend {
		display: flex;
		flex-wrap: wrap;
		gap: 8px 22px;
		align-items: center;
		padding-top: 10px;
		font-size: 12.5px;
	}
	ul {
		display: flex;
		flex-wrap: wrap;
		gap: 4px 16px;
	}
	li {
		display: flex;
		gap: 6px;
		align-items: center;
	}
	i {
		width: 14px;
		height: 12px;
	}
	.done {
		background: var(--action);
	}
	.planned {
		border: 1.5px solid var(--action);
	}
	.owed {
		background: repeating-linear-gradient(135deg, var(--wait) 0 1.5px, transparent 1.5px 6px);
		border: 1px solid var(--wait);
	}
	.empty {
		width: 10px;
		height: 14px;
		border: 1.5px dashed var(--action);
	}
	svg {
		width: 13px;
	}
	path {
		fill: none;
		stroke: var(--ink);
		stroke-width: 1.5;
	}
	p {
		color: var(--ink-soft);
	}
	.ways {
		display: flex;
		gap: 18px;
		align-items: end;
		margin-left: auto;
	}
</style>
