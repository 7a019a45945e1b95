import { messages } from '../message';

export default messages({
	aNewRow: 'a new row',
	aRow: 'A row',
	none: 'none',
	more: 'More',
	remove: 'Remove',
	of: '{text} of {name}',
	removeRow: 'Remove {name}'
});
