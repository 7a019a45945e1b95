import { messages } from '../message';

export default messages({
	whoHasWorkedWithWhomThe:
		'Who has worked with whom; the arrow keys go through the pairs, the table below has all',
	pointAtASquareOrGo: 'Point at a square, or go through them with the arrow keys.',
	and: '{a} and {b}: {count, plural, =0 {never yet} one {# time, {minutes} min} other {# times, {minutes} min}}',
	whoHasWorkedWithWhom: 'Who has worked with whom',
	withTwoPlayersInTheSquad: 'This page needs at least two {players} in the {squad}.',
	addPlayers: 'Add {players}',
	partsOfTheSquad: 'Parts of the {squad}',
	theSquadInPartsWhoWorked: 'The {squad} in parts; those who worked together most are in one part:',
	leastMetOfPairsNever: 'Least met: {never} of {pairs} pairs never',
	one: 'One',
	theOther: 'The other',
	times: 'times',
	min: 'min',
	onlyTheLeastMet: 'Show only the least met',
	pairsAsATable: '{tableSize} pairs as a table',
	groupsOfTheKindFreshOn: '{Groups} of the kind "fresh" on the board put these together first.',
	theLeastMet: 'The {mostPairs} least met',
	all: 'All {pairs}',
	practicesWereHeldASquareIs:
		'{held, plural, one {# {practice} was} other {# {practices} were}} held. A square is larger the more minutes two were in {aGroup} together; those who worked together most stand side by side; a ring marks two who have never met.',
	mixTitle: 'Mix the {groups} of {practices} to come',
	mixSays:
		'{count, plural, one {# {practice}} other {# {practices}}} to come, with those who are planned: {never, plural, =0 {every pair meets.} one {# pair never meets.} other {# pairs never meet.}} Whoever {aDrill} needs keeps a place.',
	mixWhat: 'Which {groups}',
	stationGroups: '{Groups} of {stations}',
	mixUnits: 'Nobody with their own {unit}',
	mixGroups: 'Mix the {groups}',
	mixing: 'Mixing',
	neverFromTo: 'Pairs who never meet: {before} → {after}',
	mostFromTo: 'Times the same two are together at most: {before} → {after}',
	nothingBetter: 'Nothing better can be found.',
	useMixed: 'Use these {groups} in {count, plural, one {# {practice}} other {# {practices}}}',
	mixed: 'The {groups} of {count, plural, one {# {practice}} other {# {practices}}} are changed.'
});
