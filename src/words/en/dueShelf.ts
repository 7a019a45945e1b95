import { messages } from '../message';

/** What is due, beside the shelf of a board. */
export default messages({
	due: 'Due',
	put: '{name}: put {choice} on the tape',
	choice: '{name}, {minutes} min',
	onRung: '{name}: {rung}, {minutes} min',
	another: 'another',
	anotherFor: 'Another {drill} for {name}',
	noDrill: 'no {drill} at hand gives it here',
	all: 'All {count} due',
	fewer: 'Fewer',
	floor: '{name}: {got} of {minutes} min, from {periods}',
	floorNone: '{name}: no {period} gives the {minutes} min of every {practice}'
});
