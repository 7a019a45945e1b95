/**
 * Squares of pairs: n rounds at n places, two of 2n symbols at each, every symbol at every place and in
 * every round once, and no two symbols together more than once. These are Howell designs H(n, 2n), which
 * exist for every n but 2 (Anderson, Schellenberg and Stinson, 1984).
 */
export type PairSquare = (round: number, place: number) => readonly [number, number];

/** x^k in terms of lower powers, over the prime: what multiplying by x comes to in a field of p^k. */
const REDUCTIONS: Readonly<Record<number, { prime: number; powers: readonly number[] }>> = {
	4: { prime: 2, powers: [1, 1] },
	8: { prime: 2, powers: [1, 1, 0] },
	16: { prime: 2, powers: [1, 1, 0, 0] },
	32: { prime: 2, powers: [1, 0, 1, 0, 0] },
	9: { prime: 3, powers: [2, 0] },
	27: { prime: 3, powers: [2, 1, 0] },
	25: { prime: 5, powers: [3, 0] },
	49: { prime: 7, powers: [6, 0] }
};

/** A finite field as far as it is needed: adding, and multiplying by an element that is neither 0 nor 1. */
interface Field {
	size: number;
	add: (a: number, b: number) => number;
	scale: (a: number) => number;
}

function primeField(size: number): Field {
	return { size, add: (a, b) => (a + b) % size, scale: (a) => (2 * a) % size };
}

function powerField(size: number): Field {
	const { prime, powers } = REDUCTIONS[size];
	const digits = (value: number) => powers.map((_, k) => Math.floor(value / prime ** k) % prime);
	const number = (values: readonly number[]) =>
		values.reduce((sum, value, k) => sum + (value % prime) * prime ** k, 0);
	return {
		size,
		add: (a, b) => number(digits(a).map((digit, k) => digit + digits(b)[k])),
		scale(a) {
			const own = digits(a);
			const top = own[own.length - 1];
			return number(powers.map((power, k) => (own[k - 1] ?? 0) + top * power));
		}
	};
}

/** Prime powers that a number is the product of, or null where a field of one is not known here. */
function fieldsOf(size: number): Field[] | null {
	const fields: Field[] = [];
	let rest = size;
	for (let prime = 2; rest > 1; prime += 1) {
		let power = 1;
		while (rest % prime === 0) {
			rest /= prime;
			power *= prime;
		}
		if (power === 1) continue;
		if (power === 2 || (power !== prime && !REDUCTIONS[power])) return null;
		fields.push(power === prime ? primeField(prime) : powerField(power));
	}
	return fields;
}

/** Two squares in which each pair of entries comes once: r + c and r + xc, digit by digit over the fields. */
function fieldSquare(size: number, fields: readonly Field[]): PairSquare {
	const digits = (value: number) => {
		let rest = value;
		return fields.map((field) => {
			const digit = rest % field.size;
			rest = Math.floor(rest / field.size);
			return digit;
		});
	};
	const number = (values: readonly number[]) =>
		values.reduceRight((sum, value, k) => sum * fields[k].size + value, 0);
	return (round, place) => {
		const [r, c] = [digits(round), digits(place)];
		const first = number(fields.map(({ add }, k) => add(r[k], c[k])));
		const second = number(fields.map(({ add, scale }, k) => add(r[k], scale(c[k]))));
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
