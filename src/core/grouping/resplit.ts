import type { Division, Figures } from './division';
import type { Placing } from './placing';
import { SAME } from './score';

/** Atoms of each of two groups that are dealt anew: 924 ways for six and six players. */
const DEALT = 6;

/** An atom that may change between two groups, by its place among those that may. */
interface Dealt {
	atom: number;
	size: number;
	isInFirst: boolean;
	/** Others that it may not be with, as bits. */
	apart: number;
	/** It may not be with those who stay in the first or in the second group. */
	notFirst: boolean;
	notSecond: boolean;
	/** How many of each need it is. */
	needs: number[];
}

/**
 * Deals some players of two groups anew in the best of all ways, by the spread of skills and then of
 * units: many exchanges at once, for groups that are even already but for the last bit. For players whose
 * ratings are all there.
 */
export class Resplit {
	private readonly width: number;
	private readonly atomSums: Float64Array;
	private readonly atomNeeds: number[][];
	private dealt: Dealt[] = [];
	/** Extremes of the means of the other groups, and what both groups have together, by skill. */
	private readonly low: Float64Array;
	private readonly high: Float64Array;
	private readonly both: Float64Array;
	private readonly first: Float64Array;
	/** Players in the atoms from each place on. */
	private readonly sizesFrom = new Int32Array(2 * DEALT + 1);
	/** How many of each need those who stay give to the first and to the second group. */
	private stay: [number, number][] = [];
	private firstSize = 0;
	private secondSize = 0;
	private bestMask = 0;
	private bestSum = 0;
	private bestUnits = 0;
	private ties = 0;
	private readonly unitFirst: Int32Array;
	private readonly unitStay: Int32Array;
	private readonly unitBoth: Int32Array;
	private readonly unitLow: Int32Array;
	private readonly unitHigh: Int32Array;
	private looksAtUnits = false;

	constructor(
		private readonly figures: Figures,
		private readonly placing: Placing,
		private readonly random: () => number
	) {
		const width = figures.skills.length;
		this.width = width;
		this.atomSums = new Float64Array(placing.atoms.length * width);
		for (const [atom, { players }] of placing.atoms.entries())
			for (const player of players)
				for (let skill = 0; skill < width; skill += 1)
					this.atomSums[atom * width + skill] += figures.ratings[player * width + skill];
		this.atomNeeds = placing.atoms.map(({ players }) =>
			placing.needs.map(({ isOne }) => players.filter((player) => isOne[player]).length)
		);
		this.unitFirst = new Int32Array(figures.units);
		this.unitStay = new Int32Array(figures.units);
		this.unitBoth = new Int32Array(figures.units);
		this.unitLow = new Int32Array(figures.units);
		this.unitHigh = new Int32Array(figures.units);
		this.low = new Float64Array(width);
		this.high = new Float64Array(width);
		this.both = new Float64Array(width);
		this.first = new Float64Array(width * (2 * DEALT + 1));
	}

	/** Atoms of a group in random order. */
	private someOf(division: Division, group: number): number[] {
		const atoms: number[] = [];
		for (const [atom, { players, pin }] of this.placing.atoms.entries())
			if (pin < 0 && division.groupOf[players[0]] === group) atoms.push(atom);
		for (let k = 0; k < Math.min(DEALT, atoms.length); k += 1) {
			const other = k + Math.floor(this.random() * (atoms.length - k));
			[atoms[k], atoms[other]] = [atoms[other], atoms[k]];
		}
		return atoms.slice(0, DEALT);
	}

	/**
	 * Deals players of two groups anew; what comes is never worse than what was. Gives whether anybody
	 * moved. Units break ties where `looksAtUnits`.
	 */
	run(division: Division, [g, h]: readonly [number, number], looksAtUnits: boolean): boolean {
		this.looksAtUnits = looksAtUnits;
		const { atoms, apart } = this.placing;
		const chosen = [...this.someOf(division, g), ...this.someOf(division, h)];
		const placeOf = new Map(chosen.map((atom, place) => [atom, place]));
		const groupOf = (atom: number) => division.groupOf[atoms[atom].players[0]];
		this.dealt = chosen.map((atom): Dealt => {
			const fixed = apart[atom].filter((other) => !placeOf.has(other)).map(groupOf);
			return {
				atom,
				size: atoms[atom].players.length,
				isInFirst: groupOf(atom) === g,
				apart: apart[atom].reduce((bits, other) => {
					const place = placeOf.get(other);
					return place === undefined ? bits : bits | (1 << place);
				}, 0),
				notFirst: fixed.includes(g),
				notSecond: fixed.includes(h),
				needs: this.atomNeeds[atom]
			};
		});
		this.measure(division, g, h);
		if (looksAtUnits) this.countUnits(division, g, h);
		const mask = this.dealt.reduce(
			(bits, { isInFirst }, place) => (isInFirst ? bits | (1 << place) : bits),
			0
		);
		this.bestMask = mask;
		this.bestSum = Infinity;
		this.bestUnits = Infinity;
		this.ties = 0;
		let room = 0;
		for (const { size, isInFirst } of this.dealt) if (isInFirst) room += size;
		this.sizesFrom[this.dealt.length] = 0;
		for (let place = this.dealt.length - 1; place >= 0; place -= 1)
			this.sizesFrom[place] = this.sizesFrom[place + 1] + this.dealt[place].size;
		this.deal(0, 0, room);
		if (this.bestMask === mask) return false;
		for (const [place, { atom, isInFirst }] of this.dealt.entries()) {
			const toFirst = (this.bestMask & (1 << place)) !== 0;
			if (toFirst === isInFirst) continue;
			for (const player of atoms[atom].players) division.move(player, toFirst ? g : h);
		}
		return true;
	}

