import type {
	ExportLedger,
	ExportPerson,
	ExportPractice,
	ExportTeam
} from '$core/model/exportFiles';
import type { AttendanceFile } from '$core/model/attendance';
import type { LaddersFile } from '$core/model/ladders';
import type { Drill } from '$core/model/drill';
import type { Template } from '$core/model/practice';
import type { Team } from '$core/model/team';
import { ALWAYS } from '$core/model/teamHistory';
import type { Queryable } from '../database';
import { insertTemplate } from './templates';
import { readPeople } from './people';
import { insertGround, listGrounds } from './places';
import { listSettings, saveSetting } from './settings';
import { insertAttendance } from './attendance';
import { listArchived, setDrillArchived } from './drills';
import { saveSeason } from './season';
import {
	insertTallies,
	listPushes,
	listRulings,
	listTallies,
	savePush,
	saveRulings
} from './ladders';
import { findTeam, insertTeam, listSeasons } from './teams';

/** All of one team, as it goes into an export. */
export interface WholeTeam {
	team: ExportTeam;
	drills: Drill[];
	practices: ExportPractice[];
	templates: Template[];
	ledger: ExportLedger;
	attendance: AttendanceFile;
	/** What was counted and decided; exports of before have none. */
	ladders?: LaddersFile;
}

/** What was counted of a team's ladders, and what was decided, as an export says it. */
export async function readLadders(db: Queryable, teamId: string): Promise<LaddersFile> {
	return {
		format: 'fieldplan/ladders@1',
		tallies: (await listTallies(db, teamId)).map(({ date: _date, ...tally }) => tally),
		rulings: await listRulings(db, teamId),
		pushes: await listPushes(db, teamId)
	};
}

/** Writes what was counted and decided of a team's ladders; its practices and seasons must be there. */
export async function writeLadders(
	tx: Queryable,
	teamId: string,
	{ tallies, rulings, pushes }: LaddersFile
): Promise<void> {
	await insertTallies(tx, teamId, tallies);
	await saveRulings(tx, teamId, rulings);
	for (const push of pushes) await savePush(tx, teamId, push);
}

/** Who and what a team has, as an export says it; the team must be there. */
export async function readExportTeam(db: Queryable, teamId: string): Promise<ExportTeam> {
	const [kit, ...kitFrom] = await listSettings(db, teamId, 'kit');
	const [limits, ...limitsFrom] = await listSettings(db, teamId, 'limits');
	const archivedDrills = (await listArchived(db, teamId)).map(({ id }) => id);
	return {
		format: 'fieldplan/team@1',
		team: (await findTeam(db, teamId)) as Team,
		seasons: await listSeasons(db, teamId),
		people: await readPeople(db, teamId),
		grounds: await listGrounds(db, teamId),
		kit: kit?.value ?? [],
		...(kitFrom.length > 0 && { kitFrom }),
		...(limits && { limits: limits.value }),
		...(limits && limits.since !== ALWAYS && { limitsSince: limits.since }),
		...(limitsFrom.length > 0 && { limitsFrom }),
		...(archivedDrills.length > 0 && { archivedDrills })
	};
}

/** Practices, and drills, that are read at once where all are read. */
const AT_ONCE = 25;

/** Every practice of a team, in order of time; a few are read at once. */
export async function* eachPractice(db: Queryable, teamId: string): AsyncGenerator<ExportPractice> {
	const { rows: ids } = await db.query<{ id: string }>(
		'select id from practice where team_id = $1 order by date, start, id',
		[teamId]
	);
	for (let k = 0; k < ids.length; k += AT_ONCE) {
		const { rows } = await db.query<Omit<ExportPractice, 'format'>>(
			`select revision, archived, state, cancelled_reason as "cancelledReason", slot,
				nullif(turnings, 0) as turnings, body as practice from practice
			 where team_id = $1 and id = any($2::text[]) order by date, start, id`,
			[teamId, ids.slice(k, k + AT_ONCE).map(({ id }) => id)]
		);
		for (const row of rows)
			yield {
				format: 'fieldplan/stored-practice@1',
				...(Object.fromEntries(
					Object.entries(row).filter(([, value]) => value !== null)
				) as typeof row)
			};
	}
}

/**
 * The ledger rows of a practice as JSON, a row a line with commas between, in an order that does not change;
 * empty where there are none. As text from the database: thousands of rows one by one take several times as long.
 */
export async function ledgerText(db: Queryable, teamId: string, practice: string): Promise<string> {
	const { rows } = await db.query<{ text: string | null }>(
		`select string_agg(json_build_object('practice', practice_id, 'period', period_id,
			'block', block_id, 'drill', drill_id, 'revision', drill_revision, 'rung', rung,
			'side', side, 'opposed', opposed, 'player', player_id, 'unit', unit, 'date', date::text, 'skill', skill, 'focus', focus,
			'seconds', seconds, 'activeSeconds', active_seconds, 'turns', turns, 'state', state)::text,
			E',\\n' order by state, block_id, player_id, skill, focus, rung, side, period_id) as text
		 from ledger where team_id = $1 and practice_id = $2`,
		[teamId, practice]
	);
	return rows[0].text ?? '';
}

const json = JSON.stringify;

