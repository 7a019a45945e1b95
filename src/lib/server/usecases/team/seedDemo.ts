import { misfitText } from '$core/base';
import { AttendanceFile } from '$core/model/attendance';
import { byKey, Day, Name } from '$core/model/fields';
import { LaddersFile } from '$core/model/ladders';
import type { ExportPerson } from '$core/model/exportFiles';
import { Practice } from '$core/model/practice';
import { Drill } from '$core/model/drill';
import { TeamFile } from '$core/model/teamFile';
import type { Static, TSchema } from 'typebox';
import { readJson } from '../../../../doors';
import type { Db, Queryable } from '../../database';
import { shippedFiles } from '../../shipped';
import { writeLadders, writeWholeTeam, type WholeTeam } from '../../repositories/wholeTeam';
import { findPractice, insertPractice, setState } from '../../repositories/practices';
import { insertAttendance } from '../../repositories/attendance';
import { listTeams } from '../../repositories/teams';
import { addPractices } from '../season/makePractices';
import { storeDone, storePlanned } from '../practices/summaries';

/** A file of the demo, read like any other file from outside. */
function read<Schema extends TSchema>(schema: Schema, path: string, text: string): Static<Schema> {
	const value = readJson(schema, text);
	if (value.ok) return value.value;
	throw new Error(`demo/${path}: ${misfitText(value.failure)}`);
}

/** A team of the demo. */
export interface DemoTeam {
	file: TeamFile;
	drills: Drill[];
	practices: Practice[];
	attendance: AttendanceFile;
	ladders: LaddersFile;
	/** Why practices are cancelled, by their day. */
	cancelled: Record<string, string>;
}

function readDemoFiles(): DemoTeam[] {
	const files = shippedFiles('demo');
	const filesIn = <Schema extends TSchema>(schema: Schema, folder: string) =>
		[...files]
			.filter(([path]) => path.startsWith(folder))
			.map(([path, text]) => read(schema, path, text));
	return [...files]
		.filter(([path]) => path.endsWith('/team.json'))
		.map(([path, text]) => {
			const folder = path.slice(0, -'team.json'.length);
			const one = <Schema extends TSchema>(schema: Schema, name: string, without = '') =>
				read(schema, folder + name, files.get(folder + name) ?? without);
			return {
				file: read(TeamFile, path, text),
				drills: filesIn(Drill, `${folder}drills/`),
				practices: filesIn(Practice, `${folder}practices/`),
				attendance: one(AttendanceFile, 'attendance.json'),
				ladders: one(LaddersFile, 'ladders.json'),
				cancelled: one(byKey(Day, Name), 'cancelled.json', '{}')
			};
		});
}

let demo: DemoTeam[] | undefined;

/** The demo's teams with their practices, each file checked against its schema; read once. */
export const readDemo = (): readonly DemoTeam[] => (demo ??= readDemoFiles());

/** A team of a file as a team that is stored: its units and ratings hold from the season's first day. */
function toWhole({ file, drills }: DemoTeam): WholeTeam {
	const { players, adults, season, ...rest } = file;
	const since = season.firstDay;
	const people: ExportPerson[] = [
		...players.map(({ unit, ratings = {}, leads, ...player }) => ({
			kind: 'player' as const,
			...player,
			...(leads && { leadsWell: leads }),
			units: unit === undefined ? [] : [{ since, unit }],
			ratings: Object.entries(ratings).map(([skill, rating]) => ({ since, skill, rating }))
		})),
		...adults.map(({ units, ...adult }) => ({
			kind: 'adult' as const,
			...adult,
			...(units && { leads: units }),
			units: [],
			ratings: []
		}))
	];
	return {
		team: { format: 'fieldplan/team@1', ...rest, seasons: [season], people },
		drills,
		practices: [],
		templates: [],
		ledger: { format: 'fieldplan/ledger@1', rows: [] },
		attendance: { format: 'fieldplan/attendance@1', rows: [] }
	};
}

/** Whether the demo was never put here: what a coach has removed stays away. Notes that it is now. */
async function isFirstTime(tx: Queryable): Promise<boolean> {
	const { affectedRows } = await tx.query(
		`insert into installation (step) values ('demo') on conflict do nothing`
	);
	return affectedRows === 1;
}

/** Ids of the teams of the demo. */
export const demoTeams = (): string[] => readDemo().map(({ file }) => file.team.id);

/** Puts one team of the demo into the database, its season as it stands on a day. */
async function seedTeam(tx: Queryable, demo: DemoTeam, today: string): Promise<void> {
	const { season, team } = demo.file;
	const at = (id: string) => ({ teamId: team.id, id });
	// Practices that are made are named as those that are planned: after their day.
	const [first] = demo.practices;
	const idOn = (day: string) => first.id.replace(first.date, day);
	await writeWholeTeam(tx, toWhole(demo));
	for (const practice of demo.practices) await insertPractice(tx, practice);
	await insertAttendance(tx, team.id, demo.attendance.rows);
	for (const practice of demo.practices) {
		await storePlanned(tx, practice);
		if (practice.date >= today) continue;
		await setState(tx, practice, { state: 'held' });
		await storeDone(tx, practice);
	}
	await addPractices(tx, {
		teamId: team.id,
		seasonId: season.id,
		from: today,
		idOf: ({ date }) => idOn(date)
	});
	for (const [day, reason] of Object.entries(demo.cancelled))
		if (await findPractice(tx, team.id, idOn(day)))
			await setState(tx, at(idOn(day)), { state: 'cancelled', reason });
	await writeLadders(tx, team.id, demo.ladders);
}

/**
 * Fills an empty database with teams of the demo, in one transaction; leaves any other as it is.
 * Practices before `today`, the day that the demo stands still on if none is given, were held as planned; those
 * to come that have no plan yet are made from the season's patterns. Gives whether it did so now.
 */
export async function seedDemo(
	db: Db,
	{ today, teams }: { today?: string; teams?: readonly string[] } = {}
): Promise<boolean> {
	return db.transaction(async (tx) => {
		if (!(await isFirstTime(tx))) return false;
		if ((await listTeams(tx)).length > 0) return true;
		for (const demo of readDemo().filter(({ file }) => teams?.includes(file.team.id) ?? true))
			await seedTeam(tx, demo, today ?? demo.file.team.today ?? '');
		return true;
	});
}
