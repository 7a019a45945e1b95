/** Days that something may rest: these at first, each time longer by the factor, up to the most. */
const SPACING = { firstDays: 4, growth: 1.5, mostDays: 28 };

/** Days that something may rest that has come so often. */
const mayRest = (times: number): number =>
	Math.min(SPACING.mostDays, SPACING.firstDays * SPACING.growth ** Math.max(0, times - 1));

/** Something that is to come again. Days are counted from today. */
export interface Recurrence {
	/** When it came last, or is asked for first, and how often it has come. */
	last: number;
	times: number;
	/** Its rest counts from a day to a day. */
	from: number;
	ends: number;
	/** It is asked for; what is not has a rest once it has come. */
	isAsked: boolean;
}

/** Counts the days for which some things rest, from what stands to the end of a plan; each by its place. */
export class Rests {
	private readonly last: Int32Array;
	private readonly times: Int16Array;
	/** Days over what each may rest, all together, and the longest rest. */
	over = 0;
	longest = 0;

	constructor(private readonly things: readonly (Recurrence | null)[]) {
		this.last = new Int32Array(things.length);
		this.times = new Int16Array(things.length);
	}

	/** Begins anew. */
	restart(): void {
		[this.over, this.longest] = [0, 0];
		for (let k = 0; k < this.things.length; k += 1) {
			this.last[k] = this.things[k]?.last ?? 0;
			this.times[k] = this.things[k]?.times ?? 0;
		}
	}

	/** One of them comes on a day, no earlier than those before. */
	come(k: number, day: number): void {
		if (this.times[k] > 0 && this.last[k] === day) return;
		this.count(k, day);
		this.last[k] = day;
		this.times[k] += 1;
	}

	/** The plan ends on a day. */
	end(day: number): void {
		for (let k = 0; k < this.things.length; k += 1) this.count(k, day);
	}

	private count(k: number, day: number): void {
		const thing = this.things[k];
		if (!thing || (this.times[k] === 0 && !thing.isAsked)) return;
		const rest = Math.min(day, thing.ends) - Math.max(this.last[k], thing.from);
		const may = mayRest(this.times[k]);
		if (rest > may) this.over += rest - may;
		if (rest > this.longest) this.longest = rest;
	}
}
