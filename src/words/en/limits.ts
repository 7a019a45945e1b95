import { messages } from '../message';

export default messages({
	limits: 'Limits',
	whatEveryPracticeIsCheckedAgainst:
		'What every {practice} is checked against. The rules of your league and what licensed practitioners say come first: set the numbers to theirs.',
	usuallyLookedAfterInThisSport: 'Usually looked after in this sport',
	otherwise: 'otherwise {shown} {unitName}',
	playersPerAdultByAge: '{Players} per {adult}, by age',
	under: 'under',
	oneFor: 'one for',
	howManyPlayersOneAdultMay:
		'How many {players} one {adult} may have in charge. The youngest of the team decides.',
	saveTheLimits: 'Save the limits',
	backToTheDefaults: 'Back to the defaults',
	warmUpBeforeHardWork: 'Warm-up before hard work',
	minutesOfWarmUpThatMust: 'Minutes of warm-up that must come before work of the effort below.',
	workThatNeedsAWarmUp: 'Work that needs a warm-up',
	effortOfWarmUp: 'The effort of {aDrill}, 1 to 10, from which a warm-up must have come before.',
	hardWork: 'Hard work',
	twoPeriodsOfThisEffortIn:
		'Two {periods} of this effort in a row need water or a rest between them.',
	betweenTwoDrinks: 'Between two drinks',
	theLongestTimeOnTheGround: 'The longest time on the {ground} without water.',
	neverWithoutAdult: 'Never without {anAdult}',
	underThisAgeEachZoneThat:
		'Under this age, {anAdult} must be in each {zone} that {players} are in, or in the one beside it.',
	hardContact: 'Hard contact',
	levelOfHardContact: 'The level of contact, 0 to 4, that counts as hard.',
	hardContactInADay: 'Hard contact in a day',
	minutesOfHardContactThatOne: 'Minutes of hard contact that one {player} may have in a day.',
	hardContactInAWeek: 'Hard contact in a week',
	minutesOfHardContactInSevenDays:
		'Minutes of hard contact that one {player} may have in seven days, as they came or are planned.',
	hardContactFrom: 'Hard contact after',
	hardContactFromSays:
		'How many {practices} of the season {aPlayer} must have come to before hard contact.',
	fullContactFrom: 'Full contact after',
	fullContactFromSays:
		'How many {practices} of the season {aPlayer} must have come to before contact of level 4.',
	loadJump: 'Load of a week',
	loadJumpSays:
		'How many times the mean of the four weeks before a week may cost, in minutes times effort, before the season marks it.',
	stationsInSight: '{Stations} in sight of one {adult}',
	stationsInSightSays:
		'Under 12: how many {stations} or copies side by side one {adult} may watch at once.',
	standing: 'The longest stand in line, seconds by age',
	standingSays:
		'At a stretch, by the youngest of the team. Drills that rest by design are left out.',
	seconds: 'seconds',
	keptOutOfContact: 'Kept out of contact',
	keptOutOfContactSays:
		'{APlayer} whom a licensed practitioner keeps out of contact is out of {drills} from this level, and of live ones with {opponents}.',
	keptOutOfRunning: 'Kept out of running',
	keptOutOfRunningSays:
		'{APlayer} whom a licensed practitioner keeps out of running is out of {drills} from this effort.',
	roomForASwing: 'Room for a swing',
	metresKeptClearBetweenDrillThat:
		'Metres kept clear between {aDrill} that swings and its neighbours.',
	waiting: 'Waiting',
	theShareOfBlockThatPlayer: 'The share of {aBlock} that {aPlayer} may stand in line.',
	waitingCountsFrom: 'Waiting counts from',
	shorterBlocksMayHaveMoreWaiting: 'Shorter {blocks} may have more waiting.',
	aTalk: 'A talk',
	theLongestTalk: 'The longest talk.',
	gameTalk: 'The talk about the next {opponent}',
	theLongestGameTalk: 'One talk, in the last {practice} before a game.',
	stops: 'Stops',
	theShareOfBlockThatThe: 'The share of {aBlock} that the coach may stop it to talk.',
	ofLikeStrength: 'Of like strength',
	howFarApartMeanRatingsMay:
		'How far apart mean ratings may be where {aDrill} wants like partners.',
	walking: 'Walking',
	howFastGroupsGoFromZone: 'How fast {groups} go from {zone} to {zone}.',
	changingStations: 'Changing {stations}',
	theLeastTimeToChangeStations: 'The least time to change {stations}, however near they are.',
	overTime: 'Over time',
	minutesThatThePeriodsMayGo: 'Minutes that the {periods} may go over the time there is.',
	loadCaps: 'Most of what {turns} cost a body, for {aPlayer} in a day and in seven',
	loadCapsSay:
		'Throws, kicks, jumps: {aPractice} that gives {aPlayer} more is stopped. The caps of your league and of a licensed practitioner come first: set the lower one.',
	loadKind: 'What is counted',
	loadDay: 'Most a day',
	loadWeek: 'Most a week',
	loadUnder: 'Under age',
	removeCap: 'Remove the cap on {kind}',
	remove: 'Remove',
	addCap: 'Add a cap',
	timeLeftOver: 'Time left over',
	minutesThatMayBeLeftOver: 'Minutes that may be left over before it is said.'
});
