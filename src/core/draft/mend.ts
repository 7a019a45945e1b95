import { fitToTime } from '../building';
import { faultsIn, fixesWithoutAsking, type Fault } from '../checks';
import { evaluate, type Evaluation } from '../playing';
import { applyEdit, blocksOf, type Edit, plannedMinutes } from '../practice';

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

/** A draft in which what can be fixed is fixed; periods of `kept` stay as they are. */
export function mended(draft: Evaluation, kept: ReadonlySet<string>): Evaluation {
	let now = inTime(draft);
	const tried = new Set<string>();
	for (let k = 0; k < MOST_FIXES; k += 1) {
		const fault = faultsIn(now).find((each) => each.severity !== 'hint' && !tried.has(keyOf(each)));
		if (!fault) return now;
		tried.add(keyOf(fault));
		const isKept = ({ at }: Fault) => at.period !== undefined && kept.has(at.period);
		if (isKept(fault)) continue;
		const fixed = fixesWithoutAsking(now, fault)
			.map((fix) => after(now, fix))
			.find((each) => each && !hasMoreTwice(each, now));
		now = fixed ?? withoutPeriod(now, fault) ?? now;
	}
	return now;
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
