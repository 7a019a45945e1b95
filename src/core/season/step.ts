import { badInput, fail, ok, type Failure, type Outcome } from '../base';
import type { StepInput, StepOutput } from './stepShapes';

/** What some tries advise, with the chances. */
export type StepAdvice = StepOutput['whole'];

/** Shares of clean turns within which a rung suits, where nothing else is said. */
export const DEFAULT_WINDOW: readonly [number, number] = [0.55, 0.75];

/** Tries from which on a step is advised, and how sure it must be. */
const ENOUGH_TRIES = 8;
const SURE = 0.7;
const MOST_MORE = 50;

/** Logarithms of factorials, 0! first, as many as were asked for so far. */
const logFactorials = [0];
function logFactorial(n: number): number {
	for (let k = logFactorials.length; k <= n; k += 1)
		logFactorials.push(logFactorials[k - 1] + Math.log(k));
	return logFactorials[n];
}

/** The chance of exactly `k` of `n`, each with chance `p`, 0 < p < 1. */
const binomial = (n: number, k: number, p: number): number =>
	Math.exp(
		logFactorial(n) -
			logFactorial(k) -
			logFactorial(n - k) +
			k * Math.log(p) +
			(n - k) * Math.log1p(-p)
	);

/** Parts of a sum smaller than this change nothing of it. */
const NOTHING = 1e-18;

/** The chance of `from` or fewer of `n` (`by` -1), or of so many or more (1), added up away from the mean. */
function tail(n: number, p: number, from: number, by: 1 | -1): number {
	let sum = 0;
	for (let k = from; k >= 0 && k <= n; k += by) {
		const part = binomial(n, k, p);
		sum += part;
		if (part <= sum * NOTHING) break;
	}
	return Math.min(1, sum);
}

/**
 * The chance that a share is over `p` after `clean` of `tries`, where any share was as likely before: that
 * is Beta(1 + clean, 1 + misses), whose tail is a sum of binomial chances. A small chance is added up itself,
 * for it is not what 1 leaves of a large one.
 */
function chanceOver(p: number, clean: number, tries: number): number {
	const n = tries + 1;
	return clean < n * p ? tail(n, p, clean, -1) : 1 - tail(n, p, clean + 1, 1);
}

/** The chance that it is under `p`. */
function chanceUnder(p: number, clean: number, tries: number): number {
	const n = tries + 1;
	return clean + 1 > n * p ? tail(n, p, clean + 1, 1) : 1 - tail(n, p, clean, -1);
}

type Plain = Omit<StepAdvice, 'moreTries'>;

function plainAdvice(clean: number, tries: number, [lower, upper]: readonly number[]): Plain {
	const above = chanceOver(upper, clean, tries);
	const below = chanceUnder(lower, clean, tries);
	const isEnough = tries >= ENOUGH_TRIES;
	const advice = isEnough && above >= SURE ? 'up' : isEnough && below >= SURE ? 'down' : 'stay';
	return { clean, tries, advice, above, below };
}

/** The advice on one tally: the chances and how few tries more could change it. */
export function adviceOn(
	clean: number,
	tries: number,
	window: readonly number[] = DEFAULT_WINDOW
): StepAdvice {
	const now = plainAdvice(clean, tries, window);
	const changes = (more: number) =>
		[clean + more, clean].some(
			(then) => plainAdvice(then, tries + more, window).advice !== now.advice
		);
	const more = Array.from({ length: MOST_MORE }, (_, index) => index + 1).find(changes);
	return { ...now, moreTries: more ?? null };
}

/** What is wrong with a window; null where nothing is. */
export const windowFault = (window: readonly number[] = DEFAULT_WINDOW): Failure | null => {
	const [lower, upper] = window;
	return lower > 0 && lower < upper && upper < 1
		? null
		: badInput(['window'], `expected 0 < lower < upper < 1, got ${lower} and ${upper}`);
};

/** What is wrong with a tally at a place; null where nothing is. */
export const tallyFault = (
	{ clean, tries }: { clean: number; tries: number },
	index: number
): Failure | null =>
	clean <= tries
		? null
		: badInput(['tallies', index, 'clean'], `expected at most the ${tries} tries, got ${clean}`);

/**
 * Whether to step up or down a ladder after what was counted: for all tallies as one, and for each. A share
 * of clean turns is taken to be anything from 0 to 1 before the first try. Fails with `bad-input`.
 */
export function step({ tallies, window = [...DEFAULT_WINDOW] }: StepInput): Outcome<StepOutput> {
	const fault =
		windowFault(window) ?? tallies.map(tallyFault).find((each) => each !== null) ?? null;
	if (fault) return fail(fault);
	const sum = (of: 'clean' | 'tries') => tallies.reduce((total, each) => total + each[of], 0);
	const whole = adviceOn(sum('clean'), sum('tries'), window);
	const each = tallies.map(({ who, clean, tries }) => ({
		who,
		...adviceOn(clean, tries, window)
	}));
	const goes = (way: StepAdvice['advice']) => each.some(({ advice: own }) => own === way);
	return ok({ whole, each, split: whole.advice === 'stay' && goes('up') && goes('down') });
}
