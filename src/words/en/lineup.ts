import { messages } from '../message';

export default messages({
	lineUp: '{LineUp}',
	useThisLineUp: 'Use this {lineUp}',
	cancel: 'Cancel',
	placesOfOneTeamInCommas: 'Positions of one team, separated by commas',
	keeperBackBackForward: 'keeper, back, back, forward',
	teams: 'Teams',
	shifts: 'Shifts',
	adultsWhoFillIn: '{Adults} who fill in',
	shiftsToSitInARow: 'Most shifts off in a row',
	makeLineUp: 'Make {aLineUp}',
	lookingForAFairerLineUp: 'Looking for a fairer {lineUp}',
	thisIsForWhatWasAsked: 'This {lineUp} answers your earlier settings: make a new one.',
	howFair:
		'{spread, plural, =0 {Everyone plays the same number of shifts.} other {Shifts differ by # at most.}} {isMet, select, true {Nobody sits more than {sitRow} in a row.} other {Somebody must sit {sitRow} in a row: more sit than play.}} {preferred, plural, one {# place goes} other {# places go}} to {aPlayer}’s favourite position{fillers, plural, =0 {} other {, # filled by {adults}}}.',
	place: 'Place',
	shift: 'Shift {shift}',
	sit: 'sit',
	team: '{name}, team {team}'
});
