import { dealByWeight, fail, ok, type Outcome } from '../base';
import { fit, type FitOutput } from '../clock';
import type { Period, Practice } from '../model/practice';
import type { Limits } from '../model/limits';
import { slotSeconds } from '../sizing';
import { isStation } from '../playing';
import { mostTalkMinutes, type EditOf } from '../practice';

type SetMinutes = EditOf<'set-minutes'>;
type RemovePeriod = EditOf<'remove-period'>;

/** Minutes of the blocks of a period when it lasts `minutes`: slots cut anew, lanes in proportion. */
function blockMinutes(period: Period, minutes: number): [string, number][] {
	const { slots, moveSeconds = 0 } = period;
	return period.lanes.flatMap((lane) => {
		if (slots && isStation(period, lane)) {
			const seconds = slotSeconds(minutes, { slots: slots.length, moveSeconds });
			return lane.blocks.map(({ id }): [string, number] => [
				id,
				Math.max(1, Math.round(seconds / 60))
			]);
		}
		const weights = lane.blocks.map((block) => block.minutes);
		// A minute each first, so that none is left with nothing.
		const shares = dealByWeight(Math.max(0, minutes - weights.length), weights);
		return lane.blocks.map(({ id }, index): [string, number] => [id, shares[index] + 1]);
	});
}

/** The edit that gives periods these minutes, their blocks with them. Minutes are whole, 1 to 600. */
export function resizePeriods(
	practice: Practice,
	minutesById: ReadonlyMap<string, number>
): SetMinutes {
	const changed = practice.periods.filter(({ id }) => minutesById.has(id));
	const minutesOf = ({ id }: Period) => minutesById.get(id) as number;
	return {
		type: 'set-minutes',
		periods: Object.fromEntries(changed.map((period) => [period.id, minutesOf(period)])),
		blocks: Object.fromEntries(changed.flatMap((period) => blockMinutes(period, minutesOf(period))))
	};
}

/**
 * The edit of a coach who says how long a period is to be: its minutes, and with them what is ideal,
 * so that fitting keeps to it. The range widens where it must. The period must be there.
 */
export function setMinutes(practice: Practice, id: string, minutes: number): EditOf<'all'> {
	const period = practice.periods.find((each) => each.id === id);
	const least = Math.min(period?.min ?? minutes, minutes);
	const most = Math.max(period?.max ?? minutes, minutes);
	return {
		type: 'all',
		edits: [
			resizePeriods(practice, new Map([[id, minutes]])),
			{ type: 'set-period', period: id, set: { min: least, ideal: minutes, max: most } }
		]
	};
}

/** The most minutes that a period is stretched to: a talk no longer than players listen. */
function mostMinutes(period: Period, limits: FitLimits): number {
	const { kind, ideal, max } = period;
	return kind === 'talk' ? Math.max(ideal, Math.min(max, mostTalkMinutes(period, limits))) : max;
}

type FitLimits = Pick<Limits, 'talkMinutes' | 'gameTalkMinutes'>;

/** Which periods keep their minutes and stay, whatever else must go. */
type Keeps = (period: Period) => boolean;

const KEEPS_NONE: Keeps = () => false;

/**
 * Minutes of the periods when the practice is fitted; locked ones keep theirs, and those that it `keeps` are
 * not dropped either. Fails as `fit` does.
 */
export function fitted(
	practice: Practice,
	limits: FitLimits,
	keeps: Keeps = KEEPS_NONE
): Outcome<FitOutput> {
	return fit({
		minutes: practice.minutes,
		periods: practice.periods.map((period) => {
			const { id, min, ideal, minutes, rank, locked } = period;
			if (keeps(period))
				return { id, min: minutes, ideal: minutes, max: minutes, rank: 'must', fixed: true };
			return locked
				? { id, min: minutes, ideal: minutes, max: minutes, rank, fixed: true }
				: { id, min, ideal, max: mostMinutes(period, limits), rank };
		})
	});
}

/** The edit that fits a practice to its minutes: what shrinks, stretches or drops. Fails as `fit` does. */
export function fitToTime(
	practice: Practice,
	limits: FitLimits,
	keeps: Keeps = KEEPS_NONE
): Outcome<EditOf<'all'>> {
	const outcome = fitted(practice, limits, keeps);
	if (!outcome.ok) return fail(outcome.failure);
	const { minutes, dropped } = outcome.value;
	const removals = dropped.map((period): RemovePeriod => ({ type: 'remove-period', period }));
	const resize = resizePeriods(practice, new Map(Object.entries(minutes)));
	return ok({ type: 'all', edits: [...removals, resize] });
}
