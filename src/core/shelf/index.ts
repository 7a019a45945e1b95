export { facetsOf, filtered, ShelfFilter, type Facet } from './filter';
export { inSport, type SportFacts } from './inSport';
export { foundFor, type ShelfLine } from './line';
export { supposing, ShelfAsk, type Around } from './supposing';
export { standingIn, type Here, type Obstacle, type Standing } from './standing';
