import { messages } from '../message';

/** The days of a season: phases, patterns, days off, games. */
export default messages({
	dates: 'Dates',
	intro:
		'When the season is, in which phases, on which days the team usually practises, and when it plays.',
	name: 'Name',
	firstDay: 'First day',
	lastDay: 'Last day',
	weeks: 'Weeks',
	weeksRange: 'A whole number from 1 to 60',
	phases: 'Phases',
	phasesSay:
		'Parts of the season with aims of their own. Targets are set by phase; removing a phase removes its targets.',
	addAPhase: 'Add a phase',
	patterns: 'Usual days',
	patternsSay:
		'Days and times on which the team practises. Empty {practices} are made from them; days off are left out.',
	addAPattern: 'Add a usual time',
	daysOff: 'Days off',
	daysOffSay: 'Holidays, exams, a closed ground: no {practices} are made on them.',
	addADayOff: 'Add days off',
	games: 'Games',
	gamesSay: 'Typed in, or from a calendar file.',
	addAGame: 'Add a game',
	fromAFile: 'Import games from a calendar file',
	phase: 'Phase',
	tapers: 'Taper',
	tapersSays: 'work gets less; the last week holds nothing new and nothing hard',
	targets: 'Targets',
	starts: 'Starts',
	minutes: 'Minutes',
	place: 'Place',
	ground: 'Ground',
	from: 'From',
	until: 'Until',
	why: 'Why',
	date: 'Date',
	opponent: 'Opponent',
	cancelledWhy: 'Cancelled because',
	sameDay: 'the same day where empty',
	aNewOne: 'a new one',
	of: '{what} of {name}',
	row: '{list}, row {row}',
	save: 'Save',
	toMake:
		'{count, plural, one {# {practice}} other {# {practices}}} can be made from the usual days, from {first} to {last}.',
	make: 'Make {count, plural, one {# {practice}} other {# {practices}}}',
	saveFirst: 'Save first, then make the {practices}.',
	noneToMake: 'Every usual day to come has its {practice}.',
	newSeason: 'Roll on to the next season',
	newSeasonSays: 'Follows this one, with its usual days.',
	rollOn:
		'Go on where this one stands: phases and targets stretched to the new weeks, floors, courses, ladders, and what is open on the fix list',
	createSeason: 'Create season'
});
