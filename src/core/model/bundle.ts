import Type, { type Static } from 'typebox';
import { Before } from './before';
import { Drill } from './drill';
import { closed, Counts, Id, says } from './fields';
import { Practice } from './practice';
import { Season } from './season';
import { Adult, Ground, Player, Team } from './team';
import { Limits } from './limits';

const surroundings = {
	team: says(Team, 'The team'),
	season: says(Season, 'The season that it belongs to'),
	players: says(Type.Array(Player), 'Players of the team, as they are on that day'),
	adults: says(Type.Array(Adult), 'Adults of the team, as they are on that day'),
	ground: says(Ground, 'The ground that it is planned on'),
	kit: says(Counts, 'What can be used of the kit, by name'),
	drills: says(Type.Array(Drill), 'Drills that are at hand, those that it has among them'),
	archived: Type.Optional(
		says(Type.Array(Id), 'Ids of drills that are archived: practices keep them, the shelf does not')
	),
	before: Type.Optional(
		says(Before, 'What came before the practice in its season, where that is known')
	),
	limits: Type.Optional(
		says(Type.Partial(Limits, closed), "Limits that differ from the application's")
	)
};

/** All that a practice is built from: who and what is there. `kit` counts what can be used. */
export const Surroundings = Type.Object(surroundings, closed);

/** A practice with its surroundings in one file: the input of `check`. */
export const Bundle = Type.Object(
	{
		format: Type.Literal('fieldplan/bundle@1'),
		practice: says(Practice, 'The practice'),
		...surroundings
	},
	closed
);

export type Surroundings = Static<typeof Surroundings>;
export type Bundle = Static<typeof Bundle>;
