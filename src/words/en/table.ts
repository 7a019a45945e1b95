import { messages } from '../message';

export default messages({
	aNewRow: 'a new row',
	aRow: 'A row',
	none: 'none',
	more: 'More',
	remove: 'Remove',
	of: '{text} of {nameOf}',
	removeRow: 'Remove {nameOf}'
});
