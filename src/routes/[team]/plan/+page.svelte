<script lang="ts">
	import { onMount } from 'svelte';
	import { SvelteSet } from 'svelte/reactivity';
	import { Button, ContentSwitcher, Switch } from 'carbon-components-svelte';
	import { deserialize, enhance } from '$app/forms';
	import { invalidateAll } from '$app/navigation';
	import { dayWords } from '$lib/components/page/dates';
	import { stay } from '$lib/components/page/notice.svelte';
	import Page from '$lib/components/page/Page.svelte';
	import SearchProgress from '$lib/components/page/SearchProgress.svelte';
	import { useWords } from '$lib/components/page/words.svelte';
	import BriefList from '$lib/components/plan/BriefList.svelte';
	import DraftProgress from '$lib/components/plan/DraftProgress.svelte';
	import { DraftAll } from '$lib/components/plan/draftAll.svelte';
	import LockMore from '$lib/components/plan/LockMore.svelte';
	import PlanFigures from '$lib/components/plan/PlanFigures.svelte';
	import { ruleWords, unmetWords, whyWords } from '$lib/components/plan/planWords';
	import {
		asked,
		measuresOf,
		sumsOf,
		type Briefs,
		type Shown
	} from '$lib/components/plan/planning';
	import Cloth from '$lib/components/season/Cloth.svelte';
	import { seasonView, type Opened } from '$lib/components/season/view';
	import type { BriefItem } from '$core/model/practice';
	import type { PlanView } from '$core/seasonPlan';
	import { Planning } from '$lib/state/planning.svelte';
	import type { PageData } from './$types';
	import texts from '$texts/plan';

	let { data }: { data: PageData } = $props();

	const say = useWords();
	const SECONDS = 10;
	const planning = new Planning<'plan'>(say);
	const drafting = new DraftAll(say);
	onMount(() => () => {
		planning.close();
		drafting.close();
	});

	const view = $derived(JSON.parse(data.plan) as PlanView);
	const input = $derived(view.input);
	const known = $derived({
		...{ areas: data.areas, units: data.units },
		opponents: new Map((data.season.games ?? []).map(({ date, opponent }) => [date, opponent])),
		drills: new Map(view.drills.map((drill) => [drill.id, drill]))
	});
	const stored: Briefs = $derived(
		new Map(view.practices.flatMap(({ id, isBuilt, brief }) => (isBuilt ? [] : [[id, brief]])))
	);
	/** What is ticked, as practice and drill; what is stored as locked to begin with. */
	const locks = new SvelteSet<string>();
	$effect.pre(() => {
		locks.clear();
		for (const [id, brief] of stored)
			for (const { drill, locked } of brief) if (locked) locks.add(`${id} ${drill}`);
	});
	const isLocked = (practice: string, drill: string) => locks.has(`${practice} ${drill}`);
	function lock(practice: string, drills: readonly string[], isOn: boolean) {
		for (const drill of drills)
			if (isOn) locks.add(`${practice} ${drill}`);
			else locks.delete(`${practice} ${drill}`);
		toKeep += 1;
		keeping = keeping.then(() => keepLocks(practice, drills, isOn)).finally(() => (toKeep -= 1));
	}
	/** One lock is stored after the other: each goes by the practice as the one before has left it. */
	let keeping: Promise<unknown> = Promise.resolve();
	/** Locks that are not stored yet: a plan is used after them, it goes by what they leave. */
	let toKeep = $state(0);
	let lockTrouble = $state('');
	/** Stores what is locked as soon as it is; of a plan that is not stored just that much of it. */
	async function keepLocks(practice: string, drills: readonly string[], isOn: boolean) {
		const own = stored.get(practice);
		const revision = view.practices.find(({ id }) => id === practice)?.revision;
		if (!own) return;
		const from = isOn ? (shown.get(practice) ?? []) : own;
		const changed = from.filter(({ drill }) => drills.includes(drill));
		const others = own.filter(({ drill }) => !changed.some((each) => each.drill === drill));
		const brief = [
			...others.map((item) => toStored(item, item.locked === true)),
			...changed.map((item) => toStored(item, isOn))
		];
		const form = new FormData();
		form.set('sent', JSON.stringify([{ practice, revision, brief }]));
		const answer = await fetch(`/${data.team.id}/plan`, {
			method: 'POST',
			headers: { accept: 'application/json', 'x-sveltekit-action': 'true' },
			body: form
		}).catch(() => null);
		const result = answer && deserialize(await answer.text());
		lockTrouble = result?.type === 'success' ? '' : say(texts.lockNotStored);
		await invalidateAll();
	}
	const toStored = ({ drill, rung, minutes, why }: Shown, isOn: boolean): BriefItem => {
		const words = why === undefined ? '' : whyWords(why, known, say);
		return {
			...{ drill, minutes },
			...(rung !== undefined && { rung }),
			...(words !== '' && { why: words }),
			...(isOn && { locked: true })
		};
	};

	/** The plan that was made here and is not stored; null where there is none. */
	let made = $state.raw<typeof planning.best>(null);
	$effect(() => {
		made = planning.best;
	});
	const planned: Briefs | null = $derived(
		made &&
			new Map(made.practices.filter(({ id }) => stored.has(id)).map(({ id, brief }) => [id, brief]))
	);
	let side: 'before' | 'after' = $state('after');
	const shown = $derived(side === 'after' && planned ? planned : stored);
	const before = $derived(measuresOf(input, stored));

	const sent = $derived.by(() => {
		const more = sumsOf(shown, { input, counts: data.counts });
		return {
			today: data.today,
			season: data.season,
			areas: data.areas,
			players: data.players,
			practices: data.practices,
			sums: JSON.stringify([...JSON.parse(data.sums), ...more.sums]),
			costs: [...data.costs, ...more.costs],
			counts: data.counts,
			...{ pushes: [], tallies: [], drills: [] }
		};
	});
	const season = $derived(seasonView(sent));
	let opened = $state<Opened | null>(null);

	const open = $derived(view.practices.filter(({ isBuilt }) => !isBuilt));
	const toDraft = $derived(open.filter(({ brief }) => brief.length > 0));
	// Of a practice that is built its own board says what is wrong with it.
	const broken = $derived(
		(made?.measures.brokenRules ?? []).filter(({ practice }) => stored.has(practice))
	);
	const dateOf = (id: string) => view.practices.find((each) => each.id === id)?.date ?? '';

	const plan = () =>
		planning.ask({
			kind: 'plan',
			input: asked(input, planned ?? stored, isLocked),
			seconds: SECONDS
		});
	const toSend = $derived(
		[...(planned ?? [])].map(([practice, brief]) => ({
			practice,
			revision: view.practices.find(({ id }) => id === practice)?.revision,
			brief: brief.map((item) => toStored(item, isLocked(practice, item.drill)))
		}))
	);
	async function draftAll() {
		await drafting.run(data.team.id, toDraft);
		await invalidateAll();
	}
