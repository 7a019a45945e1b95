<script lang="ts">
	import { Button, TextArea, TextInput } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import { invalidateAll } from '$app/navigation';
	import { page } from '$app/state';
	import { sameValue, type Misfit } from '$core/base';
	import type { Fix, Seed } from '$core/model/scene';
	import type { Ground } from '$core/model/team';
	import { areaOf, trained } from '$core/model/skill';
	import { LIVE_MINUTES, LIVE_RUNG, sceneDrill, WALK_MINUTES } from '$core/scene';
	import { FormDraft } from '$lib/state/formDraft.svelte';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/scenes';
	import { DrillDraft } from '../drafting/draft.svelte';
	import SpotsField from '../drafting/SpotsField.svelte';
	import DrillRun from '../drill/DrillRun.svelte';
	import Metres from '../ground/Metres.svelte';
	import Choice from '../page/Choice.svelte';
	import DraftForm from '../page/DraftForm.svelte';
	import Outcome from '../page/Outcome.svelte';
	import { drillDrawn, headOf, keptOf, lineUpOn, type DrawnWith, type Head } from './sceneForm';

	/** A scene while it is drawn: with the hands that draw a drill, on any ground, and run as it stands. */
	let {
		scene,
		list,
		season,
		team,
		grounds,
		games,
		stamp,
		misfit
	}: {
		scene: Fix | Seed;
		list: 'fixes' | 'seeds';
		season: string;
		team: DrawnWith;
		grounds: readonly Ground[];
		games: readonly { id: string; name: string }[];
		stamp: string;
		misfit: (Misfit & { newest?: string }) | null;
	} = $props();

	const say = useWords();
	const SIDES = [
		{ side: 'length', name: texts.length },
		{ side: 'width', name: texts.width }
	] as const;
	let head: Head = $state.raw(untrack(() => headOf(scene)));
	const draft = new DrillDraft(untrack(() => drillDrawn(scene, team)));
	let sheet: HTMLFormElement | undefined = $state();

	/** The scene as it would be saved. */
	const kept = $derived(keptOf(scene, head, draft.kept));
	const form = new FormDraft<Fix | Seed>({
		say,
		about: untrack(() => page.url.pathname + page.url.search),
		stamp: () => stamp,
		read: () => kept,
		write: (typed) => restart(typed),
		isChanged: () => !sameValue(kept, scene),
		reload: async () => {
			await invalidateAll();
			restart(scene);
		}
	});
	function restart(typed: Fix | Seed) {
		head = headOf(typed);
		draft.restart(drillDrawn(typed, team));
	}
	const set = (change: Partial<Head>) => (head = { ...head, ...change });
	const ground = $derived(grounds.find(({ id }) => id === head.groundId));
	const lineUp = $derived(lineUpOn(team, draft.typed.ground));
	function chooseGround(id: string) {
		const next = grounds.find((each) => each.id === id);
		set({ groundId: next?.id });
		if (next) draft.set({ ground: { length: next.length, width: next.width } });
	}
	const tick = (skill: string, isOn: boolean) =>
		set({
			skills: [
				...(head.skills ?? []).filter((each) => areaOf(each) !== skill),
				...(isOn ? [skill] : [])
			]
		});

	/** The part of the scene at fault, as the coach calls it. */
	const where = $derived.by(() => {
		const [list, index] = misfit?.path ?? [];
		if (list === 'name') return say(texts.theName);
		if (list === 'decided') return say(texts.whatWasDecided);
		if (list === 'call') return say(texts.call);
		if (list === 'tokens' && typeof index === 'number') return kept.tokens[index]?.id;
		if (list === 'ways' && typeof index === 'number') return say(texts.wayAt, { row: index + 1 });
		return list === 'ball' ? say(texts.theBall) : undefined;
	});
	const tokens = $derived(kept.tokens);
	const count = (side: string) => tokens.filter((token) => token.side === side).length;
	const isPlaced = $derived(
		tokens.every(({ x, y }) => Number.isFinite(x) && Number.isFinite(y)) && draft.isComplete
	);
	const isGood = $derived(tokens.length > 0 && isPlaced && head.name.trim() !== '');
	/** The last scene that could run, as a drill. */
	const running = $derived(
		tokens.length > 0 && isPlaced
			? sceneDrill(kept, {
					...{ id: 'scene', sport: team.sport, players: tokens.length, units: {} },
					...{ contact: 0, effort: 5, ball: 'ball', cautions: [] },
					most: { length: Infinity, width: Infinity },
					words: { summary: '', live: '', liveChange: '', counts: '' }
				})
			: null
	);
</script>

