<script lang="ts" module>
	import { getContext, setContext } from 'svelte';

	/** Looks for drills on the whole shelf, where a board has only some of them at hand. */
	interface WholeShelf {
		find: (words: string) => Promise<void>;
		/** How many there are in all. */
		count: number;
	}
	const KEY = Symbol();
	/** Lets every choice of a drill below look on the whole shelf. */
	export const useWholeShelf = (shelf: WholeShelf): WholeShelf => setContext(KEY, shelf);
</script>

<script lang="ts">
	import { TextInput } from 'carbon-components-svelte';
	import type { Drill } from '$core/model/drill';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/inspector';
	import Choice from '../page/Choice.svelte';
	import { byName } from '../page/byName';
	import { matches } from '../shelf/fits';

	/** One of the drills that are at hand; others are looked for by their words. */
	let {
		id,
		label,
		drills,
		keyOf = (drill) => drill.id,
		chosen,
		none,
		onchoose
	}: {
		id: string;
		label: string;
		drills: readonly Drill[];
		keyOf?: (drill: Drill) => string;
		/** Key of what is chosen; empty for none. */
		chosen: string;
		none?: string;
		onchoose: (key: string) => void;
	} = $props();

	const say = useWords();
	const LOOK_AFTER_MILLISECONDS = 250;
	const whole = getContext<WholeShelf | undefined>(KEY);
	let words = $state('');
	const canLook = $derived(whole !== undefined && whole.count > drills.length);
	const shown = $derived(
		byName(drills).filter(
			(drill) => words.trim() === '' || keyOf(drill) === chosen || matches(drill, words)
		)
	);
	$effect(() => {
		const asked = words.trim();
		if (asked === '' || !whole || !canLook) return;
		const timer = setTimeout(() => void whole.find(asked), LOOK_AFTER_MILLISECONDS);
		return () => clearTimeout(timer);
	});
</script>

{#if canLook}
	<TextInput
		id="{id}-words"
		size="sm"
		labelText={say(texts.findADrill, { label })}
		placeholder={say(texts.wordsOfADrill)}
		bind:value={words}
	/>
{/if}
<Choice
	{id}
	{label}
	of={shown.map((drill) => ({ id: keyOf(drill), name: drill.name }))}
	{chosen}
	{none}
	{onchoose}
/>
