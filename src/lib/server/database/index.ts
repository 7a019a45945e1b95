export {
	isDailyDue,
	listBackups,
	makeBackup,
	restoreBackup,
	type Backup,
	type BackupReason
} from './backups';
export { lockDirectory } from './lock';
export { listMigrations, migrate, type Migration } from './migrate';
export { embeddedDb } from './embedded';
export type { Db, Queryable } from './handle';
export {
	openDatabase,
	openDatabaseServer,
	POSTGRES_MAJOR,
	restoreFolder,
	type DataFolder,
	type OpenDatabase
} from './open';
export { StartRefusal } from './refusal';
export { storageTrouble } from './room';
