/** What a statement gives. */
export interface Result<Row> {
	rows: Row[];
	/** Rows that it wrote; 0 or undefined where it only read. */
	affectedRows?: number;
}

/** What a repository needs: a database or a transaction on it. */
export interface Queryable {
	/** Runs one statement, with its values as `$1`, `$2` … */
	query<Row>(sql: string, values?: readonly unknown[]): Promise<Result<Row>>;
	/** The database that it is, or is a transaction of: what is kept in memory of a database is kept by it. */
	readonly origin: object;
}

/** A transaction. */
export interface Transaction extends Queryable {
	/** Runs statements without values. */
	exec(sql: string): Promise<void>;
}

/** The database as use cases hold it: only they open transactions. */
export interface Db extends Transaction {
	/**
	 * Runs `run` in a transaction: all of it, or nothing where it throws. A server runs it again where it
	 * collided with another transaction, so `run` does nothing that a second run would do twice.
	 */
	transaction<Value>(run: (tx: Transaction) => Promise<Value>): Promise<Value>;
	/** Runs `run` on one state of the data, whatever is written meanwhile. It cannot write. */
	snapshot<Value>(run: (tx: Queryable) => Promise<Value>): Promise<Value>;
}
