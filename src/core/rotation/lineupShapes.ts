import Type, { type Static } from 'typebox';
import { closed, Key } from '../model/fields';

/** What `lineup` takes: who may play where (best first), and the places of one team. */
export const LineupInput = Type.Object(
	{
		players: Type.Array(Type.Object({ id: Key, positions: Type.Array(Key) }, closed)),
		positions: Type.Array(Key),
		teams: Type.Optional(Type.Number()),
		fillers: Type.Optional(Type.Number()),
		shifts: Type.Number(),
		maxSitRow: Type.Optional(Type.Number()),
		seed: Type.Optional(Type.Number()),
		secondsLimit: Type.Optional(Type.Number())
	},
	closed
);

/** What `lineup` gives. */
export const LineupOutput = Type.Object(
	{
		shifts: Type.Array(
			Type.Object(
				{
					/** By `team:index`: the player, or `filler`. */
					at: Type.Record(Type.String(), Key),
					sit: Type.Array(Key)
				},
				closed
			)
		),
		/** Shifts by player. */
		played: Type.Record(Type.String(), Type.Number()),
		/** Most shifts less fewest, of players who are not alone at a position. */
		spread: Type.Number(),
		/** The most shifts that anybody sits in a row. */
		sitRow: Type.Number(),
		/** Places played by somebody who likes no other better. */
		preferred: Type.Number(),
		/** Places taken by fillers, over all shifts. */
		fillers: Type.Number()
	},
	closed
);

export type LineupInput = Static<typeof LineupInput>;
export type LineupOutput = Static<typeof LineupOutput>;
