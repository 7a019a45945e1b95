export { needOfLane, playsRole } from './demand';
export { columnsOf, withColumns } from './lane';
export { gamePlan, type Game } from './lineups';
export { stationLanes } from './round';
export { settle } from './settle';
