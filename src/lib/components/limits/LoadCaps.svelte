<script lang="ts">
	import { Button, NumberInput, TextInput } from 'carbon-components-svelte';
	import { sameValue } from '$core/base';
	import { DEFAULT_LIMITS } from '$core/practice';
	import type { Limits } from '$core/model/limits';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/limits';

	/** Caps on what turns cost a body, a row each; a row without a word and a number is none yet. */
	let {
		caps,
		kinds,
		oncaps
	}: {
		caps: Limits['loads'];
		/** What the team counts; the caps of other sports stay as they are and are not shown. */
		kinds: readonly string[];
		oncaps: (caps: Limits['loads']) => void;
	} = $props();

	const say = useWords();
	/** What the team does not count and nobody has changed: a default for other sports. */
	const isOfOthers = (cap: Limits['loads'][number]) =>
		!kinds.includes(cap.kind) && DEFAULT_LIMITS.loads.some((own) => sameValue(own, cap));
	const set = (index: number, change: Partial<Limits['loads'][number]>) => {
		const { under, day, week, ...rest } = { ...caps[index], ...change };
		oncaps(
			caps.with(index, {
				...rest,
				...(under !== undefined && { under }),
				...(day !== undefined && { day }),
				...(week !== undefined && { week })
			})
		);
	};
</script>

<fieldset>
	<legend>{say(texts.loadCaps)}</legend>
	{#each caps as { kind, under, day, week }, index (index)}
		{#if !isOfOthers(caps[index])}<div class="cap">
				<TextInput
					id="load-kind-{index}"
					size="sm"
					maxlength={80}
					required
					labelText={say(texts.loadKind)}
					value={kind}
					on:input={(event) => set(index, { kind: String(event.detail ?? '') })}
				/>
				<NumberInput
					id="load-day-{index}"
					size="sm"
					hideSteppers
					min={0}
					allowEmpty
					labelText={say(texts.loadDay)}
					value={day ?? null}
					on:input={(event) => set(index, { day: event.detail ?? undefined })}
				/>
				<NumberInput
					id="load-week-{index}"
					size="sm"
					hideSteppers
					min={0}
					allowEmpty
					labelText={say(texts.loadWeek)}
					value={week ?? null}
					on:input={(event) => set(index, { week: event.detail ?? undefined })}
				/>
				<NumberInput
					id="load-under-{index}"
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
					aria-label={say(texts.removeCap, { kind: kind || String(index + 1) })}
					onclick={() => oncaps(caps.toSpliced(index, 1))}>{say(texts.remove)}</button
				>
			</div>{/if}
	{/each}
	<Button
		kind="ghost"
		size="small"
		type="button"
		on:click={() => oncaps([...caps, { kind: '', day: 60 }])}>{say(texts.addCap)}</Button
	>
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
	.cap {
		display: grid;
		grid-template-columns: minmax(0, 2fr) repeat(3, minmax(0, 1fr));
		gap: 4px 8px;
		align-items: end;
		width: 100%;
	}
	.cap :global(.bx--number input) {
		min-width: 0;
		padding-right: 6px;
	}
	.link {
		justify-self: start;
	}
</style>
