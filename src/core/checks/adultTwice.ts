import type { Evaluation } from '../playing';
import { type Edit, findBlock } from '../practice';
import { clashTroubles } from './clashes';
import type { Rule } from './finding';

/** An adult taken out of a block: as its lead, as its second eyes, and from its copies. */
function without({ practice }: Evaluation, id: string, adult: string): Edit | null {
	const block = findBlock(practice, id)?.block;
	if (!block) return null;
	const copies = block.copies.map((copy) => ({
		...copy,
		adults: copy.adults.filter((each) => each !== adult)
	}));
	return {
		type: 'set-block',
		block: id,
		set: {
			...(block.lead === adult && { lead: null }),
			...(block.eyes === adult && { eyes: null }),
			copies
		}
	};
}

/** An adult is asked for in two blocks at the same second. */
export const adultTwice: Rule<'adult-twice'> = {
	find: ({ adultClashes }) => clashTroubles(adultClashes, 'adult'),
	cause: ({ at }) => String(at.adult),
	*propose(evaluation, { at, values }) {
		for (const id of [values.second, values.first]) {
			const edit = without(evaluation, String(id), at.adult ?? '');
			if (edit) yield edit;
		}
	}
};
