<script lang="ts">
	import { onMount, untrack } from 'svelte';
	import { invalidateAll } from '$app/navigation';
	import { nanoid } from 'nanoid';
	import { describeFailure } from '$core/checks';
	import type { Drill } from '$core/model/drill';
	import type { Period } from '$core/model/practice';
	import { periodFromDrill, plainPeriod, unitBeside } from '$core/building';
	import { type Edit, type EditFailure, findPeriod, toContext } from '$core/practice';
	import BibShapes from '$lib/components/bib/BibShapes.svelte';
	import Field from '$lib/components/field/Field.svelte';
	import PlayBar from '$lib/components/field/PlayBar.svelte';
	import Findings from '$lib/components/findings/Findings.svelte';
	import { useWholeShelf } from '$lib/components/inspector/DrillChoice.svelte';
	import Inspector from '$lib/components/inspector/Inspector.svelte';
	import Shelf from '$lib/components/shelf/Shelf.svelte';
	import { SHELF_MINUTES, type DrillWish } from '$lib/components/shelf/fits';
	import type { PlainKind } from '$lib/components/shelf/plain';
	import Strip from '$lib/components/strip/Strip.svelte';
	import Tape from '$lib/components/tape/Tape.svelte';
	import { clockAt } from '$core/conditions';
	import Conflicts from '$lib/components/board/Conflicts.svelte';
	import BoardHead from '$lib/components/board/BoardHead.svelte';
	import { handleKey } from '$lib/components/board/boardKeys';
	import { dayWords } from '$lib/components/page/dates';
	import TopBar from '$lib/components/page/TopBar.svelte';
	import { BoardView } from '$lib/state/boardView.svelte';
	import { DrillLookup } from '$lib/state/drillLookup.svelte';
	import { Fixes } from '$lib/state/fixes.svelte';
	import { browserKeepers, PracticeEditor } from '$lib/state/practiceEditor.svelte';
	import { WhoMet } from '$lib/state/whoMet.svelte';
	import { focusBack } from '$lib/components/page/focusBack.svelte';
	import LeaveDialog from '$lib/components/page/LeaveDialog.svelte';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/board';
	import type { Surroundings } from '$core/model/bundle';
	import type { GameWeek } from '$core/scene';
	import { weekOf } from '$core/season';
	import type { ServerState } from '$lib/state/saver';
	import BoardDialogs from './BoardDialogs.svelte';
	import Unsaved from './Unsaved.svelte';

	/** One practice on its board: tape, field, people, findings, and all that changes them. */
	let {
		data
	}: {
		data: {
			stored: ServerState;
			surroundings: Surroundings;
			others: { id: string; date: string }[];
			grounds: { id: string; name: string }[];
			gameWeek: GameWeek | null;
			/** Drills on the whole shelf. */
			drillsOnShelf: number;
		};
	} = $props();

	const say = useWords();
	// The page is loaded for one practice; from then on the editor holds it.
	const editor = untrack(() => {
		const { practice } = data.stored;
		const url = `/${practice.teamId}/practices/${practice.id}/edits`;
		const keepers = browserKeepers(`${practice.teamId} ${practice.id}`);
		return new PracticeEditor(url, data.stored, toContext(data.surroundings), keepers);
	});
	const view = new BoardView();
	const fixes = untrack(() => new Fixes(data.surroundings));
	$effect(() => void fixes.look(editor.practice, editor.context.drills));
	const lookup = untrack(
		() => new DrillLookup(`/${data.stored.practice.teamId}/drills/lookup`, editor)
	);
	useWholeShelf({ find: (words) => lookup.find(words), count: untrack(() => data.drillsOnShelf) });
	$effect(() => void lookup.fetchUnknown());
	$effect(() => () => fixes.close());
	let lettersAreOn = $state(true);

	onMount(() => {
		void editor.resume();
		return () => editor.dispose();
	});

	// Another day or ground has other people, kit and zones: they come once the server has the change.
	const placeOf = ({ date, groundId = '' }: ServerState['practice']) => `${date} ${groundId}`;
	let loadedFor = untrack(() => placeOf(data.stored.practice));
	$effect(() => {
		const place = placeOf(editor.practice);
		if (place === loadedFor || editor.saveState !== 'saved') return;
		// Where the server is away meanwhile, the next change asks again.
		void invalidateAll().then(
			() => (loadedFor = place),
			() => undefined
		);
	});
	let around = untrack(() => data.surroundings);
	$effect(() => {
		if (data.surroundings === around) return;
		around = data.surroundings;
		editor.surround(toContext(around));
	});

	const period = $derived(view.period ? findPeriod(editor.practice, view.period) : undefined);
	const SAVED = {
		saved: say(texts.saved),
		saving: say(texts.saving),
		away: say(texts.notSavedTheServerDoesNot),
		refused: say(texts.notSaved)
	};

	/** Asked about before it is left: what the server has not got yet. */
	const unsaved = {
		get isOpen() {
			return editor.saveState === 'away' || editor.saveState === 'refused';
		},
		leave: () => {}
	};
	const whoMet = untrack(() => {
		const { teamId, id } = data.stored.practice;
		return new WhoMet(`/${teamId}/practices/${id}/met`);
	});
	async function askWhoMet() {
		await whoMet.ask();
		if (whoMet.isAway) view.said = say(texts.theServerDoesNotAnswerWho);
	}
	$effect(() => {
		if (view.dialog === 'groups') untrack(() => void askWhoMet());
	});
	focusBack(() => view.dialog !== null);

	const apply = (edit: Edit) => tell(editor.apply(edit));
	const onkeydown = (event: KeyboardEvent) =>
		handleKey(
			event,
			{
				evaluation: editor.evaluation,
				view,
				say,
				apply,
				undo: () => editor.undo(),
				redo: () => editor.redo()
			},
			lettersAreOn
		);
	function tell(failure: EditFailure | null) {
		view.said = failure ? describeFailure(failure, say) : '';
		view.forget(editor.practice);
	}
	const selectedOrLast = () => view.period ?? editor.practice.periods.at(-1)?.id ?? null;
	/** Puts a drill on the tape, for a unit beside the selected period where it is meant for one. */
	function addDrill(drill: Drill, { unit, rung, minutes = SHELF_MINUTES }: DrillWish = {}) {
		const at = rung === undefined ? { drill } : { drill, rung };
		const beside = unit && period && unitBeside(editor, period, { ...at, unit });
		if (beside) {
			apply(beside);
			view.mark(beside.period);
			return;
		}
		const added = periodFromDrill(editor, { ...at, id: nanoid(8), minutes });
		if (!added) {
			view.said = say(texts.noZoneOfThisGroundHolds, { name: drill.name });
			return;
		}
		const after = added.kind === 'warm-up' ? null : selectedOrLast();
		apply({ type: 'add-period', period: added, after });
		view.mark(added.id, added.lanes[0].blocks[0].id);
	}
	let tape: Tape | undefined = $state();
	function hold(
		drill: Drill | null,
		{ clientX, clientY }: { clientX: number; clientY: number },
		{ rung, minutes }: DrillWish = {}
	) {
		view.held = drill && {
			...{ drill, id: view.held?.id ?? nanoid(8), clientX, clientY },
			...(rung !== undefined && { rung }),
			...(minutes !== undefined && { minutes })
		};
	}
	function dropHeld() {
		const proposal = view.held && tape?.proposalFor(view.held);
		const id = view.held?.id ?? null;
		view.held = null;
		if (!proposal) return;
		const { edit } = proposal;
		apply(edit);
		view.mark(edit.type === 'arrange-period' ? edit.period : id);
	}
	const PLAIN: Record<PlainKind, { name: string; minutes: number }> = {
		water: { name: say(texts.water), minutes: 2 },
		talk: { name: say(texts.talk), minutes: 3 },
		close: { name: say(texts.close), minutes: 2 },
		units: { name: say(texts.unitTime), minutes: 20 }
	};
	function addPeriod(added: Period) {
		apply({ type: 'add-period', period: added, after: selectedOrLast() });
		view.mark(added.id, added.lanes[0]?.blocks[0]?.id ?? null);
	}
	function addPlain(kind: PlainKind) {
		addPeriod(plainPeriod(kind, { id: nanoid(8), ...PLAIN[kind] }));
		// Unit time is empty until each unit has its drill: that is asked there.
		if (kind === 'units') view.panel = 'period';
	}
