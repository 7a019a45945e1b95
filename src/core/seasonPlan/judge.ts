import type { BrokenRule } from './planShapes';
import { VARY_PRACTICES, type Item, type Slot, type Task, type Variant } from './readSeason';

/** What each practice holds, in the order of the slots. */
export type Briefs = Item[][];

/** Practices that a rung is run in before the next one. */
const USES_A_RUNG = 2;
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

/** Hears of a rule that is broken, and of the item that is to blame where it is one; it may end the walk by `isOver`. */
type Report = (rule: BrokenRule['rule'], slot: number, item: Item | null) => void;

/** Judges plans: whether they keep the rules, and what they are worth. */
export class Judge {
	/** The lowest rung that is locked in a practice or a later one, by slot and drill. */
	private readonly caps: Int16Array;
	private readonly at: Int16Array;
	private readonly uses: Int16Array;
	private readonly lastPlace: Int32Array;
	private readonly isLastFree: Uint8Array;
	private readonly opened: Uint8Array;
	private readonly contact: Float64Array;
	private readonly freeContact: Float64Array;
	private readonly isHard: Uint8Array;
	private readonly hasFree: Uint8Array;
	private readonly effort: Float64Array;
	/** Minutes by slot and line, added up from the first slot. */
	private readonly given: Float64Array;
	private readonly lastMain: Int32Array;
	private readonly times: Int16Array;
	private readonly loads: Float64Array;
	private readonly firstWeek: number;
	/** Whether a walk need not go on. */
	private isOver = false;
	/** Minutes that each ask was given, in the plan that was judged last. */
	readonly got: Float64Array;
	/** Asks that hold in each practice. */
	private readonly asksAt: Int32Array[];
	private readonly more: Float64Array;

