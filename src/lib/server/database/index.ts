export { lockDirectory } from './lock';
export { listMigrations, migrate, type Migration } from './migrate';
export { openDatabase, POSTGRES_MAJOR, type Db, type OpenDatabase, type Queryable } from './open';
export { StartRefusal } from './refusal';
