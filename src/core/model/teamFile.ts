import Type, { type Static } from 'typebox';
import type { Surroundings } from './bundle';
import type { Drill } from './drill';
import { closed, says } from './fields';
import { Adult, Ground, KitItem, Player, Team } from './team';
import { Limits } from './limits';
import { Season } from './season';

/** A team with all its grounds and its kit, as the demo's `team.json` gives one. */
export const TeamFile = Type.Object(
	{
		team: says(Team, 'The team'),
		season: says(Season, 'Its season'),
		players: says(Type.Array(Player), 'Its players'),
		adults: says(Type.Array(Adult), 'Its adults'),
		grounds: says(Type.Array(Ground, { minItems: 1 }), 'Its grounds, the usual one first'),
		kit: says(Type.Array(KitItem), 'What it carries'),
		limits: Type.Optional(
			says(Type.Partial(Limits, closed), "Limits that differ from the application's")
		)
	},
	closed
);
export type TeamFile = Static<typeof TeamFile>;

/** How many of each item can be used: those that are not broken. */
export function usableKit(kit: readonly KitItem[]): Record<string, number> {
	return Object.fromEntries(
		kit.map(({ item, count, broken = 0 }) => [item, Math.max(0, count - broken)])
	);
}

/** What a practice on the first ground of a team is built from. */
export function surroundingsOf({ grounds, kit, ...rest }: TeamFile, drills: Drill[]): Surroundings {
	return { ...rest, ground: grounds[0], kit: usableKit(kit), drills };
}
