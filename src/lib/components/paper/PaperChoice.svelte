<script lang="ts">
	import { Checkbox, Select, SelectItem } from 'carbon-components-svelte';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/handOut';
	import { KINDS, type Kind } from './handOut';

	/** What is printed, on which paper, and whether people go by their names. */
	let {
		kind = $bindable(),
		isLetter = $bindable(),
		numbersOnly = $bindable()
	}: { kind: Kind; isLetter: boolean; numbersOnly: boolean } = $props();

	const say = useWords();
	const NAMES: Record<Kind, string> = {
		plan: say(texts.plan),
		stations: say(texts.stations),
		groups: say(texts.groups),
		adults: say(texts.adults),
		carry: say(texts.carry),
		starts: say(texts.starts)
	};
</script>

<Select id="hand-out" size="sm" labelText={say(texts.what)} bind:selected={kind}>
	{#each KINDS as each (each)}<SelectItem value={each} text={NAMES[each]} />{/each}
</Select>
{#if kind !== 'plan'}
	<Select
		id="hand-out-paper"
		size="sm"
		labelText={say(texts.page)}
		selected={isLetter ? 'letter' : 'a4'}
		on:change={(event) => (isLetter = (event.target as HTMLSelectElement).value === 'letter')}
	>
		<SelectItem value="a4" text={say(texts.isA4)} />
		<SelectItem value="letter" text={say(texts.isLetter)} />
	</Select>
{/if}
{#if kind !== 'plan' && kind !== 'carry' && kind !== 'starts'}
	<Checkbox labelText={say(texts.numbersOnly)} bind:checked={numbersOnly} />
{/if}
