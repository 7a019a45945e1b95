<script lang="ts">
	import { Button } from 'carbon-components-svelte';
	import type { Drill } from '$core/model/drill';
	import type { Season } from '$core/model/season';
	import { skillName } from '$core/model/skill';
	import { onRung } from '$core/playing';
	import { weekOf } from '$core/season';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/plan';
	import Choice from '../page/Choice.svelte';
	import type { Opened } from '../season/view';
	import type { Briefs } from './planning';
	import type { Known } from './planWords';

	/** Locks more than one drill of one practice: a drill wherever it is, or what gives a cell of the cloth. */
	let {
		briefs,
		known,
		opened,
		practices,
		drills,
		season,
		onlock
	}: {
		briefs: Briefs;
		known: Known;
		opened: Opened | null;
		practices: readonly { id: string; date: string }[];
		drills: readonly Drill[];
		season: Season;
		onlock: (practice: string, drills: readonly string[], isLocked: boolean) => void;
	} = $props();

	const say = useWords();
	let drill = $state('');
	const used = $derived(
		drills
			.filter(({ id }) =>
				[...briefs.values()].some((brief) => brief.some((item) => item.drill === id))
			)
			.map(({ id, name }) => ({ id, name }))
	);
	const skill = $derived(opened?.line?.split(' ')[0]);
	/** What gives the cell that is open, by practice. */
	const giving = $derived.by(() => {
		const { week } = opened ?? {};
		if (skill === undefined || week === undefined) return [];
		return practices
			.filter(({ date }) => weekOf(season, date) === week)
			.flatMap(({ id }) =>
				(briefs.get(id) ?? []).flatMap((item) => {
					const found = drills.find((each) => each.id === item.drill);
					const gives = found && onRung(found, item.rung).skills;
					const isOf = gives?.some(
						(own) => own.skill === skill || own.skill.startsWith(`${skill}/`)
					);
					return isOf ? [{ practice: id, drill: item.drill }] : [];
				})
			);
	});
</script>

{#if used.length > 0}
	<div class="more">
		<Choice
			id="lock-drill"
			label={say(texts.lockDrill)}
			of={used}
			chosen={drill}
			none={say(texts.pickDrill)}
			onchoose={(id) => {
				drill = '';
				for (const [practice, brief] of briefs)
					if (brief.some((item) => item.drill === id)) onlock(practice, [id], true);
			}}
		/>
		{#if skill !== undefined && opened?.week !== undefined}
			<p role="status">
				{say(texts.gives, {
					name: skillName(skill, known.areas),
					week: opened.week,
					count: giving.length
				})}
			</p>
			{#if giving.length > 0}
				<Button
					size="small"
					kind="tertiary"
					on:click={() => {
						for (const { practice, drill: id } of giving) onlock(practice, [id], true);
					}}>{say(texts.lockCell)}</Button
				>
			{/if}
		{/if}
	</div>
{/if}

<style>
	.more {
		display: flex;
		flex-wrap: wrap;
		gap: 8px 20px;
		align-items: end;
		padding-top: 14px;
		font-size: 14px;
	}
	.more :global(.bx--form-item) {
		flex: none;
		width: 280px;
	}
</style>
