import { fill, placingOf } from './placing';
import type { HardRule, RuleName } from './readGroups';

/** Whether rules can be kept together; what could not be decided counts as can. */
function canBeKept(count: number, sizes: readonly number[], rules: readonly HardRule[]): boolean {
	const placing = placingOf(count, sizes, rules);
	return placing !== null && fill(placing) !== false;
}

/**
 * Rules that clash, none of them for nothing: without any one the rest can be kept. `rules` must clash.
 * Whole stretches are left out first, then single rules.
 */
export function clashOf(
	count: number,
	sizes: readonly number[],
	rules: readonly HardRule[]
): RuleName[] {
	let kept = [...rules];
	for (let stretch = Math.ceil(kept.length / 2); stretch >= 1; stretch = Math.floor(stretch / 2)) {
		for (let start = 0; start < kept.length;) {
			const without = kept.toSpliced(start, stretch);
			if (canBeKept(count, sizes, without)) start += stretch;
			else kept = without;
		}
	}
	return kept.map(({ name }) => name);
}
