import Type, { type Static } from 'typebox';
import { closed, Key, says } from '../model/fields';

/** A station as rotation sees one: where it is (metres), how hard it is, how many groups it holds. */
export const RotateStation = Type.Object(
	{
		id: says(Key, 'Id of the station'),
		x: Type.Optional(says(Type.Number(), 'Metres from the left of the ground')),
		y: Type.Optional(says(Type.Number(), 'Metres from the top of the ground')),
		effort: Type.Optional(says(Type.Number(), 'How hard it is, 1 to 10')),
		holds: Type.Optional(
			says(Type.Number(), 'Groups that it holds at once; 1 where it is not said')
		),
		rest: Type.Optional(says(Type.Boolean(), 'Whether groups rest there'))
	},
	closed
);

/** What `rotate` takes. */
export const RotateInput = Type.Object(
	{
		groups: says(Type.Array(Key), 'Ids of groups'),
		stations: says(Type.Array(RotateStation), 'The stations'),
		slots: Type.Optional(
			says(Type.Number(), 'How many slots; as many as there are stations where it is not said')
		),
		rules: Type.Optional(
			says(
				Type.Object(
					{
						hardFrom: Type.Optional(
							says(Type.Number(), 'Effort from which a station is hard, 1 to 10')
						),
						avoidHardAfterHard: Type.Optional(
							says(
								Type.Boolean(),
								'Whether hard stations are kept apart; they are where it is not said'
							)
						),
						meet: Type.Optional(says(Type.Boolean(), 'Whether halves of groups meet new halves'))
					},
					closed
				),
				'What matters'
			)
		)
	},
	closed
);

/** What `rotate` gives. */
export const RotateOutput = Type.Object(
	{
		slots: says(
			Type.Array(Type.Record(Type.String(), Type.Array(Key))),
			'By slot: ids of the groups at each station, and of those who rest under `rest`'
		),
		walk: says(
			Type.Object(
				{
					longestLeg: says(Type.Number(), 'Longest way from one station to the next, metres'),
					total: says(Type.Number(), 'All ways together, metres')
				},
				closed
			),
			'Metres from station to station: the longest way of any group, and all ways of all groups'
		),
		hardAfterHard: says(
			Type.Number(),
			'How often a group goes from a hard station to a hard one in the next slot'
		),
		repeatMeetings: says(Type.Number(), 'Meetings of two groups beyond their first'),
		restRow: says(Type.Number(), 'The most rest slots of a group in a row')
	},
	closed
);

export type RotateStation = Static<typeof RotateStation>;
export type RotateInput = Static<typeof RotateInput>;
export type RotateOutput = Static<typeof RotateOutput>;