async function writePeople(tx: Queryable, teamId: string, people: readonly ExportPerson[]) {
	await tx.query(
		`insert into person (team_id, id, kind, place, name, number, usually_late, role, units, days, positions,
			restrictions, birth_year, leads, note, skills, ages)
		 select $1, id, kind, place, name, number, coalesce("usuallyLate", false), role, leads, days, positions,
			restrictions, "birthYear", coalesce("leadsWell", false), note, skills, ages
		 from jsonb_to_recordset($2::jsonb) as p (id text, kind text, place int, name text, number int,
			"usuallyLate" boolean, role text, leads jsonb, days jsonb, positions jsonb, restrictions jsonb,
			"birthYear" int, "leadsWell" boolean, note text, skills jsonb, ages jsonb)`,
		[teamId, json(people.map((person, place) => ({ ...person, place })))]
	);
	const dated = <Item extends object>(of: (person: ExportPerson) => Item[]) =>
		json(people.flatMap((person) => of(person).map((item) => ({ person: person.id, ...item }))));
	await tx.query(
		`insert into person_unit (team_id, person_id, since, unit)
		 select $1, person, since, unit
		 from jsonb_to_recordset($2::jsonb) as u (person text, since date, unit text)`,
		[teamId, dated(({ units }) => units)]
	);
	await tx.query(
		`insert into rating (team_id, person_id, skill, since, rating)
		 select $1, person, skill, since, rating
		 from jsonb_to_recordset($2::jsonb) as r (person text, skill text, since date, rating real)`,
		[teamId, dated(({ ratings }) => ratings)]
	);
}

async function writeSettings(
	tx: Queryable,
	teamId: string,
	{
		kit,
		kitFrom = [],
		limits,
		limitsSince,
		limitsFrom = []
	}: Pick<ExportTeam, 'kit' | 'kitFrom' | 'limits' | 'limitsSince' | 'limitsFrom'>
): Promise<void> {
	await saveSetting(tx, teamId, { what: 'kit', value: kit });
	for (const { since, value } of kitFrom)
		await saveSetting(tx, teamId, { what: 'kit', value, since });
	if (limits) await saveSetting(tx, teamId, { what: 'limits', value: limits, since: limitsSince });
	for (const { since, value } of limitsFrom)
		await saveSetting(tx, teamId, { what: 'limits', value, since });
}

async function writeTeam(
	tx: Queryable,
	{ team, seasons, people, grounds, ...settings }: ExportTeam
): Promise<boolean> {
	if (!(await insertTeam(tx, team))) return false;
	for (const season of seasons) await saveSeason(tx, team.id, season);
	await writePeople(tx, team.id, people);
	for (const ground of grounds) await insertGround(tx, team.id, ground);
	await writeSettings(tx, team.id, settings);
	return true;
}

/** Adds a drill at its revision (1 where it names none). */
async function writeDrill(tx: Queryable, teamId: string, drill: Drill): Promise<void> {
	const revision = drill.revision ?? 1;
	await tx.query(
		'insert into drill_revision (team_id, drill_id, revision, body) values ($1, $2, $3, $4::jsonb)',
		[teamId, drill.id, revision, json({ ...drill, revision })]
	);
}

/** Adds a whole team; false, with nothing written, where its id is taken. */
export async function writeWholeTeam(tx: Queryable, whole: WholeTeam): Promise<boolean> {
	const { team, drills, practices, templates, ledger, attendance } = whole;
	const teamId = team.team.id;
	if (!(await writeTeam(tx, team))) return false;
	for (const drill of drills) await writeDrill(tx, teamId, drill);
	for (const id of team.archivedDrills ?? [])
		await setDrillArchived(tx, teamId, { id, archived: true });
	const done = new Set(
		ledger.rows.filter(({ state }) => state === 'done').map(({ practice }) => practice)
	);
	const stateOf = ({ practice, held = done.has(practice.id), state }: ExportPractice) =>
		state ?? (held ? 'held' : 'planned');
	for (const stored of practices) {
		const { revision, archived, practice } = stored;
		await tx.query(
			`insert into practice (team_id, id, season_id, date, start, revision, format, body, archived, state,
				cancelled_reason, slot, turnings)
			 values ($1, $2, $3, $4::date, $5, $6, $7, $8::jsonb, $9, $10, $11, $12, $13)`,
			[
				teamId,
				practice.id,
				practice.seasonId,
				practice.date,
				practice.start,
				revision,
				practice.format,
				json(practice),
				archived,
				stateOf(stored),
				stored.cancelledReason ?? null,
				stored.slot ?? null,
				stored.turnings ?? 0
			]
		);
	}
	for (const template of templates) await insertTemplate(tx, teamId, template);
	await tx.query(
		`insert into ledger (team_id, practice_id, period_id, block_id, drill_id, drill_revision, rung,
			side, player_id, unit, date, skill, focus, seconds, active_seconds, turns, opposed, state)
		 select $1, practice, period, block, drill, revision, rung, side, player, unit, date, skill, focus,
			seconds, "activeSeconds", turns, opposed, state
		 from jsonb_to_recordset($2::jsonb) as l (practice text, period text, block text, drill text,
			revision int, rung text, side text, player text, unit text, date date, skill text, focus text,
			seconds real, "activeSeconds" real, turns real, opposed boolean, state text)`,
		[teamId, json(ledger.rows)]
	);
	await insertAttendance(tx, teamId, attendance.rows);
	if (whole.ladders) await writeLadders(tx, teamId, whole.ladders);
	return true;
}
