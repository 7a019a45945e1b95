export type { Misfit } from '../core/base';
export { readJson, readShape } from './shape';
