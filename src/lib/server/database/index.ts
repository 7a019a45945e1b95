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
export type { Db, Queryable } from './handle';
export { openDatabase, POSTGRES_MAJOR, restoreFolder, type OpenDatabase } from './open';
export { StartRefusal } from './refusal';
export { storageTrouble } from './room';
