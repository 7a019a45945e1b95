import { createHash } from 'node:crypto';
import type { Db } from './handle';
import { StartRefusal } from './refusal';

/** A numbered step of the schema. */
export interface Migration {
	number: number;
	name: string;
	sql: string;
}

const files = import.meta.glob<string>('../migrations/*.sql', {
	query: '?raw',
	import: 'default',
	eager: true
});

/** All migrations in order; numbers without gaps from 1. */
export function listMigrations(): Migration[] {
	const list = Object.entries(files).map(([path, sql]) => {
		const name = path.split('/').at(-1) as string;
		return { number: Number(name.slice(0, 4)), name, sql };
	});
	list.sort((a, b) => a.number - b.number);
	for (const [index, { number, name }] of list.entries())
		if (number !== index + 1) throw new Error(`Migration ${name} should have number ${index + 1}`);
	return list;
}

const hashOf = (sql: string) => createHash('sha256').update(sql).digest('hex');

/** Whether data is there that some of the steps have not been applied to. */
export async function isBehind(db: Db, migrations: readonly Migration[]): Promise<boolean> {
	const { rows } = await db.query<{ there: boolean }>(
		`select to_regclass('schema_step') is not null as there`
	);
	if (!rows[0].there) return false;
	const applied = await db.query('select 1 from schema_step');
	return applied.rows.length < migrations.length;
}

/**
 * Brings a database to the newest schema, each step in a transaction of its own. Throws
 * `StartRefusal` where the data was written by a newer version, or a step that was applied has changed.
 */
export async function migrate(db: Db, migrations: readonly Migration[]): Promise<void> {
	await db.exec(`create table if not exists schema_step (
		number int primary key, name text not null, hash text not null,
		applied_at timestamptz not null default now())`);
	const { rows } = await db.query<{ number: number; name: string; hash: string }>(
		'select number, name, hash from schema_step order by number'
	);
	const known = new Map(migrations.map((migration) => [migration.number, migration]));
	for (const { number, name, hash } of rows) {
		const migration = known.get(number);
		if (!migration)
			throw new StartRefusal(
				`The data was written by a newer Field Plan (step ${name}). Update the application, or set FIELDPLAN_DATA to another folder.`
			);
		if (hashOf(migration.sql) !== hash)
			throw new StartRefusal(
				`Step ${name} of the database has changed since it was applied. Restore the file as it was and add a new step instead.`
			);
	}
	for (const { number, name, sql } of migrations.slice(rows.length))
		await db.transaction(async (tx) => {
			await tx.exec(sql);
			await tx.query('insert into schema_step (number, name, hash) values ($1, $2, $3)', [
				number,
				name,
				hashOf(sql)
			]);
		});
}
