<script lang="ts">
	import Metres from '../ground/Metres.svelte';
	import { useWords } from '$lib/components/page/words.svelte';
	import { called } from '$words';
	import type { DrillDraft } from './draft.svelte';
	import type { FieldGroup } from './fields';
	import Lines from './Lines.svelte';
	import { PART_TABLES } from './partRows';

	/** The inputs of a group of fields, each with what the drill or the chosen rung has there. */
	let { draft, group }: { draft: DrillDraft; group: FieldGroup } = $props();

	const say = useWords();
	const idOf = (index: number) => `${group.id}-${index}`;
	/** The name of the group says what its only input is. */
	const isAlone = $derived(group.inputs.length === 1 && PART_TABLES[group.id] === undefined);
</script>

<div class="inputs" class:four={group.inputs.length === 4}>
	{#each group.inputs as input, index (index)}
		{#if input.kind === 'number'}
			<Metres
				id={idOf(index)}
				label={say(input.label)}
				quiet={isAlone}
				unit={input.unit}
				least={input.least}
				most={input.most}
				value={input.value(draft.typed, draft.calling)}
				onset={(value) => draft.set(input.write(draft.typed, value, draft.calling))}
			/>
		{:else if input.kind === 'tick'}
			<label class="tickable">
				<input
					type="checkbox"
					checked={input.value(draft.typed, draft.calling)}
					onchange={(event) =>
						draft.set(input.write(draft.typed, event.currentTarget.checked, draft.calling))}
				/>
				{say(input.label)}
			</label>
		{:else if input.kind === 'choice'}
			<label class="caption">
				<span class:unseen={isAlone}>{say(input.label)}</span>
				<select
					class="typed"
					value={input.value(draft.typed, draft.calling)}
					onchange={(event) =>
						draft.set(input.write(draft.typed, event.currentTarget.value, draft.calling))}
				>
					{#if input.none !== undefined}<option value="">{say(input.none)}</option>{/if}
					{#each input.options as option (option)}<option value={option}
							>{called(option, say)}</option
						>{/each}
				</select>
			</label>
		{:else}
			<div class="line">
				<Lines
					label={say(input.label)}
					hint={input.hint && say(input.hint)}
					many={input.kind === 'lines'}
					quiet={isAlone}
					value={input.value(draft.typed, draft.calling)}
					onset={(typed) => draft.set(input.write(draft.typed, typed, draft.calling))}
				/>
			</div>
		{/if}
	{/each}
</div>

<style>
	.inputs {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(84px, 1fr));
		gap: 8px 14px;
		align-items: end;
		min-width: 0;
	}
	.four {
		grid-template-columns: 1fr 1fr;
	}
	.line,
	.inputs > .tickable {
		grid-column: 1 / -1;
	}
</style>