	constructor(private readonly task: Task) {
		const { slots, ladders, lines, openable, held } = task;
		this.at = new Int16Array(ladders.length);
		this.uses = new Int16Array(ladders.length);
		this.lastPlace = new Int32Array(ladders.length);
		this.isLastFree = new Uint8Array(ladders.length);
		this.opened = new Uint8Array(openable);
		this.contact = new Float64Array(slots.length);
		this.freeContact = new Float64Array(slots.length);
		this.isHard = new Uint8Array(slots.length);
		this.hasFree = new Uint8Array(slots.length);
		this.effort = new Float64Array(slots.length);
		this.given = new Float64Array((slots.length + 1) * lines.length);
		this.lastMain = new Int32Array(lines.length);
		this.times = new Int16Array(lines.length);
		const weeks = [...held.map(({ day }) => Math.floor(day / 7)), ...slots.map(({ week }) => week)];
		this.firstWeek = Math.min(0, ...weeks);
		this.loads = new Float64Array(Math.max(0, ...weeks) - this.firstWeek + 1);
		this.caps = this.capsOf();
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

	private capsOf(): Int16Array {
		const { slots, ladders } = this.task;
		const caps = new Int16Array((slots.length + 1) * ladders.length).fill(2 ** 14);
		for (let place = slots.length - 1; place >= 0; place -= 1) {
			const row = place * ladders.length;
			for (let drill = 0; drill < ladders.length; drill += 1)
				caps[row + drill] = caps[row + ladders.length + drill];
			for (const { drill, at } of slots[place].locked)
				caps[row + drill] = Math.min(caps[row + drill], at);
		}
		return caps;
	}

	/** Whether a plan keeps all rules, but for what locked parts break by themselves. Sets the rung of each item. */
	isSound(briefs: Briefs): boolean {
		this.isOver = false;
		this.walk(briefs, (_rule, _slot, item) => {
			if (!item?.isLocked) this.isOver = true;
		});
		return !this.isOver;
	}

	/** Rules that locked parts break. Sets the rung of each item. */
	broken(briefs: Briefs): BrokenRule[] {
		const { slots, ladders } = this.task;
		const found: BrokenRule[] = [];
		this.isOver = false;
		this.walk(briefs, (rule, slot, item) => {
			found.push({
				...{ rule, practice: slots[slot].id },
				...(item && { drill: ladders[item.drill].id })
			});
		});
		for (const [place, slot] of slots.entries())
			for (const [drill, ladder] of ladders.entries())
				if (this.isWanted(slot, drill) && !briefs[place].some((item) => item.drill === drill))
					found.push({ rule: 'daily', practice: slot.id, drill: ladder.id });
		return found;
	}

	/** Whether a drill is one for every practice, and can run in this on some rung. */
	isWanted(slot: Slot, drill: number): boolean {
		const { isDaily, variants } = this.task.ladders[drill];
		const canRun = () => variants.some((variant) => this.canRun(variant, slot));
		return isDaily && !slot.isOff && slot.minutes > 0 && canRun();
	}

	canRun({ players, adults }: Variant, slot: Slot): boolean {
		return players <= slot.players && adults <= slot.adults;
	}

	/** The cost of a plan; Infinity where it breaks a rule. */
	cost(briefs: Briefs): number {
		return this.isSound(briefs) ? this.worth(briefs).cost : Infinity;
	}

	private begin(): void {
		const { ladders, opened } = this.task;
		for (const [drill, { at, wasRun, rested }] of ladders.entries()) {
			this.at[drill] = at;
			this.uses[drill] = wasRun ? 1 : 0;
			this.lastPlace[drill] = rested === Infinity ? -1000 : -1 - rested;
			this.isLastFree[drill] = 0;
		}
		this.opened.fill(0);
		for (const first of opened) this.opened[first] = 1;
	}

	/** Goes through all practices in order and reports what is broken: with the item that is to blame, null where free ones are. */
	private walk(briefs: Briefs, report: Report): void {
		this.begin();
		for (let place = 0; place < briefs.length && !this.isOver; place += 1) {
			this.walkSlot(place, briefs[place], report);
			this.daysOf(place, briefs[place], report);
		}
	}

	/** The place of the rung that a free item is run on: the next one after a few times. */
	private rungOf({ drill }: Item, slot: Slot, place: number): number {
		const { variants } = this.task.ladders[drill];
		const now = this.at[drill];
		const next = variants[now + 1];
		const cap = this.caps[place * this.task.ladders.length + drill];
		const isDue = this.uses[drill] >= USES_A_RUNG && now + 1 <= cap;
		if (!next || !isDue || !this.canRun(next, slot)) return now;
		if (slot.isEve && this.isHardWork(next)) return now;
		if (this.isTooEarly(next, place) || next.needs.some((need) => need > now)) return now;
		return next.after.some((first) => !this.opened[first]) ? now : now + 1;
	}

	private isHardWork({ effort }: Variant): boolean {
		return effort >= this.task.limits.hardEffort;
	}

	/** Whether its contact comes before enough practices of the season. */
	private isTooEarly({ isContact, isFull }: Variant, place: number): boolean {
		const { held, limits } = this.task;
		const count = held.length + place;
		return (
			(isContact && count < limits.contactAfter) || (isFull && count < limits.fullContactAfter)
		);
	}

	private walkSlot(place: number, brief: readonly Item[], report: Report): void {
		const slot = this.task.slots[place];
		let [minutes, effort, contact, freeContact, free] = [0, 0, 0, 0, 0];
		for (let k = 0; k < brief.length; k += 1) {
			const item = brief[k];
			const { drill } = item;
			const { variants, isVaried, wasRun } = this.task.ladders[drill];
			const now = this.at[drill];
			if (!item.isLocked && !item.isPinned) item.at = this.rungOf(item, slot, place);
			const variant = variants[item.at];
			const isNew =
				(this.uses[drill] === 0 && !wasRun && this.lastPlace[drill] < 0) || item.at > now;
			if (!item.isLocked && slot.isOff) report('runs', place, item);
			if (!this.canRun(variant, slot)) report('runs', place, item);
			for (let j = 0; j < k; j += 1) if (brief[j].drill === drill) report('twice', place, item);
			if (item.at > now + 1 || item.at < now) report('rung', place, item);
			if (variant.needs.some((need) => need > Math.max(now, item.at - 1)))
				report('needs', place, item);
			if (isVaried && place - this.lastPlace[drill] <= VARY_PRACTICES)
				report('vary', place, item.isLocked && this.isLastFree[drill] ? null : item);
			for (const first of variant.after) if (!this.opened[first]) report('after', place, item);
			if (this.isTooEarly(variant, place)) report('contact-ramp', place, item);
			if (slot.isEve && isNew && this.isHardWork(variant)) report('game-eve', place, item);
			minutes += item.minutes;
			effort += item.minutes * variant.effort;
			if (!item.isLocked) free += item.minutes;
			if (!variant.isContact) continue;
			contact += item.minutes;
			if (!item.isLocked) freeContact += item.minutes;
		}
		if (minutes > slot.minutes) report('minutes', place, free > 0 ? null : brief[brief.length - 1]);
		this.contact[place] = contact;
		this.freeContact[place] = freeContact;
		this.effort[place] = effort;
		this.isHard[place] = minutes > 0 && effort / minutes >= this.task.limits.hardEffort ? 1 : 0;
		this.hasFree[place] = free > 0 ? 1 : 0;
		for (let k = 0; k < brief.length; k += 1) this.take(brief[k], place);
	}

	/** What was run in a practice counts from the next one on. */
	private take(item: Item, place: number): void {
		const { drill, at } = item;
		this.uses[drill] = at === this.at[drill] ? this.uses[drill] + 1 : 1;
		this.at[drill] = at;
		this.lastPlace[drill] = place;
		this.isLastFree[drill] = item.isLocked ? 0 : 1;
		for (const first of this.task.ladders[drill].variants[at].opens) this.opened[first] = 1;
	}

	/** Rules of days and weeks at a practice: a free part of any of those that count together is to blame. */
	private daysOf(place: number, brief: readonly Item[], report: Report): void {
		const { slots, held, limits } = this.task;
		const slot = slots[place];
		const some = brief.length > 0 ? brief[0] : null;
		const blame = (isFree: boolean) => (isFree ? null : some && { ...some, isLocked: true });
		let [day, freeDay, week, freeWeek] = [0, 0, 0, 0];
		let [isInRow, isFreeInRow] = [slot.isByGame, this.hasFree[place] === 1];
		for (let k = place; k >= 0 && slots[k].day > slot.day - 7; k -= 1) {
			week += this.contact[k];
			freeWeek += this.freeContact[k];
			if (slots[k].day === slot.day) {
				day += this.contact[k];
				freeDay += this.freeContact[k];
			} else if (slots[k].day === slot.day - 1 && this.isHard[k]) {
				isInRow = true;
				isFreeInRow ||= this.hasFree[k] === 1;
			}
		}
		for (let k = held.length - 1; k >= 0 && held[k].day > slot.day - 7; k -= 1) {
			week += held[k].contactMinutes;
			if (held[k].day === slot.day - 1 && held[k].isHard) isInRow = true;
		}
		if (day > limits.contactDayMinutes && this.contact[place] > 0)
			report('contact-day', place, blame(freeDay > 0));
		if (week > limits.contactWeekMinutes && this.contact[place] > 0)
			report('contact-week', place, blame(freeWeek > 0));
		if (this.isHard[place] && isInRow) report('hard-days', place, blame(isFreeInRow));
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
		const { loads, firstWeek, effort } = this;
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
