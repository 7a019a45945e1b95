import Type, { type Static } from 'typebox';
import { byKey, closed, Counts, Id, Key, Name, Point, Text, says } from './fields';
import { Ground } from './team';

const Contact = Type.Integer({ minimum: 0, maximum: 4 });

/** What a team of a sport starts from, `fieldplan/sport@1`: its ground, who there is, what is learned. */
export const Sport = Type.Object(
	{
		format: Type.Literal('fieldplan/sport@1'),
		id: says(Id, 'Id of the sport'),
		name: says(Name, 'Its name'),
		ground: says(Ground, 'Outline and markings to scale, with zones to begin with'),
		units: says(
			Type.Array(
				Type.Object({ id: says(Id, 'Id of the unit'), name: says(Name, 'Its name') }, closed)
			),
			'Its usual units'
		),
		positions: says(
			Type.Array(
				Type.Object(
					{
						id: says(Id, 'Id of the position'),
						name: says(Name, 'Its name'),
						unit: says(Id, 'Id of the unit that plays it')
					},
					closed
				)
			),
			'Its positions'
		),
		team: says(Type.Array(Id), 'Ids of positions, one for each place of one team in a game'),
		places: Type.Optional(
			says(
				Type.Array(Point),
				'Where each place of a team is when play starts, own end at x 0, in metres'
			)
		),
		skillAreas: says(
			Type.Array(
				Type.Object(
					{
						id: says(Id, 'Id of the area'),
						name: says(Name, 'Its name'),
						stages: says(Type.Array(Text), 'What is learned of it, one stage after another')
					},
					closed
				)
			),
			'What is learned, each area in stages from the first on'
		),
		shares: Type.Optional(
			says(
				byKey(Id, Type.Number({ minimum: 0, maximum: 1 })),
				'Share of the minutes of practice that each area usually gets, 0 to 1; what is left is warm-up, talks, water and ways'
			)
		),
		alike: Type.Optional(
			says(
				byKey(Id, Id),
				'Skill areas that drills for any sport name, by the id that they have there: which of its own stands for each'
			)
		),
		words: Type.Optional(
			says(
				byKey(Key, Name),
				'Its own words, by the word that stands in their place otherwise: ball, cone'
			)
		),
		loads: Type.Optional(
			says(Type.Array(Key), 'What turns cost a body in it and is counted: throws, jumps')
		),
		sends: Type.Optional(
			says(Key, 'What a ball that is sent costs a body in it, where that is counted: throws, kicks')
		),
		contact: Type.Optional(
			says(
				Type.Object(
					{
						game: says(Contact, 'In a full game'),
						small: says(Contact, 'In a small one, and in any other live play')
					},
					closed
				),
				'How much contact its games have, 0 none to 4 full'
			)
		),
		hazards: Type.Optional(
			says(
				Type.Object(
					{
						swing: Type.Optional(says(Type.Number({ minimum: 0 }), 'Metres kept clear of a swing')),
						flight: Type.Optional(
							says(Type.Number({ minimum: 0 }), 'Metres kept clear where balls fly')
						)
					},
					closed
				),
				'What swings and flies in it wherever a ball is played'
			)
		),
		softBall: Type.Optional(
			says(
				Type.Object(
					{
						item: says(Key, 'Its name, one of it'),
						under: says(Type.Number({ minimum: 1 }), 'For teams under this age in years')
					},
					closed
				),
				'What is played with in place of a ball that is hard'
			)
		),
		cautions: says(Type.Array(Text), 'What is usually looked after in it'),
		kit: says(Counts, 'Kit that a team usually has, by name')
	},
	closed
);

export type Sport = Static<typeof Sport>;
