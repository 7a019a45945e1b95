export { arrange, type Arranged, type Here } from './arrange';
export type { PeriodChange } from './changes';
