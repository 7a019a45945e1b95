import type { Block, Copy, Lane, Period, Practice } from '../model/practice';

/** A block with the lane and the period that it lies in. */
export interface Found {
	period: Period;
	lane: Lane;
	block: Block;
}

/** Every block of a practice, in the order of periods, lanes and time. */
export function* blocksOf(practice: Practice): Generator<Found> {
	for (const period of practice.periods)
		for (const lane of period.lanes) for (const block of lane.blocks) yield { period, lane, block };
}

/** The period with this id, or undefined. */
export function findPeriod(practice: Practice, id: string): Period | undefined {
	return practice.periods.find((period) => period.id === id);
}

/** The block with this id and where it lies, or undefined. */
export function findBlock(practice: Practice, id: string): Found | undefined {
	for (const found of blocksOf(practice)) if (found.block.id === id) return found;
	return undefined;
}

/** Ids of everything in a period: no two things of a practice share one. */
export function idsIn(period: Period): string[] {
	const ids = [period.id, ...(period.groups ?? []).map(({ id }) => id)];
	for (const lane of period.lanes) {
		ids.push(lane.id);
		for (const block of lane.blocks) ids.push(block.id, ...block.copies.map(({ id }) => id));
	}
	return ids;
}

/** Minutes of a practice as they stand. */
export function plannedMinutes(practice: Practice): number {
	return practice.periods.reduce((sum, period) => sum + period.minutes, 0);
}

/** Whether all steps of a climb have minutes, or all have turns. */
export const isOneKind = (climb: Block['climb']): boolean =>
	climb.every(
		({ minutes, turns }) =>
			(minutes === undefined) !== (turns === undefined) &&
			(turns === undefined) === (climb[0].turns === undefined)
	);

/** The steps that a copy of a block goes through: its own, or those of its block. */
export const climbOf = (
	{ climb }: Pick<Block, 'climb'>,
	copy: Pick<Copy, 'climb'>
): Block['climb'] => copy.climb ?? climb;
