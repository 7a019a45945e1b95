<script lang="ts">
	import type { Plan } from '$core/practice';
	import { Select, SelectItem } from 'carbon-components-svelte';
	import type { Drill } from '$core/model/drill';
	import { stationGives, type StationWish } from '$core/building';
	import { copiesInZone } from '$core/sizing';
	import { percent, turnsWords } from '../tape/words';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/stations';

	/** One station: its drill, zone and adult, and what it gives a group in a slot. */
	let {
		wish,
		index,
		plan,
		players,
		minutes,
		lacks,
		onchange
	}: {
		wish: StationWish;
		index: number;
		plan: Plan;
		players: number;
		minutes: number;
		/** What does not work here as it is asked for, in sentences. */
		lacks: readonly string[];
		onchange: (wish: Partial<StationWish>) => void;
	} = $props();

	const say = useWords();
	const gives = $derived(minutes > 0 ? stationGives(wish.drill, { players, minutes }) : null);
	const shelf = $derived(
		plan.context.shelf.filter(({ family }) => family !== 'warm-up' && family !== 'cool-down')
	);
	const runsWith = ({ group }: Drill) => players >= group.min && players <= group.max;
	const value = (event: Event) => (event.target as HTMLSelectElement).value;
	function setDrill(id: string) {
		const drill = shelf.find((each) => each.id === id);
		if (drill) onchange({ drill });
	}
</script>

<li>
	<Select
		id="station-drill-{index}"
		size="sm"
		labelText={say(texts.station, { index: index + 1 })}
		selected={wish.drill.id}
		on:change={(event) => setDrill(value(event))}
	>
		{#each shelf as drill (drill.id)}
			<SelectItem
				value={drill.id}
				text={say(texts.nameMinMaxRunsWithNotWith, {
					name: drill.name,
					min: drill.group.min,
					max: drill.group.max,
					runsWith: !!runsWith(drill),
					playerCount: players
				})}
			/>
		{/each}
	</Select>
	<Select
		id="station-zone-{index}"
		size="sm"
		labelText={say(texts.zone)}
		selected={wish.zoneId}
		on:change={(event) => onchange({ zoneId: value(event) })}
	>
		{#each plan.context.ground.zones as zone (zone.id)}
			<SelectItem
				value={zone.id}
				text={copiesInZone(wish.drill, zone, players) > 0
					? zone.name
					: say(texts.tooSmall, { name: zone.name })}
			/>
		{/each}
	</Select>
	<Select
		id="station-adult-{index}"
		size="sm"
		labelText={say(texts.adult)}
		selected={wish.adults[0] ?? ''}
		on:change={(event) => onchange({ adults: [value(event)].filter(Boolean) })}
	>
		<SelectItem value="" text={say(texts.nobody)} />
		{#each plan.practice.adults as id (id)}
			<SelectItem value={id} text={plan.context.adultById.get(id)?.name ?? id} />
		{/each}
	</Select>
	<p class:off={!gives}>
		{#if gives}{turnsWords(gives.reps, say)}<br />{say(texts.waits, {
				percent: percent(gives.share.wait)
			})}{:else}{say(texts.doesNotRunWith, { playerCount: players })}{/if}
	</p>
	{#if lacks.length > 0}
		<ul>
			{#each lacks as lack, k (k)}<li class="lack">{lack}</li>{/each}
		</ul>
	{/if}
</li>

<style>
	li {
		display: grid;
		grid-template-columns: minmax(0, 1.6fr) minmax(0, 0.9fr) minmax(0, 1.1fr) 92px;
		gap: 8px;
		align-items: end;
		padding: 6px 0;
		border-bottom: 1px solid var(--rule);
	}
	p {
		font-size: 13px;
		line-height: 1.2;
		padding-bottom: 3px;
	}
	ul {
		grid-column: 1 / -1;
	}
	.lack {
		display: block;
		border: 0;
		padding: 2px 0 0;
		font-size: 13px;
		line-height: 1.25;
		color: var(--stop);
	}
	.off {
		color: var(--stop);
	}
	@media (max-width: 672px) {
		li {
			grid-template-columns: 1fr 1fr;
		}
	}
</style>