</script>

<svelte:head>
	<title>{say(texts.fieldPlan, { day: dayWords(editor.practice.date) })}</title>
</svelte:head>
<svelte:window {onkeydown} />
<BibShapes />
<LeaveDialog draft={unsaved} says={say(texts.theyAreKeptInThisBrowser)} />

<div class="board">
	<TopBar team={data.surroundings.team} current="board">
		<span role="status" data-save={editor.saveState}>{SAVED[editor.saveState]}</span>
	</TopBar>
	<div>
		<BoardHead
			evaluation={editor.evaluation}
			findings={editor.findings}
			steps={editor}
			{view}
			week={weekOf(data.surroundings.season, editor.practice.date)}
			game={data.gameWeek?.game.opponent}
		/>
		<Unsaved
			outbox={editor.outbox}
			refused={editor.refused}
			keeping={editor.keeping}
			onretry={(edit) => tell(editor.retry(edit))}
			ondiscard={(edit) => editor.giveUp(edit)}
		/>
		<Conflicts
			conflicts={editor.conflicts}
			onsettle={(...choice) => tell(editor.settle(...choice))}
		/>
	</div>
	<main>
		<div class="left" class:open={period && view.panel === 'period'}>
			{#if period && view.panel === 'period'}
				<Inspector evaluation={editor.evaluation} {view} {period} onapply={apply} />
			{:else}
				<Shelf
					evaluation={editor.evaluation}
					onadd={addDrill}
					onplain={addPlain}
					selected={period?.name}
					onopen={() => (view.panel = 'period')}
					onborrow={() => (view.dialog = 'borrow')}
					onhold={hold}
					ondrop={dropHeld}
					{lookup}
					onShelf={data.drillsOnShelf}
				/>
			{/if}
		</div>
		<div class="middle">
			<Tape
				bind:this={tape}
				evaluation={editor.evaluation}
				findings={editor.findings}
				{view}
				onapply={apply}
			/>
			<Strip evaluation={editor.evaluation} {view} />
		</div>
		<div class="right">
			<header>
				<h2>{say(texts.groundAt, { clock: clockAt(editor.practice.start, view.now) })}</h2>
				<span>{editor.context.ground.name}</span>
			</header>
			<div class="ground">
				<Field evaluation={editor.evaluation} now={view.now} />
				<PlayBar {view} seconds={editor.evaluation.seconds} start={editor.practice.start} />
				{#if view.said}<p class="said" role="alert">{view.said}</p>{/if}
				{#if editor.trouble}<p class="said trouble" role="alert">{editor.trouble}</p>{/if}
			</div>
			<Findings
				findings={editor.findings}
				fixes={fixes.found}
				evaluation={editor.evaluation}
				onfix={apply}
				onarrange={() => (view.dialog = 'people')}
				onselect={({ at }) => {
					if (at.period) view.select(at.period, at.block ?? null);
					if (at.fromSecond !== undefined)
						view.moveTo(at.fromSecond + 60, editor.evaluation.seconds);
				}}
			/>
		</div>
	</main>
</div>

<BoardDialogs
	{view}
	evaluation={editor.evaluation}
	met={whoMet.met}
	others={data.others}
	grounds={data.grounds}
	gameWeek={data.gameWeek}
	bind:lettersAreOn
	onapply={apply}
	onborrow={addPeriod}
/>

<style>
	.board {
		height: 100dvh;
		display: grid;
		grid-template-rows: auto auto minmax(0, 1fr);
	}
	main {
		display: grid;
		grid-template-columns: 232px minmax(0, 1fr) minmax(320px, 27vw);
		min-height: 0;
	}
	main > div {
		min-height: 0;
		min-width: 0;
	}
	.left {
		padding: 8px 10px 0 14px;
		border-right: 1px solid var(--ink);
	}
	.middle {
		display: grid;
		grid-template-rows: minmax(0, 1fr) minmax(110px, 19%);
	}
	.right {
		border-left: 1px solid var(--ink);
		padding: 8px 14px 0 12px;
		display: grid;
		grid-template-rows: auto auto minmax(0, 1fr);
	}
	.right header {
		display: flex;
		justify-content: space-between;
		align-items: baseline;
		gap: 8px;
		padding-bottom: 5px;
	}
	h2 {
		font-size: 13.5px;
		font-weight: 700;
		white-space: nowrap;
	}
	.right header span {
		font-size: 12.5px;
		color: var(--ink-soft);
		text-align: right;
	}
	.said {
		font-weight: 600;
		line-height: 1.3;
		padding-bottom: 6px;
	}
	.trouble {
		color: var(--stop);
	}
	@media (max-width: 1000px) {
		.board {
			height: auto;
		}
		main {
			grid-template-columns: minmax(0, 1fr);
		}
		.left {
			border-right: 0;
			padding: 8px 14px;
			max-height: 420px;
			display: grid;
			/* What is inside scrolls, however much it is. */
			grid-template-rows: minmax(0, 1fr);
			order: 2;
		}
		/* What is selected opens over the foot of the page: its panel would lie below the fold. */
		.left.open {
			position: fixed;
			inset: auto 0 0;
			z-index: 20;
			max-height: 58dvh;
			background: var(--chalk);
			border-top: 2px solid var(--ink);
			box-shadow: 0 -6px 18px rgb(29 37 40 / 22%);
		}
		.right {
			border-left: 0;
			border-top: 1px solid var(--ink);
			padding: 8px 14px 16px;
			order: 3;
		}
		.middle {
			grid-template-rows: 560px 170px;
		}
	}
</style>
