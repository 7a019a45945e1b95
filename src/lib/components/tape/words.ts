import type { BlockFigures } from '$core/playing';

/** A share as whole percent, `38%`. */
export const percent = (share: number): string => `${Math.round(share * 100)}%`;

/** Turns of a player as a coach says them: `13 turns`, `1 turn`, or `0 to 24 turns` where some get more. */
export function turnsWords({ min, max }: { min: number; max: number }): string {
	const [least, most] = [Math.round(min), Math.round(max)];
	if (least !== most) return `${least} to ${most} turns`;
	return most === 1 ? '1 turn' : `${most} turns`;
}

/** Group sizes, largest first: `6 or 5`. */
export function sizesWords(sizes: readonly number[]): string {
	return sizes.length > 2 ? `${sizes.at(-1)} to ${sizes[0]}` : sizes.join(' or ');
}

/** One line about what a block gives: players, turns, waiting. */
export function blockWords(figures: BlockFigures | undefined): string {
	if (!figures) return '';
	const sizes = sizesWords(figures.sizes);
	if (!figures.turns) return sizes;
	return `${sizes} · ${turnsWords(figures.turns)} · waits ${percent(figures.waitShare)}`;
}
