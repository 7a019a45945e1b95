<script lang="ts">
	import type { SkillAreas } from '$core/model/skill';
	import type { Facet, ShelfAsk, ShelfFilter } from '$core/shelf';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/shelf';
	import { choicesOf } from './choices';

	/** What is looked for on the shelf, and for whom; it asks again as soon as something is changed. */
	let {
		words,
		filter,
		ask,
		facets,
		areas,
		zones,
		coming,
		fitting
	}: {
		words: string;
		filter: ShelfFilter;
		ask: ShelfAsk;
		facets: readonly Facet[];
		areas: SkillAreas;
		zones: readonly { id: string; name: string }[];
		/** Who comes to the next practice. */
		coming: { players: number; adults: number };
		/** How many of what was found can run here. */
		fitting: number;
	} = $props();

	const say = useWords();
	let form: HTMLFormElement | undefined = $state();
	let timer: ReturnType<typeof setTimeout> | undefined;

	const CHOICES: readonly { key: Facet['key']; name: string; any: string }[] = [
		{ key: 'skill', name: say(texts.skillAndStage), any: say(texts.any) },
		{ key: 'family', name: say(texts.family), any: say(texts.any) },
		{ key: 'frequency', name: say(texts.howOften), any: say(texts.any) },
		{ key: 'effort', name: say(texts.effortAtMost), any: say(texts.any) },
		{ key: 'contact', name: say(texts.contactAtMost), any: say(texts.any) },
		{ key: 'unused', name: say(texts.notUsedFor), any: say(texts.anyTime) }
	];
	const NUMBERS = $derived([
		{ key: 'players', name: say(texts.playersHere), usual: coming.players, least: 1, most: 500 },
		{ key: 'adults', name: say(texts.adultsFree), usual: coming.adults, least: 0, most: 100 },
		{ key: 'minutes', name: say(texts.minutes), usual: 12, least: 1, most: 120 }
	] as const);
	const askAgain = () => form?.requestSubmit();
	/** Words are searched for a moment after the last letter. */
	function later() {
		clearTimeout(timer);
		timer = setTimeout(askAgain, 250);
	}
</script>

<form bind:this={form} data-sveltekit-keepfocus data-sveltekit-noscroll data-sveltekit-replacestate>
	<label class="caption words">
		{say(texts.words)}
		<input
			class="typed"
			name="words"
			type="search"
			maxlength="200"
			value={words}
			placeholder={say(texts.nameCueKit)}
			oninput={later}
		/>
	</label>
	{#each CHOICES as { key, name, any } (key)}
		<label class="caption">
			{name}
			<select class="typed" name={key} value={String(filter[key] ?? '')} onchange={askAgain}>
				<option value="">{any}</option>
				{#each choicesOf(key, facets, { areas, say }) as choice (choice.value)}
					<option value={choice.value}
						>{key === 'skill' ? choice.name : choice.name} ({choice.count})</option
					>
				{/each}
			</select>
		</label>
	{/each}
	<fieldset>
		<legend>{say(texts.for)}</legend>
		{#each NUMBERS as { key, name, usual, least, most } (key)}
			<label class="caption">
				{name}
				<input
					class="typed"
					name={key}
					type="number"
					min={least}
					max={most}
					step="1"
					value={ask[key] ?? ''}
					placeholder={String(usual)}
					onchange={askAgain}
				/>
			</label>
		{/each}
		<label class="caption">
			{say(texts.groundFree)}
			<select class="typed" name="zone" value={ask.zone ?? ''} onchange={askAgain}>
				<option value="">{say(texts.allOfIt)}</option>
				{#each zones as { id, name } (id)}<option value={id}>{name}</option>{/each}
			</select>
		</label>
		<label class="tickable">
			<input
				name="fits"
				type="checkbox"
				value="yes"
				checked={filter.fits ?? false}
				onchange={askAgain}
			/>
			{say(texts.onlyWhatCanRun, { fitting })}
		</label>
	</fieldset>
</form>

<style>
	form {
		display: grid;
		grid-template-columns: 1.4fr 1.5fr repeat(5, 1fr);
		gap: 8px 14px;
		padding-bottom: 10px;
		border-bottom: 1px solid var(--ink);
	}
	fieldset {
		grid-column: 1 / -1;
		display: flex;
		flex-wrap: wrap;
		gap: 8px 14px;
		align-items: end;
		border: 0;
		padding: 0;
		margin: 0;
	}
	legend {
		float: left;
		align-self: center;
		font-size: 14px;
		font-weight: 700;
		padding: 14px 4px 0 0;
	}
	fieldset > .caption {
		width: 104px;
	}
	fieldset > .tickable,
	fieldset > .caption:has(select) {
		width: auto;
	}
	@media (max-width: 900px) {
		form {
			grid-template-columns: 1fr 1fr;
		}
		.words {
			grid-column: 1 / -1;
		}
		legend {
			width: 100%;
			padding: 0;
		}
	}
</style>
