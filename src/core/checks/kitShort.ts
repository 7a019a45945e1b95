import { overBlocks } from './blockRule';
import { blocksBefore, kitAt, startsWithin } from './shared';

/** Blocks that run at once need more of an item than there is; the later one is at fault. */
export const kitShort = overBlocks({
	code: 'kit-short',
	severity: 'stop',
	find(played) {
		const { kit } = played.evaluation.context;
		const before = blocksBefore(played);
		for (const second of startsWithin(played))
			for (const [item, own] of kitAt(played, second)) {
				const others = before.reduce(
					(sum, other) => sum + (kitAt(other, second).get(item) ?? 0),
					0
				);
				const has = Object.hasOwn(kit, item) ? kit[item] : 0;
				if (own === 0 || own + others <= has) continue;
				return { values: { item, needed: own + others, has }, fromSecond: second };
			}
		return null;
	},
	cause: ({ values }) => values.item,
	weigh: ({ values }) => values.needed,
	accepts: ({ blockedBy }) => !blockedBy.includes('kit')
});
