import { messages } from '../message';

/** What calendar files say. */
export default messages({
	practiceOf: '{Practice}, {team}',
	practiceCancelled: 'Cancelled: {practice}, {team}',
	game: '{team} v {opponentName}',
	gameCancelled: 'Cancelled: {team} v {opponentName}',
	minutes: '{minutes} min'
});
