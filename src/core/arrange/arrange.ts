import { ok, sameValue, splitEvenly, type Outcome } from '../base';
import { fitToTime, otherGames, resizePeriods, startLate } from '../building';
import { faultsIn, fixesWithoutAsking, type Fault } from '../checks';
import type { PeriodKind, Practice } from '../model/practice';
import { evaluate, type Evaluation } from '../playing';
import { applyEdit, type Edit, type EditOf, findPeriod, plannedMinutes } from '../practice';
import { settle } from '../settling';
import { changesOf, partsIn, type PeriodChange } from './changes';

/** Who is here after all, and how late it starts. */
export interface Here {
	/** Ids of the players who are here, or come later. */
	expected: readonly string[];
	/** Ids of the adults who are here, or come later. */
	adults: readonly string[];
	/** Minutes after the planned start at which some come, by id; as it was planned where it is not said. */
	late?: Readonly<Record<string, number>>;
	/** Minutes that it starts late; the end stays. */
	lateMinutes?: number;
	/** Whether water may get shorter or go where time is short: somebody has said yes to it. */
	cutsWater?: boolean;
}

/** A practice arranged for who is here: the edit that does it, what it changes, what it cannot help. */
export interface Arranged {
	/** Null where nothing changes. */
	edit: EditOf<'all'> | null;
	practice: Practice;
	/** The periods that change, in their order. */
	changes: PeriodChange[];
	/** Stops that nothing fixes, but others who come. */
	left: Fault[];
	evaluation: Evaluation;
}

/** Stops that fewer parts of a period may help. */
const SMALLER = new Set(['group-size', 'too-few-players', 'role-missing', 'adults-few']);

const stopsIn = (evaluation: Evaluation): Fault[] =>
	faultsIn(evaluation).filter(({ severity }) => severity === 'stop');

/** A practice while it is arranged: every edit so far, and how it plays then. */
class Work {
	readonly edits: EditOf<'all'>['edits'] = [];
	private played: Evaluation;

	constructor(private readonly before: Evaluation) {
		this.played = before;
		this.practice = before.practice;
	}

	practice: Practice;

	/** Takes an edit; what does not apply is left. */
	take(edit: Edit): void {
		const applied = applyEdit(this.practice, edit);
		if (!applied.ok) return;
		this.edits.push(...(edit.type === 'all' ? edit.edits : [edit]));
		this.practice = applied.value.practice;
	}

	/** How the practice plays as it stands. */
	get evaluation(): Evaluation {
		if (this.played.practice !== this.practice)
			this.played = evaluate(this.practice, this.before.context, this.played);
		return this.played;
	}

	/** A practice that begins again from another, its work with it. */
	static from(other: Work): Work {
		const work = new Work(other.evaluation);
		work.edits.push(...other.edits);
		return work;
	}
}

/** Periods with more than one part in which something stops that fewer parts may help, and how much does. */
function tooBig(evaluation: Evaluation): Map<string, number> {
	const stops = new Map<string, number>();
	for (const { code, parts } of stopsIn(evaluation))
		for (const { at } of SMALLER.has(code) ? parts : [])
			if (at.period !== undefined) stops.set(at.period, (stops.get(at.period) ?? 0) + 1);
	const parts = new Map(evaluation.practice.periods.map((each) => [each.id, partsIn(each)]));
	return new Map([...stops].filter(([id]) => (parts.get(id) ?? 0) > 1));
}

/** Settles the periods; those in which something stops are settled again in fewer parts while that helps. */
function settled(framed: Work): Work {
	let best = framed;
	const plan = ({ practice }: Work) => ({ practice, context: framed.evaluation.context });
	for (const step of settle(plan(best)).edits) best.take(step);
	const open = tooBig(best.evaluation);
	while (open.size > 0) {
		const next = Work.from(best);
		const fewer = new Map([...open.keys()].map((id) => [id, 1]));
		for (const step of settle(plan(next), fewer).edits) next.take(step);
		const left = tooBig(next.evaluation);
		const isBetter = stopsIn(next.evaluation).length < stopsIn(best.evaluation).length;
		if (isBetter) best = next;
		for (const [id, before] of open) {
			const now = left.get(id) ?? 0;
			if (!isBetter || now === 0 || now >= before) open.delete(id);
			else open.set(id, now);
		}
	}
	return best;
}

/** Gives the minutes of periods that are gone to the others, where that makes nothing worse. */
function restInTime(work: Work, periods: number): Work {
	const { practice, evaluation } = work;
	if (practice.periods.length === periods || plannedMinutes(practice) >= practice.minutes)
		return work;
	const fitting = fitToTime(practice, evaluation.context.limits);
	const next = Work.from(work);
	if (fitting.ok) next.take(fitting.value);
	const isWorse = (than: Work, other: Work) =>
		stopsIn(than.evaluation).length > stopsIn(other.evaluation).length;
	const fits = isWorse(next, work) ? work : next;
	const rest = longer(fits.practice);
	if (!rest) return fits;
	const whole = Work.from(fits);
	whole.take(rest);
	return isWorse(whole, fits) ? fits : whole;
}

