import { Surroundings } from '$core/model/bundle';
import { Practice } from '$core/model/practice';
import { Drill } from '$core/model/drill';
import type { Static, TSchema } from 'typebox';
import { readShape } from '../../../doors';
import type { Db } from '../database';
import { insertTeam } from '../repositories/newTeam';
import { insertPractice } from '../repositories/practices';
import { listTeams } from '../repositories/surroundings';
import { writePlanned } from './saveEdits';

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

/** Fills an empty database with the demo, in one transaction; leaves any other as it is. */
export async function seedDemo(db: Db): Promise<void> {
	if ((await listTeams(db)).length > 0) return;
	await db.transaction(async (tx) => {
		for (const { surroundings, practices } of readDemo()) {
			await insertTeam(tx, surroundings);
			for (const practice of practices) {
				await insertPractice(tx, practice);
				await writePlanned(tx, practice);
			}
		}
	});
}
