export type { Misfit } from './explain';
export { readJson, readShape } from './shape';
