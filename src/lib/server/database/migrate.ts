import { createHash } from 'node:crypto';
import { shippedFiles } from '../shipped';
import type { Db, Queryable } from './handle';
import { StartRefusal } from './refusal';

/** A numbered step of the schema. */
export interface Migration {
	number: number;
	name: string;
	sql: string;
}

/** All migrations in order; numbers without gaps from 1. */
export function listMigrations(): Migration[] {
	const list = [...shippedFiles('migrations')].map(([name, sql]) => ({
		number: Number(name.slice(0, 4)),
		name,
		sql
	}));
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

/** A number that nothing else locks by. */
const MIGRATING = 41_700_001;

/** Waits for other processes that change the schema; held until the transaction ends. */
async function waitForOthers(tx: Queryable): Promise<void> {
	await tx.query('select pg_advisory_xact_lock($1)', [MIGRATING]);
}

async function appliedSteps(db: Queryable): Promise<Omit<Migration & { hash: string }, 'sql'>[]> {
	const { rows } = await db.query<Omit<Migration & { hash: string }, 'sql'>>(
		'select number, name, hash from schema_step order by number'
	);
	return rows;
}

/**
 * Brings a database to the newest schema, each step in a transaction of its own. Throws
 * `StartRefusal` where the data was written by a newer version, or a step that was applied has changed.
 */
export async function migrate(db: Db, migrations: readonly Migration[]): Promise<void> {
	await db.transaction(async (tx) => {
		await waitForOthers(tx);
		await tx.exec(`create table if not exists schema_step (
			number int primary key, name text not null, hash text not null,
			applied_at timestamptz not null default now())`);
	});
	const rows = await appliedSteps(db);
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
			await waitForOthers(tx);
			if ((await appliedSteps(tx)).length >= number) return;
			await tx.exec(sql);
			await tx.query('insert into schema_step (number, name, hash) values ($1, $2, $3)', [
				number,
				name,
				hashOf(sql)
			]);
		});
}
