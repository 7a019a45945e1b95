<script lang="ts">
	import { onMount } from 'svelte';
	import Board from '$lib/components/board/Board.svelte';
	import type { PageData } from './$types';

	let { data }: { data: PageData } = $props();

	// The browser plays the practice and draws from it: the server does not do the same beforehand.
	let isInBrowser = $state(false);
	onMount(() => (isInBrowser = true));
</script>

{#if isInBrowser}
	{#key data.stored.practice.id}<Board {data} />{/key}
{/if}
