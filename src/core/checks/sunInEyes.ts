import { sunOver } from '../conditions';
import { laidCopies, type Evaluation, type LaidPath, type PeriodWindow } from '../playing';
import { overBlocks } from './blockRule';
import { movedElsewhere } from './shared';
import type { Rule, Trouble } from './finding';

/** Degrees above the horizon under which the sun shines into the eyes of whoever looks its way. */
const LOW_SUN = 35;
/** Degrees to either side of the sun in which it still does. */
const GLARE = 30;
/** Directions that are chosen from lie so many degrees apart. */
const STEP = 45;

/** Degrees between two directions, 0 to 180. */
const apart = (one: number, other: number) => Math.abs(((one - other + 540) % 360) - 180);

/** The bearing of a low sun at a second of a practice; null where there is none in the sky. */
function lowSun({ practice, context }: Evaluation, second: number): number | null {
	const { date, start: clock, timeZone } = practice;
	const minutes = second / 60;
	const sun = sunOver(context.ground, { date, clock, timeZone, minutes });
	return sun && sun.height > 0 && sun.height < LOW_SUN ? sun.bearing : null;
}

const middleOf = ({ fromSecond, toSecond }: PeriodWindow) => (fromSecond + toSecond) / 2;

/** Players look into a low sun while they are talked to. */
export const sunInEyes: Rule<'sun-in-eyes'> = {
	find: (evaluation) =>
		evaluation.windows.flatMap((window): Trouble<'sun-in-eyes'>[] => {
			const { facing, id, kind } = window.period;
			const bearing =
				kind === 'talk' && facing !== undefined ? lowSun(evaluation, middleOf(window)) : null;
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

/** Where whoever catches looks: from where the ball comes down to where it comes from, degrees from north. */
function lookOf({ from, to }: LaidPath, length: number): number {
	// The length of a ground runs along x, and y to the right of it.
	const angle = (Math.atan2(from.y - to.y, from.x - to.x) * 180) / Math.PI;
	return (((length + angle) % 360) + 360) % 360;
}

/** Players look up into a low sun for what comes down. */
export const sunOnCatch = overBlocks({
	code: 'sun-on-catch',
	severity: 'hint',
	find({ steps, runs, evaluation }) {
		const high = steps.find(({ drill, run }) => drill.hazards?.looksUp && run.players.length > 0);
		const bearing = high && lowSun(evaluation, (high.fromSecond + high.toSecond) / 2);
		if (!high || bearing === undefined || bearing === null) return null;
		const length = evaluation.context.ground.bearing ?? 90;
		const looks = laidCopies(evaluation, high.fromSecond)
			.filter(({ played }) => played.run.block === runs[0].run.block)
			.flatMap(({ paths }) => paths.filter(({ kind }) => kind === 'flight'))
			.map((path) => lookOf(path, length));
		if (looks.every((look) => apart(look, bearing) > GLARE)) return null;
		return { values: { bearing: Math.round(bearing) % 360 }, fromSecond: high.fromSecond };
	},
	cause: () => '',
	propose: movedElsewhere
});
