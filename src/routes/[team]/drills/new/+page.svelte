<script lang="ts">
	import DrillForm from '$lib/components/drafting/DrillForm.svelte';
	import Page from '$lib/components/page/Page.svelte';
	import { useWording } from '$lib/components/page/wording.svelte';
	import type { ActionData, PageData } from './$types';

	let { data, form }: { data: PageData; form: ActionData } = $props();

	const w = useWording();
</script>

<Page
	team={data.team}
	current="drills"
	title="New drill"
	intro="Who stands where, how long a turn takes, who goes where after it: the rest is computed."
>
	{#snippet ways()}
		<a href="/{data.team.id}/drills">{w('Back to the shelf')}</a>
	{/snippet}
	<DrillForm drill={data.drill} team={data.team} misfit={form?.misfit ?? null} />
</Page>
