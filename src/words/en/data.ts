import { messages } from '../message';

export default messages({
	data: 'Data',
	exportImportAndBackups: 'Export, import and backups',
	nothingWasChanged: 'Nothing was changed.',
	export: 'Export',
	oneZipOfPlainJSONTeams:
		'One zip of plain JSON: teams, squads, grounds, kit, drills, practices, ledger and settings. The same data always gives the same file. It holds names of players: keep it where only you can read it.',
	downloadEverything: 'Download everything',
	import: 'Import',
	aFileThatWasExportedHere:
		'A file that was exported here comes back whole. A team that is here already is never overwritten: the file is refused and says which.',
	zipSize: 'A zip of at most 30 MB',
	chooseAFile: 'Choose a file',
	backups: 'Backups',
	everythingIsBackedUpEachDay:
		'Everything is backed up each day, and before an update or an import. The last ten backups are in the data folder. Keep one elsewhere too, in case the machine is lost.',
	backUpNow: 'Back up now',
	made: 'Made',
	why: 'Why',
	size: 'Size',
	restore: 'Restore',
	mB: '{megabytes} MB',
	thereIsNoBackupYetThe: 'There is no backup yet. The first is made a minute after the start.',
	theDataIsOnAPostgreSQL: 'The data is on a PostgreSQL server. Whoever runs it backs it up.',
	restoreTheBackupOf: 'Restore the backup of {when}?',
	restoring: 'Restoring …',
	cancel: 'Cancel',
	restoringUndoes:
		'This undoes everything that was changed since, for all teams. It is backed up first, so that you can restore it here.',
	beforeAnUpdate: 'before an update',
	beforeAnImport: 'before an import',
	beforeARestore: 'before a restore',
	byHand: 'by hand',
	importedWith:
		'Imported {teams, plural, one {# team} other {# teams}} with {practiceCount, plural, one {# practice} other {# practices}}.',
	backedUp: 'Backed up.',
	restoredEverythingIsAsItWas: 'Restored: everything is as it was in that backup.',
	notDone: 'Not done. {why}'
});
