export { draftEdit } from './draftEdit';
export { draft, draftSearch } from './draft';
export { USUAL } from './frame';
export { DRINK } from './outline';
export type { DraftNames } from './filling';
export {
	DraftInput,
	DraftOutput,
	Frame,
	type Alternative,
	type Reason,
	type Undone,
	type Unlike
} from './shapes';
