import Type, { type Static } from 'typebox';
import { closed, Counts, Id, Name, Text } from './fields';
import { Ground } from './team';

/** What a team of a sport starts from, `fieldplan/sport@1`: its ground, who there is, what is learned. */
export const Sport = Type.Object(
	{
		format: Type.Literal('fieldplan/sport@1'),
		id: Id,
		name: Name,
		/** Outline and markings to scale, with zones to begin with. */
		ground: Ground,
		units: Type.Array(Type.Object({ id: Id, name: Name }, closed)),
		positions: Type.Array(Type.Object({ id: Id, name: Name, unit: Id }, closed)),
		/** The places of one team in a game, by position. */
		team: Type.Array(Id),
		/** What is learned, each area in stages from the first on. */
		skillAreas: Type.Array(Type.Object({ id: Id, name: Name, stages: Type.Array(Text) }, closed)),
		/** What is usually looked after. */
		cautions: Type.Array(Text),
		/** Kit that a team usually has. */
		kit: Counts
	},
	closed
);

export type Sport = Static<typeof Sport>;
