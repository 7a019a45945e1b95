<script lang="ts">
	import type { Snippet } from 'svelte';
	import { provideWords } from '$lib/components/page/words.svelte';
	import type { LayoutData } from './$types';

	let { data, children }: { data: LayoutData; children: Snippet } = $props();

	provideWords(() => data.words);
</script>

{@render children()}
