import type { PersonClash } from '../practice';
import type { Trouble } from './finding';

/**
 * Clashes of players or adults as troubles, one for each person and pair of blocks, however many slots
 * they share: at the second block, with both blocks and when the clash begins for the words.
 */
export function clashTroubles(clashes: readonly PersonClash[], who: 'player' | 'adult'): Trouble[] {
	const seen = new Map<string, Trouble>();
	for (const { person, first, second } of clashes) {
		const { period, block, fromSecond } = second;
		const key = `${person} ${first.block.id} ${block.id}`;
		if (seen.has(key)) continue;
		seen.set(key, {
			code: `${who}-twice`,
			severity: 'stop',
			at: { [who]: person, period: period.id, block: block.id, fromSecond },
			values: { first: first.block.id, second: block.id, atSecond: fromSecond }
		});
	}
	return [...seen.values()];
}
