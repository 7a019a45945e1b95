import { group, sum } from 'd3-array';
import solver from 'javascript-lp-solver';
import { mostOf } from './minutes';
import type { Rules } from './rules';
import { VARY_PRACTICES, type Slot, type Task, type Variant } from './task';

/** Practices that the same targets hold for: a minute in one of them is worth what it is in the others. */
export interface Stretch {
	places: number[];
	/** Minutes that free parts may have, all together. */
	minutes: number;
}

/** What minutes alone could give. */
export interface MinutesProgram {
	/** Weighted minutes under target that no plan can go below. */
	bound: number;
	stretches: Stretch[];
	/** Minutes of each drill in each stretch, in a plan that has the fewest minutes under target; rules of single practices left aside. */
	minutes: number[][];
}

const lockedIn = ({ locked }: Slot) => sum(locked, ({ minutes }) => minutes);

function stretchesOf({ slots, asks }: Task): Stretch[] {
	const keyOf = (place: number) =>
		asks.map(({ from, to }) => (from <= place && place <= to ? 1 : 0)).join('');
	const places = slots.map((_, place) => place).filter((place) => !slots[place].isOff);
	return [...group(places, keyOf).values()].map((own) => ({
		places: own,
		minutes: sum(own, (place) => Math.max(0, slots[place].minutes - lockedIn(slots[place])))
	}));
}

/** Rungs of a drill that give something else, each once. */
function different(variants: readonly Variant[], isGuide: boolean, at: number): Variant[] {
	if (isGuide) return [variants[at]];
	return [...new Map(variants.map((variant) => [variant.gives.join(), variant])).values()];
}

/**
 * Minutes by stretch and drill that leave the fewest weighted minutes under target: without any other rule as a
 * bound, or, as a guide, with how often and how long drills can be run.
 */
function solved(
	{ task, rules, stretches }: { task: Task; rules: Rules; stretches: readonly Stretch[] },
	isGuide: boolean
): { short: number; minutes: number[][] } {
	const { slots, asks, ladders, limits } = task;
	const constraints: Record<string, { max: number }> = {};
	const variables: Record<string, Record<string, number>> = {};
	for (const [k, { weight, minutes, line, from, to }] of asks.entries()) {
		const given = sum(slots.slice(from, to + 1), (slot) => {
			const locked = sum(slot.locked, (item) => {
				const { gives } = ladders[item.drill].variants[item.at];
				return gives[line] * item.minutes;
			});
			return slot.gives[line] + locked;
		});
		constraints[`a${k}`] = { max: minutes };
		constraints[`g${k}`] = { max: given };
		variables[`c${k}`] = { worth: weight, [`a${k}`]: 1, [`g${k}`]: 1 };
	}
	for (const [s, { places, minutes }] of stretches.entries()) {
		constraints[`s${s}`] = { max: minutes };
		if (isGuide) constraints[`k${s}`] = { max: places.length * limits.contactDayMinutes };
		for (const [drill, { variants, at, isVaried }] of ladders.entries()) {
			const here = places.filter((place) => rules.canRun(variants[at], slots[place]));
			const uses = isVaried ? Math.ceil(here.length / (VARY_PRACTICES + 1)) : here.length;
			if (isGuide) constraints[`d${s} ${drill}`] = { max: uses * mostOf(task, drill) };
			for (const variant of different(variants, isGuide, at)) {
				const own: Record<string, number> = { [`s${s}`]: 1, worth: 0 };
				if (isGuide) own[`d${s} ${drill}`] = 1;
				if (isGuide && variant.isContact) own[`k${s}`] = 1;
				for (const [k, { line, from, to }] of asks.entries())
					if (variant.gives[line] > 0 && from <= places[0] && places[0] <= to)
						own[`g${k}`] = -variant.gives[line];
				variables[`x${s} ${drill} ${variant.at}`] = own;
			}
		}
	}
	const found = solver.Solve({
		...{ optimize: 'worth', opType: 'max' },
		...{ constraints, variables }
	}) as Record<string, number | undefined> & { result: number };
	const minutes = stretches.map(() => ladders.map(() => 0));
	for (const [s] of stretches.entries())
		for (const [drill, { variants }] of ladders.entries())
			for (const { at } of variants) minutes[s][drill] += found[`x${s} ${drill} ${at}`] ?? 0;
	return { short: Math.max(0, task.asked - found.result), minutes };
}

/** What minutes alone could give to what is asked, and a guide for whoever places them. */
export function minutesProgram(task: Task, rules: Rules): MinutesProgram {
	const stretches = stretchesOf(task);
	const parts = { task, rules, stretches };
	return {
		bound: solved(parts, false).short,
		stretches,
		minutes: solved(parts, true).minutes
	};
}
