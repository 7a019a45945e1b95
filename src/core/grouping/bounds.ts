import type { Figures, Term } from './division';

/** Ratings times this are whole numbers, or null where no small number does that. */
function scaleOf(values: readonly number[]): number | null {
	for (const scale of [1, 2, 4, 5, 10, 20])
		if (values.every((value) => Math.abs(value * scale - Math.round(value * scale)) < 1e-9))
			return scale;
	return null;
}

/**
 * The least that the largest group mean can be over the smallest when whole sums are dealt to groups of
 * these sizes, whoever makes them up: a bound for one skill.
 */
export function leastSpread(total: number, sizes: readonly number[]): number {
	const players = sizes.reduce((sum, size) => sum + size, 0);
	let best = Infinity;
	// The smallest mean is a whole sum over a size, at most the mean of all.
	for (const size of new Set(sizes))
		for (
			let sum = Math.floor((total * size) / players + 1e-9), tries = 0;
			tries <= size;
			tries += 1, sum -= 1
		) {
			const low = sum / size;
			const sums = sizes.map((each) => Math.ceil(low * each - 1e-9));
			let left = total - sums.reduce((all, each) => all + each, 0);
			if (left < 0) continue;
			while (left > 0) {
				// One more goes where the mean stays the lowest.
				let at = 0;
				for (let group = 1; group < sizes.length; group += 1)
					if ((sums[group] + 1) / sizes[group] < (sums[at] + 1) / sizes[at] - 1e-12) at = group;
				sums[at] += 1;
				left -= 1;
			}
			const means = sums.map((each, group) => each / sizes[group]);
			best = Math.min(best, Math.max(...means) - Math.min(...means));
		}
	return best;
}

/** By skill: what its spread cannot be under. Zero where ratings are missing or no small number scales them. */
export function skillBounds(
	{ count, skills, ratings }: Figures,
	sizes: readonly number[]
): number[] {
	return skills.map((_, skill) => {
		const own = Array.from(
			{ length: count },
			(_, player) => ratings[player * skills.length + skill]
		);
		const scale = own.some((rating) => Number.isNaN(rating)) ? null : scaleOf(own);
		if (scale === null) return 0;
		const total = own.reduce((sum, rating) => sum + Math.round(rating * scale), 0);
		return leastSpread(total, sizes) / scale;
	});
}

function unitsBound({ unitOf, units }: Figures, sizes: readonly number[]): number {
	const counts = new Array<number>(units).fill(0);
	for (const unit of unitOf) if (unit >= 0) counts[unit] += 1;
	return counts.filter((count) => count % sizes.length !== 0).length;
}

/**
 * Numbers that the parts of a score cannot be under, whatever the rules: from the sums of ratings and
 * the counts of units alone. A score that reaches them is the best there is.
 */
export function boundsOf(
	figures: Figures,
	sizes: readonly number[],
	terms: readonly Term[]
): number[] {
	return terms.map((term) => {
		if (term === 'skills') return skillBounds(figures, sizes).reduce((sum, each) => sum + each, 0);
		if (term === 'units') return unitsBound(figures, sizes);
		if (term === 'kinds') return Math.max(figures.units, 0);
		return 0;
	});
}
