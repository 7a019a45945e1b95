import texts from '$texts/limits';
import type { Message } from '$words';
import type { Limits } from '../model/limits';

/** A limit that is one number, as a coach is asked for it. */
export interface LimitFact {
	key: Exclude<
		keyof Limits,
		| 'playersAnAdult'
		| 'loads'
		| 'rest'
		| 'standSeconds'
		| 'effortCaps'
		| 'contactCaps'
		| 'drillMinutes'
	>;
	name: Message;
	unit:
		| 'practices'
		| 'days'
		| 'stations'
		| 'min'
		| '%'
		| 'times'
		| 'm'
		| 'm/s'
		| 's'
		| 'effort'
		| 'level'
		| 'ratings'
		| 'years';
	/** What it is for, in a sentence. */
	says: Message;
	least: number;
	most: number;
	step: number;
}

const minutes = { unit: 'min', least: 0, most: 600, step: 1 } as const;
const times = { unit: 'practices', least: 0, most: 60, step: 1 } as const;
const share = { unit: '%', least: 0, most: 100, step: 5 } as const;
const effort = { unit: 'effort', least: 1, most: 10, step: 1 } as const;
const level = { unit: 'level', least: 1, most: 4, step: 1 } as const;

/** Every limit that is one number, in the order in which they are shown. Shares are asked for in percent. */
export const LIMIT_FACTS: readonly LimitFact[] = [
	{
		key: 'warmUpMinutes',
		name: texts.warmUpBeforeHardWork,
		says: texts.minutesOfWarmUpThatMust,
		...minutes
	},
	{
		key: 'hardWarmUpEffort',
		name: texts.workThatNeedsAWarmUp,
		says: texts.effortOfWarmUp,
		...effort
	},
	{
		key: 'hardEffort',
		name: texts.hardWork,
		says: texts.twoPeriodsOfThisEffortIn,
		...effort
	},
	{
		key: 'hardMinutes',
		name: texts.hardStretch,
		says: texts.hardStretchSays,
		...minutes,
		least: 1
	},
	{
		key: 'easyMinutes',
		name: texts.easyStretch,
		says: texts.easyStretchSays,
		...minutes,
		least: 1
	},
	{
		key: 'waterMinutes',
		name: texts.betweenTwoDrinks,
		says: texts.theLongestTimeOnTheGround,
		...minutes,
		least: 1
	},
	{
		key: 'aloneFromAge',
		name: texts.neverWithoutAdult,
		says: texts.underThisAgeEachZoneThat,
		unit: 'years',
		least: 0,
		most: 18,
		step: 1
	},
	{
		key: 'eyesUnderAge',
		name: texts.eyesOnContact,
		says: texts.eyesOnContactSays,
		unit: 'years',
		least: 0,
		most: 100,
		step: 1
	},
	{
		key: 'stationsInSight',
		name: texts.stationsInSight,
		says: texts.stationsInSightSays,
		unit: 'stations',
		least: 1,
		most: 4,
		step: 1
	},
	{
		key: 'contactLevel',
		name: texts.hardContact,
		says: texts.levelOfHardContact,
		...level
	},
	{
		key: 'contactDayMinutes',
		name: texts.hardContactInADay,
		says: texts.minutesOfHardContactThatOne,
		...minutes
	},
	{
		key: 'contactWeekMinutes',
		name: texts.hardContactInAWeek,
		says: texts.minutesOfHardContactInSevenDays,
		...minutes
	},
	{
		key: 'lightContactShare',
		name: texts.lightContact,
		says: texts.lightContactSays,
		...share
	},
	{
		key: 'contactRowShare',
		name: texts.contactInARow,
		says: texts.contactInARowSays,
		...share
	},
	{
		key: 'loadJump',
		name: texts.loadJump,
		says: texts.loadJumpSays,
		unit: 'times',
		least: 1,
		most: 3,
		step: 0.1
	},
	{
		key: 'contactAfter',
		name: texts.hardContactFrom,
		says: texts.hardContactFromSays,
		...times
	},
	{
		key: 'fullContactAfter',
		name: texts.fullContactFrom,
		says: texts.fullContactFromSays,
		...times
	},
	{
		key: 'rampAwayDays',
		name: texts.rampAway,
		says: texts.rampAwaySays,
		unit: 'days',
		least: 1,
		most: 200,
		step: 1
	},
	{
		key: 'restrictedContact',
		name: texts.keptOutOfContact,
		says: texts.keptOutOfContactSays,
		...level
	},
	{
		key: 'restrictedEffort',
		name: texts.keptOutOfRunning,
		says: texts.keptOutOfRunningSays,
		...effort
	},
	{
		key: 'swingMetres',
		name: texts.roomForASwing,
		says: texts.metresKeptClearBetweenDrillThat,
		unit: 'm',
		least: 0,
		most: 50,
		step: 0.5
	},
	{
		key: 'lookUpMetres',
		name: texts.roomUnderTheSky,
		says: texts.roomUnderTheSkySays,
		unit: 'm',
		least: 0,
		most: 50,
		step: 0.5
	},
	{
		key: 'waitingShare',
		name: texts.waiting,
		says: texts.theShareOfBlockThatPlayer,
		...share
	},
	{
		key: 'waitingFromMinutes',
		name: texts.waitingCountsFrom,
		says: texts.shorterBlocksMayHaveMoreWaiting,
		...minutes
	},
	{ key: 'talkMinutes', name: texts.aTalk, says: texts.theLongestTalk, ...minutes },
	{
		key: 'gameTalkMinutes',
		name: texts.gameTalk,
		says: texts.theLongestGameTalk,
		...minutes
	},
	{
		key: 'stopShare',
		name: texts.stops,
		says: texts.theShareOfBlockThatThe,
		unit: '%',
		least: 0,
		most: 90,
		step: 5
	},
	{
		key: 'likeRatings',
		name: texts.ofLikeStrength,
		says: texts.howFarApartMeanRatingsMay,
		unit: 'ratings',
		least: 0,
		most: 4,
		step: 0.5
	},
	{
		key: 'walkMetresPerSecond',
		name: texts.walking,
		says: texts.howFastGroupsGoFromZone,
		unit: 'm/s',
		least: 0.3,
		most: 5,
		step: 0.1
	},
	{
		key: 'leastMoveSeconds',
		name: texts.changingStations,
		says: texts.theLeastTimeToChangeStations,
		unit: 's',
		least: 0,
		most: 600,
		step: 5
	},
	{
		key: 'overTimeMinutes',
		name: texts.overTime,
		says: texts.minutesThatThePeriodsMayGo,
		...minutes
	},
	{
		key: 'underTimeMinutes',
		name: texts.timeLeftOver,
		says: texts.minutesThatMayBeLeftOver,
		...minutes
	}
];
