<script lang="ts">
	import Board from '$lib/components/board/Board.svelte';
	import type { PageData } from './$types';

	let { data }: { data: PageData } = $props();
</script>

{#key data.stored.practice.id}<Board {data} />{/key}
