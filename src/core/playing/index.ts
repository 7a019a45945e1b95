export { drillAlone } from './alone';
export { clearOf, gapBetween, type Rectangle } from './clear';
export { evaluate, walkMetres, type Evaluation, type PersonClash } from './evaluate';
export {
	playersNowhere,
	spreadOf,
	type BlockFigures,
	type Figures,
	type PlayerFigures
} from './figures';
export {
	carryList,
	waysOfAdults,
	waysOfGroups,
	type CarryList,
	type GroupThere,
	type Load,
	type Way
} from './handOut';
export { laidOutMeanwhile } from './layOut';
export {
	laidCopies,
	layInto,
	pointAlong,
	wayFrom,
	type LaidCopy,
	type LaidPath,
	type Point
} from './laying';
export type { PlayedRun, RunSums } from './playRun';
export { bibMetres, intervalAt, standingsAt, type Standing } from './positions';
export {
	awaitsClearing,
	holdsOn,
	isKeptOutOfPeriod,
	keptOutOf,
	keptOutOfDrill,
	placedIn,
	unplacedIn
} from './restrictions';
export {
	adultsIn,
	kitLeft,
	limitsOf,
	maySupervise,
	overlap,
	roomFor,
	roomierZones,
	suitableZones,
	whoLeadsFirst,
	zonesOfLane,
	type Room,
	placesLeft
} from './room';
export {
	arrivesAt,
	isStation,
	playersOfCopy,
	playersOfLane,
	type PeriodWindow,
	type PlannedRun,
	type Window
} from './schedule';
export { onRung, rungsRun, stepsOf, type RunStep } from './steps';
export { contactOf, contactWeight, costOf, loadsOf, strainOf, type Cost } from './strain';
export { PracticeSummary, summaryOf } from './summary';
export type { Interval, State, Track } from './timelineShapes';
