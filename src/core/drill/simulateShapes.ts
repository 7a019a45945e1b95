import Type, { type Static } from 'typebox';
import { Drill } from '../model/drill';
import { closed, Id } from '../model/fields';

/** A step of a climb: a rung (none: the drill itself) and its minutes. */
export const ClimbStep = Type.Object({ rung: Type.Optional(Id), minutes: Type.Number() }, closed);

/** What `simulate` takes. */
export const SimulateInput = Type.Object(
	{
		drill: Drill,
		players: Type.Union([
			Type.Number(),
			Type.Array(Id),
			Type.Array(Type.Object({ id: Id, unit: Type.Optional(Id) }, closed))
		]),
		minutes: Type.Optional(Type.Number()),
		rung: Type.Optional(Id),
		climb: Type.Optional(Type.Array(ClimbStep)),
		adults: Type.Optional(Type.Number()),
		start: Type.Optional(Type.Record(Type.String(), Type.Number())),
		stopShare: Type.Optional(Type.Number())
	},
	closed
);

export type ClimbStep = Static<typeof ClimbStep>;
export type SimulateInput = Static<typeof SimulateInput>;

/** Least, mean and most over players. */
export interface Spread {
	min: number;
	mean: number;
	max: number;
}

/** What one player gets; seconds are of running time. */
export interface PlayerSums {
	id: string;
	reps: number;
	help: number;
	activeSeconds: number;
	helpSeconds: number;
	waitSeconds: number;
	longestWaitSeconds: number;
	sides?: Record<string, number>;
}

/** What `simulate` gives. */
export interface SimulateOutput {
	turns: number;
	perPlayer: PlayerSums[];
	reps: Spread;
	share: { active: number; help: number; wait: number; listen: number };
	steps?: { turns: number; reps: Spread }[];
}
