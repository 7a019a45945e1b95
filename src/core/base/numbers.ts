/** Two times closer than this, in seconds, are the same instant. */
export const SAME_INSTANT = 1e-6;

/** How many whole times `part` goes into `whole`; a hair under a whole number counts as it. */
export function fitsTimes(whole: number, part: number): number {
	return Math.floor(whole / part + 1e-9);
}

/**
 * Splits `total` into `parts` whole numbers that differ by at most one, the larger first.
 * Gives `[]` for no parts.
 */
export function splitEvenly(total: number, parts: number): number[] {
	const least = Math.floor(total / parts);
	const larger = total - least * parts;
	return Array.from({ length: parts }, (_, index) => (index < larger ? least + 1 : least));
}

/**
 * Deals `amount` over `weights` in proportion, in whole numbers by largest remainder; of equal
 * remainders the earlier comes first. No share is over its weight while `amount` is at most their sum.
 * All whole numbers, so the arithmetic is exact.
 */
export function dealByWeight(amount: number, weights: readonly number[]): number[] {
	const total = weights.reduce((sum, weight) => sum + weight, 0);
	if (total === 0) return weights.map(() => 0);
	const shares = weights.map((weight) => Math.floor((amount * weight) / total));
	const remainders = weights.map((weight) => (amount * weight) % total);
	const left = amount - shares.reduce((sum, share) => sum + share, 0);
	const order = remainders
		.map((_, index) => index)
		.sort((a, b) => remainders[b] - remainders[a] || a - b);
	for (const index of order.slice(0, left)) shares[index] += 1;
	return shares;
}
