export { meetingsIn, type Meetings } from './meetings';
export { ledgerRows, type LedgerRow } from './ledger';
