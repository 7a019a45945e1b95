import { idMaker, idsIn, plannedMinutes, type Plan } from '../practice';
import type { Period, Practice } from '../model/practice';
import { aimsOf, isHard, shareOf, Wanted, type Choice } from './choices';
import type { DraftInput, Reason } from './shapes';
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
const APART = new Set(['warm-up', 'scrimmage', 'cool-down']);
/** How often a stretch is tried, each time without the drill that stopped it. */
const ATTEMPTS = 5;
/** How many drills are tried for one place. */
export const DRILLS_TRIED = 5;

/** Whether a drill has a place of its own in the arc: it is no choice for the work between. */
export const isApart = ({ drill }: Choice) => APART.has(drill.family ?? '');

/** The drill of a choice with its rung, as the builders take them. */
export const rungOf = ({ drill, rung }: Choice) => ({ drill, ...(rung !== undefined && { rung }) });

/** Whether a stretch holds, and the drill that is to blame where it does not. */
export interface Held {
	isHeld: boolean;
	blamed?: string;
}

/** A practice while it fills: what is in it, which drills are left for it, what is still wanted of them. */
export class Filling {
	practice: Practice;
	/** Why each block is there, by its id. */
	readonly why: Record<string, Reason[]> = {};
	/** Drills that it has. */
	readonly used = new Set<string>();
	/** Drills that would have stopped the stretch that is being made. */
	readonly refused = new Set<string>();
	readonly wanted: Wanted;
	/** Minutes of hard contact so far. */
	hardMinutes = 0;

	constructor(
		readonly plan: Plan,
		readonly input: DraftInput,
		readonly choices: readonly Choice[],
		readonly taste: Taste,
		readonly workshop: Workshop
	) {
		this.practice = plan.practice;
		this.wanted = new Wanted(aimsOf(input));
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

	/** Drills that are left for a stretch, what is worth most first. */
	inOrder(
		minutes: number,
		isMeant: (choice: Choice) => boolean,
		factor: (choice: Choice) => number = () => 1
	): Choice[] {
		const { contactDayMinutes } = this.plan.context.limits;
		const { minutes: all } = this.input.frame;
		const isSecondHalf = plannedMinutes(this.practice) * 2 >= all;
		const isOpen = (choice: Choice) =>
			!(choice.isNext && isSecondHalf) &&
			!this.used.has(choice.drill.id) &&
			!this.refused.has(choice.drill.id) &&
			!isApart(choice) &&
			!(isHard(choice, this.plan) && this.hardMinutes + minutes > contactDayMinutes) &&
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
		return (worth + daily + busyWorth * minutes * busy) * (of.get(drill.id) ?? 1);
	}

	take(choice: Choice, minutes: number): void {
		this.used.add(choice.drill.id);
		this.wanted.take(choice, minutes);
		if (isHard(choice, this.plan) && !isApart(choice)) this.hardMinutes += minutes;
	}

	/** Notes why a block is there, before what it gives is taken off what is wanted. */
	explain(block: string, choice: Choice, minutes: number, first?: Reason): void {
		const { drill, run, rung } = choice;
		const due = this.input.due
			.map(({ skill, weight }) => ({ skill, weight, minutes: shareOf(run, skill) * minutes }))
			.filter((each) => each.minutes > 0 && each.weight > 0)
			.sort((a, b) => b.weight * b.minutes - a.weight * a.minutes)
			.slice(0, 2)
			.map((each): Reason => ({ code: 'due', skill: each.skill, minutes: each.minutes }));
		this.why[block] = [
			...(first ? [first] : []),
			...(this.input.brief?.some((each) => each.drill === drill.id)
				? [{ code: 'brief' } as const]
				: []),
			...due,
			...(drill.frequency === 'daily' ? [{ code: 'daily' } as const] : []),
			...(rung === undefined ? [] : [{ code: 'ladder', rung } as const])
		];
		if (this.why[block].length === 0)
			this.why[block] = [{ code: 'busy', share: Math.min(1, choice.busy) }];
	}

	private countKept(period: Period): void {
		for (const block of period.lanes.flatMap(({ blocks }) => blocks)) {
			const choice = this.choices.find(({ drill }) => drill.id === block.drill?.id);
			if (!choice) continue;
			this.used.add(choice.drill.id);
			this.wanted.take(choice, block.minutes);
		}
	}
}
