export { instantOf } from './instant';
export { compassName, sunOver, type Moment, type Sun } from './sun';
