import type { BrokenRule } from './planShapes';
import { VARY_PRACTICES, type Briefs, type Item, type Slot, type Task, type Variant } from './task';

/** Effort and contact from which something is too hard just before a game. */
const EASED_EFFORT = 9;

const isTooHard = ({ effort, isContact }: Variant): boolean => effort >= EASED_EFFORT || isContact;

/** Practices that a rung is run in before the next one. */
const USES_A_RUNG = 2;

/** Hears of a rule that is broken, and of the item that is to blame where it is one; it may end the walk by `isOver`. */
type Report = (rule: BrokenRule['rule'], slot: number, item: Item | null) => void;

/** Walks through plans in order of time: which rung each drill is on, and whether all rules hold. */
export class Rules {
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
	/** Practices that each drill is in, in the plan that is walked. */
	private readonly count: Int16Array;
	/** Minutes times effort of each practice, in the plan that was walked last. */
	readonly effort: Float64Array;
	/** Whether a walk need not go on. */
	private isOver = false;

	constructor(private readonly task: Task) {
		const { slots, ladders, openable } = task;
		this.at = new Int16Array(ladders.length);
		this.uses = new Int16Array(ladders.length);
		this.lastPlace = new Int32Array(ladders.length);
		this.isLastFree = new Uint8Array(ladders.length);
		this.opened = new Uint8Array(openable);
		this.contact = new Float64Array(slots.length);
		this.freeContact = new Float64Array(slots.length);
		this.isHard = new Uint8Array(slots.length);
		this.hasFree = new Uint8Array(slots.length);
		this.count = new Int16Array(ladders.length);
		this.effort = new Float64Array(slots.length);
		this.caps = this.capsOf();
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

	canRun({ players, adults, isForAge, gameDays }: Variant, slot: Slot): boolean {
		const isHere = players <= slot.players && adults <= slot.adults;
		return isHere && isForAge && slot.toGame > gameDays;
	}

	private begin(): void {
		const { ladders, opened } = this.task;
		for (const [drill, { at, rested }] of ladders.entries()) {
			this.at[drill] = at;
			this.uses[drill] = 0;
			this.count[drill] = 0;
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
		if (slot.isEased) return now;
		if (this.isTooEarly(next, place) || next.needs.some((need) => need > now)) return now;
		return next.after.some((first) => !this.opened[first]) ? now : now + 1;
	}

	private isHardWork({ effort }: Variant): boolean {
		return effort >= this.task.limits.hardEffort;
	}

	/** Whether its contact comes before enough practices of the season. */
	private isTooEarly({ isContact, isFull }: Variant, place: number): boolean {
		const { rampAt, limits } = this.task;
		const count = rampAt[place];
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
			const { variants, isVaried, isDaily, wasRun } = this.task.ladders[drill];
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
			if (slot.isEased && (item.at > now || isTooHard(variant))) report('eased', place, item);
			if (item.minutes > this.task.ladders[drill].most) report('long', place, item);
			if (!isDaily && this.count[drill] >= this.task.mostUses) report('often', place, item);
			minutes += item.minutes;
			effort += item.minutes * variant.effort;
			if (!item.isLocked) free += item.minutes;
			if (variant.contact === 0) continue;
			contact += item.minutes * variant.contact;
			if (!item.isLocked) freeContact += item.minutes * variant.contact;
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
		this.count[drill] += 1;
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
}
