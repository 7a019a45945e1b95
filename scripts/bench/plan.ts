// Plans of whole seasons against what minutes alone could give, in the seconds that each has.
import { bestWithin } from '../../src/core/base';
import { planSearch, type SeasonPlanInput } from '../../src/core/seasonPlan';
import { rulesBroken, wholeSeason } from '../../tests/support/seasons';
import { median, slowness, verdict } from './report';

const SEEDS = process.env.SEEDS ? [1] : [1, 2, 3, 4, 5];

function planned(input: SeasonPlanInput, seconds: number) {
	const found = planSearch(input);
	if (!found.ok) throw new Error(found.failure.message);
	return bestWithin(found.value, { now: () => performance.now(), seconds });
}

/** Share of the weighted minutes that minutes alone could give, that a plan gives. */
function share(input: SeasonPlanInput, seconds: number): number {
	const { measures, bound } = planned(input, seconds);
	return (measures.weightedMinutes - measures.weightedShort) / (measures.weightedMinutes - bound);
}

for (const [count, seconds] of [
	[27, 2],
	[40, 5],
	[120, 20]
] as const) {
	const shares = SEEDS.map((seed) => {
		// A slow hour has as much work done as a calm one.
		const time = seconds * slowness();
		return share(wholeSeason(count, seed), time);
	});
	const percent = (value: number) => `${(100 * value).toFixed(1)}%`;
	console.log(
		`plan of ${count} practices in ${seconds} s calm: ${percent(median(shares))} of the bound (least ${percent(Math.min(...shares))}); bound 97%, ${verdict(median(shares) >= 0.97)}`
	);
}

const input = wholeSeason(27, 1);
const first = planned(input, 2);
console.log(
	`  rules broken: ${rulesBroken(input, first).length}, ${verdict(rulesBroken(input, first).length === 0)}`
);
const cancelled = {
	...input,
	practices: input.practices.filter(({ id }) => id !== 'p9'),
	plan: first.practices
};
const again = planned(cancelled, 2);
const whole = first.practices.reduce((sum, { brief }) => sum + brief.length, 0);
console.log(
	`  one practice cancelled: ${again.measures.changes} changes of ${whole} drills, ${verdict(again.measures.changes <= whole / 4)}`
);
console.log(
	JSON.stringify(first.measures),
	first.bound,
	JSON.stringify(again.measures),
	again.bound
);
