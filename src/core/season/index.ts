export { besideLane, type AreaBeside } from './besideLane';
export { comingTo, habitsOf, withComing, type Coming, type Habit } from './attendance';
export { ledgerRows, type LedgerRow } from './ledger';
export { meetingsIn, pairsIn, type Meetings, type Pair } from './meetings';
export { nextFreeDay, usualOn, type PracticeFacts } from './usual';
export { weekOf } from './week';
export { partOf, orderByCliques, togetherOf, type Together } from './together';
