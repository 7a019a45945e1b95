<script lang="ts">
	import type { Evaluation } from '$core/playing';
	import type { Group, Period } from '$core/model/practice';
	import { arranging, type Edit } from '$core/practice';
	import { bibLook } from '../bib/bibs';
	import Choice from '../page/Choice.svelte';
	import Fold from '../page/Fold.svelte';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/inspector';

	/** Who leads each group of a period, from those of it who come. */
	let {
		evaluation,
		period,
		onapply
	}: { evaluation: Evaluation; period: Period; onapply: (edit: Edit) => void } = $props();

	const say = useWords();
	const groups = $derived(period.groups ?? []);
	const comes = $derived(new Set(evaluation.practice.expected));
	const named = (id: string) => ({
		id,
		name: evaluation.context.playerById.get(id)?.name ?? id
	});

	function lead(group: Group, id: string) {
		const { leader: _before, ...rest } = group;
		const next = { ...rest, ...(id !== '' && { leader: id }) };
		onapply(arranging(period, { groups: groups.map((each) => (each === group ? next : each)) }));
	}
</script>

{#if groups.length > 0}
	<Fold summary={say(texts.groupLeaders)}>
		{#each groups as group (group.id)}
			<Choice
				id="leader-{group.id}"
				label={say(texts.leaderOf, { letter: bibLook(group.bib).letter })}
				of={group.players.filter((id) => comes.has(id)).map(named)}
				chosen={group.leader ?? ''}
				none={say(texts.nobody)}
				onchoose={(id) => lead(group, id)}
			/>
		{/each}
	</Fold>
{/if}
