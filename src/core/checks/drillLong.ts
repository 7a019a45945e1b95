import { max } from 'd3-array';
import { setMinutes } from '../building';
import { ladderOf } from '../drill';
import type { Drill } from '../model/drill';
import { hasOwnPlace, isGame } from '../model/family';
import type { ClimbStep } from '../model/practice';
import type { Evaluation } from '../playing';
import { mostDrillMinutes } from '../practice';
import { overBlocks, playedBlocks, type PlayedBlock } from './blockRule';
import { onceFor } from './onceFor';

/** Minutes that players have of each drill on each of its rungs; what has a place of its own and games are left out. */
const minutesOf = onceFor((evaluation: Evaluation): Map<Drill, Map<string, number>> => {
	const all = new Map<Drill, Map<string, number>>();
	for (const { steps } of playedBlocks(evaluation))
		for (const { run, drill, fromSecond, toSecond } of steps) {
			if (hasOwnPlace(drill) || isGame(drill)) continue;
			const own = all.get(drill) ?? new Map<string, number>();
			for (const player of run.players)
				own.set(player, (own.get(player) ?? 0) + (toSecond - fromSecond) / 60);
			all.set(drill, own);
		}
	return all;
});

/** The most minutes that one player of a block has of what it runs, all blocks of the practice together. */
function longestIn({ steps, evaluation }: PlayedBlock): number {
	const all = minutesOf(evaluation);
	return (
		max(steps, ({ drill, run }) => {
			const own = all.get(drill);
			return max(run.players, (player) => own?.get(player) ?? 0) ?? 0;
		}) ?? 0
	);
}

/** A climb of one step in two: from the rung below it on its ladder; null where it has more, or is the lowest. */
function fromBelow({ drill, runs }: PlayedBlock): ClimbStep[] | null {
	const [step, ...others] = runs[0].run.block.climb;
	const ladder = ladderOf(drill);
	const below = ladder[ladder.indexOf(step.rung ?? null) - 1];
	if (others.length > 0 || below === undefined || step.minutes === undefined) return null;
	const first = Math.floor(step.minutes / 2);
	const { rung: _rung, ...rest } = step;
	return [
		{ ...rest, ...(below !== null && { rung: below }), minutes: Math.max(1, first) },
		{ ...step, minutes: Math.max(1, step.minutes - first) }
	];
}

/** Half a minute more than the limit is no more. */
const LEEWAY = 0.5;

/** Players are at one drill for longer than suits their age, on one rung of it. */
export const drillLong = overBlocks({
	code: 'drill-long',
	severity: 'warn',
	find(played) {
		const limit = mostDrillMinutes(played.evaluation.context);
		const minutes = longestIn(played);
		if (minutes <= limit + LEEWAY) return null;
		const values = { minutes: Math.round(minutes), limit };
		return { values, fromSecond: played.runs[0].run.fromSecond };
	},
	cause: ({ at }) => at.period ?? '',
	weigh: ({ values }) => values.minutes - values.limit,
	/** Half of it a rung lower; shorter, where its period is for it alone. */
	*propose(played) {
		const { period, block } = played.runs[0].run;
		const climb = fromBelow(played);
		if (climb) yield { type: 'set-block', block: block.id, set: { climb } };
		const isAlone = period.lanes.length === 1 && period.lanes[0].blocks.length === 1;
		const over = longestIn(played) - mostDrillMinutes(played.evaluation.context);
		const minutes = Math.floor(period.minutes - over);
		if (isAlone && minutes >= 1) yield setMinutes(played.evaluation.practice, period.id, minutes);
	}
});
