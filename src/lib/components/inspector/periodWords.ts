import type { PeriodKind, Rank } from '$core/model/practice';
import type { Message } from '$words';
import texts from '$texts/inspector';

/** Every kind of period with its word, in the order in which a practice has them. */
export const PERIOD_KINDS: readonly { kind: PeriodKind; word: Message }[] = [
	{ kind: 'before', word: texts.kindBefore },
	{ kind: 'room', word: texts.kindRoom },
	{ kind: 'warm-up', word: texts.kindWarmUp },
	{ kind: 'together', word: texts.kindTogether },
	{ kind: 'stations', word: texts.kindStations },
	{ kind: 'units', word: texts.kindUnits },
	{ kind: 'scrimmage', word: texts.kindScrimmage },
	{ kind: 'talk', word: texts.kindTalk },
	{ kind: 'water', word: texts.kindWater },
	{ kind: 'close', word: texts.kindClose }
];

/** What becomes of a period when time is short. */
export const RANKS: readonly { rank: Rank; word: Message }[] = [
	{ rank: 'must', word: texts.rankMust },
	{ rank: 'should', word: texts.rankShould },
	{ rank: 'could', word: texts.rankCould }
];

/** Eight directions, in degrees clockwise from north. */
export const DIRECTIONS: readonly { degrees: number; word: Message }[] = [
	{ degrees: 0, word: texts.north },
	{ degrees: 45, word: texts.northEast },
	{ degrees: 90, word: texts.east },
	{ degrees: 135, word: texts.southEast },
	{ degrees: 180, word: texts.south },
	{ degrees: 225, word: texts.southWest },
	{ degrees: 270, word: texts.west },
	{ degrees: 315, word: texts.northWest }
];
