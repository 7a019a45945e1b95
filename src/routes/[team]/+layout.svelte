<script lang="ts">
	import type { Snippet } from 'svelte';
	import { provideWording } from '$lib/components/page/wording.svelte';
	import type { LayoutData } from './$types';

	let { data, children }: { data: LayoutData; children: Snippet } = $props();

	provideWording(() => data.words);
</script>

{@render children()}
