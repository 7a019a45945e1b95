export { besideLane, type AreaBeside } from './besideLane';
export { comingTo, habitsOf, sinceAway, withComing, type Coming, type Habit } from './attendance';
export { heldRows, ledgerRows, type LedgerRow } from './ledger';
export { meetingsIn, pairsIn, type Meetings, type Pair } from './meetings';
export { nextFreeDay, usualOn, type PracticeFacts } from './usual';
export { weekOf } from './week';
export { partOf, orderByCliques, togetherOf, type Together } from './together';
export { adviceOn, DEFAULT_WINDOW, step, type StepAdvice } from './step';
export { StepInput, StepOutput } from './stepShapes';
export { floorsIn, type FloorHeld } from './floors';
export { due, DueInput, DueOutput } from './due';
export { coverage, CoverageOutput } from './coverage';
export {
	dayOffOn,
	daysOfWeek,
	lastDayOf,
	openSlots,
	patternSlots,
	phaseOn,
	targetsOf,
	type PatternSlot
} from './calendar';
export {
	clothOf,
	type ClothCell,
	type ClothLine,
	type ClothPractice,
	type SkillSum
} from './cloth';
export { seasonFault, type SeasonFault, type SeasonKnown } from './seasonFault';
export {
	byNews,
	courseStanding,
	saidOf,
	shortSides,
	standingOf,
	type AdviceFor,
	type DatedTally,
	type LadderSaid,
	type LadderStanding,
	type RungRun,
	type ShortSide,
	type Whose
} from './ladder';
export { followedBy, rolledOn, usualDays, type NextSeason } from './rollOn';
export { asksFor, dueOn, skillsOfScenes, type DueSkill } from './dueNow';
export { unpackSums, type FocusedSum, type PackedSum } from './sums';
export {
	figuresOf,
	lacking,
	loadByWeek,
	mostLoad,
	type CostSum,
	type Lack,
	type SeasonFigures,
	type WeekLoad
} from './figures';
export { askedOf, fromShares, phaseSums, type PhaseSum, type TimedPractice } from './aims';
