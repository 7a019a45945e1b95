export {
	climbKind,
	climbOfCopy,
	countedBy,
	drillInPlace,
	inMinutes,
	stepMinutes,
	wholeLadder,
	withDrill,
	withNextStep,
	withStepMinutes,
	type ClimbKind
} from './climbs';
export { groupsOf, splitIntoCopies } from './copies';
export { copyPeriod } from './copyPeriod';
export { givenByPlayers, givenOrNot, givenWith, ladderNumbers, linesOf, type Given } from './given';
export { blockAfter, laneForUnit, unitBeside } from './lanes';
export { drillsForSkill, type SkillChoice } from './forSkill';
export { anotherInside, newLane, periodFromDrill, plainPeriod, type DrillAsked } from './newPeriod';
export { halvedGroups, movingGroups, regroup, reround, stationsOf, withGroups } from './regroup';
export { fitted, fitToTime, resizePeriods, setMinutes } from './resize';
export { startLate, type LateStart } from './startLate';
export {
	chosenSize,
	isDoneTogether,
	runningShare,
	sizeHere,
	sizeLane,
	type Sizing
} from './sizeHere';
export { mergeBlocks, splitBlock } from './splitBlock';
export { mergeWithNext, splitPeriod } from './splitPeriod';
export {
	roundPlayers,
	sideLanes,
	splitIntoStations,
	stationPlayers,
	type StationWish
} from './stations';
export { stationGives, suggestStations } from './suggestStations';
export { otherGames } from './otherGames';
