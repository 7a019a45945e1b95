<script lang="ts">
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/drafting';
	import TypedTable from '../table/TypedTable.svelte';
	import type { DrillDraft } from './draft.svelte';
	import { skillColumns, skillRows, skillsIn, type SkillRow } from './skillRows';

	/** What a drill is for: its skills with their shares of the time. */
	let { draft, skills }: { draft: DrillDraft; skills: readonly { id: string; name: string }[] } =
		$props();

	const say = useWords();
	let rows: SkillRow[] = $derived(draft.asTyped(skillRows));
	/** The team's skills, and those of the drill that are others. */
	const choices = $derived([
		...skills,
		...draft.typed.skills
			.filter(({ skill }) => skills.every(({ id }) => id !== skill))
			.map(({ skill }) => ({ id: skill, name: skill }))
	]);
	function keep(next: SkillRow[]) {
		rows = next;
		draft.set({ skills: skillsIn(rows, draft.calling) });
	}
	function add() {
		const left = 1 - draft.typed.skills.reduce((sum, { share }) => sum + share, 0);
		const focus = rows.some((row) => row.focus === 'main') ? 'second' : 'main';
		const share = String(Math.round(left * 100));
		keep([...rows, { key: draft.newKey('new-skill'), skill: '', share, focus, spots: '' }]);
	}
</script>

{#if rows.length > 0}
	<TypedTable
		{rows}
		columns={skillColumns(choices, say)}
		nameOf={({ skill }) => choices.find(({ id }) => id === skill)?.name ?? say(texts.theSkill)}
		onchange={(index, row) => keep(rows.with(index, row))}
		onadd={add}
		onremove={(row) => keep(rows.filter(({ key }) => key !== row.key))}
	/>
{/if}
<button type="button" class="link" onclick={add}>{say(texts.addASkill)}</button>

<style>
	.link {
		justify-self: start;
	}
</style>
