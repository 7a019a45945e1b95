<script lang="ts">
	import { Button, TextInput } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import { invalidateAll } from '$app/navigation';
	import { page } from '$app/state';
	import DraftForm from '$lib/components/page/DraftForm.svelte';
	import Outcome from '$lib/components/page/Outcome.svelte';
	import Page from '$lib/components/page/Page.svelte';
	import { useWords } from '$lib/components/page/words.svelte';
	import LineUpMap from '$lib/components/sport/LineUpMap.svelte';
	import TypedList from '$lib/components/table/TypedList.svelte';
	import {
		LISTS,
		sportColumns,
		sportTables,
		type List,
		type SportRow
	} from '$lib/components/sport/rows';
	import { FormDraft } from '$lib/state/formDraft.svelte';
	import texts from '$texts/sport';
	import type { ActionData, PageData } from './$types';

	let { data, form }: { data: PageData; form: ActionData } = $props();

	const say = useWords();
	let name = $derived(data.sport.name);
	const tables = sportTables(() => data.sport);
	const columns = $derived(sportColumns(data.sport, tables, say));
	const isChanged = $derived(
		name !== data.sport.name || LISTS.some((list) => tables[list].isChanged)
	);
	const json = $derived(
		JSON.stringify({
			name,
			...Object.fromEntries(LISTS.map((list) => [list, JSON.parse(tables[list].json)]))
		})
	);
	let sheet: HTMLFormElement | undefined = $state();
	type Typed = { name: string } & Record<List, readonly SportRow[]>;
	const draft = new FormDraft<Typed>({
		say,
		about: untrack(() => page.url.pathname),
		stamp: () => data.stamp,
		read: () =>
			({
				name,
				...Object.fromEntries(LISTS.map((list) => [list, tables[list].rows]))
			}) as Typed,
		write(typed) {
			name = typed.name;
			for (const list of LISTS) tables[list].restore(typed[list] ?? []);
		},
		isChanged: () => isChanged,
		reload: invalidateAll
	});

	const LIST_TEXTS = {
		units: { title: texts.units, add: texts.addAUnit },
		positions: { title: texts.positions, add: texts.addAPosition },
		lineUp: { title: texts.lineUp, says: texts.lineUpSays, add: texts.addAPlace },
		areas: { title: texts.areas, says: texts.areasSay, add: texts.addAnArea },
		loads: { title: texts.loads, says: texts.loadsSay, add: texts.addALoad },
		cautions: { title: texts.cautions, says: undefined, add: texts.addACaution }
	};

	const misfit = $derived(form && 'misfit' in form ? form.misfit : null);
	const faultIn = (list: List) =>
		misfit?.path[0] === list ? tables[list].faultAt(misfit.path.slice(1)) : null;
	/** The list and the row at fault as a coach calls them. */
	const where = $derived.by(() => {
		const list = LISTS.find((each) => each === misfit?.path[0]);
		if (!list) return undefined;
		const row = misfit?.path[1];
		const title = say(LIST_TEXTS[list].title);
		return typeof row === 'number' ? `${say(texts.row, { list: title, row: row + 1 })}:` : title;
	});
	const places = $derived(
		tables.lineUp.rows.flatMap(({ x, y }, index) => {
			const at = { x: Number(x), y: Number(y), number: index + 1 };
			return x.trim() !== '' && y.trim() !== '' && Number.isFinite(at.x + at.y) ? [at] : [];
		})
	);
</script>

{#snippet list(id: List)}
	{@const { title, says, add } = LIST_TEXTS[id] as (typeof LIST_TEXTS)['lineUp']}
	<TypedList
		title={say(title)}
		says={says && say(says)}
		add={say(add)}
		table={tables[id]}
		columns={columns[id]}
		fault={faultIn(id)}
		isOrdered={id === 'areas'}
	/>
{/snippet}

<Page team={data.team} current="sport" title={say(texts.sport)} intro={say(texts.intro)}>
	<Outcome {misfit} {where} saved={!!form && 'saved' in form && !isChanged} {draft} form={sheet} />
	<DraftForm {draft} bind:form={sheet} class="sport">
		<input type="hidden" name="sport" value={json} />
		<div class="name">
			<TextInput
				id="sport-name"
				labelText={say(texts.nameOfTheSport)}
				required
				maxlength={200}
				bind:value={name}
				invalid={misfit?.path[0] === 'name'}
				invalidText={misfit?.message}
			/>
		</div>
		<div class="pair">{@render list('units')}{@render list('positions')}</div>
		<div class="pair">
			{@render list('lineUp')}
			{#if data.ground}<LineUpMap ground={data.ground} {places} />{/if}
		</div>
		{@render list('areas')}
		<div class="pair">{@render list('loads')}{@render list('cautions')}</div>
		<Button type="submit" disabled={!isChanged}>{say(texts.save)}</Button>
	</DraftForm>
</Page>

<style>
	:global(form.sport) {
		display: grid;
		gap: 26px;
		justify-items: start;
	}
	:global(form.sport > div),
	:global(form.sport > section) {
		width: 100%;
	}
	.name {
		max-width: 360px;
	}
	.pair {
		display: grid;
		grid-template-columns: minmax(0, 1fr) minmax(0, 1.4fr);
		gap: 26px 36px;
		align-items: start;
	}
	@media (max-width: 820px) {
		.pair {
			grid-template-columns: minmax(0, 1fr);
		}
	}
</style>
