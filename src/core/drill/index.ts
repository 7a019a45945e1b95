export { deal, startingLines, type Runner } from './deal';
export { callsOf } from './prompts';
export { checkMinutes, checkPlayerCount, checkRanges, firstFailure, LIMITS } from './ranges';
export { ladderOf, movedOnLadder, standardPlace, withStandard, type RungId } from './ladder';
export { placeOf, type Place } from './places';
export { resolveDrill } from './resolve';
export type { TurnOnGround } from './run';
export { drillHints, type DrillHint } from './hints';
export { simulate } from './simulate';
export {
	isByTurns,
	legsOf,
	playClimb,
	TOO_MANY_PASSES,
	type Leg,
	type Pass,
	type ReadyStep
} from './climb';
export { drillMisfit, faultOf } from './soundness';
export { asTheDrill, changedFields, withChange, type RungField } from './changing';
export { renameSpots, type SpotNames } from './renaming';
export { timingOf, turnsOn, type Tap, type Timing } from './timing';
export { blankDrill, drillOfRung } from './drafting';
export { SimulateInput, type PlayerSums, SimulateOutput, Spread } from './simulateShapes';
export { adultPlaces, checkPlayers, playerSystem, playerSystems, type System } from './system';
export { addLoads, isWork, type SideTally, type Tally } from './tally';
