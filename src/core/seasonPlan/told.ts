import { areaOf } from '../model/skill';
import type { Judge } from './judge';
import type { BriefReason, SeasonPlanOutput } from './planShapes';
import type { Briefs, Item, Task } from './task';

/** What a drill gives of a skill that is worth saying, in minutes, and of how many skills it is said. */
const WORTH_SAYING = 1;
const MOST_SAID = 2;

/** Days after which it is said that a skill comes again. */
const LONG_AGO = 7;
/** Practices before a game in which it is said that its skills count more. */
const BEFORE_GAME = 2;

/** What has happened in a plan up to a practice: when skills were main ones last, and what each target has got. */
class SoFar {
	private readonly last: (number | null)[];
	private readonly got: Float64Array;

	constructor(private readonly task: Task) {
		this.last = task.lines.map(({ last }) => last);
		this.got = new Float64Array(task.asks.length);
	}

	/** Days since a skill was a main one; null where it never was. */
	daysSince(line: number, day: number): number | null {
		const last = this.last[line];
		return last === null ? null : day - last;
	}

	/** Minutes that the targets of a skill ask for at a practice, and those that are still owed. */
	owed(line: number, place: number): { owed: number; of: number } {
		let [owed, of] = [0, 0];
		for (const [k, ask] of this.task.asks.entries()) {
			if (ask.line !== line || place < ask.from || place > ask.to) continue;
			of += ask.minutes;
			owed += Math.max(0, ask.minutes - this.got[k]);
		}
		return { owed, of };
	}

	take({ drill, at, minutes }: Item, place: number): void {
		const { gives, mains } = this.task.ladders[drill].variants[at];
		for (const [k, { line, from, to }] of this.task.asks.entries())
			if (from <= place && place <= to) this.got[k] += gives[line] * minutes;
		for (const line of mains) this.last[line] = this.task.slots[place].day;
	}
}

/** Why a drill is in a practice, and why now: what is owed, what comes again, what the next game asks for. */
function whyOf(
	task: Task,
	{ item, place, stepsUp, soFar }: { item: Item; place: number; stepsUp: boolean; soFar: SoFar }
): BriefReason[] {
	const { ladders, lines, slots } = task;
	const { isDaily, variants } = ladders[item.drill];
	const { gives, rung, mains } = variants[item.at];
	const { day, toGame, gameDate } = slots[place];
	const due = lines
		.map(({ skill, unit }, line) => ({
			...{ code: 'due' as const, skill, line, minutes: gives[line] * item.minutes },
			...(unit !== undefined && { unit }),
			...soFar.owed(line, place)
		}))
		.filter(({ minutes, of }) => of > 0 && minutes >= WORTH_SAYING)
		.sort((a, b) => b.minutes - a.minutes)
		// An area and its stage, or everyone and a unit, are said once.
		.filter(
			({ skill }, k, all) => all.findIndex((other) => areaOf(other.skill) === areaOf(skill)) === k
		)
		.slice(0, MOST_SAID);
	const again = mains
		.map((line) => ({ skill: lines[line].skill, days: soFar.daysSince(line, day) ?? 0 }))
		.filter(({ days }) => days >= LONG_AGO)
		.sort((a, b) => b.days - a.days)
		.slice(0, 1);
	const left = slots.filter((slot) => slot.day >= day && slot.day <= day + toGame).length;
	const isPressing = due.some(({ line }) =>
		task.asks.some((ask) => ask.line === line && ask.weight > 1)
	);
	const why: BriefReason[] = [
		...(item.isLocked ? [{ code: 'locked' } as const] : []),
		...(isDaily ? [{ code: 'daily' } as const] : []),
		...due.map(({ line: _line, ...reason }): BriefReason => reason),
		...again.map(({ skill, days }): BriefReason => ({ code: 'again', skill, days })),
		...(isPressing && gameDate !== null && left <= BEFORE_GAME
			? [{ code: 'game', date: gameDate, practices: left } as const]
			: []),
		...(stepsUp ? [{ code: 'rung', rung } as const] : [])
	];
	return why.length > 0 ? why : [{ code: 'filler' }];
}

/** Skills with minutes under target that no drill to choose from trains, and nothing else gives. */
function unmetOf(
	{ asks, lines, ladders }: Task,
	got: Float64Array
): SeasonPlanOutput['measures']['unmet'] {
	return lines.flatMap(({ skill, unit }, line) => {
		const trains = ladders.some(({ variants }) => variants.some(({ gives }) => gives[line] > 0));
		const minutes = asks.reduce(
			(sum, ask, k) => (ask.line === line ? sum + Math.max(0, ask.minutes - got[k]) : sum),
			0
		);
		if (trains || minutes < WORTH_SAYING) return [];
		return [{ skill, ...(unit !== undefined && { unit }), minutes: Math.round(minutes) }];
	});
}

/** Practices of the plan before that hold something else now: other drills, rungs or minutes. */
function changedIn({ slots }: Task, briefs: Briefs): number {
	return slots.filter(({ before }, place) => {
		if (!before) return false;
		const keyOf = ({ drill, at, minutes }: { drill: number; at: number; minutes: number }) =>
			`${drill} ${at} ${minutes}`;
		const was = before.map(keyOf).sort();
		const now = briefs[place].map(keyOf).sort();
		return was.join() !== now.join();
	}).length;
}

/** A plan as it is given, with what it is worth. */
export function told(task: Task, judge: Judge, briefs: Briefs, bound: number): SeasonPlanOutput {
	const { slots, ladders, asks, asked } = task;
	// Sets the rungs too.
	const brokenRules = judge.rules.broken(briefs);
	const { short, met, longestGap, changes } = judge.worth(briefs);
	const unmet = unmetOf(task, judge.got);
	const at = ladders.map((ladder) => ladder.at);
	const soFar = new SoFar(task);
	const practices = slots.map(({ id }, place) => {
		const brief = briefs[place].map((item) => {
			const { id: drill, variants } = ladders[item.drill];
			const { rung } = variants[item.at];
			const stepsUp = item.at > at[item.drill];
			at[item.drill] = item.at;
			return {
				drill,
				...(rung !== null && { rung }),
				minutes: item.minutes,
				why: whyOf(task, { item, place, stepsUp, soFar })
			};
		});
		for (const item of briefs[place]) soFar.take(item, place);
		return { id, brief };
	});
	return {
		practices,
		measures: {
			targets: asks.length,
			targetsMet: met,
			weightedShort: short,
			weightedMinutes: asked,
			...{ longestGap, changes, brokenRules, unmet },
			changedPractices: changedIn(task, briefs)
		},
		bound
	};
}
