<script lang="ts">
	import { Button } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import { invalidateAll } from '$app/navigation';
	import { page } from '$app/state';
	import { sameValue } from '$core/base';
	import type { Target } from '$core/model/season';
	import { areaOf, skillsOf, stageOf, trained } from '$core/model/skill';
	import { fromShares, phaseSums } from '$core/season';
	import Choice from '$lib/components/page/Choice.svelte';
	import DraftForm from '$lib/components/page/DraftForm.svelte';
	import Outcome from '$lib/components/page/Outcome.svelte';
	import Page from '$lib/components/page/Page.svelte';
	import { useWords } from '$lib/components/page/words.svelte';
	import { floorColumns, floorRows, type FloorRow } from '$lib/components/season/floorRows';
	import { lineName, wholeName } from '$lib/components/season/names';
	import TypedList from '$lib/components/table/TypedList.svelte';
	import { percent } from '$lib/components/tape/words';
	import { FormDraft } from '$lib/state/formDraft.svelte';
	import type { ActionData, PageData } from './$types';
	import texts from '$texts/targets';

	let { data, form }: { data: PageData; form: ActionData } = $props();

	const say = useWords();
	const keyOf = ({ skill, unit = '', phase }: Pick<Target, 'skill' | 'unit' | 'phase'>) =>
		`${skill}|${unit}|${phase}`;
	/** What is typed into each cell, by skill, unit and phase. */
	const stored = $derived(
		Object.fromEntries(
			(data.season.targets ?? []).map((target) => [keyOf(target), String(target.minutes)])
		)
	);
	let cells: Record<string, string> = $derived(stored);
	let unit = $state('');
	let showsStages = $state(
		untrack(() => (data.season.targets ?? []).some(({ skill }) => stageOf(skill) !== null))
	);
	const floors = floorRows(() => data.season);
	const phases = $derived(data.season.phases ?? []);
	const called = $derived({ areas: data.areas, units: data.units });

	/** Targets that the cells say; a cell that is no number is sent as it is, and refused with its place. */
	const targets = $derived(
		Object.entries(cells).flatMap(([key, typed]) => {
			if (typed.trim() === '') return [];
			const [skill, of, phase] = key.split('|');
			return [{ skill, phase, ...(of && { unit: of }), minutes: Number(typed) }];
		})
	);
	const isChanged = $derived(
		floors.isChanged ||
			!sameValue(
				targets.map((each) => JSON.stringify(each)).sort(),
				(data.season.targets ?? [])
					.map(({ skill, phase, unit: of, minutes }) =>
						JSON.stringify({ skill, phase, ...(of && { unit: of }), minutes })
					)
					.sort()
			)
	);
	const sums = $derived(
		phaseSums({ phases, targets }, data.practices, unit === '' ? undefined : unit)
	);
	const shown = $derived(
		skillsOf(trained(data.areas)).filter((skill) => showsStages || stageOf(skill) === null)
	);
	const isFilled = $derived(
		phases.every(({ id }) =>
			Object.keys(data.shares).every((skill) => cells[keyOf({ skill, unit, phase: id })]?.trim())
		)
	);
	let sheet: HTMLFormElement | undefined = $state();
	type Typed = { cells: Record<string, string>; floors: readonly FloorRow[] };
	const draft = new FormDraft<Typed>({
		say,
		about: untrack(() => page.url.pathname + page.url.search),
		stamp: () => data.stamp,
		read: () => ({ cells, floors: floors.rows }),
		write(typed) {
			cells = typed.cells;
			floors.restore(typed.floors);
		},
		isChanged: () => isChanged,
		reload: invalidateAll
	});
	const misfit = $derived(form && 'misfit' in form ? form.misfit : null);
	const faultKey = $derived(
		misfit?.path[0] === 'targets' && typeof misfit.path[1] === 'number'
			? keyOf(targets[misfit.path[1]] ?? { skill: '', phase: '' })
			: null
	);
	const where = $derived.by(() => {
		const [list, index] = misfit?.path ?? [];
		if (typeof index !== 'number') return undefined;
		if (list === 'floors') return say(texts.row, { list: say(texts.floors), row: index + 1 });
		const target = targets[index];
		if (!target) return undefined;
		const phase = phases.find(({ id }) => id === target.phase)?.name ?? '';
		return `${say(texts.cell, { skill: wholeName(target, called, say), phase })}:`;
	});

	function fill() {
		const filled = { ...cells };
		for (const { phase, has } of sums)
			for (const { skill, minutes } of fromShares(data.shares, has)) {
				const key = keyOf({ skill, phase, ...(unit && { unit }) });
				if (!filled[key]?.trim()) filled[key] = String(minutes);
			}
		cells = filled;
	}

	function down(event: KeyboardEvent, row: number, column: number) {
		if (event.key !== 'Enter' && event.key !== 'ArrowDown' && event.key !== 'ArrowUp') return;
		event.preventDefault();
		const next = row + (event.key === 'ArrowUp' ? -1 : 1);
		document.getElementById(`target-${next}-${column}`)?.focus();
	}
	const inAll = (skill: string) =>
		phases.reduce(
			(sum, { id }) =>
				sum + (Number(cells[keyOf({ skill, phase: id, ...(unit && { unit }) })] ?? 0) || 0),
			0
		);
