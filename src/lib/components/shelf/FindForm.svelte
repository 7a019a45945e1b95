<script lang="ts">
	import type { SkillAreas } from '$core/model/skill';
	import type { Facet, ShelfAsk, ShelfFilter } from '$core/shelf';
	import { useWording } from '../page/wording.svelte';
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

	const w = useWording();
	let form: HTMLFormElement | undefined = $state();
	let timer: ReturnType<typeof setTimeout> | undefined;

	const CHOICES: readonly { key: Facet['key']; name: string; any: string }[] = [
		{ key: 'skill', name: 'Skill and stage', any: 'any' },
		{ key: 'family', name: 'Family', any: 'any' },
		{ key: 'frequency', name: 'How often', any: 'any' },
		{ key: 'effort', name: 'Effort at most', any: 'any' },
		{ key: 'contact', name: 'Contact at most', any: 'any' },
		{ key: 'unused', name: 'Not used for', any: 'any time' }
	];
	const NUMBERS = $derived([
		{ key: 'players', name: 'Players here', usual: coming.players, least: 1, most: 500 },
		{ key: 'adults', name: 'Adults free', usual: coming.adults, least: 0, most: 100 },
		{ key: 'minutes', name: 'Minutes', usual: 12, least: 1, most: 120 }
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
		{w('Words')}
		<input
			class="typed"
			name="words"
			type="search"
			maxlength="200"
			value={words}
			placeholder={w('name, cue, kit …')}
			oninput={later}
		/>
	</label>
	{#each CHOICES as { key, name, any } (key)}
		<label class="caption">
			{w(name)}
			<select class="typed" name={key} value={String(filter[key] ?? '')} onchange={askAgain}>
				<option value="">{w(any)}</option>
				{#each choicesOf(key, facets, areas) as choice (choice.value)}
					<option value={choice.value}
						>{key === 'skill' ? choice.name : w(choice.name)} ({choice.count})</option
					>
				{/each}
			</select>
		</label>
	{/each}
	<fieldset>
		<legend>{w('For')}</legend>
		{#each NUMBERS as { key, name, usual, least, most } (key)}
			<label class="caption">
				{w(name)}
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
			{w('Ground free')}
			<select class="typed" name="zone" value={ask.zone ?? ''} onchange={askAgain}>
				<option value="">{w('all of it')}</option>
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
			{w('only what can run')} ({fitting})
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
