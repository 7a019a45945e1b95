import Type, { type Static } from 'typebox';
import { closed, Key, says } from '../model/fields';

/** A player as grouping sees one; ratings run from 1 to 5, a missing one is left out of a mean. */
export const Groupable = Type.Object(
	{
		id: says(Key, 'Id of the player'),
		unit: Type.Optional(says(Key, 'Id of their unit')),
		ratings: Type.Optional(
			says(
				Type.Record(Type.String(), Type.Number({ minimum: 1, maximum: 5 })),
				'Ratings by skill, 1 to 5'
			)
		),
		roles: Type.Optional(says(Type.Array(Key), 'Roles that they have, such as leader'))
	},
	closed
);

/** What groups are made for: alike, by strength, by unit, of people who have met least, or who play side by side. */
export const GroupMode = Type.Enum(['even', 'tiers', 'unit', 'fresh', 'match']);

/** What `group` takes: either `sizes` or `count`. */
export const GroupInput = Type.Object(
	{
		players: says(Type.Array(Groupable), 'Who is to be grouped'),
		sizes: Type.Optional(
			says(
				Type.Array(Type.Number()),
				'Size of each group, together as many as there are players; or `count`'
			)
		),
		count: Type.Optional(says(Type.Number(), 'How many groups, as even as can be; or `sizes`')),
		mode: says(GroupMode, 'What the groups are for'),
		together: Type.Optional(says(Type.Array(Type.Array(Key)), 'Ids of players who go together')),
		apart: Type.Optional(says(Type.Array(Type.Array(Key)), 'Pairs of ids who do not go together')),
		eachHas: Type.Optional(
			says(
				Type.Array(
					Type.Object(
						{
							role: Type.Optional(says(Key, 'A role')),
							unit: Type.Optional(says(Key, 'Id of a unit')),
							min: says(Type.Number(), 'How many of it, 0 or more')
						},
						closed
					)
				),
				'What each group must have'
			)
		),
		pins: Type.Optional(
			says(
				Type.Record(Type.String(), Type.Number()),
				'Number of the group, from 0, by id of a player who stays in it'
			)
		),
		met: Type.Optional(
			says(
				Type.Array(Type.Array(Type.Union([Key, Type.Number()]))),
				'How often two have been together: their ids and the number'
			)
		),
		places: Type.Optional(
			says(
				Type.Record(
					Type.String(),
					Type.Object(
						{
							x: says(Type.Number(), 'Metres from the own end'),
							y: says(Type.Number(), 'Metres from the top')
						},
						closed
					)
				),
				'Where players play in a game, by id: for mode `match`; who has none counts nowhere'
			)
		),
		seed: Type.Optional(says(Type.Number(), 'Another number gives other groups of the same worth')),
		secondsLimit: Type.Optional(says(Type.Number(), 'Seconds that may be searched, over 0 to 600'))
	},
	closed
);

/** What `group` gives. */
export const GroupOutput = Type.Object(
	{
		groups: says(
			Type.Array(Type.Array(Key)),
			'Ids of players by group; `groups[i]` has `sizes[i]` of them'
		),
		spread: says(
			Type.Record(Type.String(), Type.Number()),
			'By skill: the largest group mean less the smallest'
		),
		repeats: says(
			Type.Number(),
			'Times that members of a group have met before, summed over pairs'
		),
		score: says(Type.Array(Type.Number()), 'What was made least, the first number first')
	},
	closed
);

export type Groupable = Static<typeof Groupable>;
export type GroupMode = Static<typeof GroupMode>;
export type GroupInput = Static<typeof GroupInput>;
export type GroupOutput = Static<typeof GroupOutput>;
