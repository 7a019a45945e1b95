<script lang="ts">
	import DrillForm from '$lib/components/drafting/DrillForm.svelte';
	import Page from '$lib/components/page/Page.svelte';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/drills';
	import type { ActionData, PageData } from './$types';

	let { data, form }: { data: PageData; form: ActionData } = $props();

	const say = useWords();
	const INTRO = say(texts.savingMakesANewRevisionPractices);
</script>

<Page
	team={data.team}
	current="drills"
	title={say(texts.editDrill, { name: data.drill.name })}
	intro={INTRO}
>
	{#snippet ways()}
		<a href="/{data.team.id}/drills/{encodeURIComponent(data.drill.id)}"
			>{say(texts.backToTheDrill)}</a
		>
	{/snippet}
	<DrillForm drill={data.drill} team={data.team} misfit={form?.misfit ?? null} stamp={data.stamp} />
</Page>
