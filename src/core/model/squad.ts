import Type, { type Static } from 'typebox';
import { byKey, closed, Id, Name, says } from './fields';
import { Ages, BirthYear } from './team';

/** The most players that a squad holds. */
export const MOST_PLAYERS = 500;

/** A player as the squad's page and its table file give one; without an id it is somebody new. */
export const SquadRow = Type.Object(
	{
		id: Type.Optional(says(Id, 'Id of the player; a new one where it is not said')),
		name: says(Name, 'Name'),
		number: Type.Optional(
			says(Type.Integer({ minimum: 0, maximum: 999 }), 'Number on the shirt, 0 to 999')
		),
		unit: Type.Optional(says(Id, 'Id of their unit')),
		positions: says(Type.Array(Id), 'Ids of positions that they play, the best first'),
		ratings: says(
			byKey(Id, Type.Number({ minimum: 1, maximum: 5 })),
			'Ratings by skill area, 1 to 5'
		),
		birthYear: Type.Optional(says(BirthYear, 'Year of birth')),
		leads: Type.Optional(says(Type.Boolean(), 'Whether they lead a group well')),
		usuallyLate: says(Type.Boolean(), 'Whether they usually come late')
	},
	closed
);

/** The rows of a squad that are saved together. */
export const SquadRows = Type.Array(SquadRow, { maxItems: MOST_PLAYERS });

/** An adult as their page gives one; without an id it is somebody new. */
export const AdultRow = Type.Object(
	{
		id: Type.Optional(says(Id, 'Id of the adult; a new one where it is not said')),
		name: says(Name, 'Name'),
		role: says(Name, 'What they do, such as coach or helper'),
		units: says(Type.Array(Id), 'Ids of units that they look after'),
		skills: says(Type.Array(Id), 'Ids of skill areas that they can lead'),
		days: says(
			Type.Array(Type.Integer({ minimum: 1, maximum: 7 }), { uniqueItems: true }),
			'Weekdays on which they usually come, Monday 1 to Sunday 7'
		),
		ages: Type.Optional(says(Ages, 'Ages of players that they may have in charge, in years'))
	},
	closed
);
export const AdultRows = Type.Array(AdultRow, { maxItems: 100 });
export type AdultRow = Static<typeof AdultRow>;

export type SquadRow = Static<typeof SquadRow>;
