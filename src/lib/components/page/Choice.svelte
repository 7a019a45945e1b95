<script lang="ts">
	import { Select, SelectItem } from 'carbon-components-svelte';

	/** One of some things that have names, or none of them. */
	let {
		id,
		label,
		of,
		chosen,
		none,
		onchoose
	}: {
		id: string;
		label: string;
		of: readonly { id: string; name: string }[];
		/** Id of what is chosen; empty for none. */
		chosen: string;
		/** What stands for none; there must be one where it is not said. */
		none?: string;
		/** Told the id, or an empty text for none. */
		onchoose: (id: string) => void;
	} = $props();
</script>

<Select
	{id}
	size="sm"
	labelText={label}
	selected={chosen}
	on:change={(event) => onchoose((event.target as HTMLSelectElement).value)}
>
	{#if none !== undefined}<SelectItem value="" text={none} />{/if}
	{#each of as each (each.id)}<SelectItem value={each.id} text={each.name} />{/each}
</Select>
