<script lang="ts">
	import { Button } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import { goto, invalidateAll } from '$app/navigation';
	import { page } from '$app/state';
	import { byNews, saidOf, shortSides, standingOf, type AdviceFor } from '$core/season';
	import { bibLook } from '$lib/components/bib/bibs';
	import Choice from '$lib/components/page/Choice.svelte';
	import { dayWords } from '$lib/components/page/dates';
	import DraftForm from '$lib/components/page/DraftForm.svelte';
	import Outcome from '$lib/components/page/Outcome.svelte';
	import Page from '$lib/components/page/Page.svelte';
	import { useWords } from '$lib/components/page/words.svelte';
	import Courses from '$lib/components/season/Courses.svelte';
	import LadderRow from '$lib/components/season/LadderRow.svelte';
	import { tallyColumns, tallyRows, whatOf, type TallyRow } from '$lib/components/season/tallyRows';
	import { addressOf, type LookAt } from '$lib/components/season/whose';
	import WhoseSeason from '$lib/components/season/WhoseSeason.svelte';
	import TypedTable from '$lib/components/table/TypedTable.svelte';
	import { percent } from '$lib/components/tape/words';
	import { FormDraft } from '$lib/state/formDraft.svelte';
	import type { ActionData, PageData } from './$types';
	import texts from '$texts/ladders';

	let { data, form }: { data: PageData; form: ActionData } = $props();

	const say = useWords();
	let unit = $state(untrack(() => page.url.searchParams.get('unit')) ?? '');
	const drills = $derived(new Map(data.ladders.drills.map((drill) => [drill.id, drill])));
	const unitOf = $derived(new Map(data.squad.map(({ id, unit: own }) => [id, own])));
	const whose = $derived(data.player ? { player: data.player.id } : unit === '' ? null : { unit });
	const said = $derived(saidOf(data.ladders, whose, unitOf));
	const standings = $derived(
		data.ladders.drills
			.filter(({ rungs }) => rungs.length > 0)
			.flatMap((drill) => standingOf(drill, said) ?? [])
			.sort(byNews)
	);
	const sides = $derived(shortSides(data.sides));
	const counting = $derived(data.counting);

	const table = tallyRows(() => counting ?? { tallies: [], planned: [] });
	const whats = $derived(
		(counting?.drills ?? []).flatMap(({ id, name, rungs }) => [
			{ id: whatOf(id, null), name },
			...rungs.map((rung) => ({ id: whatOf(id, rung.id), name: `${name}: ${rung.name}` }))
		])
	);
	const groupName = (id: string) => {
		const own = counting?.groups.find((each) => each.id === id);
		return own
			? `${say(texts.groupOf, { letter: bibLook(own.bib).letter })}, ${own.period}`
			: say(texts.groupOf, { letter: '' });
	};
	const whoms = $derived([
		{ id: 'squad', name: say(texts.squad) },
		...data.units.map(({ id, name }) => ({ id: `unit|${id}`, name: say(texts.unitOf, { name }) })),
		...(counting?.groups ?? []).map(({ id }) => ({ id: `group|${id}`, name: groupName(id) })),
		...data.squad.map(({ id, name }) => ({ id: `player|${id}`, name }))
	]);
	const columns = $derived(tallyColumns({ whats, whoms }, say));
	let sheet: HTMLFormElement | undefined = $state();
	const draft = new FormDraft<readonly TallyRow[]>({
		say,
		about: untrack(() => `${page.url.pathname}#${data.counting?.practice.id ?? ''}`),
		stamp: () => counting?.stamp ?? '',
		read: () => table.rows,
		write: (rows) => table.restore(rows),
		isChanged: () => table.isChanged,
		reload: invalidateAll
	});
	const misfit = $derived(form && 'misfit' in form ? form.misfit : null);
	const ruleMisfit = $derived(form && 'ruleMisfit' in form ? form.ruleMisfit : null);
	const courseMisfit = $derived(form && 'courseMisfit' in form ? form.courseMisfit : null);
	const where = $derived(
		typeof misfit?.path[0] === 'number' ? say(texts.row, { row: misfit.path[0] + 1 }) : undefined
	);

	const nameOf = ({ whom, whomId = '' }: AdviceFor): string => {
		if (whom === 'unit') return data.units.find(({ id }) => id === whomId)?.name ?? whomId;
		if (whom === 'player') return data.squad.find(({ id }) => id === whomId)?.name ?? whomId;
		return whom === 'group' ? groupName(whomId) : say(texts.squad);
	};

	function look(at: LookAt) {
		unit = at.unit ?? '';
		void goto(addressOf(page.url, at), { noScroll: true, keepFocus: true });
	}
	function choose(id: string) {
		const url = new URL(page.url);
		url.searchParams.set('practice', id);
		void goto(url, { noScroll: true, keepFocus: true });
	}
