import { dealByWeight } from '../base';
import { ladderOf } from '../drill';
import type { Drill } from '../model/drill';
import type { Block, ClimbStep } from '../model/practice';
import type { Edit, EditOf, Found } from '../practice';

/** What ends a step of a climb. */
export type ClimbKind = 'minutes' | 'turns';

/** Turns of a step until a coach says otherwise. */
const USUAL_TURNS = 4;

/** What ends the steps of a climb; all of them alike. */
export const climbKind = (climb: readonly ClimbStep[]): ClimbKind =>
	climb.some(({ turns }) => turns !== undefined) ? 'turns' : 'minutes';

/**
 * Whole minutes of each step of a climb by minutes in a block of so many, a minute each at least: what a step says is its
 * share, so that they add up to the block's however long that is made. Empty for a climb by turns.
 */
export function stepMinutes(climb: readonly ClimbStep[], minutes: number): number[] {
	if (climbKind(climb) === 'turns') return [];
	const weights = climb.map((step) => step.minutes ?? 1);
	const shares = dealByWeight(minutes, weights);
	if (shares.every((share) => share >= 1)) return shares;
	return dealByWeight(Math.max(0, minutes - climb.length), weights).map((share) => share + 1);
}

/** A climb by minutes whose steps say the minutes that they have in a block of so many; one by turns as it is. */
export function inMinutes(climb: readonly ClimbStep[], minutes: number): ClimbStep[] {
	const each = stepMinutes(climb, minutes);
	return climb.map((step, k) => (each.length > 0 ? { ...step, minutes: each[k] } : step));
}

/** A climb one of whose steps lasts so many of a block's minutes, a minute being left to each other; the others share the rest as they did. */
export function withStepMinutes(
	climb: readonly ClimbStep[],
	{ index, length, minutes }: { index: number; length: number; minutes: number }
): ClimbStep[] {
	const others = climb.toSpliced(index, 1);
	const most = Math.max(1, minutes - others.length);
	const own = others.length === 0 ? minutes : Math.min(length, most);
	return inMinutes(others, minutes - own).toSpliced(index, 0, { ...climb[index], minutes: own });
}

/** Steps that are all ended alike: by the usual turns, or by minutes that share the block's. */
const endedBy = (kind: ClimbKind, steps: readonly ClimbStep[], minutes: number): ClimbStep[] =>
	kind === 'turns'
		? steps.map((step) => ({ ...step, turns: USUAL_TURNS }))
		: inMinutes(
				steps.map((step) => ({ ...step, minutes: 1 })),
				minutes
			);

/** The same steps, ended by minutes that share the time, or by turns. */
export function countedBy(
	climb: readonly ClimbStep[],
	{ kind, minutes }: { kind: ClimbKind; minutes: number }
): ClimbStep[] {
	if (climbKind(climb) === kind) return [...climb];
	const steps = climb.map(({ minutes: _minutes, turns: _turns, ...step }) => step);
	return endedBy(kind, steps, minutes);
}

/** A step as long as the last one of a climb, on a rung; on the drill itself where none is named. */
const stepLike = (climb: readonly ClimbStep[], rung: string | undefined): ClimbStep => {
	const { minutes, turns } = climb[climb.length - 1];
	return {
		...(rung !== undefined && { rung }),
		...(turns === undefined ? { minutes: minutes ?? 1 } : { turns })
	};
};

/** A climb with one step more at its end: on the rung above its last one, or on that again at the top. */
export function withNextStep(climb: readonly ClimbStep[], drill: Drill): ClimbStep[] {
	const ladder = ladderOf(drill);
	const at = ladder.indexOf(climb[climb.length - 1].rung ?? null);
	const next = ladder[Math.min(at + 1, ladder.length - 1)];
	return [...climb, stepLike(climb, next ?? undefined)];
}

/** A climb through a drill's whole ladder, from its easiest rung to its top one. */
export function wholeLadder(
	drill: Drill,
	{ kind, minutes }: { kind: ClimbKind; minutes: number }
): ClimbStep[] {
	const steps = ladderOf(drill).map((rung) => (rung === null ? {} : { rung }));
	return endedBy(kind, steps, minutes);
}

/** A copy of a block given steps of its own, or none of its own any more. */
export function climbOfCopy(
	block: Block,
	copyId: string,
	climb: Block['climb'] | null
): EditOf<'set-block'> {
	const copies = block.copies.map((copy) => {
		if (copy.id !== copyId) return copy;
		const { climb: _before, ...rest } = copy;
		return climb ? { ...rest, climb } : rest;
	});
	return { type: 'set-block', block: block.id, set: { copies } };
}

/** Another drill in the place of a block's, on its base: the same players, groups, adults and zones. */
export function withDrill(block: Block, drill: Drill): EditOf<'set-block'> {
	const copies = block.copies.map(({ climb: _climb, ...copy }) => copy);
	return {
		type: 'set-block',
		block: block.id,
		set: {
			drill: { id: drill.id, revision: drill.revision ?? 1 },
			climb: [{ minutes: block.minutes }],
			...(block.copies.some(({ climb }) => climb !== undefined) && { copies }),
			...(block.side !== undefined && { side: null })
		}
	};
}

/** Another drill in the place of one on the tape, as `withDrill` puts it; a period that was called after the old drill is called after the new one. */
export function drillInPlace(
	{ period, block }: Pick<Found, 'period' | 'block'>,
	{ before, drill }: { before: Pick<Drill, 'name'>; drill: Drill }
): Edit {
	const edit = withDrill(block, drill);
	const isOnly = period.lanes.every(({ blocks }) =>
		blocks.every((each) => each === block || each.drill?.id === block.drill?.id)
	);
	if (!isOnly || period.name !== before.name) return edit;
	return {
		type: 'all',
		edits: [edit, { type: 'set-period', period: period.id, set: { name: drill.name } }]
	};
}
