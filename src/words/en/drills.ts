import { messages } from '../message';

export default messages({
	drills: '{Drills}',
	drillsAsFiles: '{Drills} as files',
	newDrill: 'New {drill}',
	effort: 'effort {effort}',
	notUsedYet: 'not used yet',
	inTheLastPractice: 'in the last {practice}',
	unusedForPracticeAgoPracticesAgo:
		'{unusedFor, plural, one {# {practice} ago} other {# {practices} ago}}',
	noDrillsMatch: 'No {drills} match.',
	showAllDrills: 'Show all {drills}',
	theBestOfAddAWord: 'The best {lineCount} of {found}: add a word to see others.',
	archived: 'Archived:',
	expectedCountPlayerPlayers: '{expectedCount, plural, one {# {player}} other {# {players}}}',
	and: '{playerCount} and {adultCount, plural, one {# {adult}} other {# {adults}}}',
	on: 'on {day} ',
	ofDrillsCanRunWith: '{fitting} of {found} {drills} can run {when}with {who}.',
	edit: 'Edit',
	restoreThisRevision: 'Restore this revision',
	copy: 'Copy',
	theDrillAsAFile: 'The {drill} as a file',
	restore: 'Restore',
	archive: 'Archive',
	backToTheShelf: 'Back to the {shelf}',
	thisDrillIsArchivedItIs:
		'This {drill} is archived: it is not on the {shelf}, and {practices} that have it keep it.',
	rung: '{Rung}',
	theDrillItself: 'The {drill} itself',
	climbThroughAllRungs: '{Climb} through all {rungs}',
	whoFeeds: 'Who feeds',
	forPlayersHere: 'For {here, plural, one {# {player}} other {# {players}}} here:',
	waits: '{reps}, waits {percent}',
	doesNotRunSo: 'cannot run this way',
	adult: '{anAdult}',
	playersInTurn: '{players} in {turn}',
	editDrill: 'Edit {name}',
	backToTheDrill: 'Back to the {drill}',
	savingMakesANewRevisionPractices:
		'Saving makes a new revision; {practices} keep the one that they were built with.',
	allDrillsAsAZip: 'All {drills} as a zip',
	drillOrAZipOfDrills: '{ADrill}, or a zip of {drills}',
	lookAtTheFile: 'Look at the file',
	newDrillsThatAreHereAlready:
		'{count, plural, one {# new {drill}} other {# new {drills}}}, {same} already here, {clash} to decide, {faulty} with faults, left out.',
	whatBecomesOf: 'What becomes of {name}',
	leaveItOut: 'leave it out',
	takeItAsANewRevision: 'import it as a new revision',
	takeItAsAnotherDrill: 'import it as another {drill}',
	importTheDrills: 'Import the {drills}',
	isNew: 'is new',
	isHereAlreadyTheSame: 'already here, unchanged',
	isAnotherHere: 'differs from the one here',
	drillsTravel:
		'{Drills} travel as fieldplan/drill@1, plain JSON: one file per {drill}, or many in a zip. Nothing is stored before you say so.',
	whoStandsWhereHowLongTurn:
		'Who stands where, how long {aTurn} takes, who goes where after it: the rest is computed.'
});
