<script lang="ts">
	import { Checkbox, Modal, NumberInput } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import { arrange, type Arranged } from '$core/arrange';
	import type { Outcome } from '$core/base';
	import { clockAt } from '$core/conditions';
	import type { Evaluation } from '$core/playing';
	import type { Edit } from '$core/practice';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/people';
	import HereChanges from './HereChanges.svelte';
	import LateOnes from './LateOnes.svelte';
	import PeoplePicker from './PeoplePicker.svelte';

	/**
	 * Who is here, who comes late and when it starts: at once what that changes, taken in one step. Groups can be
	 * left as they are.
	 */
	let {
		plan,
		onapply,
		onclose
	}: { plan: Evaluation; onapply: (edit: Edit) => void; onclose: () => void } = $props();

	const say = useWords();
	// The dialog starts from who was expected when it was opened.
	const before = untrack(() => plan.practice);
	let expected: string[] = $state([...before.expected]);
	let present: string[] = $state([...before.adults]);
	let late: Record<string, number> = $state.raw({ ...before.late });
	let lateMinutes: number | null = $state(0);
	let cutsWater = $state(false);
	let leavesGroups = $state(false);
	const { players, adults } = $derived(plan.context);
	const hasWater = before.periods.some(({ kind }) => kind === 'water');
	const isMinutes = $derived(
		lateMinutes !== null &&
			Number.isInteger(lateMinutes) &&
			lateMinutes >= 0 &&
			lateMinutes < before.minutes
	);
	const coming = $derived(
		[...players, ...adults].filter(({ id }) => expected.includes(id) || present.includes(id))
	);
	const here = $derived({
		expected: players.map(({ id }) => id).filter((id) => expected.includes(id)),
		adults: adults.map(({ id }) => id).filter((id) => present.includes(id)),
		late: Object.fromEntries(
			Object.entries(late).filter(([id]) => expected.includes(id) || present.includes(id))
		),
		// Where groups are left as they are, so is the start.
		lateMinutes: isMinutes && !leavesGroups ? (lateMinutes ?? 0) : 0,
		cutsWater
	});

	/** What arranging comes to; null while it is worked out. */
	let outcome: Outcome<Arranged> | null = $state.raw(null);
	$effect(() => {
		const asked = here;
		outcome = null;
		// The tick is drawn first: arranging takes about as long as an eye blinks.
		const timer = setTimeout(() => (outcome = arrange(plan, asked)), 30);
		return () => clearTimeout(timer);
	});

	function apply() {
		if (leavesGroups) {
			const { expected: who, adults: grown, late: when } = here;
			const set = { expected: who, adults: grown };
			const isLate = Object.keys(when).length > 0;
			const withLate = isLate || before.late ? { ...set, late: isLate ? when : null } : set;
			onapply({ type: 'set-practice', set: withLate });
		} else {
			const arranged = outcome ?? arrange(plan, here);
			if (!arranged.ok) return;
			if (arranged.value.edit) onapply(arranged.value.edit);
		}
		onclose();
	}
</script>

<Modal
	open
	size="lg"
	hasForm
	modalHeading={say(texts.whoIsHere)}
	primaryButtonText={say(leavesGroups ? texts.planWithPlayersAndAdults : texts.arrangeFor, {
		expectedCount: expected.length,
		presentCount: present.length
	})}
	primaryButtonDisabled={!isMinutes || (!leavesGroups && outcome?.ok === false)}
	secondaryButtonText={say(texts.cancel)}
	on:click:button--secondary={onclose}
	on:close={onclose}
	on:submit={apply}
>
	<div class="here">
		<div>
			<PeoplePicker {players} {adults} units={plan.context.team.units} bind:expected bind:present />
			<LateOnes people={coming} most={before.minutes} bind:late />
		</div>
		<section aria-label={say(texts.whatChanges)}>
			<div class="start">
				<NumberInput
					id="practice-late"
					size="sm"
					labelText={say(texts.minutesLate)}
					min={0}
					max={before.minutes - 1}
					allowEmpty
					disabled={leavesGroups}
					bind:value={lateMinutes}
					invalidText={say(texts.wholeMinutes, { most: before.minutes - 1 })}
				/>
				{#if here.lateMinutes > 0}
					<p>
						{say(texts.startsThen, {
							start: clockAt(before.start, here.lateMinutes * 60),
							minutes: before.minutes - here.lateMinutes
						})}
					</p>
				{/if}
				{#if here.lateMinutes > 0 && hasWater}
					<Checkbox id="cuts-water" labelText={say(texts.waterMayGo)} bind:checked={cutsWater} />
				{/if}
			</div>
			<h2>{say(texts.whatChanges)}</h2>
			<div role="status" class="says">
				{#if leavesGroups}
					<p>{say(texts.groupsStay)}</p>
				{:else if outcome === null}
					<p>{say(texts.workingOut)}</p>
				{:else if outcome.ok}
					<HereChanges arranged={outcome.value} />
				{:else}
					<p role="alert">{outcome.failure.message}</p>
					{#if hasWater && !cutsWater}<p>{say(texts.waterCouldGo)}</p>{/if}
				{/if}
			</div>
			<Checkbox id="leave-groups" labelText={say(texts.leaveGroups)} bind:checked={leavesGroups} />
		</section>
	</div>
</Modal>

<style>
	.here {
		display: grid;
		grid-template-columns: minmax(0, 1fr) minmax(280px, 340px);
		gap: 8px 28px;
	}
	section {
		border-left: 1px solid var(--rule);
		padding-left: 20px;
	}
	.start p,
	.says p {
		padding: 4px 0;
		font-size: 14px;
	}
	h2 {
		font-size: 15px;
		font-weight: 700;
		padding-top: 12px;
	}
	.says {
		min-height: 120px;
	}
	@media (max-width: 800px) {
		.here {
			grid-template-columns: minmax(0, 1fr);
		}
		section {
			border: 0;
			padding: 0;
		}
		.says {
			min-height: 0;
		}
	}
</style>
