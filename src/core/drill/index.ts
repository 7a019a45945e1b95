export { deal, type Runner } from './deal';
export { callsOf } from './prompts';
export { checkMinutes, checkPlayerCount, checkRanges, firstFailure, LIMITS } from './ranges';
export { resolveDrill } from './resolve';
export { runTurns, type TurnOnGround } from './run';
export { fewestFirst, simulate } from './simulate';
export { faultOf } from './soundness';
export { asTheDrill, changedFields, withChange, type RungField } from './changing';
export { renameSpots, type SpotNames } from './renaming';
export { timingOf, turnsOn, type Tap, type Timing } from './timing';
export { blankDrill, drillOfRung } from './drafting';
export {
	ClimbStep,
	SimulateInput,
	type PlayerSums,
	SimulateOutput,
	type Spread
} from './simulateShapes';
export { adultPlaces, checkPlayers, playerSystem, type System } from './system';
export { isWork, tallyTurns, type Tally } from './tally';
