import type { HardRule } from './readGroups';

/** Players who stay together, as one: placed, swapped and pinned as a whole. */
export interface Atom {
	players: number[];
	/** The only group that it may be in, or -1. */
	pin: number;
}

/** Rules in the form that search works on. */
export interface Placing {
	sizes: readonly number[];
	atoms: Atom[];
	/** By atom: atoms that may not share its group. */
	apart: number[][];
	/** What each group must have: how many of these players at least. */
	needs: { min: number; isOne: Uint8Array }[];
}

/** Union of the players of `together` rules; each player is in one list. */
function unite(count: number, rules: readonly HardRule[]): number[][] {
	const parent = Array.from({ length: count }, (_, player) => player);
	const find = (player: number): number =>
		parent[player] === player ? player : (parent[player] = find(parent[player]));
	for (const rule of rules)
		if (rule.kind === 'together')
			for (const player of rule.players) parent[find(player)] = find(rule.players[0]);
	const lists = new Map<number, number[]>();
	for (let player = 0; player < count; player += 1) {
		const root = find(player);
		const list = lists.get(root);
		if (list) list.push(player);
		else lists.set(root, [player]);
	}
	return [...lists.values()];
}

/** The rules as a placing; null where they contradict each other on one atom. */
export function placingOf(
	count: number,
	sizes: readonly number[],
	rules: readonly HardRule[]
): Placing | null {
	const atoms = unite(count, rules).map((players): Atom => ({ players, pin: -1 }));
	const atomOf = new Int32Array(count);
	for (const [index, { players }] of atoms.entries())
		for (const player of players) atomOf[player] = index;
	const apart: number[][] = atoms.map(() => []);
	const needs: Placing['needs'] = [];
	for (const rule of rules)
		if (rule.kind === 'pin') {
			const atom = atoms[atomOf[rule.player]];
			if (atom.pin >= 0 && atom.pin !== rule.group) return null;
			atom.pin = rule.group;
		} else if (rule.kind === 'apart') {
			const [a, b] = rule.players.map((player) => atomOf[player]);
			if (a === b) return null;
			if (!apart[a].includes(b)) {
				apart[a].push(b);
				apart[b].push(a);
			}
		} else if (rule.kind === 'has' && rule.min > 0) {
			const isOne = new Uint8Array(count);
			for (const player of rule.players) isOne[player] = 1;
			needs.push({ min: rule.min, isOne });
		}
	return { sizes, atoms, apart, needs };
}

/** Steps of the search for a first division, after which it is given up. */
const MOST_STEPS = 200_000;

/** Looks for a division that keeps all rules, atom by atom with the tightest first. */
class Filling {
	readonly at: Int32Array;
	private readonly room: number[];
	private readonly has: number[][];
	private readonly left: number[];
	private readonly counts: number[][];
	private readonly order: number[];
	private readonly pinned: ReadonlySet<number>;
	private steps = 0;

	constructor(
		private readonly placing: Placing,
		/** Varies which of equal groups is tried first. */
		private readonly shift: (groups: number) => number
	) {
		const { atoms, apart, needs, sizes } = placing;
		this.at = new Int32Array(atoms.length).fill(-1);
		this.room = [...sizes];
		this.has = sizes.map(() => needs.map(() => 0));
		this.counts = atoms.map(({ players }) =>
			needs.map(({ isOne }) => players.filter((player) => isOne[player]).length)
		);
		this.left = needs.map((_, need) => this.counts.reduce((sum, count) => sum + count[need], 0));
		this.pinned = new Set(atoms.map(({ pin }) => pin));
		const weight = (atom: number) =>
			(atoms[atom].pin >= 0 ? 1e6 : 0) +
			atoms[atom].players.length * 100 +
			apart[atom].length * 10 +
			this.counts[atom].reduce((sum, count) => sum + (count > 0 ? 5 : 0), 0);
		this.order = atoms.map((_, atom) => atom).sort((a, b) => weight(b) - weight(a) || a - b);
	}

	/** Whether what each group still lacks can come from who is left, and fits into its room. */
	private isOpen(): boolean {
		const { needs } = this.placing;
		for (let need = 0; need < needs.length; need += 1) {
			let lacking = 0;
			for (let group = 0; group < this.room.length; group += 1) {
				const lacks = Math.max(0, needs[need].min - this.has[group][need]);
				if (lacks > this.room[group]) return false;
				lacking += lacks;
			}
			if (lacking > this.left[need]) return false;
		}
		return true;
	}

	private put(atom: number, group: number, sign: 1 | -1): void {
		this.room[group] -= sign * this.placing.atoms[atom].players.length;
		const counts = this.counts[atom];
		for (let need = 0; need < counts.length; need += 1) {
			this.has[group][need] += sign * counts[need];
			this.left[need] -= sign * counts[need];
		}
		this.at[atom] = sign > 0 ? group : -1;
	}

	/** Groups that an atom may go to, those that need it most and have the most room first. */
	private choices(atom: number): number[] {
		const { atoms, apart, sizes, needs } = this.placing;
		const { players, pin } = atoms[atom];
		const taken = new Set(apart[atom].map((other) => this.at[other]));
		const groups = pin >= 0 ? [pin] : sizes.map((_, group) => group);
		const start = this.shift(sizes.length);
		const lacks = (group: number) =>
			this.counts[atom].reduce(
				(sum, count, need) => sum + (count > 0 && this.has[group][need] < needs[need].min ? 1 : 0),
				0
			);
		const place = (group: number) => (group + start) % sizes.length;
		return groups
			.filter((group) => this.room[group] >= players.length && !taken.has(group))
			.sort((a, b) => lacks(b) - lacks(a) || this.room[b] - this.room[a] || place(a) - place(b));
	}

	/** Places the atoms from `place` on; false where there is no way, null where it was given up. */
	run(place = 0): boolean | null {
		if (place === this.order.length) return true;
		const atom = this.order[place];
		const tried = new Set<number>();
		for (const group of this.choices(atom)) {
			if ((this.steps += 1) > MOST_STEPS) return null;
			// Empty groups of one size are the same while nobody is pinned to one of them.
			const isFresh = this.room[group] === this.placing.sizes[group] && !this.pinned.has(group);
			if (isFresh && tried.has(this.room[group])) continue;
			if (isFresh) tried.add(this.room[group]);
			this.put(atom, group, 1);
			const outcome = this.isOpen() ? this.run(place + 1) : false;
			if (outcome !== false) return outcome;
			this.put(atom, group, -1);
		}
		return false;
	}
}

/**
 * A division that keeps all rules, as the group of each atom; false where there is none, null where
 * none was found within a fixed number of steps.
 */
export function fill(
	placing: Placing,
	shift: (groups: number) => number = () => 0
): Int32Array | false | null {
	const filling = new Filling(placing, shift);
	const outcome = filling.run();
	return outcome === true ? filling.at : outcome;
}
