import {
	applyEdit,
	idMaker,
	idsIn,
	setMinutes,
	splitPeriod,
	type Edit,
	type Evaluation
} from '../practice';
import type { Period } from '../model/practice';
import type { Finding, Rule } from './finding';
import { waterBehind } from './fixes';

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

/** Water behind each period of the gap, or in the middle of the longest, or that one made shorter. */
function proposals({ practice }: Evaluation, { periods }: Gap, most: number): Edit[] {
	const between = periods.slice(0, -1).map(({ id }) => waterBehind(practice, id, WATER_MINUTES));
	const longest = periods.reduce((a, b) => (b.minutes > a.minutes ? b : a));
	const halves = longest.slots
		? null
		: splitPeriod(practice, longest.id, idMaker(practice.periods.flatMap(idsIn)));
	const apart = halves && waterBehind(practice, longest.id, WATER_MINUTES);
	const cut: Edit[] = halves && apart ? [{ type: 'all', edits: [...halves.edits, apart] }] : [];
	return [...between, ...cut, setMinutes(practice, longest.id, Math.max(1, Math.floor(most)))];
}

/** How many stretches are too long after an edit; Infinity where it does not apply. */
function gapsAfter({ practice }: Evaluation, edit: Edit, most: number): number {
	const applied = applyEdit(practice, edit);
	if (!applied.ok) return Infinity;
	const windows = applied.value.practice.periods.map((period) => ({
		period,
		fromSecond: 0,
		toSecond: 0,
		slots: []
	}));
	return gapsIn({ practice: applied.value.practice, windows }).filter(
		({ minutes }) => minutes > most
	).length;
}

/** Players go too long without water. */
export const waterGap: Rule = (evaluation) => {
	const { waterMinutes } = evaluation.context.limits;
	const gaps = gapsIn(evaluation).filter(({ minutes }) => minutes > waterMinutes);
	return gaps.map((gap): Finding => {
		const mending = proposals(evaluation, gap, waterMinutes).filter(
			(edit) => gapsAfter(evaluation, edit, waterMinutes) < gaps.length
		);
		return {
			code: 'water-gap',
			severity: 'warn',
			at: { period: gap.periods[0].id, fromSecond: gap.fromSecond },
			values: {
				minutes: gap.minutes,
				limit: waterMinutes,
				last: gap.periods[gap.periods.length - 1].id
			},
			fixes: mending.slice(0, 2)
		};
	});
};
