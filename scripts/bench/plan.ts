// Plans of whole seasons against what minutes alone could give, in the seconds that each has.
import solver from 'javascript-lp-solver';
import { bestWithin } from '../../src/core/base';
import { planSearch, type SeasonPlanInput } from '../../src/core/seasonPlan';
import { rulesBroken } from '../../tests/support/seasonRules';
import { wholeSeason } from '../../tests/support/seasons';
import { median, slowness, verdict } from './report';

const SEEDS = [1, 2, 3];

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

/** A season of few practices and drills without any rule but minutes, that a solver can prove; that two practices are not the same costs a plan up to two. */
function cutDown(seed: number): SeasonPlanInput {
	const whole = wholeSeason(2, seed);
	const drills = whole.drills.slice(0, 4).map((drill) => ({
		...drill,
		...{ frequency: 'regular' as const, contact: 0, effort: 3, rungs: [] }
	}));
	const skills = whole.skills.slice(0, 5).map(({ after: _after, ...skill }) => skill);
	const { games: _games, ...rest } = whole;
	return { ...rest, drills, skills };
}

/** The fewest weighted minutes under target of whole minutes, 6 to 20 of each drill that a practice has. */
function proven({ practices, drills, skills }: SeasonPlanInput): number {
	const constraints: Record<string, { max?: number; min?: number }> = {};
	const variables: Record<string, Record<string, number>> = {};
	const ints: Record<string, 1> = {};
	const asks = skills.flatMap(({ id, weight = 1, targets }) =>
		targets.map((target) => ({ id, weight, ...target }))
	);
	for (const [k, { minutes, weight }] of asks.entries()) {
		constraints[`a${k}`] = { max: minutes };
		constraints[`g${k}`] = { max: 0 };
		variables[`c${k}`] = { worth: weight, [`a${k}`]: 1, [`g${k}`]: 1 };
	}
	for (const [p, { date, minutes }] of practices.entries()) {
		constraints[`p${p}`] = { max: minutes };
		for (const [d, drill] of drills.entries()) {
			const [x, y] = [`x${p} ${d}`, `y${p} ${d}`];
			constraints[`m${x}`] = { max: 0 };
			constraints[`l${x}`] = { max: 0 };
			constraints[`b${y}`] = { max: 1 };
			variables[x] = { worth: 0, [`p${p}`]: 1, [`m${x}`]: 1, [`l${x}`]: -1 };
			for (const [k, { id, from, to }] of asks.entries()) {
				const own = drill.skills.find(({ skill }) => skill === id);
				if (own && from <= date && date <= to) variables[x][`g${k}`] = -own.share;
			}
			variables[y] = { worth: 0, [`m${x}`]: -20, [`l${x}`]: 6, [`b${y}`]: 1 };
			ints[x] = 1;
			ints[y] = 1;
		}
	}
	const asked = asks.reduce((sum, { minutes, weight }) => sum + minutes * weight, 0);
	const found = solver.Solve({ optimize: 'worth', opType: 'max', constraints, variables, ints });
	return asked - (found as { result: number }).result;
}

for (const seed of SEEDS) {
	const small = cutDown(seed);
	const [ours, best] = [planned(small, 2).measures.weightedShort, proven(small)];
	console.log(
		`  cut down, seed ${seed}: ${ours.toFixed(1)} weighted minutes short, proven ${best.toFixed(1)}, ${verdict(ours <= best * 1.03 + 2)}`
	);
}
