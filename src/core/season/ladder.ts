import { group, max, sum } from 'd3-array';
import { ladderOf, type RungId } from '../drill';
import type { Drill } from '../model/drill';
import type { Advice, Ruling, Tally } from '../model/ladders';
import { onRung } from '../playing';
import { DEFAULT_WINDOW, step, type StepAdvice } from './step';

/** A drill on a rung in a practice that was held, by those of one unit. */
export interface RungRun {
	practice: string;
	date: string;
	drill: string;
	rung: RungId;
	unit: string | null;
}

/** A tally with the day of its practice. */
export type DatedTally = Tally & { date: string };

/** Advice for the whole, or for somebody. */
export interface AdviceFor extends StepAdvice {
	whom: Tally['whom'];
	whomId?: string;
}

/** Where a ladder stands. */
export interface LadderStanding {
	drill: string;
	/** From the easiest to the hardest, each with the practices that it was run in. */
	rungs: { id: RungId; runs: number }[];
	/** Place of the rung of the last run. */
	at: number;
	/** The day of the last run. */
	last: string;
	/** What was counted on that rung, all of it; null where nothing was. */
	whole: StepAdvice | null;
	/** By unit, group or player, where it was counted so. */
	each: AdviceFor[];
	/** One goes up and another down while the whole stays. */
	isSplit: boolean;
	/** What a coach decided otherwise since the last run. */
	ruling: Ruling | null;
	/** Place of the rung that comes next. */
	next: number;
	/** Rungs that the next one needs and that were never run. */
	needs: string[];
}

/** Whose season is looked at: a unit's, a player's, or everybody's. */
export type Whose = { unit: string } | { player: string } | null;

/** What ladders stand on: what was run, counted and decided. */
export interface LadderSaid {
	runs: readonly RungRun[];
	tallies: readonly DatedTally[];
	rulings: readonly Ruling[];
}

/**
 * What was run, counted and decided of a unit or a player: of a unit also what its players had by themselves.
 * For everybody all that was counted, and what was decided for the squad. Runs of a player are read by
 * themselves: all of them are theirs.
 */
export function saidOf(
	{ runs, tallies, rulings }: LadderSaid,
	whose: Whose,
	unitOf: ReadonlyMap<string, string | undefined>
): LadderSaid {
	if (whose === null)
		return { runs, tallies, rulings: rulings.filter(({ whom }) => whom === 'squad') };
	if ('player' in whose) {
		const isTheirs = ({ whom, whomId }: Pick<Tally, 'whom' | 'whomId'>) =>
			whom === 'player' && whomId === whose.player;
		return { runs, tallies: tallies.filter(isTheirs), rulings: rulings.filter(isTheirs) };
	}
	const { unit } = whose;
	return {
		runs: runs.filter((run) => run.unit === unit),
		tallies: tallies.filter(({ whom, whomId = '' }) =>
			whom === 'unit' ? whomId === unit : whom === 'player' && unitOf.get(whomId) === unit
		),
		rulings: rulings.filter(({ whom, whomId }) => whom === 'unit' && whomId === unit)
	};
}

/** Ladders in which tries were counted first, then those that were run last. */
export const byNews = (a: LadderStanding, b: LadderStanding): number =>
	Number(!a.whole) - Number(!b.whole) || (a.last < b.last ? 1 : -1);

/** Levels at which tries are counted, the widest first. */
const LEVELS = ['squad', 'unit', 'group', 'player'] as const;

/** Tries of everybody: of the widest level at which they were counted in a practice. */
function wholeOf(tallies: readonly DatedTally[]): DatedTally[] {
	return [...group(tallies, ({ practice, judge }) => `${practice} ${judge}`).values()].flatMap(
		(own) => {
			const level = LEVELS.find((each) => own.some(({ whom }) => whom === each));
			return own.filter(({ whom }) => whom === level);
		}
	);
}

const added = (who: string, tallies: readonly DatedTally[]) => ({
	who,
	clean: sum(tallies, ({ clean }) => clean),
	tries: sum(tallies, ({ tries }) => tries)
});

/** The window of success of a drill on a rung. */
function windowOf(drill: Drill, rung: RungId): readonly number[] {
	const window = onRung(drill, rung ?? undefined).success?.window;
	return window && window[0] > 0 && window[0] < window[1] && window[1] < 1
		? window
		: DEFAULT_WINDOW;
}

