import { splitEvenly } from '../base';
import { ladderOf } from '../drill';
import type { ClimbStep } from '../model/practice';
import type { Choice } from './choices';

/** How many steps a drill may climb here: from the easiest rung up to the one that it is run on. */
export const stepsOf = ({ drill, rung }: Choice): number =>
	ladderOf(drill).indexOf(rung ?? null) + 1;

/** Steps of a ladder up to where it stands, so that none of them is longer than suits the age as far as they go. */
export function climbFor(choice: Choice, minutes: number, cap: number): ClimbStep[] {
	const { drill, rung } = choice;
	const ladder = ladderOf(drill);
	const at = ladder.indexOf(rung ?? null);
	const count = Math.max(1, Math.min(stepsOf(choice), Math.ceil(minutes / cap)));
	const rungs = ladder.slice(at - count + 1, at + 1);
	return splitEvenly(minutes, count).map((each, k) => {
		const own = rungs[k] ?? null;
		return { ...(own !== null && { rung: own }), minutes: each };
	});
}
