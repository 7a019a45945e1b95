export { ledgerRows, type LedgerRow } from './ledger';
