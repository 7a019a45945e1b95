import { messages } from '../message';

export default messages({
	whoIsHere: 'Who is here?',
	planWithPlayersAndAdults:
		'Plan with {expectedCount, plural, one {# {player}} other {# {players}}} and {presentCount, plural, one {# {adult}} other {# {adults}}}',
	arrangeFor:
		'Arrange for {expectedCount, plural, one {# {player}} other {# {players}}} and {presentCount, plural, one {# {adult}} other {# {adults}}}',
	cancel: 'Cancel',
	adults: '{Adults}: {presentCount}',
	players: '{Players}',
	usuallyLate: ', usually late',
	comesLate: 'Comes late',
	nobodyMore: 'Choose somebody',
	minutesAfterTheStart: 'Minutes late',
	wholeMinutes: 'Whole minutes up to {most}',
	addLate: 'Add',
	isLateBy: '{person}: {minutes} min late',
	isOnTime: 'On time',
	isOnTimeLabel: '{person} is on time',
	minutesLate: 'Minutes that it starts late',
	startsThen: 'Starts at {start}, {minutes, plural, one {# minute is} other {# minutes are}} left.',
	waterMayGo: 'Water may get shorter or go',
	waterCouldGo: 'Water keeps its minutes unless you allow less.',
	whatChanges: 'What changes',
	groupsStay: 'Only who comes changes. What does not run then is listed under To fix.',
	leaveGroups: 'Leave {groups} and {stations} as they are',
	workingOut: 'Working it out …',
	nothingChanges: 'Nothing changes.',
	movedInAll:
		'{moved, plural, =0 {Nobody changes {groups}.} one {# {player} changes {groups}.} other {# {players} change {groups}.}}',
	partsOnlyGetSmaller: '{Groups} only lose those who are missing.',
	leftToFix: 'Left to fix',
	periodDropped: '{before} min, dropped',
	periodAdded: '{after} min, new',
	runsInstead: 'Runs {name} instead',
	minutesFromTo: '{before} → {after} min',
	stationsFromTo: '{before} → {after} {after, plural, one {{station}} other {{stations}}}',
	copiesFromTo: '{before} → {after} {after, plural, one {copy} other {copies}}',
	namesAndMore: '{said} and {more} more',
	changeGroup:
		'{count, plural, one {# changes {groups}: {people}} other {# change {groups}: {people}}}',
	joinIt: '{count, plural, one {# joins: {people}} other {# join: {people}}}',
	standThere: '{people} {many, plural, one {stands} other {stand}} there now'
});
