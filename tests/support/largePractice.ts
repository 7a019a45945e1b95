import type { Surroundings } from '../../src/core/model/bundle';
import type { Period, Practice } from '../../src/core/model/practice';
import { demoSurroundings } from './demo';

/** Minutes of each period of a large practice. */
const PERIOD_MINUTES = 20;

/**
 * A made-up practice of any size: periods of some 20 minutes with lanes side by side, the players shared
 * among them, each lane with one block of a drill of the demo in a zone of its own.
 */
export function largePractice({
	players,
	lanes,
	minutes
}: {
	players: number;
	lanes: number;
	minutes: number;
}): { practice: Practice; surroundings: Surroundings } {
	const base = demoSurroundings();
	const ids = Array.from({ length: players }, (_, k) => `p${k}`);
	const zones = Array.from({ length: lanes }, (_, k) => ({
		id: `z${k}`,
		name: `Z${k}`,
		x: k * 40,
		y: 0,
		length: 40,
		width: 60
	}));
	const drills = [
		'turn-and-switch',
		'two-touch-squares',
		'press-in-pairs',
		'outlet-ladder',
		'reverse-gates'
	];
	const starts = Array.from(
		{ length: Math.ceil(minutes / PERIOD_MINUTES) },
		(_, k) => k * PERIOD_MINUTES
	);
	const periods = starts.map((start, index): Period => {
		const own = Math.min(PERIOD_MINUTES, minutes - start);
		return {
			id: `period-${index}`,
			name: `Period ${index}`,
			kind: 'units',
			rank: 'must',
			min: own,
			ideal: own,
			max: own,
			minutes: own,
			lanes: zones.map((zone, lane) => ({
				id: `l${index}-${lane}`,
				zoneIds: [zone.id],
				blocks: [
					{
						id: `b${index}-${lane}`,
						drill: { id: drills[(index + lane) % drills.length], revision: 1 },
						climb: [{ minutes: own }],
						minutes: own,
						copies: [
							{
								id: `c${index}-${lane}`,
								zoneId: zone.id,
								players: ids.filter((_, k) => (k + index) % lanes === lane),
								adults: []
							}
						],
						stopShare: 0.05
					}
				]
			}))
		};
	});
	const practice: Practice = {
		format: 'fieldplan/practice@1',
		id: 'large',
		teamId: base.team.id,
		seasonId: base.season.id,
		date: '2027-04-06',
		start: '18:00',
		timeZone: 'Europe/London',
		minutes,
		place: 'Oval',
		expected: ids,
		adults: [],
		periods
	};
	const ground = { id: 'oval', name: 'Oval', length: 40 * lanes, width: 60, markings: [], zones };
	return {
		practice,
		surroundings: { ...base, ground, players: ids.map((id) => ({ id, name: id })) }
	};
}
