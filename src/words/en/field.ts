import { messages } from '../message';

export default messages({
	theGroundWithPlayers:
		'The {ground} with {standingCount, plural, one {# {player}} other {# {players}}}',
	marks: 'Marks',
	worker: '{worker}',
	opponent: '{opponent}',
	feeder: '{feeder}',
	helper: 'helper',
	ballInFlight: '{ball} in flight',
	run: 'run',
	ballCarried: '{ball} carried',
	toTheNextSpotAfterThe: 'to the next spot after the {turn}',
	stop: 'Stop',
	play: 'Play',
	nowLine: 'Now-line',
	minutes: '{count} minutes, {clock}',
	speedTimes: 'Speed {speed} times',
	doing: '{person}: {state}',
	doingAt: '{person}: {state}, {spot}'
});
