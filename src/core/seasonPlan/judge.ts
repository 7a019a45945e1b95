import { LEAST_MINUTES } from './minutes';
import { Rests } from './rests';
import { Rules } from './rules';
import type { Briefs, Item, Slot, Task } from './task';

/** What is bad about a plan, in weighted minutes under target. A plan that is there already changes only for something. */
const COST = {
	/** A drill more than a practice has room for: few that last are better than many that do not. */
	drill: 0.6,
	/** A minute that nothing fills; in a week of taper a practice may end sooner. */
	open: 0.6,
	openInTaper: 0.3,
	/** A point of effort above the easy ones for a minute in a week of taper. */
	effortInTaper: 0.1,
	/** A day that a skill rests for longer than it may. */
	gap: 0.2,
	/** A week that costs twice as much over the limit as the weeks before. */
	jump: 6,
	/** Minutes of a drill that one of the three practices before has too, the nearest first. */
	same: [0.04, 0.03, 0.02],
	/** A minute beyond the share of a practice that may be the same as in the one before: it is the same again. */
	again: 1,
	/** A minute of a daily drill beyond those that keep it warm: it is there every time. */
	daily: 0.2,
	/** A drill too few in a practice of children. */
	few: 3,
	/** Share of the load that a week of taper has too much or too little, beside the weeks before. */
	taper: 300,
	/** A drill that came or went. */
	change: 0.8,
	/** Minutes of a drill that changed. */
	moved: 0.01
};

