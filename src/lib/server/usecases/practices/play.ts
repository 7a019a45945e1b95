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
function emptyContext({ history, contexts }: TeamRead, { date, groundId }: Practice): Context {
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

/**
 * What a practice is played with on its own day and ground: the drills that it names, at their revisions,
 * and those that every practice is held against. Throws where its team is not there.
 */
async function contextFor(db: Queryable, practice: Practice): Promise<Context> {
	const team = await readTeam(db, practice.teamId);
	if (!team) throw new Error(`Team ${practice.teamId} of practice ${practice.id} is not there`);
	return withDrills(emptyContext(team, practice), await drillsOf(db, team, practice));
}

/** Plays a practice with what its team had on that day; what `before` has in common is not played again. */
export async function play(db: Queryable, practice: Practice, before?: Played): Promise<Played> {
	const context = await contextFor(db, practice);
	const evaluation = evaluate(practice, context, before?.evaluation);
	return { evaluation, rows: ledgerRows(evaluation) };
}
