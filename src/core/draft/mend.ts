import { least as leastBy } from 'd3-array';
import { splitEvenly } from '../base';
import { fitToTime, resizePeriods } from '../building';
import { faultsIn, fixesWithoutAsking, type Fault } from '../checks';
import { evaluate, type Evaluation } from '../playing';
import type { Drill } from '../model/drill';
import { isOpposed } from '../model/family';
import type { Period } from '../model/practice';
import { MOST_CLOSE, MOST_WARM_UP } from './frame';
import { applyEdit, blocksOf, drillOf, type Edit, plannedMinutes } from '../practice';

/** How many findings of a draft are worked on. */
const MOST_FIXES = 8;

const after = (before: Evaluation, edit: Edit): Evaluation | null => {
	const applied = applyEdit(before.practice, edit);
	return applied.ok ? evaluate(applied.value.practice, before.context, before) : null;
};

/** How many more times than once drills are chosen. */
function twice({ practice }: Evaluation): number {
	const ids = [...blocksOf(practice)].flatMap(({ block }) => block.drill?.id ?? []);
	return ids.length - new Set(ids).size;
}

/** Whether a fix has put in a drill that is there already; a round that water divides is no such thing. */
const hasMoreTwice = (fixed: Evaluation, before: Evaluation): boolean =>
	fixed.practice.periods.length === before.practice.periods.length && twice(fixed) > twice(before);

const keyOf = ({ code, at }: Fault) => JSON.stringify([code, at]);

/** How often something that is learned undisturbed comes after live play in work that builds up. */
function closedAfterLive({ practice, context }: Evaluation): number {
	if (practice.arc !== 'build-up') return 0;
	const drills = practice.periods
		.filter(({ kind, lanes }) => kind === 'together' && lanes.length === 1)
		.flatMap(({ lanes }) => drillOf(context, lanes[0].blocks[0]?.drill) ?? []);
	const isLive = (drill: Drill) => drill.live === true && isOpposed(drill);
	const firstLive = drills.findIndex(isLive);
	return firstLive < 0 ? 0 : drills.slice(firstLive).filter((drill) => !isOpposed(drill)).length;
}

/** A practice whose periods of one drill are called what they hold: a fix may have put in another. */
function named(now: Evaluation): Evaluation {
	const nameOf = ({ kind, name, lanes }: Period): string => {
		const [block, ...others] = lanes.flatMap(({ blocks }) => blocks);
		const isOfOne = others.every(({ drill }) => drill?.id === block.drill?.id);
		const isRound = kind === 'stations' || kind === 'units';
		return (!isRound && isOfOne && drillOf(now.context, block?.drill)?.name) || name;
	};
	const periods = now.practice.periods.map((period) => {
		const name = nameOf(period);
		return name === period.name ? period : { ...period, name };
	});
	const isSame = periods.every((period, k) => period === now.practice.periods[k]);
	return isSame ? now : evaluate({ ...now.practice, periods }, now.context, now);
}

/** A draft in which what can be fixed is fixed; periods of `kept` stay as they are, and those of drills that were asked for keep their minutes. */
export const mended = (
	draft: Evaluation,
	{ kept, asked }: { kept: ReadonlySet<string>; asked: ReadonlySet<string> }
): Evaluation => {
	const now = fixed(inTime(draft), kept);
	const isAsked = ({ lanes }: Period) =>
		lanes.some(({ blocks }) => blocks.some(({ drill }) => asked.has(drill?.id ?? '')));
	const stay = now.practice.periods.filter((period) => kept.has(period.id) || isAsked(period));
	// What had to last longer may want a drink in its middle.
	return named(fixed(filledUp(now, new Set(stay.map(({ id }) => id))), kept));
};

function fixed(draft: Evaluation, kept: ReadonlySet<string>): Evaluation {
	let now = draft;
	const tried = new Set<string>();
	for (let k = 0; k < MOST_FIXES; k += 1) {
		const fault = faultsIn(now).find((each) => each.severity !== 'hint' && !tried.has(keyOf(each)));
		if (!fault) return now;
		tried.add(keyOf(fault));
		const isKept = ({ at }: Fault) => at.period !== undefined && kept.has(at.period);
		if (isKept(fault)) continue;
		const next = fixesWithoutAsking(now, fault)
			.map((fix) => after(now, fix))
			.find(
				(each) => each && !hasMoreTwice(each, now) && closedAfterLive(each) <= closedAfterLive(now)
			);
		now = next ?? withoutPeriod(now, fault) ?? now;
	}
	return now;
}

/** Kinds of period that may last longer where minutes are open, those first that lose nothing by it. */
const LONGER = ['scrimmage', 'together', 'warm-up', 'units', 'close'];

/** Nobody warms up or walks home for longer. */
const MOST: Partial<Record<Period['kind'], number>> = {
	'warm-up': MOST_WARM_UP,
	close: MOST_CLOSE
};

/** How bad a practice is: stops before warnings. */
function badness(evaluation: Evaluation): number {
	const faults = faultsIn(evaluation);
	const count = (severity: Fault['severity']) =>
		faults.filter((each) => each.severity === severity).length;
	return 100 * count('stop') + count('warn');
}

/** A draft in which what is left open makes a period longer that gets no worse by it; the game at last, whatever it takes. */
function filledUp(now: Evaluation, kept: ReadonlySet<string>): Evaluation {
	const { practice } = now;
	const open = practice.minutes - plannedMinutes(practice);
	if (open <= 0) return now;
	const order = practice.periods
		.filter(({ id, kind, slots = [] }) => !kept.has(id) && LONGER.includes(kind) && !slots.length)
		.toSorted((a, b) => LONGER.indexOf(a.kind) - LONGER.indexOf(b.kind) || a.minutes - b.minutes);
	const longer = (minutes: ReadonlyMap<string, number>) =>
		after(now, resizePeriods(practice, minutes));
	const shared = new Map<string, number>();
	const work = order.filter(({ kind }) => !(kind in MOST));
	for (const [k, minutes] of splitEvenly(open, Math.max(1, Math.min(work.length, open))).entries())
		if (work[k]) shared.set(work[k].id, work[k].minutes + minutes);
	const isLong = ({ kind, minutes }: Period) => minutes + open > (MOST[kind] ?? Infinity);
	const tries = [
		...order
			.filter((period) => !isLong(period))
			.map(({ id, minutes }) => new Map([[id, minutes + open]])),
		...(shared.size > 0 ? [shared] : [])
	].map(longer);
	const all = tries.flatMap((each) => each ?? []);
	const best = leastBy(all, (each) => badness(each));
	return all.find((each) => badness(each) <= badness(now)) ?? best ?? now;
}

/** A stop that nothing mends goes with its period, whose minutes the others share. */
function withoutPeriod(now: Evaluation, { severity, at }: Fault): Evaluation | null {
	if (severity !== 'stop' || at.period === undefined || now.practice.periods.length < 2)
		return null;
	const without = after(now, { type: 'remove-period', period: at.period });
	return without && inTime(without);
}

/** A draft whose minutes are those that there are, as far as its periods stretch. */
function inTime(now: Evaluation): Evaluation {
	if (plannedMinutes(now.practice) === now.practice.minutes) return now;
	const fitting = fitToTime(now.practice, now.context.limits);
	return (fitting.ok && after(now, fitting.value)) || now;
}
