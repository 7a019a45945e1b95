import { MOST_BIBS, type Group } from '../model/practice';

/** So many bibs that groups beside do not wear, the first free ones first; from the start again where all are worn. */
export function freeBibs(beside: readonly Pick<Group, 'bib'>[], count: number): number[] {
	const worn = new Set(beside.map(({ bib }) => bib));
	const free = Array.from({ length: MOST_BIBS }, (_, bib) => bib).filter((bib) => !worn.has(bib));
	const order = free.length > 0 ? free : [...worn];
	return Array.from({ length: count }, (_, index) => order[index % order.length]);
}
