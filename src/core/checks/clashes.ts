import type { PersonClash } from '../practice';

/** The blocks of a clash and when it begins, for the words. */
export const both = ({ first, second }: PersonClash) => ({
	first: first.block.id,
	second: second.block.id,
	atSecond: second.fromSecond
});

/** One clash a person and pair of blocks, however many slots they share. */
export function once(clashes: readonly PersonClash[]): PersonClash[] {
	const seen = new Map<string, PersonClash>();
	for (const clash of clashes) {
		const key = `${clash.person} ${clash.first.block.id} ${clash.second.block.id}`;
		if (!seen.has(key)) seen.set(key, clash);
	}
	return [...seen.values()];
}
