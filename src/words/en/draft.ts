import { messages } from '../message';

/** Drafts of a practice: what their periods are called, why a block is there, and how they are chosen from. */
export default messages({
	water: 'Water',
	talk: 'What broke',
	stations: 'Stations',
	units: 'Unit time',
	due: '{name} is due: {minutes} min of it',
	daily: 'a daily {drill}',
	warmUp: 'warm-up',
	coolDown: 'cool-down',
	game: 'the game',
	brief: 'in the plan of the season',
	busy: 'busy {share} of its time',
	ladder: 'the next {rung}: {name}',
	ofUnit: '{name} by themselves'
});
