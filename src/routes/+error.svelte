<script lang="ts">
	import { page } from '$app/state';
</script>

<svelte:head><title>{page.status} · Field Plan</title></svelte:head>

<main>
	<h1 class="wide">{page.error?.message ?? 'Something went wrong.'}</h1>
	<p>Nothing that was saved is lost. <a href="/">Go to the practices</a></p>
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