	private measure(division: Division, g: number, h: number): void {
		const { width, first } = this;
		const chosen = new Set(this.dealt.map(({ atom }) => atom));
		this.stay = this.placing.needs.map(() => [0, 0]);
		for (const [atom, { players }] of this.placing.atoms.entries()) {
			const group = division.groupOf[players[0]];
			if ((group !== g && group !== h) || chosen.has(atom)) continue;
			for (const [need, count] of this.atomNeeds[atom].entries())
				this.stay[need][group === g ? 0 : 1] += count;
		}
		this.firstSize = this.placing.sizes[g];
		this.secondSize = this.placing.sizes[h];
		for (let skill = 0; skill < width; skill += 1) {
			let [low, high] = [Infinity, -Infinity];
			for (let group = 0; group < division.groups; group += 1) {
				if (group === g || group === h) continue;
				const mean = division.mean(skill, group);
				if (mean < low) low = mean;
				if (mean > high) high = mean;
			}
			this.low[skill] = low;
			this.high[skill] = high;
			const own = division.mean(skill, g) * this.firstSize;
			this.both[skill] = own + division.mean(skill, h) * this.secondSize;
			first[skill] = own;
			for (const { atom, isInFirst } of this.dealt)
				if (isInFirst) first[skill] -= this.atomSums[atom * width + skill];
		}
	}

	/** Puts the atom at `place` and those behind it into the first group, with `room` left there, or the second. */
	private deal(place: number, mask: number, room: number): void {
		if (room > this.sizesFrom[place]) return;
		if (place === this.dealt.length) {
			if (room === 0) this.judge(mask);
			return;
		}
		const { atom, size, apart, notFirst, notSecond } = this.dealt[place];
		const { width, first, atomSums } = this;
		const before = (1 << place) - 1;
		const from = place * width;
		if (size <= room && !notFirst && (mask & apart & before) === 0) {
			for (let skill = 0; skill < width; skill += 1)
				first[from + width + skill] = first[from + skill] + atomSums[atom * width + skill];
			this.deal(place + 1, mask | (1 << place), room - size);
		}
		if (!notSecond && (~mask & apart & before) === 0) {
			for (let skill = 0; skill < width; skill += 1)
				first[from + width + skill] = first[from + skill];
			this.deal(place + 1, mask, room);
		}
	}

	/** Keeps a way of dealing where it is the best so far; of equal ones each is kept as likely. */
	private judge(mask: number): void {
		const { width, first, both, low, high, firstSize, secondSize } = this;
		let sum = 0;
		const at = this.dealt.length * width;
		for (let skill = 0; skill < width; skill += 1) {
			const own = first[at + skill] / firstSize;
			const other = (both[skill] - first[at + skill]) / secondSize;
			let [least, most] = own < other ? [own, other] : [other, own];
			if (low[skill] < least) least = low[skill];
			if (high[skill] > most) most = high[skill];
			sum += most - least;
		}
		if (sum > this.bestSum + SAME) return;
		if (!this.keepsNeeds(mask)) return;
		const units = this.looksAtUnits ? this.unitSpread(mask) : 0;
		const isEqual = sum >= this.bestSum - SAME;
		if (isEqual && units > this.bestUnits) return;
		if (!isEqual || units < this.bestUnits) this.ties = 0;
		if (!isEqual) this.bestSum = sum;
		this.bestUnits = units;
		this.ties += 1;
		if (this.random() * this.ties < 1) this.bestMask = mask;
	}

	/** Sum over units of the most in a group less the fewest. */
	private unitSpread(mask: number): number {
		const { units, unitOf } = this.figures;
		const { unitFirst, unitBoth, unitLow, unitHigh } = this;
		unitFirst.set(this.unitStay);
		for (let place = 0; place < this.dealt.length; place += 1) {
			if ((mask & (1 << place)) === 0) continue;
			for (const player of this.placing.atoms[this.dealt[place].atom].players)
				if (unitOf[player] >= 0) unitFirst[unitOf[player]] += 1;
		}
		let sum = 0;
		for (let unit = 0; unit < units; unit += 1) {
			const own = unitFirst[unit];
			const other = unitBoth[unit] - own;
			sum += Math.max(own, other, unitHigh[unit]) - Math.min(own, other, unitLow[unit]);
		}
		return sum;
	}

	/** Counts units of both groups together, of those who stay in the first, and their extremes elsewhere. */
	private countUnits(division: Division, g: number, h: number): void {
		const { units, unitOf } = this.figures;
		this.unitStay.fill(0);
		for (let unit = 0; unit < units; unit += 1) {
			this.unitBoth[unit] = division.unitCount(unit, g) + division.unitCount(unit, h);
			this.unitStay[unit] = division.unitCount(unit, g);
			let [low, high] = [2 ** 30, 0];
			for (let group = 0; group < division.groups; group += 1) {
				if (group === g || group === h) continue;
				low = Math.min(low, division.unitCount(unit, group));
				high = Math.max(high, division.unitCount(unit, group));
			}
			this.unitLow[unit] = low;
			this.unitHigh[unit] = high;
		}
		for (const { atom, isInFirst } of this.dealt)
			for (const player of this.placing.atoms[atom].players)
				if (isInFirst && unitOf[player] >= 0) this.unitStay[unitOf[player]] -= 1;
	}

	private keepsNeeds(mask: number): boolean {
		for (const [need, { min }] of this.placing.needs.entries()) {
			let [first, second] = this.stay[need];
			for (let place = 0; place < this.dealt.length; place += 1) {
				if (mask & (1 << place)) first += this.dealt[place].needs[need];
				else second += this.dealt[place].needs[need];
			}
			if (first < min || second < min) return false;
		}
		return true;
	}
}
