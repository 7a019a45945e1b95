export { applyEdit, type Applied, type EditFailure } from './applyEdit';
export { arranging } from './arranging';
export {
	DEFAULT_LIMITS,
	drillOf,
	learning,
	playsAlike,
	toContext,
	toShelf,
	withDrills,
	type Context
} from './context';
export { Edit, SentEdit, type EditOf } from './edit';
export {
	blocksOf,
	climbOf,
	findBlock,
	findPeriod,
	idsIn,
	isOneKind,
	plannedMinutes,
	type Found
} from './find';
export { idMaker } from './ids';
export { LIMIT_FACTS, type LimitFact } from './limitFacts';
export { capsAt, mostDrillMinutes, unsuited, type Unsuited } from './suits';
export { mostTalkMinutes } from './talks';
export type { Plan } from './plan';
export {
	drillsIn,
	peopleIn,
	periodsFault,
	practiceFault,
	type Named,
	type Nonsense
} from './sense';
export { contextOn, heldOn, seasonOn, surroundingsOn, type DayAsked } from './teamHistory';
