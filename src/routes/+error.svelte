<script lang="ts">
	import { page } from '$app/state';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/page';

	const say = useWords();
</script>

<svelte:head><title>{say(texts.titleOfError, { status: page.status })}</title></svelte:head>

<main>
	<h1 class="wide">{page.error?.message ?? say(texts.somethingWentWrong)}</h1>
	<p>{say(texts.nothingThatWasSavedIsLost)} <a href="/">{say(texts.goToThePractices)}</a></p>
</main>

<style>
	main {
		padding: 48px 24px;
		display: grid;
		gap: 12px;
	}
	h1 {
		font-size: 22px;
	}
	a {
		color: var(--action);
	}
</style>
