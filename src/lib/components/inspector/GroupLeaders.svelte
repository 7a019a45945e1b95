<script lang="ts">
	import { Select, SelectItem } from 'carbon-components-svelte';
	import type { Evaluation } from '$core/playing';
	import type { Group, Period } from '$core/model/practice';
	import { arranging, type Edit } from '$core/practice';
	import { bibLook } from '../bib/bibs';
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
	const name = (id: string) => evaluation.context.playerById.get(id)?.name ?? id;

	function lead(group: Group, id: string) {
		const { leader: _before, ...rest } = group;
		const next = { ...rest, ...(id !== '' && { leader: id }) };
		onapply(arranging(period, { groups: groups.map((each) => (each === group ? next : each)) }));
	}
</script>

{#if groups.length > 0}
	<details>
		<summary>{say(texts.groupLeaders)}</summary>
		<div class="fields">
			{#each groups as group (group.id)}
				<Select
					id="leader-{group.id}"
					size="sm"
					labelText={say(texts.leaderOf, { letter: bibLook(group.bib).letter })}
					selected={group.leader ?? ''}
					on:change={(event) => lead(group, (event.target as HTMLSelectElement).value)}
				>
					<SelectItem value="" text={say(texts.nobody)} />
					{#each group.players.filter((id) => comes.has(id)) as id (id)}
						<SelectItem value={id} text={name(id)} />
					{/each}
				</Select>
			{/each}
		</div>
	</details>
{/if}

<style>
	summary {
		display: list-item;
		list-style: disclosure-closed inside;
		font-size: 13px;
		font-weight: 700;
		padding: 4px 0;
		cursor: pointer;
	}
	details[open] > summary {
		list-style-type: disclosure-open;
	}
	.fields {
		display: grid;
		gap: 8px;
	}
</style>
