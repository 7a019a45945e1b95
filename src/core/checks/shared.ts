import {
	arrivesAt,
	type Evaluation,
	maySupervise,
	type PlannedRun,
	roomFor,
	type RunStep
} from '../playing';
import type { Edit } from '../practice';
import { kitNeeded } from '../sizing';
import { onceFor } from './onceFor';
import { playedBlocks, type PlayedBlock } from './blockRule';

/** Seconds at which something begins while a block runs: what is needed at once changes only there. */
export const startsWithin = onceFor(({ steps, evaluation }: PlayedBlock): number[] => {
	if (steps.length === 0) return [];
	const [from, to] = [steps[0].fromSecond, steps[steps.length - 1].toSecond];
	const starts = playedBlocks(evaluation).flatMap((played) =>
		played.steps.map(({ fromSecond }) => fromSecond)
	);
	return [...new Set([from, ...starts.filter((at) => at > from && at < to)])].sort((a, b) => a - b);
});

/** The drill as the first step runs it; the drill itself where nobody runs it. */
export const firstOf = ({ steps, drill }: Pick<PlayedBlock, 'steps' | 'drill'>) =>
	steps[0]?.drill ?? drill;

/** The steps that are run at a second, one for each running copy. */
export const stepsAt = ({ steps }: PlayedBlock, second: number): RunStep[] =>
	steps.filter(({ fromSecond, toSecond }) => fromSecond <= second && second < toSecond - 1e-6);

/** Kit that a block needs at a second on the rung that it has come to, by item. */
export function kitAt(played: PlayedBlock, second: number): Map<string, number> {
	const now = stepsAt(played, second);
	if (now.length === 0) return new Map();
	const players = now.reduce((sum, { run }) => sum + run.players.length, 0);
	return kitNeeded(now[0].drill, { copies: now.length, players });
}

/** Blocks of a practice that come before another in the order of the tape. */
export function blocksBefore(played: PlayedBlock): PlayedBlock[] {
	const blocks = playedBlocks(played.evaluation);
	const at = blocks.findIndex(({ runs }) => runs[0].run.block.id === played.runs[0].run.block.id);
	return blocks.slice(0, at);
}

/** A block of one copy moved to each zone that is free for it in its period. */
export function movedElsewhere({ steps, drill, runs, evaluation }: PlayedBlock): Edit[] {
	const { period, lane, block } = runs[0].run;
	const [copy] = block.copies;
	if (!copy || block.copies.length > 1 || lane.blocks.length > 1) return [];
	const players = Math.max(...runs.map(({ run }) => run.players.length));
	const { practice, context } = evaluation;
	const beside = period.lanes.filter((other) => other !== lane);
	return roomFor(firstOf({ steps, drill }), { practice, period, beside, context, players })
		.zones.filter(({ id }) => id !== copy.zoneId)
		.map(({ id }) => ({
			type: 'place-lane',
			lane: lane.id,
			zoneIds: [id],
			copies: { [copy.id]: id }
		}));
}

/**
 * Adults who may have the team in charge, are there from the start of some runs to their end, and are in
 * no other that goes on beside them.
 */
export function freeAdultsBeside(runs: readonly PlannedRun[], evaluation: Evaluation): string[] {
	const busy = new Set(
		runs.flatMap((run) =>
			evaluation.runs.flatMap(({ run: other }) =>
				other.fromSecond < run.toSecond && run.fromSecond < other.toSecond ? other.adults : []
			)
		)
	);
	const { practice, context } = evaluation;
	const from = Math.min(...runs.map(({ fromSecond }) => fromSecond));
	return practice.adults.filter(
		(id) => !busy.has(id) && maySupervise(id, context) && arrivesAt(practice, id) <= from
	);
}

/** Adults who may have the team in charge, are there and in no block that runs while this one does. */
export const freeAdults = ({ runs, evaluation }: PlayedBlock): string[] =>
	freeAdultsBeside(
		runs.map(({ run }) => run),
		evaluation
	);