/** Shares of the mean load of the weeks before that a week of taper is to have; by what share a practice may end sooner. */
const TAPER = { least: 0.6, most: 0.8, open: 0.3 };
/** Effort up to which work is easy. */
const EASY_EFFORT = 5;
/** Minutes of a skill beside the plan that keep it from resting. */
const WARM_MINUTES = 3;
/** Share of a practice, daily drills aside, that may be the same as in the one before. */
const SAME_SHARE = 0.45;
/** Minutes of a daily drill that are enough. */
const DAILY_ENOUGH = 10;
/** What a day over the gap of a stage counts beside one of a skill with a target. */
const STAGE_GAP = 2.5;

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
	private readonly lineRests: Rests;
	private readonly stageRests: Rests;
	/** Lines by practice that its warm-up or game gives enough of. */
	private readonly warm: readonly (readonly number[])[];
	private readonly loads: Float64Array;
	private readonly firstWeek: number;
	/** Minutes that each ask was given, in the plan that was judged last. */
	readonly got: Float64Array;
	/** Asks that hold in each practice. */
	private readonly asksAt: Int32Array[];
	private readonly more: Float64Array;
	/** Practices in weeks of taper. */
	private readonly tapering: ReadonlySet<number>;

	constructor(private readonly task: Task) {
		const { slots, lines, held } = task;
		this.rules = new Rules(task);
		this.given = new Float64Array((slots.length + 1) * lines.length);
		this.lineRests = new Rests(
			lines.map(({ last, begun, ends, times }) =>
				begun === null
					? null
					: {
							...{ last: last ?? Math.max(0, begun), times, from: Math.min(begun, 0), ends },
							isAsked: true
						}
			)
		);
		this.stageRests = new Rests(
			task.stages.map(({ last, times }) => ({
				...{ last: last ?? 0, times, from: -Infinity, ends: Infinity },
				isAsked: false
			}))
		);
		this.warm = slots.map(({ gives }) =>
			lines.flatMap((_, line) => (gives[line] >= WARM_MINUTES ? line : []))
		);
		const weeks = [...held.map(({ day }) => Math.floor(day / 7)), ...slots.map(({ week }) => week)];
		this.firstWeek = Math.min(0, ...weeks);
		this.loads = new Float64Array(Math.max(0, ...weeks) - this.firstWeek + 1);
		this.got = new Float64Array(task.asks.length);
		this.more = new Float64Array(task.asks.length);
		this.tapering = new Set(task.tapers.flatMap(({ own }) => own));
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
		let [own, same, changes, moved] = [0, 0, 0, 0];
		for (let place = 0; place < slots.length; place += 1) {
			const slot = slots[place];
			const [row, next] = [place * count, (place + 1) * count];
			for (let line = 0; line < count; line += 1)
				given[next + line] = given[row + line] + slot.gives[line];
			for (const item of briefs[place]) {
				const { gives } = this.task.ladders[item.drill].variants[item.at];
				for (let line = 0; line < count; line += 1)
					given[next + line] += gives[line] * item.minutes;
			}
			own += this.ownCost(slot, briefs[place], this.tapering.has(place));
			for (let back = 1; back <= COST.same.length && back <= place; back += 1) {
				const minutes = this.sameIn(briefs[place - back], briefs[place]);
				same += COST.same[back - 1] * minutes;
				if (back === 1 && minutes > 0)
					same += COST.again * Math.max(0, minutes - SAME_SHARE * this.variedIn(briefs[place]));
			}
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
		const jumps = this.jumps();
		const cost =
			short +
			own +
			COST.gap * over +
			COST.jump * jumps +
			same +
			COST.taper * this.untapered() +
			COST.change * changes +
			COST.moved * moved;
		return { short, met, over, longestGap: longest, changes, cost };
	}

	/** What is bad about a practice, whatever stands beside it. */
	private ownCost({ minutes, isOff }: Slot, brief: readonly Item[], isTaper: boolean): number {
		const { leastDrills, ladders } = this.task;
		let [left, cost] = [minutes, 0];
		for (const { drill, at, minutes: own, isLocked } of brief) {
			const { isDaily, variants } = ladders[drill];
			left -= own;
			if (isDaily && !isLocked) cost += COST.daily * Math.max(0, own - DAILY_ENOUGH);
			if (isTaper)
				cost += COST.effortInTaper * own * Math.max(0, variants[at].effort - EASY_EFFORT);
		}
		const most = Math.ceil(minutes / Math.max(DRILL_MINUTES - leastDrills / 2, 1));
		cost += COST.drill * Math.max(0, brief.length - Math.max(leastDrills, most));
		if (!isOff && minutes >= leastDrills * LEAST_MINUTES)
			cost += COST.few * Math.max(0, leastDrills - brief.length);
		if (!isOff && left > 0) {
			const cheap = isTaper ? Math.min(left, TAPER.open * minutes) : 0;
			// One that is cut in half is worse than two that end a little sooner.
			const dear = isTaper ? 2 * COST.open : COST.open;
			cost += COST.openInTaper * cheap + dear * (left - cheap);
		}
		return cost;
	}

	/** Minutes of a practice beside daily drills. */
	private variedIn(brief: readonly Item[]): number {
		let minutes = 0;
		for (const item of brief) if (!this.task.ladders[item.drill].isDaily) minutes += item.minutes;
		return minutes;
	}

	private sameIn(before: readonly Item[], now: readonly Item[]): number {
		let same = 0;
		for (const a of now)
			for (const b of before)
				if (a.drill === b.drill && !this.task.ladders[a.drill].isDaily)
					same += Math.min(a.minutes, b.minutes);
		return same;
	}

	/** Days that skills and stages rest for: over what they may, all together, and the longest of a skill. */
	private gaps(briefs: Briefs): { over: number; longest: number } {
		const { slots, ladders } = this.task;
		const { lineRests: lines, stageRests: stages, warm } = this;
		lines.restart();
		stages.restart();
		for (let place = 0; place < slots.length; place += 1) {
			const { day } = slots[place];
			for (const line of warm[place]) lines.come(line, day);
			for (const { drill, at } of briefs[place]) {
				const variant = ladders[drill].variants[at];
				for (const line of variant.mains) lines.come(line, day);
				for (const stage of variant.stages) stages.come(stage, day);
			}
		}
		const end = slots.length > 0 ? slots[slots.length - 1].day : 0;
		lines.end(end);
		stages.end(end);
		return { over: lines.over + STAGE_GAP * stages.over, longest: lines.longest };
	}

	/** By how much weeks of taper are off the share of the load that they are to have beside the weeks before. */
	private untapered(): number {
		const { slots, tapers } = this.task;
		const { effort } = this.rules;
		let off = 0;
		for (const { own, before, held, weeks } of tapers) {
			let [now, then] = [0, held];
			for (const place of own) now += effort[place] + slots[place].load;
			for (const place of before) then += effort[place] + slots[place].load;
			if (then === 0) continue;
			const share = (now * weeks) / then;
			off += Math.max(0, share - TAPER.most, TAPER.least - share);
		}
		return off;
	}

	/** By how much weeks cost more than they may against the mean of the four before. */
	private jumps(): number {
		const { slots, held, limits } = this.task;
		const { loads, firstWeek } = this;
		const { effort } = this.rules;
		loads.fill(0);
		for (const { day, load } of held) loads[Math.floor(day / 7) - firstWeek] += load;
		for (let place = 0; place < slots.length; place += 1)
			loads[slots[place].week - firstWeek] += effort[place] + slots[place].load;
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
