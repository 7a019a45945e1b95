import Type, { type Static } from 'typebox';
import { closed, Key } from '../model/fields';

/** A player as grouping sees one; ratings run from 1 to 5, a missing one is left out of a mean. */
export const Groupable = Type.Object(
	{
		id: Key,
		unit: Type.Optional(Key),
		ratings: Type.Optional(Type.Record(Type.String(), Type.Number({ minimum: 1, maximum: 5 }))),
		roles: Type.Optional(Type.Array(Key))
	},
	closed
);

/** What groups are made for: alike, by strength, by unit, or of people who have met least. */
export const GroupMode = Type.Enum(['even', 'tiers', 'unit', 'fresh']);

/** What `group` takes: either `sizes` or `count`. */
export const GroupInput = Type.Object(
	{
		players: Type.Array(Groupable),
		sizes: Type.Optional(Type.Array(Type.Number())),
		count: Type.Optional(Type.Number()),
		mode: GroupMode,
		together: Type.Optional(Type.Array(Type.Array(Key))),
		apart: Type.Optional(Type.Array(Type.Array(Key))),
		eachHas: Type.Optional(
			Type.Array(
				Type.Object(
					{ role: Type.Optional(Key), unit: Type.Optional(Key), min: Type.Number() },
					closed
				)
			)
		),
		pins: Type.Optional(Type.Record(Type.String(), Type.Number())),
		met: Type.Optional(Type.Array(Type.Array(Type.Union([Key, Type.Number()])))),
		seed: Type.Optional(Type.Number()),
		secondsLimit: Type.Optional(Type.Number())
	},
	closed
);

/** What `group` gives. */
export const GroupOutput = Type.Object(
	{
		/** Ids; `groups[i]` has `sizes[i]` of them. */
		groups: Type.Array(Type.Array(Key)),
		/** By skill: the largest group mean less the smallest. */
		spread: Type.Record(Type.String(), Type.Number()),
		/** Times that members of a group have met before, summed over pairs. */
		repeats: Type.Number(),
		/** What was made least, the first number first. */
		score: Type.Array(Type.Number())
	},
	closed
);

export type Groupable = Static<typeof Groupable>;
export type GroupMode = Static<typeof GroupMode>;
export type GroupInput = Static<typeof GroupInput>;
export type GroupOutput = Static<typeof GroupOutput>;