{#snippet run()}
	{#if running}
		<div>
			<p class="says">{say(texts.runs)}</p>
			<DrillRun
				drill={running}
				players={tokens.length}
				climb={[{ minutes: WALK_MINUTES }, { rung: LIVE_RUNG, minutes: LIVE_MINUTES }]}
				adults={1}
			/>
		</div>
	{:else}
		<p class="says">{say(texts.firstTokens)}</p>
	{/if}
{/snippet}

<Outcome {misfit} {where} draft={form} form={sheet} />
<DraftForm draft={form} bind:form={sheet} class="scene">
	<input type="hidden" name="season" value={season} />
	<input type="hidden" name="list" value={list} />
	<input type="hidden" name="scene" value={JSON.stringify(kept)} />
	<div class="facts">
		<TextInput
			id="scene-name"
			labelText={say(texts.name)}
			helperText={list === 'fixes' ? say(texts.nameHint) : ''}
			required
			maxlength={200}
			value={head.name}
			on:input={({ detail }) => set({ name: String(detail ?? '') })}
		/>
		<TextInput
			id="scene-call"
			labelText={say(texts.call)}
			maxlength={200}
			value={head.call ?? ''}
			on:input={({ detail }) => set({ call: String(detail ?? '') })}
		/>
		<Choice
			id="scene-game"
			label={say(list === 'fixes' ? texts.seenIn : texts.whichGame)}
			of={games}
			chosen={head.game ?? ''}
			none={list === 'fixes' ? say(texts.noGameNamed) : undefined}
			onchoose={(id) => set({ game: id === '' ? undefined : id })}
		/>
		<div class="save">
			<Button type="submit" size="field" disabled={!isGood}>{say(texts.save)}</Button>
			<p role="status">
				{tokens.length === 0
					? say(texts.nothingDrawn)
					: isPlaced
						? say(texts.saying, { ours: count('ours'), theirs: count('theirs') })
						: say(texts.needsNames)}
			</p>
		</div>
	</div>
	{#if list === 'fixes'}
		<TextArea
			id="scene-decided"
			labelText={say(texts.decided)}
			helperText={say(texts.decidedHint)}
			rows={2}
			maxlength={2000}
			value={head.decided ?? ''}
			on:input={(event) => set({ decided: (event.target as HTMLTextAreaElement).value })}
		/>
	{/if}
	<fieldset>
		<legend>{say(texts.skills)}</legend>
		{#each trained(team.skillAreas) as { id, name } (id)}
			<label class="tickable">
				<input
					type="checkbox"
					checked={head.skills?.some((skill) => areaOf(skill) === id)}
					onchange={(event) => tick(id, event.currentTarget.checked)}
				/>
				{name}
			</label>
		{/each}
	</fieldset>
	<section aria-label={say(texts.whatHappens)}>
		<div class="over">
			<h2>{say(texts.whatHappens)}</h2>
			<Choice
				id="scene-ground"
				label={say(texts.groundOf)}
				of={grounds}
				chosen={head.groundId ?? ''}
				none={say(texts.bareGround)}
				onchoose={chooseGround}
			/>
			{#if !ground}
				{#each SIDES as { side, name } (side)}
					<Metres
						id="scene-{side}"
						label={say(name)}
						unit="m"
						least={2}
						most={300}
						value={draft.typed.ground[side]}
						onset={(value) => draft.set({ ground: { ...draft.typed.ground, [side]: value } })}
					/>
				{/each}
			{/if}
			<button type="button" class="link" disabled={!draft.canUndo} onclick={draft.undo}
				>{say(texts.undo)}</button
			>
			<button type="button" class="link" disabled={!draft.canRedo} onclick={draft.redo}
				>{say(texts.redo)}</button
			>
		</div>
		<SpotsField
			{draft}
			units={team.units}
			scene={{ markings: ground?.markings ?? [], lineUp }}
			beside={run}
		/>
	</section>
</DraftForm>

<style>
	:global(form.scene) {
		display: grid;
		grid-template-columns: minmax(0, 1fr);
		gap: 16px;
	}
	.facts {
		display: grid;
		grid-template-columns: 2fr 1fr 1fr auto;
		gap: 16px;
		align-items: start;
	}
	fieldset {
		display: flex;
		flex-wrap: wrap;
		gap: 4px 18px;
		border: 0;
		margin: 0;
		padding: 0;
	}
	legend {
		padding-bottom: 4px;
		font-size: 12px;
		color: var(--ink-soft);
	}
	section {
		display: grid;
		gap: 10px;
		padding-top: 10px;
		border-top: 1px solid var(--ink);
	}
	section :global(.halves) {
		display: grid;
		grid-template-columns: minmax(0, 3fr) minmax(0, 2fr);
		gap: 20px;
	}
	.over {
		display: flex;
		flex-wrap: wrap;
		gap: 8px 18px;
		align-items: end;
	}
	h2 {
		font-size: 17px;
		font-weight: 750;
		margin-right: auto;
	}
	.says,
	.save p {
		font-size: 13px;
		color: var(--ink-soft);
	}
	.save {
		padding-top: 22px;
	}
	.save p {
		padding-top: 4px;
	}
	.over > :global(.bx--form-item) {
		flex: 0 1 280px;
	}
	@media (max-width: 672px) {
		.facts,
		section :global(.halves) {
			grid-template-columns: minmax(0, 1fr);
		}
	}
</style>
