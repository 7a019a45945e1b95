export { BALL, drawingOf, sceneOf } from './drawnScene';
export {
	gameWeekOf,
	liveBlocksIn,
	nextGame,
	startsOf,
	type DatedPractice,
	type GameWeek
} from './gameWeek';
export { namedIn, type Naming } from './naming';
export { sceneFault, type SceneFault } from './sceneFault';
export {
	LIVE_MINUTES,
	LIVE_RUNG,
	sceneDrill,
	WALK_MINUTES,
	type SceneDrillOptions
} from './sceneDrill';
