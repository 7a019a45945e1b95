<script lang="ts">
	import {
		Button,
		Checkbox,
		Modal,
		RadioButton,
		RadioButtonGroup,
		Select,
		SelectItem
	} from 'carbon-components-svelte';
	import { onMount } from 'svelte';
	import type { GroupMode } from '$core/grouping';
	import type { Period } from '$core/model/practice';
	import { regroup } from '$core/building';
	import type { Edit } from '$core/practice';
	import type { Meetings } from '$core/season';
	import { Planning } from '$lib/state/planning.svelte';
	import type { PracticeEditor } from '$lib/state/practiceEditor.svelte';
	import SearchProgress from '../ui/SearchProgress.svelte';
	import { askedGroups, clashWords, dealtGroups, MODES } from './asked';
	import GroupList from './GroupList.svelte';
	import { useWording } from '../page/wording.svelte';

	/** New groups for a period: what for, who stays where, who goes together and who apart. */
	let {
		editor,
		period,
		met,
		onapply,
		onclose
	}: {
		editor: PracticeEditor;
		period: Period;
		met: Meetings;
		onapply: (edit: Edit) => void;
		onclose: () => void;
	} = $props();

	const w = useWording();
	const SECONDS = 3;
	const planning = new Planning<'group'>();
	let mode: GroupMode = $state('even');
	let together: string[][] = $state.raw([]);
	let apart: string[][] = $state.raw([]);
	let pinned: string[] = $state.raw([]);
	let leaders = $state(false);
	let first = $state('');
	let second = $state('');

	const dealt = $derived(dealtGroups(period, new Set(editor.practice.expected)));
	const { groups } = $derived(dealt);
	const away = $derived(dealt.absent.flat().length);
	const ids = $derived(groups.flatMap(({ players }) => players));
	const shown = $derived(planning.best?.groups ?? groups.map(({ players }) => players));
	const name = (id: string) => editor.context.playerById.get(id)?.name ?? id;
	const leading = $derived(new Set(ids.filter((id) => editor.context.playerById.get(id)?.leads)));
	const isPair = $derived(first !== '' && second !== '' && first !== second);

	onMount(() => () => planning.close());

	function make() {
		const wishes = { mode, together, apart, pinned, leaders };
		const input = askedGroups(dealt, { context: editor.context, wishes, met });
		void planning.ask({ kind: 'group', input, seconds: SECONDS });
	}
	function pin(id: string) {
		pinned = pinned.includes(id) ? pinned.filter((each) => each !== id) : [...pinned, id];
	}
	function drop(list: string[][], pair: string[]) {
		return list.filter((each) => each !== pair);
	}
	function apply() {
		if (!planning.best) return;
		// Who does not come keeps a place: they are in a group again when they come after all.
		const all = planning.best.groups.map((ids, index) => [...ids, ...dealt.absent[index]]);
		onapply(regroup(period, all, leading));
		onclose();
	}
</script>

<Modal
	open
	size="lg"
	modalHeading="{w('Groups of')} {period.name}"
	primaryButtonText={w('Use these groups')}
	primaryButtonDisabled={!planning.best}
	secondaryButtonText="Cancel"
	on:click:button--secondary={onclose}
	on:close={onclose}
	on:submit={apply}
>
	<div class="layout">
		<div class="wishes">
			<RadioButtonGroup
				legendText="What for"
				orientation="vertical"
				selected={mode}
				on:change={(event) => (mode = event.detail as GroupMode)}
			>
				{#each MODES as each (each.mode)}
					<RadioButton value={each.mode} labelText={w(`${each.name}: ${each.says}`)} />
				{/each}
			</RadioButtonGroup>
			{#if away > 0}
				<p>
					{w(
						away === 1
							? '1 player does not come and keeps a place in their group.'
							: `${away} players do not come and keep a place in their groups.`
					)}
				</p>
			{/if}
			{#if leading.size > 0}
				<Checkbox
					bind:checked={leaders}
					labelText={w(`One who leads in each group (${leading.size} of ${ids.length} do)`)}
				/>
			{/if}
			<fieldset>
				<legend>{w('Two players')}</legend>
				<Select id="first-player" size="sm" labelText="One" bind:selected={first}>
					<SelectItem value="" text="choose" />
					{#each ids as id (id)}<SelectItem value={id} text={name(id)} />{/each}
				</Select>
				<Select id="second-player" size="sm" labelText="The other" bind:selected={second}>
					<SelectItem value="" text="choose" />
					{#each ids as id (id)}<SelectItem value={id} text={name(id)} />{/each}
				</Select>
				<div class="pair">
					<Button
						size="small"
						kind="tertiary"
						disabled={!isPair}
						on:click={() => (together = [...together, [first, second]])}>Together</Button
					>
					<Button
						size="small"
						kind="tertiary"
						disabled={!isPair}
						on:click={() => (apart = [...apart, [first, second]])}>Apart</Button
					>
				</div>
				<ul>
					{#each together as pair (pair)}
						<li>
							{pair.map(name).join(' and ')} together
							<button class="link" onclick={() => (together = drop(together, pair))}>Drop</button>
						</li>
					{/each}
					{#each apart as pair (pair)}
						<li>
							{pair.map(name).join(' and ')} apart
							<button class="link" onclick={() => (apart = drop(apart, pair))}>Drop</button>
						</li>
					{/each}
				</ul>
			</fieldset>
			<Button size="field" on:click={make}>{w('Make groups')}</Button>
		</div>
		<div>
			<SearchProgress
				{planning}
				does="Looking for better groups"
				trouble={clashWords(planning.failure, { together, apart }, name) || planning.trouble}
			/>
			<GroupList
				{groups}
				players={shown}
				context={editor.context}
				{pinned}
				output={planning.best}
				onpin={pin}
			/>
		</div>
	</div>
</Modal>

<style>
	.layout {
		display: grid;
		grid-template-columns: minmax(230px, 1fr) 2.4fr;
		gap: 24px;
	}
	.wishes {
		display: grid;
		gap: 16px;
		align-content: start;
	}
	fieldset {
		border: 0;
		padding: 0;
		display: grid;
		gap: 8px;
	}
	legend {
		font-size: 12px;
		padding-bottom: 4px;
	}
	.pair {
		display: flex;
		gap: 8px;
	}
	li {
		font-size: 13px;
		line-height: 1.5;
	}
	@media (max-width: 672px) {
		.layout {
			grid-template-columns: 1fr;
		}
	}
</style>
