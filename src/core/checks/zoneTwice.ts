import type { Lane, Period } from '../model/practice';
import type { Zone } from '../model/team';
import { type Evaluation, overlap, type PlannedRun, roomFor } from '../playing';
import { drillOf, type Edit, findBlock } from '../practice';
import { withoutBlock } from './fixes';
import type { Rule } from './finding';

/** Two runs of different lanes that stand on the same ground at the same second. */
function* clashes({ runs, context }: Evaluation): Generator<[PlannedRun, PlannedRun, Zone]> {
	const seen = new Set<string>();
	for (const [index, { run: a }] of runs.entries())
		for (let next = index + 1; next < runs.length; next += 1) {
			const b = runs[next].run;
			if (b.fromSecond >= a.toSecond - 1e-6) break;
			if (a.lane === b.lane) continue;
			const zoneA = context.zoneById.get(a.copy.zoneId);
			const zoneB = context.zoneById.get(b.copy.zoneId);
			if (!zoneA || !zoneB || !overlap(zoneA, zoneB)) continue;
			const key = `${a.block.id} ${b.block.id}`;
			if (seen.has(key)) continue;
			seen.add(key);
			yield [a, b, zoneB];
		}
}

/** Moves every copy of a lane that lies on `taken` to a free zone that holds it; null if there is none. */
function moveLane(evaluation: Evaluation, period: Period, lane: Lane): Edit | null {
	const { context, practice } = evaluation;
	const beside = period.lanes.filter((other) => other !== lane);
	const copies = lane.blocks.flatMap((block) => block.copies.map((copy) => ({ block, copy })));
	const taken = beside.flatMap((other) => other.blocks.flatMap((block) => block.copies));
	const inUse = taken.flatMap(({ zoneId }) => context.zoneById.get(zoneId) ?? []);
	const moves = new Map<string, string>();
	for (const { block, copy } of copies) {
		const drill = drillOf(context, block.drill);
		const own = context.zoneById.get(copy.zoneId);
		if (!drill || !own || !inUse.some((zone) => overlap(zone, own))) continue;
		const players = Math.max(
			drill.group.min,
			...evaluation.runs.filter(({ run }) => run.copy === copy).map(({ run }) => run.players.length)
		);
		const { zones } = roomFor(drill, { practice, period, beside, context, players });
		const kept = copies
			.filter((other) => other.copy !== copy)
			.map((other) => context.zoneById.get(moves.get(other.copy.id) ?? other.copy.zoneId));
		const free = zones.find((zone) => !kept.some((other) => other && overlap(zone, other)));
		if (!free) return null;
		moves.set(copy.id, free.id);
	}
	const zoneIds = [...new Set(copies.map(({ copy }) => moves.get(copy.id) ?? copy.zoneId))];
	return { type: 'place-lane', lane: lane.id, zoneIds, copies: Object.fromEntries(moves) };
}

/** A zone, or ground that it shares with another, holds two blocks at the same second. */
export const zoneTwice: Rule<'zone-twice'> = {
	find: (evaluation) =>
		[...clashes(evaluation)].map(([first, second, zone]) => ({
			code: 'zone-twice',
			severity: 'stop',
			at: {
				period: second.period.id,
				block: second.block.id,
				zone: zone.id,
				fromSecond: second.fromSecond
			},
			values: {
				first: first.block.id,
				second: second.block.id,
				fromSecond: second.fromSecond,
				toSecond: Math.min(first.toSecond, second.toSecond)
			}
		})),
	*propose(evaluation, { values }) {
		for (const id of [values.second, values.first]) {
			const found = findBlock(evaluation.practice, String(id));
			const edit = found && moveLane(evaluation, found.period, found.lane);
			if (edit) yield edit;
		}
	},
	*otherwise({ practice }, { values }) {
		const found = findBlock(practice, values.second);
		if (found) yield withoutBlock(found.period, found.block);
	}
};
