import { messages } from '../message';

/** Targets of a season. */
export default messages({
	targets: 'Targets',
	intro:
		'Minutes that each {player} is to have of a skill, phase by phase. Minutes of a stage count for its area too.',
	noPhases: 'Targets are set by phase, and this season has none yet.',
	setPhases: 'Set the phases',
	whom: 'For',
	everyone: 'Everyone',
	skill: 'Skill',
	inAll: 'In all',
	asks: 'asks {asks} of {has} min',
	asksTooMuch: 'asks {asks} of {has} min: more than there is',
	minutesOf: '{skill}, {phase}: minutes',
	fill: 'Fill from the usual shares',
	fillSays:
		'Empty cells get what is usual in this sport: {shares}. Warm-up, talks and water take the rest.',
	share: '{name} {percent}',
	showStages: 'Show stages',
	save: 'Save targets',
	floors: 'In every {practice}',
	floorsSay:
		'Minutes of a skill that each {practice} is to hold, from whatever {period}. The board says which gives them.',
	addAFloor: 'Add a skill',
	minutes: 'Minutes',
	floorOf: '{what} of {name}',
	aNewOne: 'a new one',
	cell: '{skill}, {phase}',
	row: '{list}, row {row}:'
});
