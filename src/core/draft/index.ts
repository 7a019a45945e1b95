export { draftEdit } from './draftEdit';
export { draft, draftSearch } from './draft';
export { USUAL } from './outline';
export type { DraftNames } from './filling';
export { DraftInput, DraftOutput, Frame, type Alternative, type Reason } from './shapes';
