<script lang="ts">
	import { Button } from 'carbon-components-svelte';
	import { clockAt } from '$core/conditions';
	import type { Alternative, DraftInput } from '$core/draft';
	import { skillName } from '$core/model/skill';
	import { describeFinding, faultsIn } from '$core/checks';
	import type { Block, Period } from '$core/model/practice';
	import { evaluate } from '$core/playing';
	import { drillOf, type Plan } from '$core/practice';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/draft';
	import { percent } from '../tape/words';
	import { reasonWords, undoneWords, unlikeWords } from './draftWords';

	/** One draft as a small tape: what comes when, why, what it covers. */
	let {
		number,
		draft,
		due,
		plan,
		kept,
		onkeep,
		onuse
	}: {
		number: number;
		draft: Alternative;
		due: DraftInput['due'];
		plan: Plan;
		/** Ids of the periods that are kept. */
		kept: ReadonlySet<string>;
		onkeep: (period: Period, isKept: boolean) => void;
		onuse: () => void;
	} = $props();

	const say = useWords();
	/** What is due most is told: as many as can be read at a glance. */
	const TOLD = 4;
	const team = $derived(plan.context.team);
	const lines = $derived.by(() => {
		let minutes = 0;
		return draft.practice.periods.map((period) => {
			const at = clockAt(draft.practice.start, minutes * 60);
			minutes += period.minutes;
			return { period, at, blocks: period.lanes.flatMap(({ blocks }) => blocks) };
		});
	});
	const covers = $derived(
		due
			.map(({ skill, minutes, weight }, k) => ({
				...{ skill, minutes, weight, got: draft.covers[k].minutes }
			}))
			.sort((a, b) => b.weight - a.weight)
			.slice(0, TOLD)
	);
	const nameOf = ({ drill, copies }: Block) => {
		const name = drillOf(plan.context, drill)?.name ?? '';
		return copies.length > 1 ? say(texts.times, { name, count: copies.length }) : name;
	};
	/** Reasons that are told of a block: the first of them are what it is there for. */
	const REASONS = 2;
	const why = ({ id, drill }: Block) =>
		(draft.why[id] ?? [])
			.slice(0, REASONS)
			.map((reason) => reasonWords(reason, { team, drill: drillOf(plan.context, drill) }, say))
			.join(' · ');
	/** Rounds that water divides: their second half is what the first was. */
	const goesOn = $derived(
		new Set(
			lines.flatMap(({ period, blocks }, index) => {
				const drills = (list: readonly Block[]) => list.map(({ drill }) => drill?.id).join();
				const before = lines.slice(0, index);
				const isSame = before.some(
					(each) => blocks.length > 1 && drills(each.blocks) === drills(blocks)
				);
				return isSame ? [period.id] : [];
			})
		)
	);
	/** What is left to look at in it, in words. */
	const left = $derived.by(() => {
		if (draft.figures.stops + draft.figures.warnings === 0) return [];
		const played = evaluate(draft.practice, plan.context);
		const all = faultsIn(played)
			.filter(({ severity }) => severity !== 'hint')
			.map((fault) => describeFinding(fault, played, say));
		// Both halves of a round say the same.
		return [...new Set(all)];
	});
	const undone = $derived(
		draft.undone.map((each) => undoneWords(each, { team, shelf: plan.context.shelf }, say))
	);
	const quality = $derived([
		say(texts.warnings, { count: draft.figures.stops + draft.figures.warnings }),
		...(draft.figures.openMinutes > 0
			? [say(texts.open, { minutes: draft.figures.openMinutes })]
			: [])
	]);
	const toldBy = (period: Period) => period.lanes.length > 1 || period.kind === 'stations';
</script>

<article aria-label={say(texts.number, { number })}>
	<header>
		<h3>{say(texts.number, { number })}</h3>
		<p>
			{say(texts.figures, {
				busy: percent(draft.figures.busyShare),
				turnCount: Math.round(draft.figures.turns)
			})}
		</p>
		<p>{quality.join(' · ')}</p>
		<p class="unlike">{unlikeWords(draft.unlike, team, say)}</p>
		{#each undone as words, index (index)}<p class="left">{words}</p>{/each}
		{#each left as words, index (index)}<p class="left">{words}</p>{/each}
	</header>
	<Button size="small" aria-label={say(texts.useNumber, { number })} on:click={onuse}
		>{say(texts.use)}</Button
	>
	<ul>
		{#each covers as { skill, minutes, got } (skill)}
			<li>
				<span>
					{say(texts.covers, {
						name: skillName(skill, team.skillAreas),
						got: Math.round(got),
						wanted: Math.round(minutes)
					})}
				</span>
				<i style:width="{Math.min(100, (got / minutes) * 100)}%"></i>
			</li>
		{/each}
	</ul>
	<ol>
		{#each lines as { period, at, blocks } (period.id)}
			<li class={period.kind} class:kept={kept.has(period.id)}>
				<span class="at">{at}</span>
				<span class="minutes">{period.minutes}</span>
				<div>
					{#if blocks.length === 0}
						<small>{period.name}</small>
					{:else}
						<label>
							<input
								type="checkbox"
								checked={kept.has(period.id)}
								aria-label={say(texts.keep, { name: period.name })}
								onchange={(event) => onkeep(period, event.currentTarget.checked)}
							/>
							<strong
								>{goesOn.has(period.id)
									? say(texts.goesOn, { name: period.name })
									: toldBy(period)
										? period.name
										: nameOf(blocks[0])}</strong
							>
						</label>
						{#each goesOn.has(period.id) ? [] : blocks as block (block.id)}
							<small
								>{#if toldBy(period)}<b>{nameOf(block)}</b>{/if}{why(block)}</small
							>
						{/each}
					{/if}
				</div>
			</li>
		{/each}
	</ol>
</article>

<style>
	article {
		display: flex;
		flex-direction: column;
		gap: 8px;
		padding: 0 12px;
		border-left: 1px solid var(--ink);
	}
	h3 {
		font-size: 15px;
		font-weight: 750;
	}
	header p {
		font-size: 12.5px;
		line-height: 1.35;
		padding: 0;
		color: var(--ink-soft);
	}
	.left {
		color: var(--wait-ink);
	}
	ol {
		flex: 1;
		border-top: 1px solid var(--ink);
	}
	ol li {
		display: grid;
		grid-template-columns: 42px 24px minmax(0, 1fr);
		gap: 4px;
		padding: 3px 0 4px;
		border-bottom: 1px solid var(--rule);
		font-size: 13px;
		line-height: 1.3;
	}
	ol li.kept {
		background: var(--chalk-deep);
	}
	.at {
		color: var(--ink-soft);
		font-variant-numeric: tabular-nums;
	}
	.minutes {
		font-weight: 700;
		text-align: right;
		font-variant-numeric: tabular-nums;
		padding-right: 4px;
	}
	label {
		display: flex;
		gap: 6px;
		align-items: baseline;
	}
	strong {
		font-weight: 700;
	}
	small {
		display: block;
		font-size: 12px;
		line-height: 1.3;
		color: var(--ink-soft);
	}
	small b {
		margin-right: 4px;
		font-weight: 650;
		color: var(--ink);
	}
	ul li {
		position: relative;
		padding: 1px 0 4px;
		font-size: 12.5px;
	}
	i {
		position: absolute;
		left: 0;
		bottom: 0;
		height: 3px;
		background: var(--action);
	}
</style>
