import type { PGlite, Transaction } from '@electric-sql/pglite';

/** The database as use cases hold it: only they open transactions. */
export type Db = Pick<PGlite, 'query' | 'exec' | 'transaction'>;

/** What a repository needs: the database or a transaction on it. */
export type Queryable = Pick<Transaction, 'query'>;
