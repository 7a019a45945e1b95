import Type, { type Static } from 'typebox';
import { byKey, closed, Day, Id, Key, says } from './fields';

/** What one practice has cost the body of one player. */
export const Strain = Type.Object(
	{
		contact: Type.Optional(
			says(
				byKey(
					Type.String({ pattern: '^[1-4]$', expects: 'a level from 1 to 4' }),
					Type.Number({ minimum: 0 })
				),
				'Minutes of contact by its level, 1 to 4'
			)
		),
		loads: Type.Optional(
			says(byKey(Key, Type.Number({ minimum: 0 })), 'What turns cost, by kind: throws, kicks')
		)
	},
	closed
);

/** What came before a practice in its season: as those who came had it, or as it is planned. */
export const Before = Type.Object(
	{
		attended: says(
			byKey(Id, Type.Integer({ minimum: 0 })),
			'How many practices of the season each player came to, or is planned for, before this one'
		),
		week: says(
			Type.Array(
				Type.Object(
					{ date: says(Day, 'Its day'), strain: says(byKey(Id, Strain), 'By player') },
					closed
				)
			),
			'The practices before this one on its day and the six days before it'
		),
		nextGame: Type.Optional(
			says(
				Day,
				'The day of the next game, that of the practice among them; none is known without it'
			)
		)
	},
	closed
);

export type Strain = Static<typeof Strain>;
export type Before = Static<typeof Before>;