</script>

<Page team={data.team} current="ladders" title={say(texts.ladders)} intro={say(texts.intro)} wide>
	{#snippet ways()}
		<a href="#count">{say(texts.count)}</a>
		<WhoseSeason
			seasons={data.seasons}
			season={data.season.id}
			units={data.units}
			squad={data.squad}
			{unit}
			player={data.player?.id ?? ''}
			onlook={look}
		/>
	{/snippet}
	<Outcome misfit={ruleMisfit} />
	<ul>
		{#each standings as standing (standing.drill)}
			{@const drill = drills.get(standing.drill)}
			{#if drill}
				<LadderRow team={data.team.id} {drill} {standing} {whose} {nameOf} />
			{/if}
		{:else}
			<li class="none">{say(texts.noLadders)}</li>
		{/each}
	</ul>
	<div class="pair">
		<section id="count">
			<h2>{say(texts.count)}</h2>
			<p>{say(texts.countSays)}</p>
			{#if !counting}
				<p>{say(data.held.length === 0 ? texts.noneHeld : texts.chooseAPractice)}</p>
			{:else}
				{#key counting.practice.id}
					<Outcome
						{misfit}
						{where}
						saved={!!form && 'counted' in form && !table.isChanged}
						{draft}
						form={sheet}
					/>
					<Choice
						id="counted"
						label={say(texts.countIn)}
						of={data.held.map(({ id, date, start }) => ({
							id,
							name: `${dayWords(date)}, ${start}`
						}))}
						chosen={counting.practice.id}
						onchoose={choose}
					/>
					<DraftForm {draft} action="?/count" bind:form={sheet}>
						<input type="hidden" name="practice" value={counting.practice.id} />
						<input type="hidden" name="tallies" value={table.json} />
						<TypedTable
							rows={table.rows}
							{columns}
							fault={misfit ? table.faultAt(misfit.path) : null}
							nameOf={(row) => whats.find(({ id }) => id === row.what)?.name ?? say(texts.aNewOne)}
							onchange={table.change}
							onadd={table.add}
							onremove={table.remove}
						/>
						<div class="ways">
							<Button kind="ghost" size="small" type="button" on:click={table.add}
								>{say(texts.addARow)}</Button
							>
							<Button size="small" type="submit" disabled={!table.isChanged}
								>{say(texts.saveTallies)}</Button
							>
						</div>
					</DraftForm>
				{/key}
			{/if}
		</section>
		<section>
			<h2>{say(texts.sides)}</h2>
			<p>{say(texts.sidesSay)}</p>
			<ul>
				{#each sides as { drill, side, share } (`${drill} ${side}`)}
					<li class="side">
						{say(texts.shortSide, {
							drillName: drills.get(drill)?.name ?? drill,
							side,
							percent: percent(share)
						})}
					</li>
				{:else}
					<li class="side">{say(texts.noShortSides)}</li>
				{/each}
			</ul>
			<Courses
				season={data.season.id}
				courses={data.season.courses}
				shelf={data.shelf}
				units={data.units}
				runs={data.ladders.runs}
				stamp={data.courseStamp}
				misfit={courseMisfit}
				saved={!!form && 'saved' in form}
			/>
		</section>
	</div>
</Page>

<style>
	h2 {
		font-size: 16px;
		font-weight: 700;
		padding-bottom: 4px;
	}
	section > p {
		font-size: 13px;
		color: var(--ink-soft);
		padding-bottom: 6px;
	}
	ul {
		border-top: 1px solid var(--ink);
	}
	.none,
	.side {
		padding: 6px 0;
		font-size: 14px;
		border-bottom: 1px solid var(--rule);
	}
	.pair {
		display: grid;
		grid-template-columns: minmax(0, 1.2fr) minmax(0, 1fr);
		gap: 30px 44px;
		padding-top: 28px;
		align-items: start;
	}
	.pair > section:last-child > ul {
		margin-bottom: 26px;
	}
	.ways {
		display: flex;
		gap: 14px;
		padding-top: 8px;
	}
	@media (max-width: 980px) {
		.pair {
			grid-template-columns: minmax(0, 1fr);
		}
	}
</style>
