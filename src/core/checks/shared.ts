import type { Drill } from '../model/drill';
import { arrivesAt, roomFor, type Edit, type PlannedRun } from '../practice';
import { kitNeeded } from '../sizing';
import { playedBlocks, type PlayedBlock } from './blockRule';

/** Seconds at which something begins while a block runs: what is needed at once changes only there. */
export function startsWithin({ runs, evaluation }: PlayedBlock): number[] {
	const [first, last] = [runs[0].run, runs[runs.length - 1].run];
	const starts = evaluation.runs.map(({ run }) => run.fromSecond);
	return [
		...new Set([
			first.fromSecond,
			...starts.filter((at) => at > first.fromSecond && at < last.toSecond)
		])
	];
}

export const runsAt = (runs: PlayedBlock['runs'], second: number): PlannedRun[] =>
	runs.flatMap(({ run }) => (run.fromSecond <= second && second < run.toSecond - 1e-6 ? run : []));

/** Kit that a block needs at a second, by item. */
export function kitAt({ drill, runs }: PlayedBlock, second: number): Map<string, number> {
	const now = runsAt(runs, second);
	if (now.length === 0) return new Map();
	const players = now.reduce((sum, run) => sum + run.players.length, 0);
	return kitNeeded(drill, { copies: now.length, players });
}

/** Blocks of a practice that come before another in the order of the tape. */
export function blocksBefore(played: PlayedBlock): PlayedBlock[] {
	const blocks = playedBlocks(played.evaluation);
	const at = blocks.findIndex(({ runs }) => runs[0].run.block === played.runs[0].run.block);
	return blocks.slice(0, at);
}

/** A block of one copy moved to each zone that is free for it in its period. */
export function movedElsewhere({ drill, runs, evaluation }: PlayedBlock): Edit[] {
	const { period, lane, block } = runs[0].run;
	const [copy] = block.copies;
	if (!copy || block.copies.length > 1 || lane.blocks.length > 1) return [];
	const players = Math.max(...runs.map(({ run }) => run.players.length));
	const { practice, context } = evaluation;
	const beside = period.lanes.filter((other) => other !== lane);
	return roomFor(drill, { practice, period, beside, context, players })
		.zones.filter(({ id }) => id !== copy.zoneId)
		.map(({ id }) => ({
			type: 'place-lane',
			lane: lane.id,
			zoneIds: [id],
			copies: { [copy.id]: id }
		}));
}

/** Adults who are there and in no block that runs while this one does. */
export function freeAdults({ runs, evaluation }: PlayedBlock): string[] {
	const busy = new Set(
		runs.flatMap(({ run }) =>
			evaluation.runs.flatMap(({ run: other }) =>
				other.fromSecond < run.toSecond && run.fromSecond < other.toSecond ? other.adults : []
			)
		)
	);
	const { practice } = evaluation;
	const { fromSecond } = runs[0].run;
	return practice.adults.filter((id) => !busy.has(id) && arrivesAt(practice, id) <= fromSecond);
}

/** The drill as the hardest rung of the block's climb makes it. */
export function onLastRung(drill: Drill, rung: string | undefined): Drill {
	const set = drill.rungs.find(({ id }) => id === rung)?.set;
	return set ? { ...drill, ...set } : drill;
}
