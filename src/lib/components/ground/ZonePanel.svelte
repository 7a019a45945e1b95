<script lang="ts">
	import { Button } from 'carbon-components-svelte';
	import { assertNever } from '$core/base';
	import { zonesBeside, type Beside } from '$core/ground';
	import type { Zone } from '$core/model/team';
	import type { GroundEditor } from '$lib/state/groundEditor.svelte';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/ground';
	import { metres } from './extent';
	import Metres from './Metres.svelte';

	/** A zone in numbers: where and how large, what stands in it, what lies beside it. */
	let {
		editor,
		zone,
		items,
		clearMetres,
		wrong
	}: {
		editor: GroundEditor;
		zone: Zone;
		/** Things that may stand in a zone. */
		items: readonly string[];
		clearMetres: number;
		/** The field that was refused. */
		wrong: string | null;
	} = $props();

	const say = useWords();
	let along = $state(2);
	let across = $state(1);
	let item = $state('');

	const fixtures = $derived(Object.entries(zone.fixtures ?? {}));
	const others = $derived(items.filter((each) => !(each in (zone.fixtures ?? {}))));
	const beside = $derived(zonesBeside(editor.shown, zone, clearMetres));

	const set = (change: Partial<Zone>) => editor.setZone({ ...zone, ...change });
	function setFixture(name: string, count: number | undefined) {
		const { [name]: _before, ...rest } = zone.fixtures ?? {};
		const next = count ? { ...rest, [name]: count } : rest;
		const { fixtures: _all, ...bare } = zone;
		editor.setZone(Object.keys(next).length > 0 ? { ...bare, fixtures: next } : bare);
	}
	function besideWords({ how, shared, gap, zone: other }: Beside): string {
		switch (how) {
			case 'within':
				return say(texts.isPartOfIt, { name: other.name });
			case 'around':
				return say(texts.partOf, { name: other.name });
			case 'overlaps':
				return say(texts.sharesMWith, { area: Math.round(shared), name: other.name });
			case 'near':
				return gap < 0.01
					? say(texts.touches, { name: other.name })
					: say(texts.fromIsSetAsClear, {
							gap: metres(gap),
							name: other.name,
							clear: metres(clearMetres)
						});
			default:
				return assertNever(how);
		}
	}
</script>

<section aria-label={say(texts.zone)}>
	<button type="button" class="link" onclick={() => (editor.selected = null)}
		>{say(texts.backToTheWholeGround)}</button
	>
	<label class="caption title" for="zone-name">
		{say(texts.zone)}
		<input
			class="typed"
			id="zone-name"
			maxlength="200"
			aria-invalid={wrong === 'name' || undefined}
			value={zone.name}
			onchange={(event) => set({ name: event.currentTarget.value })}
		/>
	</label>
	<div class="four">
		<Metres
			id="zone-x"
			label={say(texts.fromTheLeft)}
			value={zone.x}
			onset={(x) => set({ x: x ?? zone.x })}
		/>
		<Metres
			id="zone-y"
			label={say(texts.fromTheTop)}
			value={zone.y}
			onset={(y) => set({ y: y ?? zone.y })}
		/>
		<Metres
			id="zone-length"
			label={say(texts.long)}
			least={0.5}
			value={zone.length}
			onset={(length) => set({ length: length ?? zone.length })}
		/>
		<Metres
			id="zone-width"
			label={say(texts.wide)}
			least={0.5}
			value={zone.width}
			onset={(width) => set({ width: width ?? zone.width })}
		/>
	</div>
	<h3>{say(texts.standsInIt)}</h3>
	{#each fixtures as [name, count] (name)}
		<div class="fixture">
			<span>{name}</span>
			<Metres
				id="fixture-{name}"
				label={say(texts.howMany, { name })}
				quiet
				unit=""
				least={0}
				value={count}
				onset={(value) => setFixture(name, value)}
			/>
			<button
				type="button"
				class="link"
				aria-label={say(texts.takeAway, { name })}
				onclick={() => setFixture(name, undefined)}>{say(texts.remove)}</button
			>
		</div>
	{/each}
	<div class="add">
		<input
			class="typed"
			list="fixture-items"
			aria-label={say(texts.goalHoopNetOrWallTo)}
			placeholder={say(texts.goalHoopNetWall)}
			maxlength="100"
			bind:value={item}
		/>
		<datalist id="fixture-items">
			{#each others as other (other)}<option value={other}></option>{/each}
		</datalist>
		<button
			type="button"
			class="link"
			disabled={item.trim() === ''}
			onclick={() => {
				setFixture(item.trim(), 1);
				item = '';
			}}>{say(texts.addHere)}</button
		>
	</div>
	<h3>{say(texts.besideIt)}</h3>
	<ul>
		{#each beside as each (each.zone.id)}
			<li class:slip={each.how === 'overlaps'}>{besideWords(each)}</li>
		{:else}
			<li>{say(texts.nothingWithin, { metres: metres(clearMetres) })}</li>
		{/each}
	</ul>
	<div class="divide">
		<Metres
			id="divide-along"
			label={say(texts.partsAlong)}
			unit=""
			least={1}
			most={12}
			value={along}
			onset={(value) => (along = Math.round(value ?? 1))}
		/>
		<Metres
			id="divide-across"
			label={say(texts.partsAcross)}
			unit=""
			least={1}
			most={12}
			value={across}
			onset={(value) => (across = Math.round(value ?? 1))}
		/>
		<Button
			size="small"
			kind="tertiary"
			disabled={along * across < 2}
			on:click={() => editor.divide(zone, { along, across })}
		>
			{say(texts.divideInto, { across: along * across })}
		</Button>
	</div>
	<div class="actions">
		<Button size="small" kind="tertiary" on:click={() => editor.copy(zone)}
			>{say(texts.copyIt)}</Button
		>
		<Button size="small" kind="danger-tertiary" on:click={() => editor.remove(zone)}
			>{say(texts.removeTheZone)}</Button
		>
	</div>
</section>

<style>
	section {
		display: grid;
		gap: 8px;
	}
	.title .typed {
		font-size: 17px;
		font-weight: 750;
	}
	.four {
		display: grid;
		grid-template-columns: repeat(4, 1fr);
		gap: 8px;
	}
	h3 {
		font-size: 13px;
		font-weight: 700;
		padding-top: 6px;
	}
	.fixture,
	.add {
		display: grid;
		grid-template-columns: 1fr 70px auto;
		gap: 10px;
		align-items: end;
		font-size: 14px;
	}
	.add {
		grid-template-columns: 1fr auto;
	}
	li {
		font-size: 13px;
		line-height: 1.5;
	}
	.slip {
		font-weight: 700;
		color: var(--wait-ink);
	}
	.divide {
		display: grid;
		grid-template-columns: 80px 80px 1fr;
		gap: 10px;
		align-items: end;
		padding-top: 6px;
		border-top: 1px solid var(--rule);
	}
	.actions {
		display: flex;
		gap: 10px;
	}
</style>
