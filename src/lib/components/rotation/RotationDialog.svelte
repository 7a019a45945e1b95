<script lang="ts">
	import { Modal, RadioButton, RadioButtonGroup } from 'carbon-components-svelte';
	import { onMount } from 'svelte';
	import type { Period } from '$core/model/practice';
	import { halvedGroups, movingGroups, reround, stationsOf, withGroups } from '$core/building';
	import { isStation } from '$core/playing';
	import { drillOf, type Edit, type Plan } from '$core/practice';
	import { Planning } from '$lib/state/planning.svelte';
	import Bib from '../bib/Bib.svelte';
	import SearchProgress from '../page/SearchProgress.svelte';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/rotation';

	/** Another way through the stations of a period: one round for all, or new partners at each. */
	let {
		plan,
		period,
		onapply,
		onclose
	}: {
		plan: Plan;
		period: Period;
		onapply: (edit: Edit) => void;
		onclose: () => void;
	} = $props();

	const say = useWords();
	const planning = new Planning<'rotate'>(say);
	type Way = 'round' | 'meet';
	let way = $state<Way>('round');

	const lanes = $derived(period.lanes.filter((lane) => isStation(period, lane)));
	/** Who goes round: halves of the groups where two are to meet at a station. */
	const going = (isMeeting: boolean) => (isMeeting ? halvedGroups(period) : movingGroups(period));
	const output = $derived(planning.best);
	/** Those who go round as it is shown, whatever was chosen since. */
	const groups = $derived(going(planning.answers?.input.rules?.meet === true));
	const names = $derived(
		new Map(
			lanes.map(({ id, blocks }) => [id, drillOf(plan.context, blocks[0]?.drill)?.name ?? id])
		)
	);
	const bibs = (ids: readonly string[] | undefined) =>
		(ids ?? []).flatMap((id) => groups.find((group) => group.id === id)?.bib ?? []);

	// What is asked follows the way that is chosen.
	$effect(() => {
		const stations = stationsOf(plan, period).map((station) => ({
			...station,
			holds: way === 'meet' ? 2 : 1
		}));
		const rules = { hardFrom: plan.context.limits.hardEffort, meet: way === 'meet' };
		const input = {
			groups: going(way === 'meet').map(({ id }) => id),
			stations,
			slots: period.slots?.length,
			rules
		};
		void planning.ask({ kind: 'rotate', input, seconds: 1 });
	});
	onMount(() => () => planning.close());

	function apply() {
		if (output) onapply(reround(withGroups(period, groups), output, plan.context.limits));
		onclose();
	}
</script>

<Modal
	open
	modalHeading={say(texts.throughTheStationsOf, { name: period.name })}
	primaryButtonText={say(texts.useThisRotation)}
	primaryButtonDisabled={!output}
	secondaryButtonText={say(texts.cancel)}
	on:click:button--secondary={onclose}
	on:close={onclose}
	on:submit={apply}
>
	<RadioButtonGroup
		legendText={say(texts.how)}
		orientation="vertical"
		selected={way}
		on:change={(event) => (way = event.detail as Way)}
	>
		<RadioButton value="round" labelText={say(texts.oneRoundForAllHardStations)} />
		<RadioButton value="meet" labelText={say(texts.halvesOfTheGroupsMeetA)} />
	</RadioButtonGroup>
	<SearchProgress {planning} does={say(texts.lookingForAWayThrough)} />
	{#if output}
		<table>
			<thead>
				<tr>
					<th scope="col">{say(texts.slot)}</th>
					{#each lanes as { id } (id)}<th scope="col">{names.get(id)}</th>{/each}
				</tr>
			</thead>
			<tbody>
				{#each output.slots as slot, index (index)}
					<tr>
						<th scope="row">{index + 1}</th>
						{#each lanes as { id } (id)}
							<td>
								{#each bibs(slot[id]) as bib, place (place)}<Bib {bib} size={24} />{/each}
							</td>
						{/each}
					</tr>
				{/each}
			</tbody>
		</table>
		<p>
			{say(texts.theLongestWayBetweenTwoStations, {
				metres: Math.round(output.walk.longestLeg),
				count: output.hardAfterHard
			})}
			{#if way === 'meet'}{say(texts.noTwoHalvesMeetTwice)}{/if}
		</p>
	{/if}
</Modal>

<style>
	table {
		border-collapse: collapse;
		width: 100%;
	}
	th,
	td {
		text-align: left;
		padding: 5px 8px;
		border-bottom: 1px solid var(--rule);
		font-size: 13px;
	}
	thead th {
		border-bottom-color: var(--ink);
		font-weight: 700;
	}
	td :global(svg) {
		display: inline-block;
		vertical-align: middle;
		margin-right: 4px;
	}
	tbody th {
		vertical-align: middle;
	}
	p {
		padding-top: 12px;
		line-height: 1.4;
	}
</style>
