import Type, { type Static } from 'typebox';
import { closed, Key } from '../model/fields';

/** A station as rotation sees one: where it is (metres), how hard it is, how many groups it holds. */
export const RotateStation = Type.Object(
	{
		id: Key,
		x: Type.Optional(Type.Number()),
		y: Type.Optional(Type.Number()),
		effort: Type.Optional(Type.Number()),
		holds: Type.Optional(Type.Number()),
		rest: Type.Optional(Type.Boolean())
	},
	closed
);

/** What `rotate` takes. */
export const RotateInput = Type.Object(
	{
		groups: Type.Array(Key),
		stations: Type.Array(RotateStation),
		slots: Type.Optional(Type.Number()),
		rules: Type.Optional(
			Type.Object(
				{
					hardFrom: Type.Optional(Type.Number()),
					avoidHardAfterHard: Type.Optional(Type.Boolean()),
					meet: Type.Optional(Type.Boolean())
				},
				closed
			)
		)
	},
	closed
);

/** What `rotate` gives. */
export const RotateOutput = Type.Object(
	{
		/** By slot: the groups at each station, and those who rest under `rest`. */
		slots: Type.Array(Type.Record(Type.String(), Type.Array(Key))),
		/** Metres from station to station: the longest way of any group, and all ways of all groups. */
		walk: Type.Object({ longestLeg: Type.Number(), total: Type.Number() }, closed),
		/** How often a group goes from a hard station to a hard one in the next slot. */
		hardAfterHard: Type.Number(),
		/** Meetings of two groups beyond their first. */
		repeatMeetings: Type.Number(),
		/** The most rest slots of a group in a row. */
		restRow: Type.Number()
	},
	closed
);

export type RotateStation = Static<typeof RotateStation>;
export type RotateInput = Static<typeof RotateInput>;
export type RotateOutput = Static<typeof RotateOutput>;
