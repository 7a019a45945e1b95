import Type, { type Static } from 'typebox';
import { closed, Key, says } from '../model/fields';

/** What `lineup` takes: who may play where (best first), and the places of one team. */
export const LineupInput = Type.Object(
	{
		players: says(
			Type.Array(
				Type.Object(
					{
						id: says(Key, 'Id of the player'),
						positions: says(Type.Array(Key), 'Positions that they play, best first')
					},
					closed
				)
			),
			'Who plays'
		),
		positions: says(Type.Array(Key), 'Positions of one team, one for each place'),
		teams: Type.Optional(says(Type.Number(), '1 or 2 teams; 1 where it is not said')),
		fillers: Type.Optional(says(Type.Number(), 'Adults who may fill a place')),
		shifts: says(Type.Number(), 'How many shifts'),
		maxSitRow: Type.Optional(
			says(Type.Number(), 'Shifts that one may sit in a row; 1 where it is not said')
		),
		seed: Type.Optional(
			says(Type.Number(), 'Another number gives another line-up of the same worth')
		),
		secondsLimit: Type.Optional(says(Type.Number(), 'Seconds that may be searched, 1 to 600'))
	},
	closed
);

/** What `lineup` gives. */
export const LineupOutput = Type.Object(
	{
		shifts: says(
			Type.Array(
				Type.Object(
					{
						at: says(Type.Record(Type.String(), Key), 'By `team:index`: the player, or `filler`'),
						sit: says(Type.Array(Key), 'Ids of players who sit')
					},
					closed
				)
			),
			'The shifts one after another'
		),
		played: says(Type.Record(Type.String(), Type.Number()), 'Shifts by player'),
		spread: says(
			Type.Number(),
			'Most shifts less fewest, of players who are not alone at a position'
		),
		sitRow: says(Type.Number(), 'The most shifts that anybody sits in a row'),
		preferred: says(Type.Number(), 'Places played by somebody who likes no other better'),
		fillers: says(Type.Number(), 'Places taken by fillers, over all shifts')
	},
	closed
);

export type LineupInput = Static<typeof LineupInput>;
export type LineupOutput = Static<typeof LineupOutput>;
