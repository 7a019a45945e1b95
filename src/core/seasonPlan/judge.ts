import { Rules } from './rules';
import type { Briefs, Item, Task } from './task';

/** Days that a skill may rest: these at first, each time longer by the factor, up to the most. */
const SPACING = { firstDays: 4, growth: 1.5, mostDays: 28 };

/** What is bad about a plan, in weighted minutes under target. A plan that is there already changes only for something. */
const COST = {
	/** A drill more than a practice has room for: few that last are better than many that do not. */
	drill: 0.6,
	/** A minute that nothing fills. */
	open: 0.6,
	/** A day that a skill rests for longer than it may. */
	gap: 0.2,
	/** A week that costs twice as much over the limit as the weeks before. */
	jump: 6,
	/** Minutes of a drill that the practice before has too. */
	same: 0.04,
	/** A drill that came or went. */
	change: 0.8,
	/** Minutes of a drill that changed. */
	moved: 0.01
};

/** A practice has room for about a drill in so many minutes. */
const DRILL_MINUTES = 11;

/** What a plan is worth. */
export interface Worth {
	/** Weighted minutes under target. */
	short: number;
	/** Targets that are met. */
	met: number;
	/** Days over the spacing, of all skills. */
	over: number;
	longestGap: number;
	changes: number;
	cost: number;
}

/** Minutes of a drill on a rung that a practice gets more, or fewer. */
export interface Change {
	place: number;
	drill: number;
	at: number;
	minutes: number;
}

/** A target is met where no more than this is missing, in minutes. */
const MET = 0.5;

/** Judges plans: what they are worth, where they keep the rules. */
export class Judge {
	readonly rules: Rules;
	/** Minutes by slot and line, added up from the first slot. */
	private readonly given: Float64Array;
	private readonly lastMain: Int32Array;
	private readonly times: Int16Array;
	private readonly loads: Float64Array;
	private readonly firstWeek: number;
	/** Minutes that each ask was given, in the plan that was judged last. */
	readonly got: Float64Array;
	/** Asks that hold in each practice. */
	private readonly asksAt: Int32Array[];
	private readonly more: Float64Array;

	constructor(private readonly task: Task) {
		const { slots, lines, held } = task;
		this.rules = new Rules(task);
		this.given = new Float64Array((slots.length + 1) * lines.length);
		this.lastMain = new Int32Array(lines.length);
		this.times = new Int16Array(lines.length);
		const weeks = [...held.map(({ day }) => Math.floor(day / 7)), ...slots.map(({ week }) => week)];
		this.firstWeek = Math.min(0, ...weeks);
		this.loads = new Float64Array(Math.max(0, ...weeks) - this.firstWeek + 1);
		this.got = new Float64Array(task.asks.length);
		this.more = new Float64Array(task.asks.length);
		this.asksAt = slots.map((_, place) =>
			Int32Array.from(
				task.asks.flatMap(({ from, to }, ask) => (from <= place && place <= to ? ask : []))
			)
		);
	}

	/** About how many more weighted minutes would be under target, beside what `got` says, with some changes. */
	moreShort(got: Float64Array, changes: readonly Change[]): number {
		const { asks, ladders } = this.task;
		const { more } = this;
		for (const { place, drill, at, minutes } of changes) {
			const { gives } = ladders[drill].variants[at];
			for (const ask of this.asksAt[place]) more[ask] += gives[asks[ask].line] * minutes;
		}
		let short = 0;
		for (const { place } of changes)
			for (const ask of this.asksAt[place]) {
				if (more[ask] === 0) continue;
				const { minutes, weight } = asks[ask];
				const before = Math.max(0, minutes - got[ask]);
				short += weight * (Math.max(0, minutes - got[ask] - more[ask]) - before);
				more[ask] = 0;
			}
		return short;
	}

	/** The cost of a plan; Infinity where it breaks a rule. */
	cost(briefs: Briefs): number {
		return this.rules.isSound(briefs) ? this.worth(briefs).cost : Infinity;
	}

