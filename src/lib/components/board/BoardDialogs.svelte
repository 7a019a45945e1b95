<script lang="ts">
	import { onMount } from 'svelte';
	import type { Period } from '$core/model/practice';
	import { type Evaluation, playersOfLane } from '$core/playing';
	import { type Edit, findBlock, findPeriod } from '$core/practice';
	import type { GameWeek } from '$core/scene';
	import type { BoardView } from '$lib/state/boardView.svelte';
	import type { WhoMet } from '$lib/state/whoMet.svelte';

	/**
	 * The dialog that is open over the board, of the selected period or of the whole practice. Each is loaded
	 * when it is first opened: the board itself is there sooner.
	 */
	let {
		view,
		evaluation,
		met,
		others,
		grounds,
		gameWeek,
		lettersAreOn = $bindable(),
		onapply,
		onborrow
	}: {
		view: BoardView;
		evaluation: Evaluation;
		/** Who met whom in other practices; nothing until it has come. */
		met: WhoMet['met'];
		/** The team's other practices. */
		others: { id: string; date: string }[];
		/** The team's grounds, the usual one first. */
		grounds: { id: string; name: string }[];
		/** What it does to get ready for the next game; null where none comes. */
		gameWeek: GameWeek | null;
		lettersAreOn: boolean;
		onapply: (edit: Edit) => void;
		onborrow: (period: Period) => void;
	} = $props();

	const LOAD = {
		stations: () => import('$lib/components/stations/StationsDialog.svelte'),
		groups: () => import('$lib/components/groups/GroupsDialog.svelte'),
		rotation: () => import('$lib/components/rotation/RotationDialog.svelte'),
		lineup: () => import('$lib/components/lineup/LineupDialog.svelte'),
		people: () => import('$lib/components/people/PeopleDialog.svelte'),
		practice: () => import('./PracticeDialog.svelte'),
		borrow: () => import('./BorrowDialog.svelte'),
		draft: () => import('$lib/components/draft/DraftDialog.svelte'),
		game: () => import('$lib/components/scene/GameWeekDialog.svelte'),
		keys: () => import('./KeysDialog.svelte')
	};
	/** Milliseconds after which they are fetched ahead: on the grass the server may be gone by then. */
	const AHEAD_AFTER = 1500;
	onMount(() => {
		const timer = setTimeout(() => {
			for (const load of Object.values(LOAD)) void load().catch(() => undefined);
		}, AHEAD_AFTER);
		return () => clearTimeout(timer);
	});

	const period = $derived(view.period ? findPeriod(evaluation.practice, view.period) : undefined);
	const game = $derived(view.block ? findBlock(evaluation.practice, view.block) : undefined);
	const close = () => (view.dialog = null);
</script>

{#if view.dialog === 'stations' && period}
	{#await LOAD.stations() then { default: StationsDialog }}
		<StationsDialog
			{evaluation}
			{period}
			block={view.block}
			onapply={(edit) => {
				onapply(edit);
				view.select(period.id, null);
			}}
			onclose={close}
		/>
	{/await}
{:else if view.dialog === 'groups' && period && met}
	{#await LOAD.groups() then { default: GroupsDialog }}
		<GroupsDialog plan={evaluation} {period} {met} {onapply} onclose={close} />
	{/await}
{:else if view.dialog === 'rotation' && period}
	{#await LOAD.rotation() then { default: RotationDialog }}
		<RotationDialog plan={evaluation} {period} {onapply} onclose={close} />
	{/await}
{:else if view.dialog === 'lineup' && game}
	{#await LOAD.lineup() then { default: LineupDialog }}
		<LineupDialog
			plan={evaluation}
			block={game.block}
			players={playersOfLane(game.period, game.lane).filter((id) =>
				evaluation.practice.expected.includes(id)
			)}
			{onapply}
			onclose={close}
		/>
	{/await}
{:else if view.dialog === 'people'}
	{#await LOAD.people() then { default: PeopleDialog }}
		<PeopleDialog plan={evaluation} {onapply} onclose={close} />
	{/await}
{:else if view.dialog === 'practice'}
	{#await LOAD.practice() then { default: PracticeDialog }}
		<PracticeDialog
			plan={evaluation}
			{others}
			{grounds}
			{onapply}
			onlate={() => (view.dialog = 'people')}
			onclose={close}
		/>
	{/await}
{:else if view.dialog === 'borrow'}
	{#await LOAD.borrow() then { default: BorrowDialog }}
		<BorrowDialog team={evaluation.practice.teamId} {others} {onborrow} onclose={close} />
	{/await}
{:else if view.dialog === 'draft'}
	{#await LOAD.draft() then { default: DraftDialog }}
		<DraftDialog plan={evaluation} {onapply} onclose={close} />
	{/await}
{:else if view.dialog === 'game' && gameWeek}
	{#await LOAD.game() then { default: GameWeekDialog }}
		<GameWeekDialog plan={evaluation} week={gameWeek} onadd={onborrow} onclose={close} />
	{/await}
{:else if view.dialog === 'keys'}
	{#await LOAD.keys() then { default: KeysDialog }}
		<KeysDialog bind:areOn={lettersAreOn} onclose={close} />
	{/await}
{/if}
