<script lang="ts">
	import { Button } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import { page } from '$app/state';
	import { sameValue, type Misfit } from '$core/base';
	import type { Drill } from '$core/model/drill';
	import { areaOf } from '$core/model/skill';
	import type { Team } from '$core/model/team';
	import DrillRun from '../drill/DrillRun.svelte';
	import { drillHints, type DrillHint } from '$core/drill';
	import { givenWith } from '$core/building';
	import { FormDraft } from '$lib/state/formDraft.svelte';
	import DraftForm from '../page/DraftForm.svelte';
	import Outcome from '../page/Outcome.svelte';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/drafting';
	import { isTyping } from '../board/keys';
	import { DrillDraft } from './draft.svelte';
	import { groupOf } from './fields';
	import Fields from './Fields.svelte';
	import LadderOrder from './LadderOrder.svelte';
	import RungHead from './RungHead.svelte';

	/** A drill while it is written, itself or a rung of its ladder, run beside the form as it stands. */
	let {
		drill,
		team,
		misfit,
		stamp = ''
	}: {
		drill: Drill;
		/** Whose shelf it is for: what there is to choose from. */
		team: Pick<Team, 'loads' | 'sport' | 'skillAreas' | 'units'>;
		misfit: (Misfit & { newest?: string }) | null;
		/** Stamp of the newest revision, as the page was read; empty for a new drill. */
		stamp?: string;
	} = $props();

	const say = useWords();
	const MINUTES = 12;
	const draft = new DrillDraft(untrack(() => drill));
	let sheet: HTMLFormElement | undefined = $state();
	const form = new FormDraft<Drill>({
		say,
		about: untrack(() => page.url.pathname + page.url.search),
		stamp: () => stamp,
		read: () => draft.kept,
		write: (typed) => draft.restart(typed),
		isChanged: () => !sameValue(draft.kept, drill),
		reload: async () => draft.restart(drill)
	});
	/** Areas that are trained, and those that the drill names already. */
	const offered = $derived(
		team.skillAreas.filter(
			({ id, retired }) => !retired || drill.skills.some(({ skill }) => areaOf(skill) === id)
		)
	);
	const { ideal } = $derived(draft.running.group);
	const adults = $derived(draft.running.coaches.ideal);
	const given = $derived(givenWith(draft.running, ideal, { minutes: MINUTES, adults }));

	/** Where a fault is, as the form calls it. */
	const place = $derived.by(() => {
		const path = draft.fault && 'path' in draft.fault ? draft.fault.path : [];
		const field = path[0] === 'drill' ? String(path[1]) : '';
		const rung = draft.kept.rungs.find(({ id }) => id === draft.fault?.onRung)?.name;
		const group = groupOf(field);
		return [group && say(group.name), rung && say(texts.onTheRung, { rungName: rung })]
			.filter(Boolean)
			.join(', ');
	});
	const saying = $derived.by(() => {
		if (!draft.isComplete) return say(texts.everySpotNeedsANameOf);
		if (draft.fault)
			return place
				? say(texts.itDoesNotRunYetAt, { place, why: draft.fault.message })
				: say(texts.itDoesNotRunYet, { why: draft.fault.message });
		if (!given) return '';
		const turns = Math.round(given.turns.mean);
		const waits = Math.round(given.waitShare * 100);
		return say(texts.itBalancesWithTurnsInMin, {
			ideal,
			turnCount: turns,
			minutes: MINUTES,
			waits
		});
	});
	function hintWords(hint: DrillHint): string {
		const rungName = draft.kept.rungs.find(({ id }) => id === hint.rung)?.name;
		const where = rungName === undefined ? '' : say(texts.onTheRung, { rungName });
		const onIt = (said: string) => [said, where].filter(Boolean).join(' ');
		switch (hint.code) {
			case 'headway-unmet':
				return onIt(say(texts.headwayUnmet));
			case 'role-held':
				return onIt(say(texts.roleHeld, { spot: hint.spot }));
			case 'easier-than-below':
				return say(texts.easierThanBelow, { rungName: rungName ?? say(texts.theDrillItself) });
			case 'too-fast':
				return onIt(
					say(texts.tooFast, { spot: hint.spot, asked: hint.asked.toFixed(1), most: hint.most })
				);
		}
	}
	/** What is likely wrong with a drill that runs; the youngest that it is for decides, else fifteen. */
	const hints = $derived(
		draft.isComplete && !draft.fault
			? drillHints(draft.kept, draft.kept.ages?.from ?? 15).map(hintWords)
			: []
	);
	/** Ctrl or Cmd with Z, where no letters are typed: those the browser takes back itself. */
	function stepByKey(event: KeyboardEvent) {
		if (event.key.toLowerCase() !== 'z' || !(event.ctrlKey || event.metaKey) || isTyping(event))
			return;
		event.preventDefault();
		if (event.shiftKey) draft.redo();
		else draft.undo();
	}
	const isGood = $derived(draft.isComplete && draft.fault === null);
