import { error } from '@sveltejs/kit';
import type { Surroundings } from '$core/model/bundle';
import type { Team } from '$core/model/team';
import type { Queryable } from './database';
import { findTeam } from './repositories/teams';
import { loadSurroundings } from './repositories/teamHistory';
import { say } from './say';
import texts from '$texts/refusals';

const NO_TEAM = say(texts.noTeam);

/** The team of a page; where there is none the page is not found. */
export async function requireTeam(db: Queryable, teamId: string): Promise<Team> {
	return (await findTeam(db, teamId)) ?? error(404, NO_TEAM);
}

/** A team with all that is its own on a day; where there is none the page is not found. */
export async function requireSurroundings(
	db: Queryable,
	teamId: string,
	day: string
): Promise<Surroundings> {
	return (await loadSurroundings(db, teamId, { day })) ?? error(404, NO_TEAM);
}

/** The revision that an address asks for; undefined for the newest. */
export function revisionIn(url: URL): number | undefined {
	const asked = Number(url.searchParams.get('revision') ?? NaN);
	return Number.isInteger(asked) ? asked : undefined;
}
