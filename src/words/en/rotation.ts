import { messages } from '../message';

export default messages({
	throughTheStationsOf: 'Through the {stations} of {name}',
	useThisRotation: 'Use this {rotation}',
	cancel: 'Cancel',
	how: 'How',
	oneRoundForAllHardStations: 'One round for all: hard {stations} apart, short ways',
	halvesOfTheGroupsMeetA: 'Halves of the {groups} meet a new half at each {station}',
	lookingForAWayThrough: 'Looking for a way through',
	slot: '{Slot}',
	theLongestWayBetweenTwoStations:
		'The longest way between two {stations} is {metres} m. {count, plural, =0 {Nobody goes from a hard {station} straight to a hard one.} one {{Groups} go once from a hard {station} straight to a hard one.} other {{Groups} go # times from a hard {station} straight to a hard one.}}',
	noTwoHalvesMeetTwice: 'No two halves meet twice.'
});
