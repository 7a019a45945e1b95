import { shifted, type Shift } from './pairClasses';

/** A way to make sessions of few: base sessions that a shift develops, and still ones that it does not change. */
export interface BasePlan {
	shift: Shift;
	bases: number;
	still: number;
}

const pairsOf = (count: number) => (count * (count - 1)) / 2;

/** Classes of pairs that may meet once in each of their pairs: those that the shift takes round in full. */
function fullClasses({ order, cycles, fixed }: Shift): number {
	const within = cycles * Math.floor((order - 1) / 2);
	return within + pairsOf(cycles) * order + cycles * fixed;
}

/**
 * Plans in which so many groups of a size could come without any pair twice, those first that leave most
 * free. With `still` sessions every group has a player of each cycle.
 */
export function plansWithoutRepeats(groups: number, size: number, sessions: number): BasePlan[] {
	const players = groups * size;
	const plans: (BasePlan & { room: number })[] = [];
	for (let order = 2; order <= Math.min(players, sessions + 3); order += 1)
		for (let cycles = Math.floor(players / order); cycles >= 1; cycles -= 1) {
			const fixed = players - order * cycles;
			if (fixed > groups) break;
			const mostStill = fixed === 0 && cycles === size ? order - 1 : 0;
			const bases = Math.ceil(Math.max(1, sessions - mostStill) / order);
			const still = Math.max(0, sessions - bases * order);
			if (bases > 4 || (still > 0 && !isPrime(order))) continue;
			if (fixed > 0 && bases * (size - 1) > cycles) continue;
			const needed = bases * groups * pairsOf(size) + still * pairsOf(size);
			const room = fullClasses({ order, cycles, fixed }) - needed;
			if (room < 0) continue;
			plans.push({ shift: { order, cycles, fixed }, bases, still, room: room / needed });
		}
	return plans.sort((a, b) => a.bases - b.bases || b.room - a.room);
}

const isPrime = (value: number) => {
	for (let k = 2; k * k <= value; k += 1) if (value % k === 0) return false;
	return value > 1;
};

/** Plans for groups of any sizes: a shift under which sessions come out alike, with several of its bases. */
export function plansOfAnySize(players: number, sessions: number): BasePlan[] {
	const plans: BasePlan[] = [];
	for (const order of [7, 5, 4, 3, 11, 6, 9, 13]) {
		const cycles = Math.floor(players / order);
		const bases = Math.ceil(sessions / order);
		if (cycles < 2 || sessions < order || bases * order > sessions + 1) continue;
		plans.push({ shift: { order, cycles, fixed: players - order * cycles }, bases, still: 0 });
	}
	return plans;
}

/** The group of a still session that has the first player of the first cycle: one of each cycle. */
export const stillGroup = ({ order }: Shift, size: number, session: number): number[] =>
	Array.from({ length: size }, (_, cycle) => cycle * order + ((session * cycle) % order));

/** Sessions of base sessions and still ones, all that there are. */
export function develop(
	{ shift, still }: BasePlan,
	bases: readonly (readonly (readonly number[])[])[],
	size: number
): number[][][] {
	const turns = Array.from({ length: shift.order }, (_, by) => by);
	const moved = (group: readonly number[], by: number) =>
		group.map((player) => shifted(shift, player, by));
	return [
		...bases.flatMap((base) => turns.map((by) => base.map((group) => moved(group, by)))),
		...Array.from({ length: still }, (_, session) =>
			turns.map((by) => moved(stillGroup(shift, size, session), by))
		)
	];
}
