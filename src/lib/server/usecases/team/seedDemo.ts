import { misfitText } from '$core/base';
import { AttendanceFile } from '$core/model/attendance';
import type { ExportPerson } from '$core/model/exportFiles';
import { Practice } from '$core/model/practice';
import { Drill } from '$core/model/drill';
import { TeamFile } from '$core/model/teamFile';
import type { Static, TSchema } from 'typebox';
import { readJson } from '../../../../doors';
import type { Db, Queryable } from '../../database';
import { shippedFiles } from '../../shipped';
import { writeWholeTeam, type WholeTeam } from '../../repositories/wholeTeam';
import { insertPractice, replaceLedger, setHeld } from '../../repositories/practices';
import { insertAttendance } from '../../repositories/attendance';
import { listTeams } from '../../repositories/teams';
import { storePlanned } from '../practices/summaries';

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
			const attendance = `${folder}attendance.json`;
			return {
				file: read(TeamFile, path, text),
				drills: filesIn(Drill, `${folder}drills/`),
				practices: filesIn(Practice, `${folder}practices/`),
				attendance: read(AttendanceFile, attendance, files.get(attendance) ?? '')
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

/**
 * Fills an empty database with teams of the demo, in one transaction; leaves any other as it is.
 * Practices before `today`, the day that the demo stands still on if none is given, were held as planned.
 * Gives whether it did so now.
 */
export async function seedDemo(
	db: Db,
	{ today, teams }: { today?: string; teams?: readonly string[] } = {}
): Promise<boolean> {
	return db.transaction(async (tx) => {
		if (!(await isFirstTime(tx))) return false;
		if ((await listTeams(tx)).length > 0) return true;
		for (const demo of readDemo().filter(({ file }) => teams?.includes(file.team.id) ?? true)) {
			await writeWholeTeam(tx, toWhole(demo));
			for (const practice of demo.practices) {
				await insertPractice(tx, practice);
				const { rows } = await storePlanned(tx, practice);
				if (practice.date >= (today ?? demo.file.team.today ?? '')) continue;
				await replaceLedger(tx, practice, { state: 'done', rows });
				await setHeld(tx, practice.teamId, practice.id);
			}
			await insertAttendance(tx, demo.file.team.id, demo.attendance.rows);
		}
		return true;
	});
}
