<script lang="ts">
	import { Button, NumberInput, Select, SelectItem } from 'carbon-components-svelte';
	import {
		climbKind,
		type ClimbKind,
		countedBy,
		inMinutes,
		wholeLadder,
		withNextStep,
		withStepMinutes
	} from '$core/building';
	import { resolveDrill } from '$core/drill';
	import type { Drill } from '$core/model/drill';
	import type { Block, ClimbStep } from '$core/model/practice';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/inspector';

	/** The steps of a block, or of one of its copies: rung, length and side of each, in their order. */
	let {
		id,
		drill,
		climb: stored,
		minutes,
		onclimb
	}: {
		id: string;
		drill: Drill;
		climb: Block['climb'];
		/** Minutes of the block. */
		minutes: number;
		onclimb: (climb: Block['climb']) => void;
	} = $props();

	const say = useWords();
	const kind = $derived(climbKind(stored));
	/** What the steps last in this block: their minutes are shares of its own. */
	const climb = $derived(inMinutes(stored, minutes));
	const value = (event: Event) => (event.target as HTMLSelectElement).value;
	const sidesOf = (rung: string | undefined) => {
		const resolved = resolveDrill(drill, rung);
		return (resolved.ok ? resolved.value : drill).sides?.names ?? [];
	};

	/** Other steps, which share the block's minutes again. */
	const take = (steps: Block['climb']) => onclimb(inMinutes(steps, minutes));
	function change(index: number, next: Partial<ClimbStep>) {
		const step = Object.fromEntries(
			Object.entries({ ...climb[index], ...next }).filter(([, each]) => each !== undefined)
		);
		onclimb(climb.with(index, step));
	}
	function setRung(index: number, rung: string) {
		const side = climb[index].side;
		const keeps = side !== undefined && sidesOf(rung || undefined).includes(side);
		change(index, { rung: rung || undefined, ...(!keeps && { side: undefined }) });
	}
	function setLength(index: number, length: number | null) {
		const most = kind === 'turns' ? 500 : 600;
		if (length === null || !Number.isInteger(length) || length < 1 || length > most) return;
		if (climb[index][kind] === length) return;
		if (kind === 'turns') change(index, { turns: length });
		else onclimb(withStepMinutes(climb, { index, length, minutes }));
	}
	const count = (event: Event) =>
		onclimb(countedBy(climb, { kind: value(event) as ClimbKind, minutes }));
</script>

<fieldset>
	<legend>{say(climb.length > 1 ? texts.stepsOfTheClimb : texts.rung)}</legend>
	<ol>
		{#each climb as step, index (index)}
			{@const sides = sidesOf(step.rung)}
			<li class:several={climb.length > 1}>
				<Select
					id="{id}-rung-{index}"
					size="sm"
					labelText={climb.length > 1
						? say(texts.rungOfStep, { step: index + 1 })
						: say(texts.rung)}
					hideLabel
					selected={step.rung ?? ''}
					on:change={(event) => setRung(index, value(event))}
				>
					<SelectItem value="" text={say(texts.theDrillItself)} />
					{#each drill.rungs as rung (rung.id)}
						<SelectItem value={rung.id} text="{rung.name}: {rung.change}" />
					{/each}
				</Select>
				{#if climb.length > 1 || kind === 'turns'}
					<div class="more">
						<NumberInput
							id="{id}-length-{index}"
							size="sm"
							hideSteppers
							hideLabel
							min={1}
							max={kind === 'turns' ? 500 : 600}
							labelText={say(kind === 'turns' ? texts.turnsOfStep : texts.minutesOfStep, {
								step: index + 1
							})}
							value={step[kind] ?? 1}
							on:change={(event) => setLength(index, event.detail)}
						/>
						<span>{say(kind === 'turns' ? texts.turnsUnit : texts.minutesUnit)}</span>
						{#if climb.length > 1}
							<button
								class="link"
								aria-label={say(texts.removeStep, { step: index + 1 })}
								onclick={() => take(climb.toSpliced(index, 1))}>{say(texts.remove)}</button
							>
						{/if}
					</div>
				{/if}
				{#if sides.length > 0}
					<Select
						id="{id}-side-{index}"
						size="sm"
						hideLabel
						labelText={say(texts.sideOfStep, { step: index + 1 })}
						selected={step.side ?? ''}
						on:change={(event) => change(index, { side: value(event) || undefined })}
					>
						<SelectItem value="" text={say(texts.sidesInTurn)} />
						{#each sides as side (side)}<SelectItem value={side} text={side} />{/each}
					</Select>
				{/if}
			</li>
		{/each}
	</ol>
	{#if climb.length > 1 && kind === 'minutes'}
		<p class="sum">{say(texts.stepsShare, { minutes })}</p>
	{/if}
	<div class="foot">
		{#if climb.length < 20}
			<Button kind="ghost" size="small" on:click={() => take(withNextStep(climb, drill))}
				>{say(texts.addStep)}</Button
			>
		{/if}
		{#if drill.rungs.length > 1 && climb.length === 1 && drill.rungs.length < 20}
			<Button
				kind="ghost"
				size="small"
				on:click={() => onclimb(wholeLadder(drill, { kind, minutes }))}
				>{say(texts.wholeLadder)}</Button
			>
		{/if}
		<Select
			id="{id}-kind"
			size="sm"
			inline
			labelText={say(texts.stepsEndBy)}
			selected={kind}
			on:change={count}
		>
			<SelectItem value="minutes" text={say(texts.minutesUnit)} />
			<SelectItem value="turns" text={say(texts.turnsUnit)} />
		</Select>
	</div>
</fieldset>

<style>
	fieldset {
		border: 0;
		padding: 0;
		min-width: 0;
	}
	legend {
		font-size: 13px;
		font-weight: 700;
		padding-bottom: 3px;
	}
	ol {
		display: grid;
		grid-template-columns: minmax(0, 1fr);
		gap: 10px;
	}
	li {
		display: grid;
		grid-template-columns: minmax(0, 1fr);
		gap: 3px;
	}
	.several {
		border-left: 3px solid var(--action);
		padding-left: 6px;
	}
	.more {
		display: grid;
		grid-template-columns: 64px 1fr auto;
		align-items: center;
		gap: 6px;
		font-size: 13px;
	}
	.more :global(.bx--number input) {
		min-width: 0;
		padding-right: 6px;
	}
	.sum {
		font-size: 13px;
		color: var(--ink-2);
		padding-top: 4px;
	}
	.foot {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 2px 4px;
	}
	.foot :global(.bx--btn) {
		padding: 0 7px;
		min-width: 0;
	}
	.foot :global(.bx--select--inline .bx--label) {
		margin: 0;
	}
</style>
