export { deal, type Runner } from './deal';
export { checkMinutes, checkPlayerCount, checkRanges, firstFailure, LIMITS } from './ranges';
export { resolveDrill } from './resolve';
export { runTurns, type TurnOnGround } from './run';
export { fewestFirst, simulate } from './simulate';
export { faultOf } from './soundness';
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
