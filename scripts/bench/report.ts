/** Times of one thing in milliseconds, and the bound that it is to keep. */
export interface Measure {
	name: string;
	milliseconds: readonly number[];
	bound: number;
	/** Which figure the bound is of. */
	of: 'median' | '95th';
}

function quantile(sorted: readonly number[], share: number): number {
	return sorted[Math.min(sorted.length - 1, Math.ceil(share * sorted.length) - 1)];
}

/** The median of some figures. */
export const median = (figures: readonly number[]): number =>
	quantile(
		figures.toSorted((a, b) => a - b),
		0.5
	);

/** Prints median and 95th percentile of a measure, its bound, and whether it is met. */
export function report({ name, milliseconds, bound, of }: Measure): void {
	const sorted = milliseconds.toSorted((a, b) => a - b);
	const figures = { median: quantile(sorted, 0.5), '95th': quantile(sorted, 0.95) };
	const verdict = figures[of] <= bound ? 'MET' : 'MISSED';
	const shown = `median ${figures.median.toFixed(1)} ms, 95th ${figures['95th'].toFixed(1)} ms`;
	console.log(
		`${name}: ${shown} (n = ${sorted.length}); bound ${bound} ms for the ${of}, ${verdict}`
	);
}

/** Times of `run`, `times` over, after `warm` runs that warm up. */
export function time(run: () => void, times: number, warm = 10): number[] {
	for (let k = 0; k < warm; k += 1) run();
	return Array.from({ length: times }, () => {
		const start = performance.now();
		run();
		return performance.now() - start;
	});
}
