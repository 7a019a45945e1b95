import { Surroundings } from '$core/model/bundle';
import type { ExportPerson } from '$core/model/exportFiles';
import { Practice } from '$core/model/practice';
import { Drill } from '$core/model/drill';
import type { Static, TSchema } from 'typebox';
import { readShape } from '../../../doors';
import type { Db } from '../database';
import { writeWholeTeam, type WholeTeam } from '../repositories/wholeTeam';
import { insertPractice, replaceLedger } from '../repositories/practices';
import { listTeams } from '../repositories/surroundings';
import { rowsOf } from './saveEdits';

const files = import.meta.glob('/demo/**/*.json', { import: 'default', eager: true });

/** A file of the demo, read like any other file from outside. */
function read<Schema extends TSchema>(
	schema: Schema,
	path: string,
	value: unknown
): Static<Schema> {
	const shape = readShape(schema, value);
	if (shape.ok) return shape.value;
	throw new Error(`${path}: ${shape.failure.path} ${shape.failure.message}`);
}

function filesIn<Schema extends TSchema>(schema: Schema, folder: string): Static<Schema>[] {
	return Object.entries(files)
		.filter(([path]) => path.startsWith(folder))
		.map(([path, value]) => read(schema, path, value));
}

/** The demo's teams with their practices, each file checked against its schema. */
export function readDemo(): { surroundings: Surroundings; practices: Practice[] }[] {
	return Object.entries(files)
		.filter(([path]) => path.endsWith('/team.json'))
		.map(([path, team]) => {
			const folder = path.slice(0, -'team.json'.length);
			const drills = filesIn(Drill, `${folder}drills/`);
			const surroundings = read(Surroundings, path, { ...(team as object), drills });
			return { surroundings, practices: filesIn(Practice, `${folder}practices/`) };
		});
}

/** A team of a file as a team that is stored: its units and ratings hold from the season's first day. */
function toWhole({ players, adults, season, ground, drills, ...rest }: Surroundings): WholeTeam {
	const since = season.firstDay;
	const people: ExportPerson[] = [
		...players.map(({ unit, ratings = {}, ...player }) => ({
			kind: 'player' as const,
			...player,
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
		team: { format: 'fieldplan/team@1', ...rest, seasons: [season], people, grounds: [ground] },
		drills,
		practices: [],
		templates: [],
		ledger: { format: 'fieldplan/ledger@1', rows: [] }
	};
}

/** Whether the demo was never put here: what a coach has removed stays away. */
async function isFirstTime(db: Db): Promise<boolean> {
	const { rows } = await db.query(`select 1 from installation where step = 'demo'`);
	return rows.length === 0;
}

/** Ids of the teams of the demo. */
export const demoTeams = (): string[] => readDemo().map(({ surroundings }) => surroundings.team.id);

/**
 * Fills an empty database with the demo, in one transaction; leaves any other as it is. Practices
 * before `today` are done as they were planned.
 */
export async function seedDemo(db: Db, today: string): Promise<void> {
	if (!(await isFirstTime(db))) return;
	await db.transaction(async (tx) => {
		await tx.query(`insert into installation (step) values ('demo')`);
		if ((await listTeams(tx)).length > 0) return;
		for (const { surroundings, practices } of readDemo()) {
			await writeWholeTeam(tx, toWhole(surroundings));
			for (const practice of practices) {
				await insertPractice(tx, practice);
				const rows = await rowsOf(tx, practice);
				await replaceLedger(tx, practice, 'planned', rows);
				if (practice.date < today) await replaceLedger(tx, practice, 'done', rows);
			}
		}
	});
}
