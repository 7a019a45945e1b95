import type { SizeOption } from '$core/sizing';
import { chosenSize } from '$core/building';
import { turnsWords } from '../tape/words';
import { blockWordsOf } from '../inspector/blocks';
import type { Fit } from './fits';
import texts from '$texts/shelf';
import type { Say } from '$words';

/** Reasons that something more would take away: one more adult, goal, bag of balls or zone. */
const CAN_BE_MORE = new Set(['coaches', 'zones', 'fixtures', 'kit']);

const isOnlyShort = ({ blockedBy }: SizeOption) =>
	blockedBy.length > 0 && blockedBy.every((block) => CAN_BE_MORE.has(block));

/**
 * What would give players clearly more turns, in words: `7 copies would give 24 turns: one adult short`;
 * empty where nothing would.
 */
export function betterWords({ drill, sizing }: Fit, say: Say): string {
	if (!sizing) return '';
	const { output, room } = sizing;
	const turns = chosenSize(drill, output)?.reps.min ?? 0;
	const better = output.options
		.filter((option) => isOnlyShort(option) && option.reps.min >= Math.max(1, turns * 1.3))
		.sort((a, b) => a.blockedBy.length - b.blockedBy.length || a.copies - b.copies)[0];
	if (!better) return '';
	const missing = better.blockedBy.map((block) =>
		blockWordsOf(block, better, { drill, room, say })
	);
	const many = say(texts.copies, { copies: better.copies });
	return say(texts.wouldGive, {
		many,
		reps: turnsWords(better.reps, say),
		short: missing.join(', ')
	});
}
