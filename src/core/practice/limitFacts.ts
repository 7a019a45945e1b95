import type { Limits } from '../model/team';

/** A limit that is one number, as a coach is asked for it. */
export interface LimitFact {
	key: Exclude<keyof Limits, 'playersAnAdult'>;
	name: string;
	unit: 'min' | '%' | 'm' | 'm/s' | 's' | 'effort' | 'level' | 'ratings' | 'years';
	/** What it is for, in a sentence. */
	says: string;
	least: number;
	most: number;
	step: number;
}

const minutes = { unit: 'min', least: 0, most: 600, step: 1 } as const;
const share = { unit: '%', least: 0, most: 100, step: 5 } as const;
const effort = { unit: 'effort', least: 1, most: 10, step: 1 } as const;
const level = { unit: 'level', least: 1, most: 4, step: 1 } as const;

/** Every limit that is one number, in the order in which they are shown. Shares are asked for in percent. */
export const LIMIT_FACTS: readonly LimitFact[] = [
	{
		key: 'warmUpMinutes',
		name: 'Warm-up before hard work',
		says: 'Minutes of warm-up that must come before work of the effort below.',
		...minutes
	},
	{
		key: 'hardWarmUpEffort',
		name: 'Work that needs a warm-up',
		says: 'The effort of a drill, 1 to 10, from which a warm-up must have come before.',
		...effort
	},
	{
		key: 'hardEffort',
		name: 'Hard work',
		says: 'Two periods of this effort in a row need water or a rest between them.',
		...effort
	},
	{
		key: 'waterMinutes',
		name: 'Between two drinks',
		says: 'The longest time on the ground without water.',
		...minutes,
		least: 1
	},
	{
		key: 'aloneFromAge',
		name: 'Never without an adult',
		says: 'Under this age, each zone that players are in needs an adult.',
		unit: 'years',
		least: 0,
		most: 18,
		step: 1
	},
	{
		key: 'contactLevel',
		name: 'Hard contact',
		says: 'The level of contact, 0 to 4, that counts as hard.',
		...level
	},
	{
		key: 'contactDayMinutes',
		name: 'Hard contact in a day',
		says: 'Minutes of hard contact that one player may have in a day.',
		...minutes
	},
	{
		key: 'restrictedContact',
		name: 'Kept out of contact',
		says: 'A player whom a licensed practitioner keeps out of contact is out of drills from this level, and of live ones with opponents.',
		...level
	},
	{
		key: 'restrictedEffort',
		name: 'Kept out of running',
		says: 'A player whom a licensed practitioner keeps out of running is out of drills from this effort.',
		...effort
	},
	{
		key: 'swingMetres',
		name: 'Room for a swing',
		says: 'Metres kept clear between a drill that swings and its neighbours.',
		unit: 'm',
		least: 0,
		most: 50,
		step: 0.5
	},
	{
		key: 'waitingShare',
		name: 'Waiting',
		says: 'The share of a block that a player may stand in line.',
		...share
	},
	{
		key: 'waitingFromMinutes',
		name: 'Waiting counts from',
		says: 'Shorter blocks may have more waiting.',
		...minutes
	},
	{ key: 'talkMinutes', name: 'A talk', says: 'The longest talk.', ...minutes },
	{
		key: 'stopShare',
		name: 'Stops',
		says: 'The share of a block that the coach may stop it to talk.',
		unit: '%',
		least: 0,
		most: 90,
		step: 5
	},
	{
		key: 'likeRatings',
		name: 'Of like strength',
		says: 'How far apart mean ratings may be where a drill wants like partners.',
		unit: 'ratings',
		least: 0,
		most: 4,
		step: 0.5
	},
	{
		key: 'walkMetresPerSecond',
		name: 'Walking',
		says: 'How fast groups go from zone to zone.',
		unit: 'm/s',
		least: 0.3,
		most: 5,
		step: 0.1
	},
	{
		key: 'leastMoveSeconds',
		name: 'Changing stations',
		says: 'The least time to change stations, however near they are.',
		unit: 's',
		least: 0,
		most: 600,
		step: 5
	},
	{
		key: 'overTimeMinutes',
		name: 'Over time',
		says: 'Minutes that the periods may go over the time there is.',
		...minutes
	},
	{
		key: 'underTimeMinutes',
		name: 'Time left over',
		says: 'Minutes that may be left over before it is said.',
		...minutes
	}
];
