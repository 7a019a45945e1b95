import texts from '$texts/bib';
import type { Message } from '$words';

/** How a group's bib looks: told apart by letter and pattern as well as by colour. */
export interface BibLook {
	letter: string;
	name: Message;
	pattern: 'plain' | 'hoops' | 'halves' | 'sash' | 'quarters' | 'band' | 'checks' | 'pinstripes';
	cloth: string;
	mark: string;
}

/** Eight bibs; the letters are none that zones use. */
export const BIBS: readonly BibLook[] = [
	{ letter: 'K', name: texts.kelp, pattern: 'plain', cloth: '#1f4e9e', mark: '#1f4e9e' },
	{ letter: 'L', name: texts.lantern, pattern: 'hoops', cloth: '#f0c531', mark: '#4a3a05' },
	{ letter: 'M', name: texts.mussel, pattern: 'halves', cloth: '#ffffff', mark: '#7d1f52' },
	{ letter: 'N', name: texts.nettle, pattern: 'sash', cloth: '#ffffff', mark: '#1f7043' },
	{ letter: 'R', name: texts.reed, pattern: 'quarters', cloth: '#e8dff2', mark: '#57348a' },
	{ letter: 'S', name: texts.sky, pattern: 'band', cloth: '#a9d6ef', mark: '#0b5078' },
	{ letter: 'T', name: texts.tern, pattern: 'checks', cloth: '#ffffff', mark: '#1d2528' },
	{ letter: 'W', name: texts.wrack, pattern: 'pinstripes', cloth: '#ffffff', mark: '#a3195b' }
];

/** Letters of the bibs after those eight, which come again with dots; those of zones last. */
const MORE_LETTERS = 'PQUVXYZHGJIOABCDEF';

/** The look of a bib by its number in a practice: the eight patterns come again, with other letters and dots. */
export function bibLook(bib: number): BibLook & { dots: number } {
	const pattern = BIBS[bib % BIBS.length];
	const dots = Math.floor(bib / BIBS.length);
	return {
		...pattern,
		dots,
		letter: dots === 0 ? pattern.letter : MORE_LETTERS[(bib - BIBS.length) % MORE_LETTERS.length]
	};
}

/** Outline of a sleeveless tabard in a box of 24 × 24. */
export const TABARD =
	'M6 2h3.2c.5 1.7 1.4 2.6 2.8 2.6s2.3-.9 2.8-2.6H18l3.6 2.2-1.5 6.1 1.4 11.7H2.5l1.4-11.7L2.4 4.2z';
