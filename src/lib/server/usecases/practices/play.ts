import type { Drill } from '$core/model/drill';
import type { Practice } from '$core/model/practice';
import { evaluate } from '$core/playing';
import { type Context, contextOn, drillsIn, withDrills } from '$core/practice';
import { ledgerRows } from '$core/season';
import type { Queryable } from '../../database';
import type { Played, TeamRead } from '../../memory';
import { listRevisionsOf } from '../../repositories/drills';
import { readTeam } from '../../repositories/teamHistory';

/** The context of a day and ground of a team, without drills; the same object while nothing changes. */
export function emptyContext(
	{ history, contexts }: TeamRead,
	{ date, groundId }: Practice
): Context {
	const key = `${date} ${groundId ?? ''}`;
	const known = contexts.get(key);
	if (known) return known;
	const context = contextOn(history, { day: date, groundId });
	if (!context) throw new Error(`Team ${history.team.id} has no season`);
	contexts.set(key, context);
	return context;
}

/** A name of a revision of a drill: `id@3`. */
export const keyOf = ({ id, revision = 1 }: Pick<Drill, 'id' | 'revision'>) => `${id}@${revision}`;

/** The revisions that a practice names, and the drills that every practice is held against. */
export async function drillsOf(
	db: Queryable,
	team: TeamRead,
	practice: Practice
): Promise<Drill[]> {
	const { staples, named } = team;
	const wanted = drillsIn(practice);
	const missing = wanted.filter((drill) => !named.has(keyOf(drill)));
	if (missing.length > 0)
		for (const drill of await listRevisionsOf(db, practice.teamId, missing))
			named.set(keyOf(drill), drill);
	const own = wanted.flatMap((drill) => named.get(keyOf(drill)) ?? []);
	return [...new Map([...staples, ...own].map((drill) => [keyOf(drill), drill])).values()];
}

/** The team of a practice with all that it is played with. Throws where it is not there. */
export async function teamOf(db: Queryable, practice: Practice): Promise<TeamRead> {
	const team = await readTeam(db, practice.teamId);
	if (!team) throw new Error(`Team ${practice.teamId} of practice ${practice.id} is not there`);
	return team;
}

/** What a practice is played with: what came before it in the season is not looked at. */
export async function contextOf(db: Queryable, practice: Practice): Promise<Context> {
	return contextWith(db, await teamOf(db, practice), practice);
}

async function contextWith(db: Queryable, team: TeamRead, practice: Practice): Promise<Context> {
	return withDrills(emptyContext(team, practice), await drillsOf(db, team, practice));
}

/** Plays a practice by itself: what came before it in the season is not looked at. */
export async function playWith(db: Queryable, team: TeamRead, practice: Practice): Promise<Played> {
	const evaluation = evaluate(practice, await contextWith(db, team, practice));
	return { evaluation, rows: ledgerRows(evaluation) };
}