/** What the tallies of a rung advise, for all and for each who was counted apart. */
function adviceIn(tallies: readonly DatedTally[], window: readonly number[]) {
	const parts = [
		...group(
			tallies.filter(({ whom }) => whom !== 'squad'),
			({ whom, whomId }) => `${whom} ${whomId ?? ''}`
		)
	];
	const whole = wholeOf(tallies);
	if (whole.length === 0) return { whole: null, each: [], isSplit: false };
	const said = step({
		tallies: parts.map(([who, own]) => added(who, own)),
		window: [...window]
	});
	const all = step({ tallies: [added('whole', whole)], window: [...window] });
	if (!said.ok || !all.ok) return { whole: null, each: [], isSplit: false };
	const each = said.value.each.map(({ who: _who, ...advice }, index): AdviceFor => {
		const [{ whom, whomId }] = parts[index][1];
		return { ...advice, whom, ...(whomId !== undefined && { whomId }) };
	});
	const goes = (advice: Advice) => each.some((one) => one.advice === advice);
	const isSplit = all.value.whole.advice === 'stay' && goes('up') && goes('down');
	return { whole: all.value.whole, each, isSplit };
}

/** Where advice leads from a place on a ladder. */
const moved = (at: number, advice: Advice, length: number): number =>
	Math.min(length - 1, Math.max(0, at + { up: 1, stay: 0, down: -1 }[advice]));

/**
 * Where the ladder of a drill stands after the practices that were held: on the highest rung of the last
 * run. Tallies count on that rung since it was come to; what is judged by something else than the drill asks
 * for is left out. Null where the drill was never run.
 */
export function standingOf(
	drill: Drill,
	{ runs, tallies, rulings }: LadderSaid
): LadderStanding | null {
	const ladder = ladderOf(drill);
	const own = runs.filter((run) => run.drill === drill.id && ladder.includes(run.rung));
	if (own.length === 0) return null;
	const days = [...group(own, ({ date, practice }) => `${date} ${practice}`)].sort(([a], [b]) =>
		a < b ? -1 : 1
	);
	const highest = days.map(([, each]) => max(each, ({ rung }) => ladder.indexOf(rung)) ?? 0);
	const at = highest[highest.length - 1];
	const [{ date: last }] = days[days.length - 1][1];
	const came = highest.findLastIndex((place) => place !== at) + 1;
	const since = days[came][1][0].date;
	const judge = drill.success?.judge ?? 'outcome';
	const counted = tallies.filter(
		(tally) =>
			tally.drill === drill.id &&
			tally.rung === ladder[at] &&
			tally.judge === judge &&
			tally.date >= since
	);
	const advice = adviceIn(counted, windowOf(drill, ladder[at]));
	const ruling =
		rulings
			.filter((each) => each.drill === drill.id && each.date >= last)
			.sort((a, b) => (a.date < b.date ? 1 : -1))[0] ?? null;
	const next = moved(at, ruling?.chosen ?? advice.whole?.advice ?? 'stay', ladder.length);
	const done = new Set(own.map(({ rung }) => rung));
	const needs = drill.rungs.find(({ id }) => id === ladder[next])?.needs ?? [];
	return {
		drill: drill.id,
		rungs: ladder.map((id) => ({
			id,
			runs: days.filter(([, each]) => each.some(({ rung }) => rung === id)).length
		})),
		at,
		last,
		...advice,
		ruling,
		next,
		needs: needs.filter((id) => !done.has(id))
	};
}

/** Where a course stands: how many of its steps were done, each after the one before or with it. */
export function courseStanding(
	steps: readonly { drill: string; rung?: string }[],
	runs: readonly RungRun[]
): number {
	let from = '';
	for (const [index, step] of steps.entries()) {
		const days = runs
			.filter(({ drill, rung }) => drill === step.drill && rung === (step.rung ?? null))
			.map(({ date }) => date)
			.filter((date) => date >= from)
			.sort();
		if (days.length === 0) return index;
		from = days[0];
	}
	return steps.length;
}

/** A side of a drill that gets too few of the turns. */
export interface ShortSide {
	drill: string;
	side: string;
	/** Its share of the turns, 0 to 1. */
	share: number;
	/** How many of the last practices with the drill it is over. */
	practices: number;
}

/** A side with fewer of the turns than this is short, where it is one of two. */
const LEAST_SHARE = 0.4;
const OVER_PRACTICES = 3;

/**
 * Sides that had under 40% of the turns over the last three practices with their drill; of more than two
 * sides, under four fifths of an even share.
 */
export function shortSides(
	turns: readonly { date: string; practice: string; drill: string; side: string; turns: number }[]
): ShortSide[] {
	return [...group(turns, ({ drill }) => drill)].flatMap(([drill, own]) => {
		const byPractice = [...group(own, ({ date, practice }) => `${date} ${practice}`)].sort(
			([a], [b]) => (a < b ? -1 : 1)
		);
		const last = byPractice.slice(-OVER_PRACTICES).flatMap(([, each]) => each);
		const sides = group(last, ({ side }) => side);
		const total = sum(last, (each) => each.turns);
		const least = (LEAST_SHARE * 2) / Math.max(2, sides.size);
		if (byPractice.length < OVER_PRACTICES || total === 0) return [];
		return [...sides].flatMap(([side, each]) => {
			const share = sum(each, (one) => one.turns) / total;
			return share < least ? [{ drill, side, share, practices: OVER_PRACTICES }] : [];
		});
	});
}
