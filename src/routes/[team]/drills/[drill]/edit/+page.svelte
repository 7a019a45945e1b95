<script lang="ts">
	import { kept } from '$core/words';
	import DrillForm from '$lib/components/drafting/DrillForm.svelte';
	import Page from '$lib/components/page/Page.svelte';
	import { useWording } from '$lib/components/page/wording.svelte';
	import type { ActionData, PageData } from './$types';

	let { data, form }: { data: PageData; form: ActionData } = $props();

	const w = useWording();
	const INTRO = 'Saving makes a new revision; practices keep the one that they were built with.';
</script>

<Page team={data.team} current="drills" title="Edit {kept(data.drill.name)}" intro={INTRO}>
	{#snippet ways()}
		<a href="/{data.team.id}/drills/{encodeURIComponent(data.drill.id)}">{w('Back to the drill')}</a
		>
	{/snippet}
	<DrillForm drill={data.drill} team={data.team} misfit={form?.misfit ?? null} stamp={data.stamp} />
</Page>
