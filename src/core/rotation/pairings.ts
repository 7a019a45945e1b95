import { fieldsOf, inFields, type Field } from '../base';

/**
 * Squares of pairs: n rounds at n places, two of 2n symbols at each, every symbol at every place and in
 * every round once, and no two symbols together more than once. These are Howell designs H(n, 2n), which
 * exist for every n but 2 (Anderson, Schellenberg and Stinson, 1984).
 */
export type PairSquare = (round: number, place: number) => readonly [number, number];

/** Two squares in which each pair of entries comes once: r + c and r + xc, digit by digit over the fields. */
function fieldSquare(size: number, fields: readonly Field[]): PairSquare {
	const { digits, number } = inFields(fields);
	return (round, place) => {
		const [r, c] = [digits(round), digits(place)];
		const first = number(fields.map(({ add }, k) => add(r[k], c[k])));
		const second = number(
			fields.map(({ add, multiply, other }, k) => add(r[k], multiply(other, c[k])))
		);
		return [first, size + second];
	};
}

/** Six rounds: no two squares will do, a cyclic shift of five with two fixed symbols does. */
const SIX: {
	corner: [number, number];
	side: [number, number];
	last: [number, number];
	inside: [number, number][];
} = {
	corner: [10, 11],
	// The last round at place 0, the first round at the last place, and the first round at places 0 to 4.
	side: [3, 9],
	last: [2, 5],
	inside: [
		[0, 1],
		[6, 8],
		[4, 10],
		[9, 11],
		[3, 7]
	]
};

const shiftSix = (symbol: number, by: number) => {
	if (symbol < 5) return (symbol + by) % 5;
	return symbol < 10 ? 5 + ((symbol - 5 + by) % 5) : symbol;
};

const squareOfSix: PairSquare = (round, place) => {
	const shifted = (pair: readonly [number, number], by: number): [number, number] => [
		shiftSix(pair[0], by),
		shiftSix(pair[1], by)
	];
	if (round === 5) return place === 5 ? SIX.corner : shifted(SIX.side, place);
	if (place === 5) return shifted(SIX.last, round);
	return shifted(SIX.inside[(place - round + 5) % 5], round);
};

/** Rows of which seven shifts each, with three fixed symbols, make two squares of ten (Parker, 1959). */
const TEN: readonly (readonly number[])[] = [
	[0, 1, 4],
	[0, 4, 2],
	[0, 2, 1]
];

/** The cells of the two squares of ten, by round and place. */
function cellsOfTen(): [number, number][][] {
	const cells = Array.from({ length: 10 }, () => new Array<[number, number]>(10));
	const put = (row: readonly number[]) => (cells[row[0]][row[1]] = [row[2], 10 + row[3]]);
	const shifted = (row: readonly number[], by: number) =>
		row.map((value) => (value < 7 ? (value + by) % 7 : value));
	for (let by = 0; by < 7; by += 1) {
		put(shifted([0, 0, 0, 0], by));
		for (const [fixed, rest] of TEN.entries())
			for (let turn = 0; turn < 4; turn += 1) {
				const row = [7 + fixed, ...rest];
				put(
					shifted(
						row.map((_, k) => row[(k - turn + 4) % 4]),
						by
					)
				);
			}
	}
	// The corner of the fixed symbols: two squares of three.
	for (let i = 0; i < 3; i += 1)
		for (let j = 0; j < 3; j += 1) put([7 + i, 7 + j, 7 + ((i + j) % 3), 7 + ((i + 2 * j) % 3)]);
	return cells;
}

/** A square of `size` rounds and places, or null where none is known here: for 2 there is none. */
export function pairSquare(size: number): PairSquare | null {
	if (size === 1) return () => [0, 1];
	if (size === 6) return squareOfSix;
	if (size === 10) {
		const cells = cellsOfTen();
		return (round, place) => cells[round][place];
	}
	const fields = fieldsOf(size);
	return fields && fieldSquare(size, fields);
}
