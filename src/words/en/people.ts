import { messages } from '../message';

export default messages({
	whoComes: 'Who comes?',
	planWithPlayersAndAdults:
		'Plan with {expectedCount, plural, one {# {player}} other {# {players}}} and {presentCount, plural, one {# {adult}} other {# {adults}}}',
	cancel: 'Cancel',
	adults: '{Adults}: {presentCount}',
	players: '{Players}',
	usuallyLate: ', usually late'
});
