import type { PersonClash } from '../playing';
import type { Trouble } from './finding';

/**
 * Clashes of players or adults as troubles, one for each person and pair of blocks, however many slots
 * they share: at the second block, with both blocks and when the clash begins for the words.
 */
export function clashTroubles<Who extends 'player' | 'adult'>(
	clashes: readonly PersonClash[],
	who: Who
): Trouble<`${Who}-twice`>[] {
	const seen = new Map<string, Trouble<`${Who}-twice`>>();
	for (const { person, first, second } of clashes) {
		const { period, block, fromSecond } = second;
		const key = `${person} ${first.block.id} ${block.id}`;
		if (seen.has(key)) continue;
		const trouble = {
			code: `${who}-twice`,
			severity: 'stop',
			at: { [who]: person, period: period.id, block: block.id, fromSecond },
			values: { first: first.block.id, second: block.id, atSecond: fromSecond }
		};
		seen.set(key, trouble as Trouble<`${Who}-twice`>);
	}
	return [...seen.values()];
}
