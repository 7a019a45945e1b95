import { messages } from '../message';

export default messages({
	aNewOne: 'a new one',
	aNewRow: 'a new row',
	aRow: 'A row',
	none: 'none',
	more: 'More',
	remove: 'Remove',
	up: 'Up',
	rowUp: 'Move {name} up',
	of: '{text} of {name}',
	removeRow: 'Remove {name}'
});
