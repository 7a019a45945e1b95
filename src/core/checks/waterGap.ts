import { setMinutes } from '../building';
import type { Evaluation } from '../playing';
import type { Edit, EditOf } from '../practice';
import type { Period, Practice } from '../model/practice';
import type { Rule } from './finding';
import { waterBehind, withWaterBetween } from './fixes';

/** A stretch of periods without water, in minutes from the start of the practice. */
interface Gap {
	periods: Period[];
	minutes: number;
	fromSecond: number;
}

const WATER_MINUTES = 2;

const QUIET = new Set(['water', 'before', 'room', 'close']);

/** Stretches on the ground between two drinks: a practice starts and ends with one. */
function gapsIn({ practice, windows }: Pick<Evaluation, 'practice' | 'windows'>): Gap[] {
	const gaps: Gap[] = [];
	let open: Gap | null = null;
	for (const [index, period] of practice.periods.entries()) {
		if (QUIET.has(period.kind)) {
			open = null;
			continue;
		}
		if (!open)
			gaps.push((open = { periods: [], minutes: 0, fromSecond: windows[index].fromSecond }));
		open.periods.push(period);
		open.minutes += period.minutes;
	}
	return gaps;
}

/** Water wherever the time since the last drink would go over the limit; null where a period alone does. */
function drinks({ periods }: Gap, practice: Practice, most: number): Edit | null {
	const edits: EditOf<'add-period'>[] = [];
	let since = 0;
	for (const [index, { minutes }] of periods.entries()) {
		if (minutes > most) return null;
		if (since + minutes > most) {
			const { period, ...where } = waterBehind(practice, periods[index - 1].id, WATER_MINUTES);
			const id = `${period.id}${edits.length > 0 ? `.${edits.length}` : ''}`;
			edits.push({ ...where, period: { ...period, id } });
			since = 0;
		}
		since += minutes;
	}
	return edits.length > 0 ? { type: 'all', edits } : null;
}

/** Water behind each period of the gap, or several drinks, or one in the middle of the longest, or that one shorter. */
function* proposals({ practice }: Evaluation, gap: Gap, most: number): Generator<Edit> {
	const { periods } = gap;
	for (const { id } of middleFirst(periods.slice(0, -1)))
		yield waterBehind(practice, id, WATER_MINUTES);
	const several = drinks(gap, practice, most);
	if (several) yield several;
	const longest = periods.reduce((a, b) => (b.minutes > a.minutes ? b : a));
	const halves = withWaterBetween(practice, longest.id, WATER_MINUTES);
	if (halves) yield halves;
	yield setMinutes(practice, longest.id, Math.max(1, Math.floor(most)));
}

/** Periods from the middle outwards: water is best where it halves the time. */
function middleFirst(periods: readonly Period[]): Period[] {
	const ends = periods.map((_, index) =>
		periods.slice(0, index + 1).reduce((sum, { minutes }) => sum + minutes, 0)
	);
	const half = (ends.at(-1) ?? 0) / 2;
	const far = (period: Period) => Math.abs(ends[periods.indexOf(period)] - half);
	return periods.toSorted((a, b) => far(a) - far(b));
}

/** Players go too long without water. */
export const waterGap: Rule<'water-gap'> = {
	find(evaluation) {
		const { waterMinutes } = evaluation.context.limits;
		return gapsIn(evaluation)
			.filter(({ minutes }) => minutes > waterMinutes)
			.map(({ periods, minutes, fromSecond }) => ({
				code: 'water-gap',
				severity: 'warn',
				at: { period: periods[0].id, fromSecond },
				values: { minutes, limit: waterMinutes, last: periods[periods.length - 1].id }
			}));
	},
	weigh: ({ values }) => values.minutes,
	*propose(evaluation, { at }) {
		const gap = gapsIn(evaluation).find(({ periods }) => periods[0].id === at.period);
		if (gap) yield* proposals(evaluation, gap, evaluation.context.limits.waterMinutes);
	}
};
