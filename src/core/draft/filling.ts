import type { Period, Practice } from '../model/practice';
import { playersOfCopy } from '../playing';
import { blocksOf, idMaker, idsIn, mostDrillMinutes, type Plan } from '../practice';
import { contactOfMinute, isApart, Wanted, type Choice } from './choices';
import type { DraftInput, Undone } from './shapes';
import type { Workshop } from './workshop';

/** Names of the periods that are no drills; the interface says them in its language. */
export interface DraftNames {
	water: string;
	talk: string;
	stations: string;
	units: string;
}

/** How drills are chosen in one try. */
export interface Taste {
	/** How much of a drill's worth counts, by id; 1 where it is not said. */
	of: ReadonlyMap<string, number>;
	/** What a minute at work is worth by itself, beside a minute of what is due. */
	busyWorth: number;
	/** Names of the periods. */
	names: DraftNames;
}

/** How much of the worth of what is wanted hangs on how busy players are with it. */
const BUSY_PART = 0.25;
/** A drill with this share of a skill trains it. */
export const TRAINS = 0.3;
/** How much more a drill counts that trains what is preferred. */
const PREFERRED = 4;
/** How often a stretch is tried, each time without the drill that stopped it. */
const ATTEMPTS = 5;
/** How many drills are tried for one place. */
export const DRILLS_TRIED = 5;

/** The drill of a choice with its rung, as the builders take them. */
export const rungOf = ({ drill, rung }: Choice) => ({ drill, ...(rung !== undefined && { rung }) });

/** Whether a stretch holds, and the drill that is to blame where it does not. */
export interface Held {
	isHeld: boolean;
	blamed?: string;
}

/** A practice while it fills: the periods that were made, which drills are left for it, what is still wanted of them. */
export class Filling {
	practice: Practice;
	/** Drills that it has. */
	readonly used = new Set<string>();
	/** Drills that would have stopped the stretch that is being made. */
	readonly refused = new Set<string>();
	/** What was asked for and is not done. */
	readonly undone: Undone[] = [];
	readonly wanted: Wanted;
	/** Minutes of contact so far, as they count of those of a day. */
	private contact = 0;
	/** Minutes of hard work so far, games among them. */
	private hard = 0;
	/** The aim that a stretch should serve first where it can; null where none is. */
	prefers: number | null = null;
	/** Whether there is a warm-up: nothing hard comes without one. */
	isWarm = true;
	/** The most minutes of one drill at this age. */
	readonly cap: number;

	constructor(
		readonly plan: Plan,
		readonly input: DraftInput,
		readonly choices: readonly Choice[],
		readonly taste: Taste,
		readonly workshop: Workshop
	) {
		this.practice = plan.practice;
		this.wanted = new Wanted(input.due);
		this.cap = mostDrillMinutes(plan.context);
		for (const period of input.keep ?? []) this.countKept(period);
	}

	get now(): Plan {
		return { practice: this.practice, context: this.plan.context };
	}

	makeId(): (stem: string) => string {
		return idMaker([...this.practice.periods, ...(this.input.keep ?? [])].flatMap(idsIn));
	}

	append(period: Period): void {
		this.practice = { ...this.practice, periods: [...this.practice.periods, period] };
	}

	/** Fixes the last period where it would stop the practice; says which drill is to blame where it cannot be fixed. */
	holdLast(): Held {
		const { periods } = this.practice;
		const { period, blamed } = this.workshop.held(periods[periods.length - 1]);
		if (period) this.practice = { ...this.practice, periods: [...periods.slice(0, -1), period] };
		return { isHeld: period !== null, ...(blamed !== undefined && { blamed }) };
	}

	/** Tries a stretch again without the drill that would have stopped it, a few times. */
	withoutBlamed(attempt: () => Held): boolean {
		for (let k = 0; k < ATTEMPTS; k += 1) {
			const held = attempt();
			if (held.isHeld || held.blamed === undefined) {
				this.refused.clear();
				return held.isHeld;
			}
			this.refused.add(held.blamed);
		}
		this.refused.clear();
		return false;
	}

	/** Whether so many minutes of a drill keep the contact of the day and the hard work at a stretch in their limits. */
	isWithin(choice: Choice, minutes: number): boolean {
		const { limits } = this.plan.context;
		const { effort, warmUpMinutes = 0 } = choice.run;
		const isHard = effort >= limits.hardEffort;
		const needsWarmUp = effort >= limits.hardWarmUpEffort || warmUpMinutes > 0;
		if (needsWarmUp && !this.isWarm) return false;
		return (
			minutes <= this.contactLeft(choice) && !(isHard && this.hard + minutes > limits.hardMinutes)
		);
	}

	/** Minutes of a drill that the contact of the day leaves room for; Infinity where it has none. */
	contactLeft(choice: Choice): number {
		const weight = contactOfMinute(choice, this.plan);
		const { contactDayMinutes } = this.plan.context.limits;
		return weight === 0 ? Infinity : (contactDayMinutes - this.contact) / weight;
	}

	/** Drills that are left for a stretch of the work, what is worth most first. */
	inOrder(
		minutes: number,
		isMeant: (choice: Choice) => boolean,
		factor: (choice: Choice) => number = () => 1
	): Choice[] {
		const isOpen = (choice: Choice) =>
			!this.used.has(choice.drill.id) &&
			!this.refused.has(choice.drill.id) &&
			!isApart(choice) &&
			this.isWithin(choice, minutes) &&
			isMeant(choice);
		const values = new Map(
			this.choices
				.filter(isOpen)
				.map((choice) => [choice, this.value(choice, minutes) * factor(choice)])
		);
		return [...values.keys()].sort((a, b) => (values.get(b) ?? 0) - (values.get(a) ?? 0));
	}

	/** What some minutes of a drill are worth here: what is wanted of it, and that players are busy. */
	value(choice: Choice, minutes: number): number {
		const { drill, busy } = choice;
		const daily = drill.frequency === 'daily' ? minutes : 0;
		const worth = this.wanted.worth(choice, minutes) * (1 - BUSY_PART + BUSY_PART * busy);
		const { of, busyWorth } = this.taste;
		const isPreferred = this.prefers !== null && choice.gives[this.prefers] >= TRAINS;
		return (
			(isPreferred ? PREFERRED : 1) *
			(worth + daily + busyWorth * minutes * busy) *
			(of.get(drill.id) ?? 1)
		);
	}

	/** Counts what some minutes of a drill give and cost; it may yet get as many as `most`. */
	take(choice: Choice, minutes: number, most = minutes): void {
		this.used.add(choice.drill.id);
		this.wanted.take(choice, minutes);
		this.contact += contactOfMinute(choice, this.plan) * most;
		if (choice.run.effort >= this.plan.context.limits.hardEffort) this.hard += most;
	}

	private countKept(period: Period): void {
		const players = Math.max(1, this.plan.practice.expected.length);
		for (const block of period.lanes.flatMap(({ blocks }) => blocks)) {
			const choice = this.choices.find(({ drill }) => drill.id === block.drill?.id);
			if (!choice) continue;
			const own = block.copies.flatMap((copy) => playersOfCopy(period, copy)).length;
			const isRound = (period.slots ?? []).length > 0;
			this.take(choice, isRound ? block.minutes : (block.minutes * own) / players);
		}
	}

	/** Whether a drill stands in some period already. */
	has(id: string): boolean {
		return [...blocksOf(this.practice)].some(({ block }) => block.drill?.id === id);
	}
}
