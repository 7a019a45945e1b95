import Type, { type Static } from 'typebox';
import { Drill } from './drill';
import { closed, Counts, Id } from './fields';
import { Practice } from './practice';
import { Adult, Ground, Limits, Player, Season, Team } from './team';

const surroundings = {
	team: Team,
	season: Season,
	players: Type.Array(Player),
	adults: Type.Array(Adult),
	ground: Ground,
	kit: Counts,
	drills: Type.Array(Drill),
	/** Drills that are archived: practices that have them keep them, the shelf does not. */
	archived: Type.Optional(Type.Array(Id)),
	limits: Type.Optional(Type.Partial(Limits, closed))
};

/** All that a practice is built from: who and what is there. `kit` counts what can be used. */
export const Surroundings = Type.Object(surroundings, closed);

/** A practice with its surroundings in one file: the input of `check`. */
export const Bundle = Type.Object(
	{ format: Type.Literal('fieldplan/bundle@1'), practice: Practice, ...surroundings },
	closed
);

export type Surroundings = Static<typeof Surroundings>;
export type Bundle = Static<typeof Bundle>;
