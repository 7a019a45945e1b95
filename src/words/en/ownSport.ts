import { messages } from '../message';

/** What a sport of one's own starts with: it is the team's own from then on. */
export default messages({
	wholeGround: 'Whole ground',
	westHalf: 'West half',
	eastHalf: 'East half',
	moving: 'Moving',
	moving1: 'stop and go again',
	moving2: 'change direction and pace',
	moving3: 'lose somebody',
	handling: 'Passing and receiving',
	handling1: 'to a partner at rest',
	handling2: 'on the move',
	handling3: 'under pressure',
	defending: 'Defending',
	defending1: 'stay in front',
	defending2: 'show one way',
	defending3: 'win it with somebody',
	decisions: 'Decisions',
	decisions1: 'look before it comes',
	decisions2: 'two against one',
	decisions3: 'change the side of play',
	anchored: 'Whatever can tip over is anchored before anybody plays near it.',
	clearOfWalls: 'Two metres stay clear of walls and of anything that stands.',
	knockToTheHead: 'A knock to the head ends the day; only a practitioner clears the return.'
});
