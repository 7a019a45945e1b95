import Type, { type Static } from 'typebox';
import { closed, Key, says } from '../model/fields';

const Players = Type.Array(Key);

/** What `mix` takes: either `sizes` or `groupSize`. */
export const MixInput = Type.Object(
	{
		players: says(
			Type.Union([Type.Number(), Players]),
			'Ids of the players, or how many there are: their ids are numbers from 0 then'
		),
		sizes: Type.Optional(
			says(
				Type.Array(Type.Number()),
				'Size of each group, together as many as there are players; or `groupSize`'
			)
		),
		groupSize: Type.Optional(
			says(Type.Number(), 'The most players of a group: as few groups as that allows; or `sizes`')
		),
		sessions: says(Type.Number(), 'How many sessions'),
		absent: Type.Optional(
			says(Type.Array(Players), 'Ids of those who are away, session by session from the first')
		),
		met: Type.Optional(
			says(
				Type.Array(Type.Array(Type.Union([Key, Type.Number()]))),
				'Two ids and how many times they have been in one group before'
			)
		),
		together: Type.Optional(says(Type.Array(Players), 'Ids of players who go together')),
		apart: Type.Optional(says(Type.Array(Players), 'Pairs of ids who do not go together')),
		seed: Type.Optional(
			says(Type.Number(), 'Another number gives other groups of about the same worth')
		),
		secondsLimit: Type.Optional(says(Type.Number(), 'Seconds that may be searched, 0.01 to 600'))
	},
	closed
);

/** What `mix` gives. */
export const MixOutput = Type.Object(
	{
		sessions: says(
			Type.Array(Type.Array(Players)),
			'Ids of the players of each group, session by session'
		),
		cost: says(
			Type.Number(),
			'Sum over pairs of t·(t−1)/2 for t times in one group, those before included'
		),
		bound: says(Type.Number(), 'What the cost cannot be under'),
		repeats: says(Type.Number(), 'Times that pairs are together beyond their first'),
		optimal: says(Type.Boolean(), 'Whether the cost is the bound: nothing better can be found')
	},
	closed
);

export type MixInput = Static<typeof MixInput>;
export type MixOutput = Static<typeof MixOutput>;
