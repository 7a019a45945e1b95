/** Times of one thing in milliseconds, and the bound that it is to keep. */
export interface Measure {
	name: string;
	milliseconds: readonly number[];
	bound: number;
	/** Which figure the bound is of. */
	of: 'median' | '95th';
}

/** What the piece of work below takes on the machine that the bounds were set on, in a calm hour. */
const CALM_MILLISECONDS = 18;
/** How long a timing of it is believed. */
const BELIEVED_MILLISECONDS = 5000;

function quantile(sorted: readonly number[], share: number): number {
	return sorted[Math.min(sorted.length - 1, Math.ceil(share * sorted.length) - 1)];
}

/** The median of some figures. */
export const median = (figures: readonly number[]): number =>
	quantile(
		figures.toSorted((a, b) => a - b),
		0.5
	);

/** Work of the kind that the application does, always the same: numbers, maps, sorting, JSON. */
function fixedWork(): number {
	let seed = 1;
	const rows = Array.from({ length: 12_000 }, (_, k) => {
		seed = (seed * 48271) % 2147483647;
		return { id: `row-${seed % 5000}`, value: seed, place: k };
	});
	const groups = new Map<string, number>();
	for (const { id, value } of rows) groups.set(id, (groups.get(id) ?? 0) + value);
	const sorted = rows.toSorted((a, b) => a.value - b.value || a.place - b.place);
	return JSON.parse(JSON.stringify(sorted)).length + groups.size;
}

let believed = { at: -Infinity, slowness: 1 };

/** How much slower than in a calm hour the machine is now: 1 where it is as fast. */
export function slowness(): number {
	const now = performance.now();
	if (now - believed.at < BELIEVED_MILLISECONDS) return believed.slowness;
	const taken = median(time(fixedWork, 9, believed.at < 0 ? 10 : 1));
	believed = { at: performance.now(), slowness: taken / CALM_MILLISECONDS };
	return believed.slowness;
}

/** What a time would have been in a calm hour of the machine. */
export const calm = (time: number): number => time / slowness();

/** How it stands to its bound. */
export const verdict = (isMet: boolean): string => (isMet ? 'MET' : 'MISSED');

/**
 * Prints a figure with its bound. A time is judged as it would have been in a calm hour of the machine, and
 * both are printed; what is no time is judged as it is.
 */
export function judge(
	name: string,
	figure: number,
	bound: number,
	unit: string,
	isTime = true
): void {
	const slow = isTime ? slowness() : 1;
	const shown = (value: number) => `${value.toFixed(value < 100 ? 1 : 0)} ${unit}`;
	const calm = isTime ? ` (${shown(figure / slow)} calm)` : '';
	console.log(
		`${name}: ${shown(figure)}${calm}; bound ${bound} ${unit}, ${verdict(figure / slow <= bound)}`
	);
}

/** Prints median and 95th percentile of a measure and judges the one that its bound is of. */
export function report({ name, milliseconds, bound, of }: Measure): void {
	const sorted = milliseconds.toSorted((a, b) => a - b);
	const figures = { median: quantile(sorted, 0.5), '95th': quantile(sorted, 0.95) };
	const other = of === 'median' ? '95th' : 'median';
	judge(
		`${name} (n = ${sorted.length}, ${other} ${figures[other].toFixed(1)} ms), ${of}`,
		figures[of],
		bound,
		'ms'
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