</script>

<Page
	team={data.team}
	current="plan"
	title={say(texts.title)}
	heading={say(texts.heading)}
	intro={say(texts.intro)}
	wide
>
	{#if view.practices.length === 0}
		<p class="empty">
			{say(texts.noPractices)} <a href="/{data.team.id}/dates">{say(texts.makePractices)}</a>
		</p>
	{:else}
		{#if (before?.targets ?? 0) === 0}
			<p class="empty">
				{say(texts.noTargets)} <a href="/{data.team.id}/targets">{say(texts.setTargets)}</a>
			</p>
		{/if}
		<PlanFigures {before} after={made?.measures ?? null} bound={made?.bound ?? null} />
		<div class="ways">
			<Button size="small" disabled={planning.isRunning || open.length === 0} on:click={plan}
				>{say(planned || toDraft.length > 0 ? texts.again : texts.plan)}</Button
			>
			{#if planned && !planning.isRunning}
				<form
					method="POST"
					use:enhance={(event) => {
						const done = stay(say)(event);
						return async (result) => {
							if (typeof done === 'function') await done(result);
							if (result.result.type === 'success') planning.best = null;
						};
					}}
				>
					<input type="hidden" name="sent" value={JSON.stringify(toSend)} />
					<Button type="submit" size="small" kind="secondary" disabled={toKeep > 0}
						>{say(texts.use)}</Button
					>
				</form>
				<Button size="small" kind="ghost" on:click={() => (planning.best = null)}
					>{say(texts.drop)}</Button
				>
			{/if}
		</div>
		{#if lockTrouble}<p class="empty" role="alert">{lockTrouble}</p>{/if}
		{#each unmetWords((made?.measures ?? before)?.unmet ?? [], known, say) as { skill, words } (words)}
			<p class="empty">
				{words}
				<a href="/{data.team.id}/drills?skill={encodeURIComponent(skill)}"
					>{say(texts.lookForOne)}</a
				>
			</p>
		{/each}
		<SearchProgress {planning} does={say(texts.planning)} />
		{#if broken.length > 0}
			<section class="broken">
				<h2>{say(texts.brokenTitle)}</h2>
				<ul>
					{#each broken as { rule, practice, drill }, index (index)}
						<li>
							{say(texts.broken, {
								name: known.drills.get(drill ?? '')?.name ?? '',
								day: dayWords(dateOf(practice)),
								rule: ruleWords(rule, say)
							})}
						</li>
					{/each}
				</ul>
			</section>
		{/if}
		{#if planned}
			<div class="switch">
				<ContentSwitcher
					size="sm"
					selectedIndex={side === 'before' ? 0 : 1}
					on:change={({ detail }) => (side = detail === 0 ? 'before' : 'after')}
				>
					<Switch text={say(texts.before)} />
					<Switch text={say(texts.after)} />
				</ContentSwitcher>
			</div>
		{/if}
		<Cloth
			team={data.team.id}
			season={data.season}
			areas={data.areas}
			units={data.units}
			practices={data.practices}
			lines={season.lines}
			weeks={season.weeks}
			today={data.today}
			jump={data.jump}
			{opened}
			onopen={(at) => (opened = at)}
		/>
		<LockMore
			briefs={shown}
			{known}
			{opened}
			practices={view.practices}
			drills={input.drills}
			season={data.season}
			onlock={lock}
		/>
		<DraftProgress {drafting} count={planned ? 0 : toDraft.length} ondraft={draftAll} />
		<h2 class="list">{say(texts.practices)}</h2>
		<BriefList
			team={data.team.id}
			practices={view.practices}
			briefs={shown}
			{known}
			{isLocked}
			onlock={lock}
		/>
	{/if}
</Page>

<style>
	.ways {
		display: flex;
		flex-wrap: wrap;
		gap: 8px;
		padding-top: 12px;
	}
	.empty {
		padding: 8px 0;
		font-size: 14px;
	}
	.empty a {
		font-weight: 650;
		color: var(--action);
	}
	h2 {
		font-size: 15px;
		font-weight: 700;
	}
	.list {
		padding: 22px 0 6px;
		border-bottom: 1px solid var(--ink);
	}
	.broken {
		border-left: 4px solid var(--wait);
		padding-left: 10px;
		margin: 8px 0;
		font-size: 14px;
		line-height: 1.5;
	}
	.switch {
		max-width: 420px;
		padding-bottom: 10px;
	}
</style>
