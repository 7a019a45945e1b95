/** A finite field: its elements are the whole numbers under its size, 0 and 1 among them. */
export interface Field {
	size: number;
	add: (a: number, b: number) => number;
	multiply: (a: number, b: number) => number;
	/** An element that is neither 0 nor 1. */
	other: number;
}

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

function primeField(size: number): Field {
	return {
		size,
		add: (a, b) => (a + b) % size,
		multiply: (a, b) => (a * b) % size,
		other: 2
	};
}

function powerField(size: number): Field {
	const { prime, powers } = REDUCTIONS[size];
	const digits = (value: number) => powers.map((_, k) => Math.floor(value / prime ** k) % prime);
	const number = (values: readonly number[]) =>
		values.reduce((sum, value, k) => sum + (value % prime) * prime ** k, 0);
	const timesX = (own: readonly number[]) => {
		const top = own[own.length - 1];
		return powers.map((power, k) => ((own[k - 1] ?? 0) + top * power) % prime);
	};
	return {
		size,
		add: (a, b) => number(digits(a).map((digit, k) => digit + digits(b)[k])),
		multiply(a, b) {
			const [own, by] = [digits(a), digits(b)];
			const product = by.reduceRight<number[]>(
				(sum, digit) => timesX(sum).map((each, k) => (each + digit * own[k]) % prime),
				powers.map(() => 0)
			);
			return number(product);
		},
		other: prime
	};
}

/** The fields whose sizes a number is the product of; null where a field of one is not known here, or has only 0 and 1. */
export function fieldsOf(size: number): Field[] | null {
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

/** A number as one element of each field, and back. */
export function inFields(fields: readonly Field[]) {
	return {
		digits(value: number): number[] {
			let rest = value;
			return fields.map(({ size }) => {
				const digit = rest % size;
				rest = Math.floor(rest / size);
				return digit;
			});
		},
		number: (values: readonly number[]): number =>
			values.reduceRight((sum, value, k) => sum * fields[k].size + value, 0)
	};
}
