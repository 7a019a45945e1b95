<script lang="ts">
	import SceneForm from '$lib/components/scene/SceneForm.svelte';
	import Page from '$lib/components/page/Page.svelte';
	import { dayWords } from '$lib/components/page/dates';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/scenes';
	import type { ActionData, PageData } from './$types';

	let { data, form }: { data: PageData; form: ActionData } = $props();

	const say = useWords();
	const isFix = $derived(data.list === 'fixes');
	const games = $derived(
		data.games.map(({ id, opponent, date }) => ({
			id,
			name: say(texts.gameOn, { name: opponent, day: dayWords(date) })
		}))
	);
</script>

<Page
	team={data.team}
	current={isFix ? 'fixes' : 'game-week'}
	title={say(isFix ? texts.newFix : texts.newSeed)}
	heading={data.scene.name || say(isFix ? texts.newFix : texts.newSeed)}
	wide
>
	{#snippet ways()}
		<a href="/{data.team.id}/{isFix ? 'fixes' : 'game-week'}"
			>{say(isFix ? texts.backToFixes : texts.backToGame)}</a
		>
	{/snippet}
	{#key data.scene.id}
		<SceneForm
			scene={data.scene}
			list={data.list}
			season={data.season}
			team={data.drawnWith}
			grounds={data.grounds}
			{games}
			stamp={data.stamp}
			misfit={form?.misfit ?? null}
		/>
	{/key}
</Page>
