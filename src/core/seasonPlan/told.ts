import { areaOf } from '../model/skill';
import type { Judge } from './judge';
import type { BriefReason, SeasonPlanOutput } from './planShapes';
import type { Briefs, Item, Task } from './task';

/** What a drill gives of a skill that is worth saying, in minutes, and of how many skills it is said. */
const WORTH_SAYING = 1;
const MOST_SAID = 2;

function whyOf(
	{ ladders, lines, asks }: Task,
	item: Item,
	place: number,
	stepsUp: boolean
): BriefReason[] {
	const { isDaily, variants } = ladders[item.drill];
	const { gives, rung } = variants[item.at];
	const asked = new Set(
		asks.filter(({ from, to }) => from <= place && place <= to).map(({ line }) => line)
	);
	const due = lines
		.map(({ skill }, line) => ({
			code: 'due' as const,
			skill,
			minutes: gives[line] * item.minutes,
			line
		}))
		.filter(({ minutes, line }) => asked.has(line) && minutes >= WORTH_SAYING)
		.sort((a, b) => b.minutes - a.minutes)
		// An area and its stage, or everyone and a unit, are said once.
		.filter(
			({ skill }, k, all) => all.findIndex((other) => areaOf(other.skill) === areaOf(skill)) === k
		)
		.slice(0, MOST_SAID)
		.map(({ code, skill, minutes }): BriefReason => ({ code, skill, minutes }));
	const why: BriefReason[] = [
		...(item.isLocked ? [{ code: 'locked' } as const] : []),
		...(isDaily ? [{ code: 'daily' } as const] : []),
		...due,
		...(stepsUp ? [{ code: 'rung', rung } as const] : [])
	];
	return why.length > 0 ? why : [{ code: 'filler' }];
}

/** A plan as it is given, with what it is worth. */
export function told(task: Task, judge: Judge, briefs: Briefs, bound: number): SeasonPlanOutput {
	const { slots, ladders, asks, asked } = task;
	// Sets the rungs too.
	const brokenRules = judge.rules.broken(briefs);
	const { short, met, longestGap, changes } = judge.worth(briefs);
	const at = ladders.map((ladder) => ladder.at);
	const practices = slots.map(({ id }, place) => ({
		id,
		brief: briefs[place].map((item) => {
			const { id: drill, variants } = ladders[item.drill];
			const { rung } = variants[item.at];
			const stepsUp = item.at > at[item.drill];
			at[item.drill] = item.at;
			return {
				drill,
				...(rung !== null && { rung }),
				minutes: item.minutes,
				why: whyOf(task, item, place, stepsUp)
			};
		})
	}));
	return {
		practices,
		measures: {
			targets: asks.length,
			targetsMet: met,
			weightedShort: short,
			weightedMinutes: asked,
			...{ longestGap, changes, brokenRules }
		},
		bound
	};
}
