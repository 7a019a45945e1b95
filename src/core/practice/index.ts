export { arranging } from './arranging';
export { applyEdit, type Applied, type EditFailure } from './applyEdit';
export { splitIntoCopies } from './copies';
export { copyPeriod } from './copyPeriod';
export { mergeBlocks, splitBlock } from './splitBlock';
export { mergeWithNext, splitPeriod } from './splitPeriod';
export { LIMIT_FACTS, type LimitFact } from './limitFacts';
export {
	DEFAULT_LIMITS,
	drillOf,
	learning,
	toContext,
	toShelf,
	withDrills,
	type Context
} from './context';
export { Edit, SentEdit, type EditOf } from './edit';
export { contextOn, heldOn, seasonOn, surroundingsOn, type DayAsked } from './teamHistory';
export { evaluate, walkMetres, type Evaluation, type PersonClash } from './evaluate';
export {
	playersNowhere,
	spreadOf,
	type BlockFigures,
	type Figures,
	type PlayerFigures
} from './figures';
export { blocksOf, findBlock, findPeriod, idsIn, type Found } from './find';
export { idMaker } from './ids';
export type { PlayedRun, RunSums } from './playRun';
export { clearOf, gapBetween } from './clear';
export { holdsOn, isKeptOutOfPeriod, keptOutOf } from './restrictions';
export { PracticeSummary, summaryOf } from './summary';
export { onRung, rungsRun, stepsOf, type RunStep } from './steps';
export { fitted, fitToTime, plannedMinutes, resizePeriods, setMinutes } from './resize';
export { maySupervise, overlap, roomFor, suitableZones, zonesOfLane, type Room } from './room';
export {
	arrivesAt,
	isStation,
	playersOfCopy,
	playersOfLane,
	type PeriodWindow,
	type PlannedRun,
	type Window
} from './schedule';
export type { Interval, State, Track } from './timelineShapes';
export { drillAlone } from './alone';
export {
	laidCopies,
	pointAlong,
	wayFrom,
	type LaidCopy,
	type LaidPath,
	type Point
} from './laying';
export { bibMetres, intervalAt, standingsAt, type Standing } from './positions';
export { stationGives, suggestStations } from './suggestStations';
export { periodFromDrill, plainPeriod } from './newPeriod';
export type { Plan } from './plan';
export {
	drillsIn,
	peopleIn,
	periodsFault,
	practiceFault,
	type Named,
	type Nonsense
} from './sense';
export {
	chosenSize,
	isDoneTogether,
	runningShare,
	sizeHere,
	sizeLane,
	type Sizing
} from './sizeHere';
export { halvedGroups, movingGroups, regroup, reround, stationsOf, withGroups } from './regroup';
export {
	roundPlayers,
	sideLanes,
	splitIntoStations,
	stationPlayers,
	type StationWish
} from './stations';
