<script lang="ts">
	import { pathText } from '$core/base';
	import { Button, Select, SelectItem, TextInput } from 'carbon-components-svelte';
	import { nanoid } from 'nanoid';
	import { untrack } from 'svelte';
	import { enhance } from '$app/forms';
	import { invalidateAll } from '$app/navigation';
	import { page } from '$app/state';
	import { clockAt, compassName, sunOver } from '$core/conditions';
	import { halfOverlaps } from '$core/ground';
	import { copiesServed } from '$core/sizing';
	import type { Ground, Zone } from '$core/model/team';
	import GroundMap from '$lib/components/ground/GroundMap.svelte';
	import GroundPanel from '$lib/components/ground/GroundPanel.svelte';
	import ZonePanel from '$lib/components/ground/ZonePanel.svelte';
	import DraftForm from '$lib/components/page/DraftForm.svelte';
	import Outcome from '$lib/components/page/Outcome.svelte';
	import Page from '$lib/components/page/Page.svelte';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/ground';
	import { howMany } from '$words';
	import { FormDraft } from '$lib/state/formDraft.svelte';
	import { GroundEditor } from '$lib/state/groundEditor.svelte';
	import type { ActionData, PageData } from './$types';
	import { stay } from '$lib/components/page/notice.svelte';

	let { data, form }: { data: PageData; form: ActionData } = $props();

	const say = useWords();
	const editor = new GroundEditor({ stored: () => data.ground, makeId: () => `z-${nanoid(8)}` });
	let drillId = $state('');
	let date = $state(untrack(() => data.next.date));
	let minutes = $state(0);

	const drill = $derived(data.drills.find(({ id }) => id === drillId));
	const misfit = $derived(form && 'misfit' in form ? form.misfit : null);
	const sun = $derived(
		/^\d{4}-\d\d-\d\d$/.test(date)
			? sunOver(editor.ground, {
					date,
					clock: data.next.start,
					timeZone: data.team.timeZone,
					minutes
				})
			: null
	);
	const sunWords = $derived.by(() => {
		if (editor.ground.indoors) return say(texts.underARoofNoSun);
		if (!editor.ground.place) return say(texts.sayWhereItLiesAndThe);
		if (!sun || sun.height <= 0)
			return say(texts.theSunIsDownAt, { clock: clockAt(data.next.start, minutes * 60) });
		return say(texts.theSunIsInTheHigh, {
			direction: compassName(sun.bearing),
			degrees: Math.round(sun.height),
			clock: clockAt(data.next.start, minutes * 60)
		});
	});
	const slips = $derived(halfOverlaps(editor.ground));
	/** The zone that a refusal is about, and its field. */
	const fault = $derived.by(() => {
		const [list, zone, ...field] = misfit?.path ?? [];
		if (list !== 'zones' || typeof zone !== 'number') return null;
		return { zone: editor.ground.zones[zone], field: pathText(field) };
	});

	function holds(zone: Zone): number | null {
		if (!drill) return null;
		return copiesServed(drill, zone, drill.group.ideal);
	}
	const held = $derived(
		editor.shown.zones.reduce((most, zone) => Math.max(most, holds(zone) ?? 0), 0)
	);

	function keys(event: KeyboardEvent) {
		if (!(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== 'z') return;
		if (event.target instanceof HTMLInputElement) return;
		event.preventDefault();
		if (event.shiftKey) editor.redo();
		else editor.undo();
	}
	let sheet: HTMLFormElement | undefined = $state();
	const draft = new FormDraft<Ground>({
		say,
		about: untrack(() => page.url.pathname),
		stamp: () => data.stamp,
		read: () => editor.ground,
		write: (ground) => editor.set(ground),
		isChanged: () => editor.isChanged,
		reload: invalidateAll
	});
</script>

<svelte:window onkeydown={keys} />

<Page team={data.team} current="ground" title={say(texts.ground)} heading={editor.ground.name}>
	{#snippet ways()}
		{#each data.grounds.filter(({ id }) => id !== data.ground.id) as { id, name } (id)}
			<a href="/{data.team.id}/ground/{encodeURIComponent(id)}">{name}</a>
		{/each}
		<form method="POST" action="/{data.team.id}/ground?/add">
			<Button type="submit" size="small" kind="tertiary">{say(texts.anotherGround)}</Button>
		</form>
		<Button size="small" kind="tertiary" disabled={!editor.canUndo} on:click={() => editor.undo()}
			>{say(texts.undo)}</Button
		>
		<DraftForm {draft} action="?/save" bind:form={sheet}>
			<input type="hidden" name="ground" value={JSON.stringify(editor.ground)} />
			<Button type="submit" size="small" disabled={!editor.isChanged}
				>{say(texts.saveTheGround)}</Button
			>
		</DraftForm>
	{/snippet}
	<Outcome
		{misfit}
		where={fault ? say(texts.zoneFault, { name: fault.zone?.name, field: fault.field }) : undefined}
		saved={!!form && 'saved' in form && !editor.isChanged}
		{draft}
		form={sheet}
	/>
	<div class="columns">
		<div class="drawn">
			<GroundMap {editor} {sun} {holds} />
			<div class="tools">
				<Select id="drill" size="sm" labelText={say(texts.copiesOfDrill)} bind:selected={drillId}>
					<SelectItem value="" text={say(texts.noneShown)} />
					{#each data.drills as { id, name } (id)}<SelectItem value={id} text={name} />{/each}
				</Select>
				<p>
					{#if drill}
						{say(texts.mFor, {
							length: drill.ground.length,
							width: drill.ground.width,
							ideal: drill.group.ideal,
							held
						})}
					{/if}
				</p>
				<TextInput
					id="sun-day"
					type="date"
					size="sm"
					labelText={say(texts.sunOn)}
					bind:value={date}
				/>
				<label class="caption" for="sun-minutes">
					{clockAt(data.next.start, minutes * 60)}
					<input
						id="sun-minutes"
						type="range"
						min="0"
						max={data.next.minutes}
						step="5"
						aria-label={say(texts.minutesIntoThePractice)}
						bind:value={minutes}
					/>
				</label>
				<p class="sun">{sunWords}</p>
			</div>
			{#if slips.length > 0}
				<ul class="slips">
					{#each slips as [one, other, shared] (`${one.id} ${other.id}`)}
						<li>
							{say(texts.andShareMTheyCannotBe, {
								one: one.name,
								other: other.name,
								area: Math.round(shared)
							})}
						</li>
					{/each}
				</ul>
			{/if}
		</div>
		<div class="panel">
			{#if editor.zone}
				<ZonePanel
					{editor}
					zone={editor.zone}
					items={data.items}
					clearMetres={data.clearMetres}
					wrong={fault && fault.zone?.id === editor.zone.id ? fault.field : null}
				/>
			{:else}
				<GroundPanel ground={editor.ground} onset={(next) => editor.set(next)} />
				<form method="POST" action="?/remove" use:enhance={stay(say)}>
					{#if data.grounds.length > 1}
						<button class="link">{say(texts.removeThisGround)}</button>
					{/if}
				</form>
			{/if}
			<h2>{say(texts.zones, { zoneCount: editor.ground.zones.length })}</h2>
			<ul>
				{#each editor.shown.zones as zone (zone.id)}
					<li>
						<button
							type="button"
							class="link"
							aria-pressed={zone.id === editor.selected}
							onclick={() => (editor.selected = editor.selected === zone.id ? null : zone.id)}
							>{zone.name}</button
						>
						<span>{zone.length} × {zone.width} m</span>
						<span>
							{Object.entries(zone.fixtures ?? {})
								.map(([item, count]) => howMany(count, item))
								.join(', ')}
						</span>
					</li>
				{:else}
					<li>{say(texts.noneYetTheBoardNeedsOne)}</li>
				{/each}
			</ul>
			<div class="add">
				<Button
					size="small"
					kind="tertiary"
					aria-pressed={editor.isDrawing}
					on:click={() => (editor.isDrawing = !editor.isDrawing)}
					>{editor.isDrawing ? say(texts.leaveDrawing) : say(texts.drawZone)}</Button
				>
				<Button size="small" kind="tertiary" on:click={() => editor.add()}
					>{say(texts.addZone)}</Button
				>
			</div>
		</div>
	</div>
</Page>

<style>
	.columns {
		display: grid;
		grid-template-columns: minmax(0, 1fr) 340px;
		gap: 24px;
		align-items: start;
	}
	.tools {
		display: grid;
		grid-template-columns: 1.3fr 1.4fr;
		gap: 8px 20px;
		align-items: end;
		padding-top: 10px;
	}
	input[type='range'] {
		accent-color: var(--now);
		height: 28px;
	}
	.tools p {
		font-size: 14px;
		min-height: 20px;
	}
	.sun {
		grid-column: 1 / -1;
		font-weight: 650;
	}
	.slips li {
		color: var(--wait-ink);
		font-weight: 650;
		font-size: 13px;
		padding-top: 4px;
	}
	h2 {
		font-size: 14px;
		font-weight: 700;
		padding: 16px 0 4px;
	}
	.add {
		display: flex;
		gap: 10px;
	}
	.panel ul {
		border-top: 1px solid var(--ink);
		margin-bottom: 10px;
	}
	.panel li {
		display: grid;
		grid-template-columns: 84px 110px 1fr;
		gap: 8px;
		align-items: baseline;
		font-size: 13px;
		border-bottom: 1px solid var(--rule);
	}
	.panel li .link {
		font-size: 14px;
		padding: 4px 0;
	}
	[aria-pressed='true'] {
		color: var(--ink);
		font-weight: 800;
	}
	@media (max-width: 900px) {
		.columns {
			grid-template-columns: minmax(0, 1fr);
		}
	}
</style>
