<script lang="ts">
	import { Button, Modal, NumberInput, TextInput } from 'carbon-components-svelte';
	import { onMount, untrack } from 'svelte';
	import { sameValue } from '$core/base';
	import type { Block } from '$core/model/practice';
	import type { LineupInput } from '$core/rotation';
	import { drillOf, type Edit, type Plan } from '$core/practice';
	import { Planning } from '$lib/state/planning.svelte';
	import SearchProgress from '../page/SearchProgress.svelte';
	import LineupTable from './LineupTable.svelte';
	import { fewerPlaces } from '$core/rotation';
	import { positionName, positionTyped } from '$core/model/positions';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/lineup';

	/** Who plays where in which shift of a game. */
	let {
		plan,
		block,
		players,
		onapply,
		onclose
	}: {
		plan: Plan;
		block: Block;
		/** Those who play this block. */
		players: readonly string[];
		onapply: (edit: Edit) => void;
		onclose: () => void;
	} = $props();

	const say = useWords();
	const SECONDS = 5;
	const planning = new Planning<'lineup'>(say);
	const known = untrack(() => block.lineup?.positions ?? firstPlaces());
	const team = untrack(() => plan.context.team);
	let places = $state(known.map((id) => positionName(id, team)).join(', '));
	let teams: number | null = $state(untrack(() => (players.length >= 2 * known.length ? 2 : 1)));
	let shifts: number | null = $state(untrack(() => Math.max(1, Math.round(block.minutes / 5))));
	let fillers: number | null = $state(0);
	let sits: number | null = $state(1);

	/** The team's places, as many as the drill has on one side. */
	function firstPlaces(): string[] {
		const all = plan.context.team.positions ?? [];
		const spots = drillOf(plan.context, block.drill)?.spots ?? [];
		const side = Math.max(0, ...spots.map(({ role, count }) => (role === 'worker' ? count : 0)));
		return fewerPlaces(all, side || all.length);
	}
	const positions = $derived(
		places
			.split(',')
			.map((name) => positionTyped(name, team))
			.filter(Boolean)
	);
	const output = $derived(planning.best);
	/** The line-up as it was asked for: places may have been typed over since. */
	const made = $derived(
		output && planning.answers
			? { positions: planning.answers.input.positions, shifts: output.shifts }
			: null
	);
	const isOlder = $derived(made !== null && !sameValue(planning.answers?.input, asked()));

	onMount(() => () => planning.close());

	function asked(): LineupInput {
		const all = [...new Set(positions)];
		return {
			// Whose positions nobody has said may play anywhere.
			players: players.map((id) => ({
				id,
				positions: plan.context.playerById.get(id)?.positions ?? all
			})),
			positions,
			teams: teams ?? 1,
			shifts: shifts ?? 1,
			fillers: fillers ?? 0,
			maxSitRow: sits ?? 1
		};
	}
	const make = () => void planning.ask({ kind: 'lineup', input: asked(), seconds: SECONDS });
	function apply() {
		if (made) onapply({ type: 'set-block', block: block.id, set: { lineup: made } });
		onclose();
	}
</script>

<Modal
	open
	size="lg"
	modalHeading={say(texts.lineUp)}
	primaryButtonText={say(texts.useThisLineUp)}
	primaryButtonDisabled={!output}
	secondaryButtonText={say(texts.cancel)}
	on:click:button--secondary={onclose}
	on:close={onclose}
	on:submit={apply}
>
	<div class="asked">
		<div class="wide-field">
			<TextInput
				id="lineup-places"
				labelText={say(texts.placesOfOneTeamInCommas)}
				placeholder={say(texts.keeperBackBackForward)}
				bind:value={places}
			/>
		</div>
		<NumberInput
			id="lineup-teams"
			labelText={say(texts.teams)}
			min={1}
			max={2}
			bind:value={teams}
		/>
		<NumberInput
			id="lineup-shifts"
			labelText={say(texts.shifts)}
			min={1}
			max={60}
			bind:value={shifts}
		/>
		<NumberInput
			id="lineup-fillers"
			labelText={say(texts.adultsWhoFillIn)}
			min={0}
			max={60}
			bind:value={fillers}
		/>
		<NumberInput
			id="lineup-sits"
			labelText={say(texts.shiftsToSitInARow)}
			min={0}
			max={60}
			bind:value={sits}
		/>
		<Button disabled={positions.length === 0} on:click={make}>{say(texts.makeLineUp)}</Button>
	</div>
	<SearchProgress {planning} does={say(texts.lookingForAFairerLineUp)} />
	{#if output && made}
		{#if isOlder}
			<p role="status">
				<strong>{say(texts.thisIsForWhatWasAsked)}</strong>
			</p>
		{/if}
		<LineupTable lineup={made} context={plan.context} />
		<p>
			{say(texts.howFair, {
				spread: output.spread,
				isMet: output.sitRow <= (sits ?? 1),
				sitRow: output.sitRow,
				preferred: output.preferred,
				fillers: output.fillers
			})}
		</p>
	{/if}
</Modal>

<style>
	.asked {
		display: grid;
		grid-template-columns: repeat(4, minmax(130px, 1fr)) auto;
		gap: 14px;
		align-items: end;
	}
	.wide-field {
		grid-column: 1 / -1;
	}
	p {
		padding-top: 12px;
		line-height: 1.4;
	}
	@media (max-width: 672px) {
		.asked {
			grid-template-columns: 1fr 1fr;
		}
	}
</style>
