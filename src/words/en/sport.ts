import { messages } from '../message';

export default messages({
	sport: 'Sport',
	intro:
		'What the team plays: its {units} and positions, the line-up of a game, what is learned, and what is looked after. {Practices} that were held keep what they had.',
	nameOfTheSport: 'Name of the sport',
	units: '{Units}',
	positions: 'Positions',
	lineUp: '{LineUp} of one team',
	lineUpSays:
		'Where each stands when play starts, in metres: the team’s own end is on the left, y runs down the page. Who plays next to whom follows from it.',
	areas: 'Skill areas',
	comesAfter: 'Comes after',
	retired: 'Retired',
	areasSay:
		'Each is learned in stages, the easiest first. {Drills} and ratings name them. A retired area is no longer offered; what it had stays.',
	loads: 'What turns cost a body',
	loadsSay: 'Throws, jumps, kicks: {drills} say how many {aTurn} costs. Caps stand under Limits.',
	cautions: 'Usually looked after',
	name: 'Name',
	unit: '{Unit}',
	position: 'Position',
	fromOwnEnd: 'From own end, m',
	fromTop: 'From the top, m',
	stage: 'Stage {number}',
	kindOfLoad: 'What is counted',
	caution: 'What to look after',
	of: '{what} of {name}',
	aNewOne: 'a new one',
	addAUnit: 'Add {aUnit}',
	addAPosition: 'Add a position',
	addAPlace: 'Add a place',
	addAnArea: 'Add a skill area',
	addALoad: 'Add a kind',
	addACaution: 'Add a caution',
	save: 'Save the sport',
	row: '{list}, {row}',
	drawnLineUp: 'The {lineUp} on the {ground}'
});
