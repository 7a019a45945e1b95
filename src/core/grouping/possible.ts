import type { Figures } from './division';
import type { Placing } from './placing';
import { SAME } from './score';

/** The most possible groups that are kept; with more, looking through all divisions takes too long. */
const MOST_SETS = 300_000;

/** An atom as a set of players in the bits of a number. */
interface Bits {
	players: number[];
	mask: number;
	/** What it may not be with. */
	apart: number;
	pin: number;
}

/** Groups that could be part of a division, as sets of players in the bits of a number, with their sums. */
export interface PossibleGroups {
	/** Players by bit: those of one atom lie side by side. */
	players: number[];
	masks: number[];
	sizes: number[];
	/** By set and skill. */
	sums: number[];
	/** By set and unit. */
	units: number[];
	/** Times met inside. */
	met: number[];
	/** The group that a set must be, or -1. */
	pins: number[];
	/** Sets by their lowest bit. */
	byFirst: number[][];
}

function bitCount(set: number): number {
	let count = 0;
	for (let rest = set; rest !== 0; rest &= rest - 1) count += 1;
	return count;
}

/** Atoms in the order of their bits; those pinned to one group are one, of different groups apart. */
function bitsOf({ atoms, apart, needs }: Placing): Bits[] {
	const merged = new Map<string, { players: number[]; pin: number; parts: number[] }>();
	for (const [index, { players, pin }] of atoms.entries()) {
		const key = pin >= 0 ? `pin ${pin}` : `atom ${index}`;
		const entry = merged.get(key) ?? { players: [], pin, parts: [] };
		entry.players.push(...players);
		entry.parts.push(index);
		merged.set(key, entry);
	}
	// Whoever every group needs comes first: a group is looked for by its first player.
	const needed = (players: readonly number[]) =>
		needs.reduce((sum, { isOne }) => sum + (players.some((player) => isOne[player]) ? 1 : 0), 0);
	const list = [...merged.values()].sort(
		(a, b) => b.players.length - a.players.length || needed(b.players) - needed(a.players)
	);
	const bitOf = new Map(list.flatMap(({ players }) => players).map((player, bit) => [player, bit]));
	const maskOf = (players: readonly number[]) =>
		players.reduce((mask, player) => mask | (1 << (bitOf.get(player) as number)), 0);
	const pinned = maskOf(list.flatMap(({ players, pin }) => (pin >= 0 ? players : [])));
	return list.map(({ players, pin, parts }) => {
		const mask = maskOf(players);
		const others = maskOf(
			parts.flatMap((part) => apart[part].flatMap((other) => atoms[other].players))
		);
		return { players, mask, pin, apart: pin >= 0 ? others | (pinned & ~mask) : others };
	});
}

/** Lists the groups that keep the rules and do not alone make the spread of skills larger than `most`. */
class Listing {
	private readonly bits: Bits[];
	private readonly width: number;
	/** Sums of ratings by atom, and of the atoms taken so far by how many there are. */
	private readonly own: Float64Array;
	private readonly stack: Float64Array;
	private readonly totals: Float64Array;
	private readonly needs: { min: number; mask: number; total: number }[];
	readonly found: PossibleGroups;

	constructor(
		private readonly figures: Figures,
		private readonly placing: Placing,
		private readonly leastSkill: readonly number[],
		private readonly most: number
	) {
		const width = figures.skills.length;
		this.width = width;
		this.bits = bitsOf(placing);
		this.own = new Float64Array(this.bits.length * width);
		this.stack = new Float64Array((this.bits.length + 1) * width);
		this.totals = new Float64Array(width);
		for (const [atom, { players }] of this.bits.entries())
			for (const player of players)
				for (let skill = 0; skill < width; skill += 1) {
					const rating = figures.ratings[player * width + skill];
					this.own[atom * width + skill] += rating;
					this.totals[skill] += rating;
				}
		const players = this.bits.flatMap((atom) => atom.players);
		this.needs = placing.needs.map(({ min, isOne }) => {
			const mask = players.reduce(
				(bits, player, bit) => (isOne[player] ? bits | (1 << bit) : bits),
				0
			);
			return { min, mask, total: bitCount(mask) };
		});
		this.found = {
			players,
			masks: [],
			sizes: [],
			sums: [],
			units: [],
			met: [],
			pins: [],
			byFirst: players.map(() => [])
		};
	}

