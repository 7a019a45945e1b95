import type { BlockFigures } from '$core/playing';
import texts from '$texts/tape';
import type { Say } from '$words';

/** A share as whole percent, `38%`. */
export const percent = (share: number): string => `${Math.round(share * 100)}%`;

/** Turns of a player as a coach says them: `13 turns`, `1 turn`, or `0 to 24 turns` where some get more. */
export function turnsWords({ min, max }: { min: number; max: number }, say: Say): string {
	const [least, most] = [Math.round(min), Math.round(max)];
	return least === most
		? say(texts.turnsEach, { count: most })
		: say(texts.turnsBetween, { least, most });
}

/** Turns in as few letters as there are: `34–40 turns`. */
export function turnsInShort({ min, max }: { min: number; max: number }, say: Say): string {
	const [least, most] = [Math.round(min), Math.round(max)];
	return least === most
		? say(texts.turnsEach, { count: most })
		: say(texts.turnsBetweenShort, { least, most });
}

/** Group sizes, largest first: `6 or 5`. */
export function sizesWords(sizes: readonly number[], say: Say): string {
	const [most, second] = sizes;
	if (sizes.length > 2) return say(texts.between, { least: sizes[sizes.length - 1], most });
	return second === undefined ? String(most ?? '') : say(texts.either, { most, second });
}

/** One line about what a block gives: players, turns, waiting. */
export function blockWords(figures: BlockFigures | undefined, say: Say): string {
	if (!figures) return '';
	const sizes = sizesWords(figures.sizes, say);
	if (!figures.turns) return sizes;
	const reps = turnsWords(figures.turns, say);
	return say(texts.blockGives, { sizes, reps, waits: percent(figures.waitShare) });
}
