import Type, { type Static } from 'typebox';
import { closed, Key, Name, Text, says } from './fields';
import { MOST_PLACES, MOST_POSITIONS } from './team';

const Named = {
	key: says(Key, 'Its id, or a word for it where it is new'),
	name: says(Name, 'Its name')
};

/** What a team plays, as its page sends it: parts refer to each other by their keys. */
export const TeamSport = Type.Object(
	{
		name: says(Name, 'Name of the sport'),
		units: says(Type.Array(Type.Object(Named, closed), { maxItems: 40 }), 'Its units'),
		positions: says(
			Type.Array(
				Type.Object(
					{ ...Named, unit: Type.Optional(says(Key, 'Key of the unit that plays it')) },
					closed
				),
				{ maxItems: MOST_POSITIONS }
			),
			'Its positions'
		),
		lineUp: says(
			Type.Array(
				Type.Object(
					{
						position: says(Key, 'Key of the position'),
						x: says(Type.Number({ minimum: 0, maximum: 1000 }), 'Metres from the own end'),
						y: says(Type.Number({ minimum: 0, maximum: 1000 }), 'Metres from the top')
					},
					closed
				),
				{ maxItems: MOST_PLACES }
			),
			'The places of one team in a game, as they stand when play starts'
		),
		areas: says(
			Type.Array(
				Type.Object(
					{
						...Named,
						stages: says(Type.Array(Text, { maxItems: 9 }), 'One stage after another'),
						after: Type.Optional(says(Key, 'Key of the area that must come first')),
						retired: Type.Optional(says(Type.Boolean(), 'Whether it is no longer trained'))
					},
					closed
				),
				{ maxItems: 40 }
			),
			'What is learned'
		),
		loads: says(Type.Array(Key, { maxItems: 50 }), 'What turns cost a body and is counted'),
		cautions: says(Type.Array(Text, { maxItems: 50 }), 'What is usually looked after')
	},
	closed
);
export type TeamSport = Static<typeof TeamSport>;