</script>

{#snippet run()}
	<DrillRun
		drill={draft.running}
		players={ideal}
		climb={[{ minutes: MINUTES }]}
		adults={adults + 1}
	/>
{/snippet}

<svelte:window onkeydown={stepByKey} />
<Outcome {misfit} draft={form} form={sheet} />
<DraftForm draft={form} bind:form={sheet} class="drill">
	<input type="hidden" name="drill" value={JSON.stringify(draft.kept)} />
	<div class="top">
		<label class="caption"
			>{say(texts.name)}
			<input
				class="typed"
				maxlength="200"
				value={draft.kept.name}
				oninput={(event) => draft.setOwn({ name: event.currentTarget.value })}
			/></label
		>
		<div class="state" role="status">
			<p class:bad={!isGood}>{saying}</p>
			{#each hints as hint, index (index)}<p class="hint">{hint}</p>{/each}
		</div>
		<div class="steps">
			<button type="button" class="link" disabled={!draft.canUndo} onclick={draft.undo}
				>{say(texts.undo)}</button
			>
			<button type="button" class="link" disabled={!draft.canRedo} onclick={draft.redo}
				>{say(texts.redo)}</button
			>
		</div>
		<Button type="submit" size="field" disabled={!isGood}>{say(texts.saveTheDrill)}</Button>
	</div>
	<LadderOrder {draft} />
	{#key draft.rungId}
		{#if draft.rung}<RungHead {draft} rung={draft.rung} />{/if}
		<Fields {draft} skills={offered} units={team.units} loads={team.loads ?? []} {run} />
	{/key}
	{#if !draft.rung}
		<label class="tickable">
			<input
				type="checkbox"
				checked={draft.kept.sports.includes('any')}
				onchange={(event) =>
					draft.setOwn({ sports: event.currentTarget.checked ? ['any'] : [team.sport] })}
			/>
			{say(texts.forAnySport)}
		</label>
	{/if}
</DraftForm>

<style>
	:global(form.drill) {
		display: grid;
		grid-template-columns: minmax(0, 1fr);
		gap: 14px;
	}
	.top {
		position: sticky;
		top: 0;
		z-index: 3;
		display: grid;
		grid-template-columns: minmax(180px, 1fr) 2fr auto auto;
		gap: 8px 20px;
		align-items: end;
		padding: 8px 0;
		background: var(--chalk);
		border-bottom: 1px solid var(--ink);
	}
	.top .typed {
		min-height: 36px;
		font-size: 16px;
		font-weight: 650;
	}
	.steps {
		display: flex;
		gap: 14px;
		padding-bottom: 6px;
	}
	.state {
		font-size: 15px;
		font-weight: 650;
		line-height: 1.3;
	}
	.state .hint {
		color: var(--wait-ink);
		font-weight: 500;
		font-size: 14px;
	}
	.bad {
		color: var(--stop);
	}
	@media (max-width: 900px) {
		.top {
			position: static;
			grid-template-columns: minmax(0, 1fr);
		}
	}
</style>
