import { least, greatest } from 'd3-array';
import type { Need } from './demand';

/** Who of those in some parts counts for what. */
export interface Who {
	/** Whether somebody comes at all: others keep their place and count for nothing. */
	comes: (id: string) => boolean;
	/** Whether somebody is there from the start. */
	isThere: (id: string) => boolean;
	/** Whether somebody plays a role. */
	plays: (id: string, role: string) => boolean;
	/** Who is moved last: those who lead a group. */
	leads: (id: string) => boolean;
}

/** How many of a part count. */
const countOf = (part: readonly string[], counts: (id: string) => boolean) =>
	part.filter(counts).length;

/** Parts while players are moved between them. */
class Parts {
	readonly parts: string[][];
	moved = 0;

	constructor(
		parts: readonly (readonly string[])[],
		private readonly need: Need,
		private readonly who: Who
	) {
		this.parts = parts.map((part) => [...part]);
	}

	private there = (part: readonly string[]) => countOf(part, this.who.isThere);
	private coming = (part: readonly string[]) => countOf(part, this.who.comes);
	private comesLater = (id: string) => this.who.comes(id) && !this.who.isThere(id);
	private playing = (part: readonly string[], role: string) =>
		countOf(part, (id) => this.who.isThere(id) && this.who.plays(id, role));

	/** Whether a part does without somebody: the role that they play has others. */
	private isSpare(part: readonly string[], id: string): boolean {
		return this.need.roles.every(
			({ role, count }) => !this.who.plays(id, role) || this.playing(part, role) > count
		);
	}

	/** Puts players into the parts that have the fewest; false where one finds no room. */
	join(players: readonly string[]): boolean {
		return players.every((id) => {
			const open = this.parts.filter((part) => this.coming(part) < this.need.max);
			const part = least(open, this.coming);
			part?.push(id);
			return part !== undefined;
		});
	}

	private move(from: string[], to: string[], counts: (id: string) => boolean): boolean {
		const free = from.filter((id) => counts(id) && this.isSpare(from, id));
		const id = free.findLast((each) => !this.who.leads(each)) ?? free.at(-1);
		if (id === undefined) return false;
		from.splice(from.indexOf(id), 1);
		to.push(id);
		this.moved += 1;
		return true;
	}

	/** Fills parts that are too small from the largest ones. */
	fill(): boolean {
		for (;;) {
			const short = this.parts.find((part) => this.there(part) < this.need.min);
			if (!short) return true;
			const rich = this.parts.filter((part) => this.there(part) > this.need.min);
			const from = greatest(rich, this.there);
			if (!from || !this.move(from, short, this.who.isThere)) return false;
			// A part that is full with those who come later gives one of them back.
			const isFull = this.coming(short) > this.need.max;
			if (isFull && !this.move(short, from, this.comesLater)) return false;
		}
	}

	/** Takes from parts that are too large. */
	relieve(): boolean {
		for (;;) {
			const full = this.parts.find((part) => this.coming(part) > this.need.max);
			if (!full) return true;
			const open = this.parts.filter((part) => this.coming(part) < this.need.max);
			const to = least(open, this.coming);
			if (!to || !this.move(full, to, this.who.comes)) return false;
		}
	}

	/** Gives each part those whom it cannot do without, in exchange for others. */
	cast(): boolean {
		return this.need.roles.every(({ role, count }) => {
			for (;;) {
				const short = this.parts.find((part) => this.playing(part, role) < count);
				if (!short) return true;
				const rich = this.parts.find((part) => this.playing(part, role) > count);
				const give = rich?.findLast((id) => this.who.isThere(id) && this.who.plays(id, role));
				const take = short.findLast(
					(id) => this.who.isThere(id) && !this.who.plays(id, role) && this.isSpare(short, id)
				);
				if (!rich || give === undefined || take === undefined) return false;
				rich.splice(rich.indexOf(give), 1, take);
				short.splice(short.indexOf(take), 1, give);
				this.moved += 2;
			}
		});
	}
}

/**
 * Parts that each have what they need, with the fewest players moved, and how many these are; who is
 * `joining` comes in beside. Null where these parts cannot have it.
 */
export function evened(
	parts: readonly (readonly string[])[],
	{ joining, need, who }: { joining: readonly string[]; need: Need; who: Who }
): { parts: string[][]; moved: number } | null {
	if (parts.length === 0) return null;
	const made = new Parts(parts, need, who);
	const isWhole = made.join(joining) && made.relieve() && made.fill() && made.cast();
	return isWhole ? { parts: made.parts, moved: made.moved } : null;
}

/** Parts of which some are gone: which are left, who is in them, how many players were moved. */
export interface Shrunk {
	/** Index of each part that is left. */
	kept: number[];
	parts: string[][];
	moved: number;
}

/**
 * The division with the fewest players moved, of as many parts as there are or fewer; of equal ones that with
 * more parts. Parts go in the order of `goes`, else the smallest first. Null where no number of parts will do.
 */
export function shrunk(
	parts: readonly (readonly string[])[],
	{
		joining,
		need,
		who,
		most,
		fewest = 1,
		goes = () => 0
	}: {
		joining: readonly string[];
		/** What each of so many parts needs. */
		need: (parts: number) => Need;
		who: Who;
		/** The most parts that may be left. */
		most: number;
		fewest?: number;
		/** Which parts go first: those with the lowest figure. */
		goes?: (index: number) => number;
	}
): Shrunk | null {
	const size = (index: number) => countOf(parts[index], who.comes);
	const order = [...parts.keys()].sort((a, b) => goes(a) - goes(b) || size(a) - size(b));
	let best: Shrunk | null = null;
	for (let left = Math.min(parts.length, most); left >= fewest; left -= 1) {
		const gone = new Set(order.slice(0, parts.length - left));
		const kept = [...parts.keys()].filter((index) => !gone.has(index));
		const homeless = [...gone].flatMap((index) => parts[index].filter(who.comes));
		const made = evened(
			kept.map((index) => parts[index]),
			{ joining: [...homeless, ...joining], need: need(left), who }
		);
		if (!made) continue;
		const moved = made.moved + homeless.length;
		if (!best || moved < best.moved) best = { kept, parts: made.parts, moved };
		if (moved === 0) break;
	}
	return best;
}