</script>

<Page team={data.team} current="targets" title={say(texts.targets)} intro={say(texts.intro)}>
	{#if phases.length === 0}
		<p class="none">
			{say(texts.noPhases)} <a href="/{data.team.id}/dates">{say(texts.setPhases)}</a>
		</p>
	{:else}
		<Outcome
			{misfit}
			{where}
			saved={!!form && 'saved' in form && !isChanged}
			{draft}
			form={sheet}
		/>
		<DraftForm {draft} bind:form={sheet} class="targets">
			<input type="hidden" name="season" value={data.season.id} />
			<input
				type="hidden"
				name="parts"
				value={JSON.stringify({ targets, floors: JSON.parse(floors.json) })}
			/>
			<div class="ways">
				<Choice
					id="unit"
					label={say(texts.whom)}
					of={data.units}
					chosen={unit}
					none={say(texts.everyone)}
					onchoose={(id) => (unit = id)}
				/>
				<label class="tickable">
					<input type="checkbox" bind:checked={showsStages} />
					{say(texts.showStages)}
				</label>
				<Button size="small" kind="tertiary" type="button" disabled={isFilled} on:click={fill}
					>{say(texts.fill)}</Button
				>
			</div>
			<div class="scroll">
				<table>
					<thead>
						<tr>
							<th scope="col">{say(texts.skill)}</th>
							{#each phases as { id, name } (id)}<th scope="col">{name}</th>{/each}
							<th scope="col">{say(texts.inAll)}</th>
						</tr>
					</thead>
					<tbody>
						{#each shown as skill, row (skill)}
							<tr class:stage={areaOf(skill) !== skill}>
								<th scope="row">{lineName({ skill }, called, say)}</th>
								{#each phases as { id, name }, column (id)}
									{@const key = keyOf({ skill, phase: id, ...(unit && { unit }) })}
									<td>
										<input
											id="target-{row}-{column}"
											class="typed"
											inputmode="numeric"
											maxlength="6"
											aria-label={say(texts.minutesOf, {
												skill: wholeName({ skill }, called, say),
												phase: name
											})}
											aria-invalid={faultKey === key ? true : undefined}
											value={cells[key] ?? ''}
											oninput={(event) => (cells = { ...cells, [key]: event.currentTarget.value })}
											onkeydown={(event) => down(event, row, column)}
										/>
									</td>
								{/each}
								<td class="sum">{inAll(skill) || ''}</td>
							</tr>
						{/each}
					</tbody>
					<tfoot>
						<tr>
							<td></td>
							{#each sums as { phase, asks, has } (phase)}
								<td class:much={asks > has}
									>{say(asks > has ? texts.asksTooMuch : texts.asks, { asks, has })}</td
								>
							{/each}
							<td></td>
						</tr>
					</tfoot>
				</table>
			</div>
			<p class="says">
				{say(texts.fillSays, {
					shares: Object.entries(data.shares)
						.map(([skill, share]) =>
							say(texts.share, {
								name: wholeName({ skill }, called, say),
								percent: percent(share)
							})
						)
						.join(', ')
				})}
			</p>
			<TypedList
				title={say(texts.floors)}
				says={say(texts.floorsSay)}
				add={say(texts.addAFloor)}
				table={floors}
				columns={floorColumns(trained(data.areas), say)}
				fault={misfit?.path[0] === 'floors' ? floors.faultAt(misfit.path.slice(1)) : null}
			/>
			<Button type="submit" disabled={!isChanged}>{say(texts.save)}</Button>
		</DraftForm>
	{/if}
</Page>

<style>
	:global(form.targets) {
		display: grid;
		gap: 18px;
		justify-items: start;
	}
	.none {
		padding: 14px 0;
		font-size: 15px;
	}
	.none a {
		font-weight: 700;
		color: var(--action);
	}
	.ways {
		display: flex;
		flex-wrap: wrap;
		gap: 10px 26px;
		align-items: end;
	}
	.scroll {
		width: 100%;
		overflow-x: auto;
	}
	table {
		border-collapse: collapse;
		min-width: 560px;
	}
	th {
		text-align: left;
		font-size: 13.5px;
		font-weight: 700;
		padding: 3px 18px 3px 0;
		border-bottom: 1px solid var(--rule);
	}
	thead th,
	td {
		min-width: 104px;
	}
	thead th {
		vertical-align: bottom;
		border-bottom-color: var(--ink);
	}
	.stage th {
		padding-left: 16px;
		font-weight: 450;
	}
	td {
		padding: 2px 12px 2px 0;
		border-bottom: 1px solid var(--rule);
	}
	td .typed {
		width: 84px;
		text-align: right;
	}
	.sum {
		font-size: 14px;
		text-align: right;
		font-variant-numeric: tabular-nums;
	}
	tfoot td {
		padding-top: 8px;
		font-size: 13px;
		font-weight: 650;
		border-bottom: 0;
	}
	.much {
		color: var(--wait-ink);
	}
	.says {
		font-size: 13px;
		color: var(--ink-soft);
		max-width: 90ch;
	}
</style>
