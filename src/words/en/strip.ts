import { messages } from '../message';

export default messages({
	whoDoesWhat: 'Who does what',
	aMarkAMinute: 'one mark per minute',
	asAStrip: 'As a strip',
	asATable: 'As a table',
	timeOfPlayersTheTableSays:
		'Time of {rowCount, plural, one {# {player}} other {# {players}}}; the table says the same',
	idlest: 'idlest',
	busiest: 'busiest',
	playersInNumbers: '{Players} in numbers',
	player: '{Player}',
	no: 'No.',
	turns: '{Turns}',
	busy: 'Busy',
	opposed: 'Opposed',
	worksMin: 'Works, min',
	helpsMin: 'Helps, min',
	waitsMin: 'Waits, min',
	listensMin: 'Listens, min',
	working: 'working',
	helping: 'helping',
	waiting: 'waiting',
	listening: 'listening',
	moving: 'moving',
	water: 'water',
	off: 'off'
});
