import { max, min } from 'd3-array';
import { adultPlaces } from '../drill';
import type { Drill } from '../model/drill';
import type { Block, Lane } from '../model/practice';
import type { Player } from '../model/team';
import { rungsRun } from '../playing';
import { type Context, drillOf } from '../practice';

/** What each part needs: fewest and most players, and those whom it cannot do without. */
export interface Need {
	min: number;
	max: number;
	roles: readonly { role: string; count: number }[];
}

/** Whether a player plays a role: by unit or by position. */
export const playsRole = (player: Player | undefined, role: string): boolean =>
	player?.unit === role || player?.positions?.includes(role) === true;

/** A block's drill on every rung that it runs; none where it has none. */
export function rungsOf(block: Block, context: Context): Drill[] {
	const drill = drillOf(context, block.drill);
	return drill ? rungsRun(block, drill) : [];
}

/** What whoever runs all of these drills needs. */
export const needOf = (drills: readonly Drill[]): Need => ({
	min: max(drills, ({ group }) => group.min) ?? 0,
	max: min(drills, ({ group }) => group.max) ?? Infinity,
	roles: drills.flatMap(({ needsRole = [] }) => needsRole)
});

/** What a copy of a lane's blocks needs. */
export const needOfLane = ({ blocks }: Lane, context: Context): Need =>
	needOf(blocks.flatMap((block) => rungsOf(block, context)));

/** Adults that a copy of a block needs. */
export const adultsNeeded = (block: Block, context: Context): number =>
	max(rungsOf(block, context), (drill) => drill.coaches.min + adultPlaces(drill).always) ?? 0;
