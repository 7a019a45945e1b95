export { habitsOf, type Habit } from './attendance';
export { ledgerRows, type LedgerRow } from './ledger';
export { meetingsIn, pairsIn, type Meetings, type Pair } from './meetings';
export { orderByCliques, togetherOf, type Together } from './together';
