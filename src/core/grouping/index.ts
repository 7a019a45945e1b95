export { group, groupSearch, reportsFor, type GroupProgress } from './group';
export { GroupInput, GroupMode, GroupOutput, type Groupable } from './groupShapes';
export { leastSpread } from './bounds';
export type { RuleName } from './readGroups';
export { weigh } from './weigh';
export { meanRating } from './meanRating';
