import pg from 'pg';
import type { Db, Result, Transaction } from './handle';
import { StartRefusal } from './refusal';

/** Connections of one process: more gain nothing on the few cores that a club's server has. */
const MOST_CONNECTIONS = 10;

/** The oldest version of the server that the SQL is written for. */
const OLDEST_VERSION = 15;

/** Transactions that collided with another one and can be run again: serialization failure, deadlock. */
const COLLISIONS: readonly unknown[] = ['40001', '40P01'];
const MOST_RUNS = 5;

const read = async <Row>(
	on: Pick<pg.Pool, 'query'>,
	sql: string,
	values: readonly unknown[]
): Promise<Result<Row>> => {
	const { rows, rowCount, command } = await on.query(sql, [...values]);
	return { rows, affectedRows: command === 'SELECT' ? 0 : (rowCount ?? 0) };
};

const onClient = (client: pg.PoolClient, origin: object): Transaction => ({
	origin,
	query: (sql, values = []) => read(client, sql, values),
	exec: async (sql) => void (await client.query(sql))
});

/** Runs a transaction on a connection of its own; a connection that failed to go back is thrown away. */
async function within<Value>(
	pool: pg.Pool,
	begin: string,
	run: (tx: Transaction) => Promise<Value>
): Promise<Value> {
	const client = await pool.connect();
	let broken: Error | undefined;
	try {
		await client.query(begin);
		const value = await run(onClient(client, pool));
		await client.query('commit');
		return value;
	} catch (error) {
		await client.query('rollback').catch((failure: Error) => (broken = failure));
		throw error;
	} finally {
		client.release(broken);
	}
}

async function collisionsAgain<Value>(run: () => Promise<Value>): Promise<Value> {
	for (let runs = 1; ; runs += 1) {
		try {
			return await run();
		} catch (error) {
			if (runs === MOST_RUNS || !COLLISIONS.includes((error as { code?: string }).code))
				throw error;
		}
	}
}

/** A database on a PostgreSQL server, and how to let go of it. */
export interface ServerDatabase {
	db: Db;
	close(): Promise<void>;
}

/**
 * Connects to the database of a PostgreSQL server; several processes may. Throws `StartRefusal` where it
 * does not answer, or is older than version 15.
 */
export async function openServer(url: string): Promise<ServerDatabase> {
	const pool = new pg.Pool({ connectionString: url, max: MOST_CONNECTIONS });
	// A connection that breaks while nobody uses it: the next statement opens another.
	pool.on('error', (error) => console.error(`A database connection broke: ${error.message}`));
	try {
		const { rows } = await pool.query<{ version: number }>(
			`select current_setting('server_version_num')::int / 10000 as version`
		);
		if (rows[0].version < OLDEST_VERSION)
			throw new Error(`it is PostgreSQL ${rows[0].version}, and ${OLDEST_VERSION} is needed`);
	} catch (error) {
		await pool.end();
		throw new StartRefusal(
			`The database that FIELDPLAN_DATABASE_URL names cannot be used: ${(error as Error).message}.`
		);
	}
	return {
		db: {
			origin: pool,
			query: (sql, values = []) => read(pool, sql, values),
			exec: async (sql) => void (await pool.query(sql)),
			transaction: (run) => collisionsAgain(() => within(pool, 'begin', run)),
			snapshot: (run) =>
				within(pool, 'begin transaction isolation level repeatable read read only', run)
		},
		close: () => pool.end()
	};
}
