import Type, { type Static } from 'typebox';
import { closed, Id, Name } from './fields';

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
		ratings: Type.Record(Type.String(), Type.Number({ minimum: 1, maximum: 5 })),
		usuallyLate: Type.Boolean()
	},
	closed
);

/** The rows of a squad that are saved together. */
export const SquadRows = Type.Array(SquadRow, { maxItems: MOST_PLAYERS });

export type SquadRow = Static<typeof SquadRow>;
