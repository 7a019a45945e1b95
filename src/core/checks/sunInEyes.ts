import { sunOver } from '../conditions';
import type { Evaluation, PeriodWindow } from '../playing';
import type { Rule, Trouble } from './finding';

/** Degrees above the horizon under which the sun shines into the eyes of whoever looks its way. */
const LOW_SUN = 35;
/** Degrees to either side of the sun in which it still does. */
const GLARE = 45;
/** Directions that are chosen from lie so many degrees apart. */
const STEP = 45;

/** Degrees between two directions, 0 to 180. */
const apart = (one: number, other: number) => Math.abs(((one - other + 540) % 360) - 180);

/** The bearing of a low sun at the middle of a period; null where there is none in the sky. */
function lowSun({ practice, context }: Evaluation, window: PeriodWindow): number | null {
	const { date, start: clock, timeZone } = practice;
	const minutes = (window.fromSecond + window.toSecond) / 120;
	const sun = sunOver(context.ground, { date, clock, timeZone, minutes });
	return sun && sun.height > 0 && sun.height < LOW_SUN ? sun.bearing : null;
}

/** Players look into a low sun while they are talked to. */
export const sunInEyes: Rule<'sun-in-eyes'> = {
	find: (evaluation) =>
		evaluation.windows.flatMap((window): Trouble<'sun-in-eyes'>[] => {
			const { facing, id, kind } = window.period;
			const bearing = kind === 'talk' && facing !== undefined ? lowSun(evaluation, window) : null;
			if (bearing === null || facing === undefined || apart(bearing, facing) > GLARE) return [];
			return [
				{
					code: 'sun-in-eyes',
					severity: 'hint',
					at: { period: id, fromSecond: window.fromSecond },
					values: { facing, bearing: Math.round(bearing) % 360 }
				}
			];
		}),
	weigh: ({ values }) => GLARE - apart(values.bearing, values.facing),
	/** The sun in their backs. */
	*propose(_evaluation, { at, values }) {
		const facing = (Math.round((values.bearing + 180) / STEP) * STEP) % 360;
		yield { type: 'set-period', period: at.period ?? '', set: { facing } };
	}
};
