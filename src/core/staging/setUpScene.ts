import { fitToTime, periodFromDrill } from '../building';
import { faultsIn } from '../checks';
import type { Drill } from '../model/drill';
import type { Period, Practice } from '../model/practice';
import { evaluate } from '../playing';
import {
	applyEdit,
	type EditOf,
	idMaker,
	idsIn,
	learning,
	plannedMinutes,
	type Plan
} from '../practice';
import { LIVE_MINUTES, LIVE_RUNG, WALK_MINUTES } from '../scene';

/** The least and the most minutes of a block that sets a scene up. */
const MIN_MINUTES = 4;
const MAX_MINUTES = 6;
const MINUTES = WALK_MINUTES + LIVE_MINUTES;

/** The edit that sets a drill of a scene up; null where no zone could hold it. */
function withDrill(
	{ practice, context }: Plan,
	drill: Drill,
	after: string | null
): EditOf<'all'> | null {
	const id = idMaker(practice.periods.flatMap(idsIn))('scene');
	// Whoever may not play it live does not walk through it either: they would be taken out in the middle.
	const asked = { drill, id, minutes: MINUTES, rung: LIVE_RUNG };
	const made = periodFromDrill({ practice, context }, asked);
	if (!made) return null;
	const period: Period = {
		...made,
		...{ min: MIN_MINUTES, ideal: MINUTES, max: MAX_MINUTES },
		lanes: made.lanes.map((lane) => ({
			...lane,
			blocks: lane.blocks.map((block) => ({
				...block,
				climb: [{ minutes: WALK_MINUTES }, { rung: LIVE_RUNG, minutes: LIVE_MINUTES }]
			}))
		}))
	};
	const add: EditOf<'add-period'> = { type: 'add-period', period, after };
	const added = applyEdit(practice, add);
	if (!added.ok) return null;
	const next = added.value.practice;
	if (plannedMinutes(next) <= practice.minutes) return { type: 'all', edits: [add] };
	const fit = fitToTime(next, context.limits, (each) => each.id === id);
	return { type: 'all', edits: fit.ok ? [add, ...fit.value.edits] : [add] };
}

/** Sizes of the zones of a ground, the largest first, each once. */
const sizesOf = ({ ground }: Plan['context']): { length: number; width: number }[] => [
	...new Map(
		ground.zones
			.toSorted((a, b) => b.length * b.width - a.length * a.width)
			.map(({ length, width }) => [`${length} ${width}`, { length, width }])
	).values()
];

/** A scene set up: the edit that does it, its drill, and what the practice then has of findings. */
export interface SetUp {
	edit: EditOf<'all'>;
	drill: Drill;
	/** Findings that stop it, and those that warn. */
	faults: [stops: number, warnings: number];
}

const isBetter = ({ faults: a }: SetUp, { faults: b }: SetUp) =>
	a[0] < b[0] || (a[0] === b[0] && a[1] < b[1]);

/** The scene set up behind a period; null where no zone could hold it. */
function tried({ practice, context }: Plan, drill: Drill, after: string | null): SetUp | null {
	const plan = { practice, context: learning(context, [drill]) };
	const edit = withDrill(plan, drill, after);
	const made = edit && applyEdit(practice, edit);
	if (!edit || !made?.ok) return null;
	const faults = faultsIn(evaluate(made.value.practice, plan.context));
	const count = (severity: string) => faults.filter((each) => each.severity === severity).length;
	return { edit, drill, faults: [count('stop'), count('warn')] };
}

/** Where in a practice a scene may be set up: behind the warm-up, else behind a drink of its first two thirds. */
function placesIn({ periods }: Practice): (string | null)[] {
	const warmUp = periods.findLast(({ kind }) => kind === 'warm-up')?.id ?? null;
	const early = periods.slice(0, Math.ceil((periods.length * 2) / 3));
	return [warmUp, ...early.flatMap(({ kind, id }) => (kind === 'water' ? id : []))];
}

/**
 * The edit that sets a scene up, walked through, then live, with everybody who may play it live, and its drill: on
 * the largest ground on which it stops nothing, else on which it stops least, behind the warm-up or, where that
 * has fewer findings, behind an early drink. The other periods give the minutes as they do whenever a practice is
 * fitted. Null where no zone could hold it.
 *
 * @param drillFor The drill of the scene on a ground of so many metres at most.
 */
export function setUpScene(
	plan: Plan,
	drillFor: (most: { length: number; width: number }) => Drill
): SetUp | null {
	const [first, ...others] = placesIn(plan.practice);
	let best: SetUp | null = null;
	for (const size of sizesOf(plan.context)) {
		const next = tried(plan, drillFor(size), first);
		if (next && (!best || next.faults[0] < best.faults[0])) best = next;
		if (best?.faults[0] === 0) break;
	}
	if (!best) return null;
	for (const place of others) {
		const next = tried(plan, best.drill, place);
		if (next && isBetter(next, best)) best = next;
	}
	return best;
}
