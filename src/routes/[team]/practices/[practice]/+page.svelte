<script lang="ts">
	import Board from '$lib/components/board/Board.svelte';
	import InBrowser from '$lib/components/page/InBrowser.svelte';
	import type { PageData } from './$types';

	let { data }: { data: PageData } = $props();
</script>

<InBrowser>
	{#key data.practice}<Board data={JSON.parse(data.board)} />{/key}
</InBrowser>
