import Type, { type Static } from 'typebox';
import { byKey, closed, Id, Name } from './fields';
import { Ages, BirthYear } from './team';

/** The most players that a squad holds. */
export const MOST_PLAYERS = 500;

/** A player as the squad's page and its table file give one; without an id it is somebody new. */
export const SquadRow = Type.Object(
	{
		id: Type.Optional(Id),
		name: Name,
		number: Type.Optional(Type.Integer({ minimum: 0, maximum: 999 })),
		unit: Type.Optional(Id),
		/** The best first. */
		positions: Type.Array(Id),
		/** 1 to 5 by skill area. */
		ratings: byKey(Id, Type.Number({ minimum: 1, maximum: 5 })),
		birthYear: Type.Optional(BirthYear),
		leads: Type.Optional(Type.Boolean()),
		usuallyLate: Type.Boolean()
	},
	closed
);

/** The rows of a squad that are saved together. */
export const SquadRows = Type.Array(SquadRow, { maxItems: MOST_PLAYERS });

/** An adult as their page gives one; without an id it is somebody new. */
export const AdultRow = Type.Object(
	{
		id: Type.Optional(Id),
		name: Name,
		role: Name,
		units: Type.Array(Id),
		skills: Type.Array(Id),
		days: Type.Array(Type.Integer({ minimum: 1, maximum: 7 }), { uniqueItems: true }),
		ages: Type.Optional(Ages)
	},
	closed
);
export const AdultRows = Type.Array(AdultRow, { maxItems: 100 });
export type AdultRow = Static<typeof AdultRow>;

export type SquadRow = Static<typeof SquadRow>;
