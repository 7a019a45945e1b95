<script lang="ts">
	import type { Period } from '$core/model/practice';
	import { type Evaluation, playersOfLane } from '$core/playing';
	import { type Edit, findBlock, findPeriod } from '$core/practice';
	import GroupsDialog from '$lib/components/groups/GroupsDialog.svelte';
	import LineupDialog from '$lib/components/lineup/LineupDialog.svelte';
	import PeopleDialog from '$lib/components/people/PeopleDialog.svelte';
	import RotationDialog from '$lib/components/rotation/RotationDialog.svelte';
	import StationsDialog from '$lib/components/stations/StationsDialog.svelte';
	import type { BoardView } from '$lib/state/boardView.svelte';
	import type { WhoMet } from '$lib/state/whoMet.svelte';
	import BorrowDialog from './BorrowDialog.svelte';
	import KeysDialog from './KeysDialog.svelte';
	import PracticeDialog from './PracticeDialog.svelte';

	/** The dialog that is open over the board, of the selected period or of the whole practice. */
	let {
		view,
		evaluation,
		met,
		others,
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
		lettersAreOn: boolean;
		onapply: (edit: Edit) => void;
		onborrow: (period: Period) => void;
	} = $props();

	const period = $derived(view.period ? findPeriod(evaluation.practice, view.period) : undefined);
	const game = $derived(view.block ? findBlock(evaluation.practice, view.block) : undefined);
	const close = () => (view.dialog = null);
</script>

{#if view.dialog === 'stations' && period}
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
{:else if view.dialog === 'groups' && period && met}
	<GroupsDialog plan={evaluation} {period} {met} {onapply} onclose={close} />
{:else if view.dialog === 'rotation' && period}
	<RotationDialog plan={evaluation} {period} {onapply} onclose={close} />
{:else if view.dialog === 'lineup' && game}
	<LineupDialog
		plan={evaluation}
		block={game.block}
		players={playersOfLane(game.period, game.lane).filter((id) =>
			evaluation.practice.expected.includes(id)
		)}
		{onapply}
		onclose={close}
	/>
{:else if view.dialog === 'people'}
	<PeopleDialog plan={evaluation} {onapply} onclose={close} />
{:else if view.dialog === 'practice'}
	<PracticeDialog plan={evaluation} {others} {onapply} onclose={close} />
{:else if view.dialog === 'borrow'}
	<BorrowDialog team={evaluation.practice.teamId} {others} {onborrow} onclose={close} />
{:else if view.dialog === 'keys'}
	<KeysDialog bind:areOn={lettersAreOn} onclose={close} />
{/if}
