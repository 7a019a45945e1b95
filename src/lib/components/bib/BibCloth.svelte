<script lang="ts">
	import type { BibLook } from './bibs';

	/** The pattern of a bib over a box of 24 × 24, to be clipped to the tabard. */
	let { look }: { look: BibLook } = $props();
</script>

<rect width="24" height="24" fill={look.cloth} />
{#if look.pattern === 'hoops'}
	<path d="M0 5h24M0 11h24M0 17h24M0 23h24" stroke={look.mark} stroke-width="2.4" />
{:else if look.pattern === 'halves'}
	<rect width="12" height="24" fill={look.mark} />
{:else if look.pattern === 'sash'}
	<path d="M1 3L23 23" stroke={look.mark} stroke-width="7" />
{:else if look.pattern === 'quarters'}
	<path d="M0 0h12v12H0zM12 12h12v12H12z" fill={look.mark} />
{:else if look.pattern === 'band'}
	<rect y="15" width="24" height="5.5" fill={look.mark} />
	<rect y="2" width="24" height="4" fill={look.mark} />
{:else if look.pattern === 'checks'}
	<path
		d="M0 0h4v4H0zM8 0h4v4H8zM16 0h4v4h-4zM4 4h4v4H4zM12 4h4v4h-4zM20 4h4v4h-4zM0 8h4v4H0zM8 8h4v4H8zM16 8h4v4h-4zM4 12h4v4H4zM12 12h4v4h-4zM20 12h4v4h-4zM0 16h4v4H0zM8 16h4v4H8zM16 16h4v4h-4zM4 20h4v4H4zM12 20h4v4h-4zM20 20h4v4h-4z"
		fill={look.mark}
	/>
{:else if look.pattern === 'pinstripes'}
	<path d="M3 0v24M7.5 0v24M12 0v24M16.5 0v24M21 0v24" stroke={look.mark} stroke-width="1.6" />
{/if}
