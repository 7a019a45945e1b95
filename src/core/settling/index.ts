export { playsRole } from './demand';
export { gamePlan, type Game } from './lineups';
export { settle, isUnsettled, type Fewer } from './settle';
