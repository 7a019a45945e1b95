import { fitToTime, periodFromDrill } from '../building';
import { faultsIn } from '../checks';
import type { Drill } from '../model/drill';
import type { Period } from '../model/practice';
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
function withDrill({ practice, context }: Plan, drill: Drill): EditOf<'all'> | null {
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
	const warmUp = practice.periods.findLast(({ kind }) => kind === 'warm-up');
	const add: EditOf<'add-period'> = { type: 'add-period', period, after: warmUp?.id ?? null };
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

/** A scene set up: the edit that does it, its drill, and the findings that then stop the practice. */
export interface SetUp {
	edit: EditOf<'all'>;
	drill: Drill;
	stops: number;
}

/**
 * The edit that sets a scene up behind the warm-up, walked through, then live, with everybody who may play it
 * live, and its drill: on the largest ground on which it stops nothing, else on which it stops least. The other
 * periods give the minutes as they do whenever a practice is fitted. Null where no zone could hold it.
 *
 * @param drillFor The drill of the scene on a ground of so many metres at most.
 */
export function setUpScene(
	{ practice, context }: Plan,
	drillFor: (most: { length: number; width: number }) => Drill
): SetUp | null {
	let best: SetUp | null = null;
	for (const size of sizesOf(context)) {
		const drill = drillFor(size);
		const own = learning(context, [drill]);
		const edit = withDrill({ practice, context: own }, drill);
		const made = edit && applyEdit(practice, edit);
		if (!edit || !made?.ok) continue;
		const faults = faultsIn(evaluate(made.value.practice, own));
		const stops = faults.filter(({ severity }) => severity === 'stop').length;
		if (!best || stops < best.stops) best = { edit, drill, stops };
		if (stops === 0) break;
	}
	return best;
}
