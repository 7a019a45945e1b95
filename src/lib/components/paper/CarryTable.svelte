<script lang="ts">
	import { clockAt } from '$core/conditions';
	import { carryList, type Evaluation, type Load } from '$core/playing';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/handOut';
	import { callerOf } from './handOut';

	/** What to bring at all, then what lies where from when, and who lays it out. */
	let { evaluation }: { evaluation: Evaluation } = $props();

	const say = useWords();
	const list = $derived(carryList(evaluation));
	const call = $derived(callerOf(evaluation, false));
	const { practice, context } = $derived(evaluation);
	const things = (items: Load['items']) =>
		items.map(({ item, count }) => say(texts.lies, { item, count })).join(', ');
	const laidBy = ({ adults, fromSecond, setupSeconds }: Load) =>
		say(texts.layBy, {
			names: adults.length > 0 ? adults.map(call).join(', ') : say(texts.nobody),
			start: clockAt(practice.start, Math.max(0, fromSecond - setupSeconds)),
			ready: clockAt(practice.start, fromSecond)
		});
</script>

<section class="card whole" aria-label={say(texts.carry)}>
	<h2>{say(texts.carry)}</h2>
	<table>
		<thead>
			<tr>
				<th scope="col">{say(texts.item)}</th>
				<th scope="col">{say(texts.most)}</th>
				<th scope="col">{say(texts.racked)}</th>
			</tr>
		</thead>
		<tbody>
			{#each list.most as { item, count, racked } (item)}
				<tr><th scope="row">{item}</th><td>{count}</td><td>{racked ?? '–'}</td></tr>
			{/each}
		</tbody>
	</table>
	<table>
		<thead>
			<tr>
				<th scope="col">{say(texts.clock)}</th>
				<th scope="col">{say(texts.where)}</th>
				<th scope="col">{say(texts.whatLies)}</th>
				<th scope="col">{say(texts.laidBy)}</th>
			</tr>
		</thead>
		<tbody>
			{#each list.loads as load (load.block.id)}
				<tr>
					<th scope="row">{clockAt(practice.start, load.fromSecond)}</th>
					<td>
						<strong>{load.drill.name}</strong>,
						{load.zoneIds.map((id) => context.zoneById.get(id)?.name ?? id).join(', ')}
					</td>
					<td>{things(load.items)}</td>
					<td>{laidBy(load)}</td>
				</tr>
			{/each}
		</tbody>
	</table>
</section>
