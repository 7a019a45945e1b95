import Type, { type Static } from 'typebox';
import type { Surroundings } from './bundle';
import type { Drill } from './drill';
import { closed } from './fields';
import { Adult, Ground, KitItem, Limits, Player, Season, Team } from './team';

/** A team with all its grounds and its kit, as the demo's `team.json` gives one. */
export const TeamFile = Type.Object(
	{
		team: Team,
		season: Season,
		players: Type.Array(Player),
		adults: Type.Array(Adult),
		grounds: Type.Array(Ground, { minItems: 1 }),
		kit: Type.Array(KitItem),
		limits: Type.Optional(Type.Partial(Limits, closed))
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