	/** What a plan is worth whose rungs are set. */
	worth(briefs: Briefs): Worth {
		const { slots, lines, asks } = this.task;
		const count = lines.length;
		const { given } = this;
		let [open, same, changes, moved, drills] = [0, 0, 0, 0, 0];
		for (let place = 0; place < slots.length; place += 1) {
			const slot = slots[place];
			const [row, next] = [place * count, (place + 1) * count];
			for (let line = 0; line < count; line += 1)
				given[next + line] = given[row + line] + slot.gives[line];
			let left = slot.minutes;
			for (const item of briefs[place]) {
				const { gives } = this.task.ladders[item.drill].variants[item.at];
				for (let line = 0; line < count; line += 1)
					given[next + line] += gives[line] * item.minutes;
				left -= item.minutes;
			}
			drills += Math.max(0, briefs[place].length - Math.ceil(slot.minutes / DRILL_MINUTES));
			if (!slot.isOff && left > 0) open += left;
			if (place > 0) same += this.sameIn(briefs[place - 1], briefs[place]);
			if (!slot.before) continue;
			for (const item of briefs[place]) {
				const was = slot.before.find(({ drill }) => drill === item.drill);
				if (was) moved += Math.abs(was.minutes - item.minutes);
				else changes += 1;
			}
			for (const { drill } of slot.before)
				if (!briefs[place].some((item) => item.drill === drill)) changes += 1;
		}
		let [short, met] = [0, 0];
		for (const [ask, { line, from, to, minutes, weight }] of asks.entries()) {
			const got = to < from ? 0 : given[(to + 1) * count + line] - given[from * count + line];
			this.got[ask] = got;
			if (got < minutes) short += weight * (minutes - got);
			if (got >= minutes - MET) met += 1;
		}
		const { over, longest } = this.gaps(briefs);
		const cost =
			short +
			COST.drill * drills +
			COST.open * open +
			COST.gap * over +
			COST.jump * this.jumps() +
			COST.same * same +
			COST.change * changes +
			COST.moved * moved;
		return { short, met, over, longestGap: longest, changes, cost };
	}

	private sameIn(before: readonly Item[], now: readonly Item[]): number {
		let same = 0;
		for (const a of now)
			for (const b of before)
				if (a.drill === b.drill && !this.task.ladders[a.drill].isDaily)
					same += Math.min(a.minutes, b.minutes);
		return same;
	}

	/** Days that skills rest: over what they may, all together, and the longest. */
	private gaps(briefs: Briefs): { over: number; longest: number } {
		const { slots, lines, ladders } = this.task;
		const { lastMain, times } = this;
		let [over, longest] = [0, 0];
		for (let line = 0; line < lines.length; line += 1) {
			const { last, begun } = lines[line];
			lastMain[line] = last ?? Math.max(0, begun ?? 0);
			times[line] = lines[line].times;
		}
		const count = (line: number, day: number) => {
			const { begun, ends } = lines[line];
			if (begun === null) return;
			const gap = Math.min(day, ends) - Math.max(lastMain[line], Math.min(begun, 0));
			const { firstDays, growth, mostDays } = SPACING;
			const may = Math.min(mostDays, firstDays * growth ** Math.max(0, times[line] - 1));
			if (gap > may) over += gap - may;
			if (gap > longest) longest = gap;
		};
		for (let place = 0; place < slots.length; place += 1)
			for (const { drill, at } of briefs[place])
				for (const line of ladders[drill].variants[at].mains) {
					const { day } = slots[place];
					if (lastMain[line] === day && times[line] > 0) continue;
					count(line, day);
					lastMain[line] = day;
					times[line] += 1;
				}
		const end = slots.length > 0 ? slots[slots.length - 1].day : 0;
		for (let line = 0; line < lines.length; line += 1) count(line, end);
		return { over, longest };
	}

	/** By how much weeks cost more than they may against the mean of the four before. */
	private jumps(): number {
		const { slots, held, limits } = this.task;
		const { loads, firstWeek } = this;
		const { effort } = this.rules;
		loads.fill(0);
		for (const { day, load } of held) loads[Math.floor(day / 7) - firstWeek] += load;
		for (let place = 0; place < slots.length; place += 1)
			loads[slots[place].week - firstWeek] += effort[place];
		let jumps = 0;
		for (let week = 1; week < loads.length; week += 1) {
			const from = Math.max(0, week - 4);
			let before = 0;
			for (let k = from; k < week; k += 1) before += loads[k];
			const mean = before / (week - from);
			if (mean > 0 && loads[week] / mean > limits.loadJump)
				jumps += Math.min(3, loads[week] / mean - limits.loadJump);
		}
		return jumps;
	}
}