/** Kinds of period that may last longer than their coach meant, rather than leave minutes without a plan. */
const WORK: readonly PeriodKind[] = ['together', 'units', 'scrimmage'];

/** Minutes that are left over, shared by the work; null where none are, or nothing may take them. */
function longer(practice: Practice): EditOf<'all'> | null {
	const open = practice.minutes - plannedMinutes(practice);
	const periods = practice.periods.filter(({ kind, locked }) => !locked && WORK.includes(kind));
	if (open <= 0 || periods.length === 0) return null;
	const shares = splitEvenly(open, periods.length);
	const minutes = new Map(periods.map((period, k) => [period.id, period.minutes + shares[k]]));
	return {
		type: 'all',
		edits: [
			resizePeriods(practice, minutes),
			...periods.map(
				({ id, max }) =>
					({
						...{ type: 'set-period' as const, period: id },
						set: { max: Math.max(max, minutes.get(id) ?? max) }
					}) as const
			)
		]
	};
}

const keyOf = ({ code, at }: Fault) => JSON.stringify([code, at]);

/** Takes the best fix of every stop that has one without asking for somebody who is not here. Each fix leaves fewer stops, and so this ends. */
function fixed(work: Work): void {
	const unfixed = new Set<string>();
	for (;;) {
		const stop = stopsIn(work.evaluation).find((fault) => !unfixed.has(keyOf(fault)));
		if (!stop) return;
		const [fix] = fixesWithoutAsking(work.evaluation, stop);
		// What could not be fixed before may be, now that something else is.
		if (fix) {
			unfixed.clear();
			work.take(gameInstead(work, fix) ?? fix);
		} else unfixed.add(keyOf(stop));
	}
}

/** Another game in the place of one that a fix takes out, with no more stops than that leaves; null where the fix takes no game out, or none can be played. */
function gameInstead(work: Work, fix: Edit): EditOf<'all'> | null {
	const gone = fix.type === 'remove-period' && findPeriod(work.practice, fix.period);
	if (!gone) return null;
	const without = Work.from(work);
	without.take(fix);
	const stops = stopsIn(without.evaluation).length;
	const plan = { practice: work.practice, context: work.evaluation.context };
	for (const edit of otherGames(plan, gone)) {
		const next = Work.from(work);
		next.take(edit);
		if (stopsIn(next.evaluation).length <= stops) return edit;
	}
	return null;
}

/** Arrivals in minutes after the start, when that is later. */
function lateAfter(late: Readonly<Record<string, number>>, lateMinutes: number) {
	const left = Object.entries(late)
		.map(([id, minutes]): [string, number] => [id, minutes - lateMinutes])
		.filter(([, minutes]) => minutes > 0);
	return left.length > 0 ? Object.fromEntries(left) : null;
}

/** People in the order that they had, who is new behind them. */
const inOrder = (before: readonly string[], now: readonly string[]) => [
	...before.filter((id) => now.includes(id)),
	...now.filter((id) => !before.includes(id))
];

/** Who is here, and from when on. Fails as `fit` does. */
function framed(before: Evaluation, here: Here): Outcome<Work> {
	const { practice, context } = before;
	const { expected, adults, late = practice.late ?? {}, lateMinutes = 0, cutsWater } = here;
	const work = new Work(before);
	if (lateMinutes > 0) {
		const start = startLate(practice, lateMinutes, context.limits, { cutsWater });
		if (!start.ok) return start;
		work.take(start.value.edit);
	}
	work.take({
		type: 'set-practice',
		set: {
			expected: inOrder(practice.expected, expected),
			adults: inOrder(practice.adults, adults),
			...((practice.late ?? here.late) && { late: lateAfter(late, lateMinutes) })
		}
	});
	return ok(work);
}

/**
 * Arranges a practice for who is here, in one step: who is missing leaves the plan, who is new gets a place,
 * the start moves. Groups, copies and stations that are too small then are filled with the fewest players
 * moved, or go; all others stay where they are. Stops that are left after that are fixed where they can be.
 * Fails as `fit` does where what must be done has no time left.
 */
export function arrange(before: Evaluation, here: Here): Outcome<Arranged> {
	const frame = framed(before, here);
	if (!frame.ok) return frame;
	const { length } = frame.value.practice.periods;
	const done = settled(frame.value);
	fixed(done);
	const work = restInTime(done, length);
	const { evaluation, practice, edits } = work;
	return ok({
		edit: sameValue(practice, before.practice)
			? null
			: { type: 'all', edits: edits as EditOf<'all'>['edits'] },
		practice,
		changes: changesOf(before.practice, practice),
		left: stopsIn(evaluation),
		evaluation
	});
}