	/** The spread of skills is at least the distance of this group's means from those of all others together. */
	private isNear(depth: number, size: number): boolean {
		const { width, stack, totals, leastSkill } = this;
		const rest = this.figures.count - size;
		if (rest === 0) return true;
		let sum = 0;
		for (let skill = 0, at = depth * width; skill < width; skill += 1, at += 1) {
			const gap = Math.abs(stack[at] / size - (totals[skill] - stack[at]) / rest);
			sum += gap > leastSkill[skill] ? gap : leastSkill[skill];
		}
		return sum <= this.most + SAME;
	}

	/** Whether a group has what each must have, and leaves enough of it for the others. */
	private hasNeeds(mask: number): boolean {
		const others = this.placing.sizes.length - 1;
		return this.needs.every(({ min, mask: ones, total }) => {
			const count = bitCount(mask & ones);
			return count >= min && total - count >= min * others;
		});
	}

	private metIn(mask: number): number {
		const { met, count } = this.figures;
		if (met.length === 0) return 0;
		const own = this.found.players.filter((_, bit) => mask & (1 << bit));
		let sum = 0;
		for (const [k, a] of own.entries()) for (const b of own.slice(k + 1)) sum += met[a * count + b];
		return sum;
	}

	/** Adds atoms from `next` on to a group until it has its size. False where there are too many groups. */
	private grow(
		at: { next: number; depth: number; mask: number; banned: number; pin: number },
		size: number,
		left: number
	): boolean {
		const { depth, mask, banned } = at;
		if (left === 0) {
			if (!this.isNear(depth, size) || !this.hasNeeds(mask)) return true;
			return this.keep(at, size);
		}
		const { width, stack, own } = this;
		let room = 0;
		for (let atom = at.next; atom < this.bits.length; atom += 1)
			room += this.bits[atom].players.length;
		for (let atom = at.next; atom < this.bits.length && room >= left; atom += 1) {
			const { players, mask: bits, apart, pin } = this.bits[atom];
			room -= players.length;
			if (players.length > left || (bits & banned) !== 0) continue;
			if (pin >= 0 && this.placing.sizes[pin] !== size) continue;
			for (let skill = 0; skill < width; skill += 1)
				stack[(depth + 1) * width + skill] =
					stack[depth * width + skill] + own[atom * width + skill];
			const next = {
				next: atom + 1,
				depth: depth + 1,
				mask: mask | bits,
				banned: banned | apart,
				pin: pin >= 0 ? pin : at.pin
			};
			if (!this.grow(next, size, left - players.length)) return false;
		}
		return true;
	}

	private keep(
		{ mask, pin, depth }: { mask: number; pin: number; depth: number },
		size: number
	): boolean {
		const { found, width } = this;
		if (found.masks.length >= MOST_SETS) return false;
		found.byFirst[31 - Math.clz32(mask & -mask)].push(found.masks.length);
		found.masks.push(mask);
		found.sizes.push(size);
		found.pins.push(pin);
		found.met.push(this.metIn(mask));
		for (let skill = 0; skill < width; skill += 1)
			found.sums.push(this.stack[depth * width + skill]);
		const units = new Array<number>(this.figures.units).fill(0);
		for (let bit = 0; bit < found.players.length; bit += 1) {
			const unit = mask & (1 << bit) ? this.figures.unitOf[found.players[bit]] : -1;
			if (unit >= 0) units[unit] += 1;
		}
		for (const count of units) found.units.push(count);
		return true;
	}

	run(): boolean {
		const { sizes } = this.placing;
		return [...new Set(sizes)].every((size) =>
			this.grow({ next: 0, depth: 0, mask: 0, banned: 0, pin: -1 }, size, size)
		);
	}
}

/**
 * Groups of these players that keep the rules and whose means alone do not make the spread of skills
 * larger than `most`; null where they are too many to go through. For at most 30 players.
 */
export function possibleGroups(
	figures: Figures,
	placing: Placing,
	{ leastSkill, most }: { leastSkill: readonly number[]; most: number }
): PossibleGroups | null {
	const listing = new Listing(figures, placing, leastSkill, most);
	return listing.run() ? listing.found : null;
}
