import type { Surroundings } from '$core/model/bundle';
import type { Drill } from '$core/model/drill';
import type { Practice } from '$core/model/practice';
import type { Queryable } from '../../database';
import {
	findDrill,
	listRevisions,
	listUses,
	type DrillUse,
	type RevisionLine
} from '../../repositories/drills';
import { findPractice, nextPractice } from '../../repositories/practices';
import { loadSurroundings } from '../../repositories/teamHistory';

/** What there is to run a drill with: the next practice, or the whole team where none is planned. */
export interface Here {
	practice: Practice;
	surroundings: Surroundings;
	isPlanned: boolean;
}

/** The next practice of a team, without its periods, with what it is built from but for drills. */
export async function loadHere(
	db: Queryable,
	teamId: string,
	today: string
): Promise<Here | undefined> {
	const next = await nextPractice(db, teamId, today);
	const stored = next && (await findPractice(db, teamId, next.id));
	const { date = today, groundId } = stored?.practice ?? {};
	const surroundings = await loadSurroundings(db, teamId, { day: date, groundId });
	if (!surroundings) return undefined;
	const { team, season, players, adults, ground } = surroundings;
	const practice: Practice = stored?.practice ?? {
		format: 'fieldplan/practice@1',
		id: 'none',
		teamId: team.id,
		seasonId: season.id,
		date,
		start: '18:00',
		timeZone: team.timeZone,
		minutes: 90,
		place: ground.name,
		expected: players.map(({ id }) => id),
		adults: adults.map(({ id }) => id),
		periods: []
	};
	return {
		practice: { ...practice, periods: [] },
		surroundings,
		isPlanned: stored !== undefined
	};
}

/** What the page of a drill is drawn from. */
export interface DrillPage {
	drill: Drill;
	revisions: RevisionLine[];
	uses: DrillUse[];
	here: Here;
	isArchived: boolean;
}

/** A drill at a revision (the newest where none is named) with where it was used and what there is for it. */
export async function loadDrillPage(
	db: Queryable,
	teamId: string,
	{ id, revision, today }: { id: string; revision?: number; today: string }
): Promise<DrillPage | undefined> {
	const drill = await findDrill(db, teamId, id, revision);
	const here = drill && (await loadHere(db, teamId, today));
	if (!drill || !here) return undefined;
	return {
		drill,
		revisions: await listRevisions(db, teamId, id),
		uses: await listUses(db, teamId, id),
		here: { ...here, surroundings: { ...here.surroundings, drills: [drill], archived: [] } },
		isArchived: here.surroundings.archived?.includes(id) === true
	};
}
