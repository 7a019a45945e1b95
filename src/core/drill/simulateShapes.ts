import Type, { type Static } from 'typebox';
import { Drill } from '../model/drill';
import { ClimbStep } from '../model/practice';
import { closed, Key } from '../model/fields';

/** What `simulate` takes. */
export const SimulateInput = Type.Object(
	{
		drill: Drill,
		players: Type.Union([
			Type.Number(),
			Type.Array(Key),
			Type.Array(Type.Object({ id: Key, unit: Type.Optional(Key) }, closed))
		]),
		minutes: Type.Optional(Type.Number()),
		rung: Type.Optional(Key),
		climb: Type.Optional(Type.Array(ClimbStep)),
		adults: Type.Optional(Type.Number()),
		start: Type.Optional(Type.Record(Type.String(), Type.Number())),
		stopShare: Type.Optional(Type.Number())
	},
	closed
);

export type SimulateInput = Static<typeof SimulateInput>;

/** Least, mean and most over players. */
export const Spread = Type.Object(
	{ min: Type.Number(), mean: Type.Number(), max: Type.Number() },
	closed
);

/** What one player gets; seconds are of running time. */
export const PlayerSums = Type.Object(
	{
		id: Key,
		reps: Type.Number(),
		help: Type.Number(),
		activeSeconds: Type.Number(),
		helpSeconds: Type.Number(),
		waitSeconds: Type.Number(),
		longestWaitSeconds: Type.Number(),
		sides: Type.Optional(Type.Record(Type.String(), Type.Number()))
	},
	closed
);

/** What `simulate` gives. */
export const SimulateOutput = Type.Object(
	{
		turns: Type.Number(),
		perPlayer: Type.Array(PlayerSums),
		reps: Spread,
		share: Type.Object(
			{
				active: Type.Number(),
				help: Type.Number(),
				wait: Type.Number(),
				listen: Type.Number()
			},
			closed
		),
		steps: Type.Optional(Type.Array(Type.Object({ turns: Type.Number(), reps: Spread }, closed)))
	},
	closed
);

export type Spread = Static<typeof Spread>;
export type PlayerSums = Static<typeof PlayerSums>;
export type SimulateOutput = Static<typeof SimulateOutput>;
