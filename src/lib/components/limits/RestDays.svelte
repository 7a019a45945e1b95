<script lang="ts">
	import { Button, NumberInput, Select, SelectItem } from 'carbon-components-svelte';
	import type { Limits } from '$core/model/limits';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/limits';

	/** Days of rest after much of something, a row each; those of other sports stay as they are and are not shown. */
	let {
		rests,
		kinds,
		onrests
	}: {
		rests: Limits['rest'];
		/** What the team counts. */
		kinds: readonly string[];
		onrests: (rests: Limits['rest']) => void;
	} = $props();

	const say = useWords();
	const set = (index: number, change: Partial<Limits['rest'][number]>) => {
		const { under, ...rest } = { ...rests[index], ...change };
		onrests(rests.with(index, { ...rest, ...(under !== undefined && { under }) }));
	};
</script>

<fieldset>
	<legend>{say(texts.restDays)}</legend>
	{#each rests as { kind, under, from, days }, index (index)}
		{#if kinds.includes(kind)}
			<div class="rest">
				<Select
					id="rest-kind-{index}"
					size="sm"
					labelText={say(texts.loadKind)}
					selected={kind}
					on:update={(event) => set(index, { kind: String(event.detail) })}
				>
					{#each kinds as each (each)}<SelectItem value={each} text={each} />{/each}
				</Select>
				<NumberInput
					id="rest-from-{index}"
					size="sm"
					hideSteppers
					min={1}
					labelText={say(texts.restFrom)}
					value={from}
					on:input={(event) => set(index, { from: event.detail ?? 1 })}
				/>
				<NumberInput
					id="rest-days-{index}"
					size="sm"
					hideSteppers
					min={1}
					max={6}
					labelText={say(texts.restDaysAfter)}
					value={days}
					on:input={(event) => set(index, { days: event.detail ?? 1 })}
				/>
				<NumberInput
					id="rest-under-{index}"
					size="sm"
					hideSteppers
					allowEmpty
					min={1}
					max={99}
					labelText={say(texts.loadUnder)}
					value={under ?? null}
					on:input={(event) => set(index, { under: event.detail ?? undefined })}
				/>
				<button
					type="button"
					class="link"
					aria-label={say(texts.removeRest, { kind })}
					onclick={() => onrests(rests.toSpliced(index, 1))}>{say(texts.remove)}</button
				>
			</div>
		{/if}
	{/each}
	{#if kinds.length > 0}
		<Button
			kind="ghost"
			size="small"
			type="button"
			on:click={() => onrests([...rests, { kind: kinds[0], from: 30, days: 1 }])}
			>{say(texts.addRest)}</Button
		>
	{/if}
</fieldset>

<style>
	fieldset {
		border: 0;
		padding: 0;
		min-width: 0;
		display: grid;
		gap: 8px;
		justify-items: start;
	}
	legend {
		font-size: 12px;
		padding: 0 0 4px;
	}
	.rest {
		display: grid;
		grid-template-columns: minmax(0, 2fr) repeat(3, minmax(0, 1fr));
		gap: 4px 8px;
		align-items: end;
		width: 100%;
	}
	.rest :global(.bx--number input) {
		min-width: 0;
		padding-right: 6px;
	}
	.link {
		justify-self: start;
	}
</style>
