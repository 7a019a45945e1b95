import { periodFromDrill, splitPeriod } from '../building';
import { isGame } from '../model/family';
import { applyEdit, blocksOf } from '../practice';
import type { Period } from '../model/practice';
import { isForAll, isSmallGame, placeInArc, type Choice } from './choices';
import { besideDaily } from './dailyLane';
import { DRILLS_TRIED, rungOf, TRAINS, type Filling } from './filling';
import type { Undone } from './shapes';
import { stations } from './stationRound';
import { units } from './unitLanes';

/** A stretch of work that was made: its period, and how its minutes may still change. */
export interface Work {
	period: Period;
	least: number;
	most: number;
	/** Where it comes in the arc: lower is earlier. */
	place: number;
	/** How hard it is at most, 1 to 10. */
	effort: number;
	/** Share of its time by aim. */
	gives: readonly number[];
	/** It goes first where there is too little time. */
	isFree: boolean;
	/** The drill of a brief that it is there for. */
	brief?: string;
	choice?: Choice;
}

/** A drill that is run at all has so many minutes, and a daily one as few as these. */
export const LEAST_WORK = 6;
export const DAILY_MINUTES = 5;
/** How far a drill may be from the minutes that its brief asks for: in minutes, and as a share of them. */
const BRIEF_MINUTES = 2;
const BRIEF_SHARE = 0.2;
const leewayOf = (minutes: number): number =>
	Math.max(BRIEF_MINUTES, Math.floor(BRIEF_SHARE * minutes));

/** Whether a drill has the minutes that a brief asks for, as near as counts. */
export const isAsAsked = (got: number, minutes: number): boolean =>
	Math.abs(got - minutes) <= leewayOf(minutes) + 1e-9;

/** A round of stations may be so much longer than its least. */
const ROUND_MORE = 5;
/** A game may last so long. */
const MOST_GAME = 20;

/** Makes the works of one draft, each from what those before it have left wanted. */
export class Works {
	readonly all: Work[] = [];

	constructor(private readonly filling: Filling) {}

	/** The most minutes of a drill in the work: games and what is done as one may last. */
	mostOf({ run }: Choice): number {
		return isGame(run) ? MOST_GAME : this.filling.cap;
	}

	/** A drill for all who come, beside a lane for a daily one of some where there is one; null where it does not hold. */
	made(choice: Choice, minutes: number): Period | null {
		const { filling } = this;
		const id = filling.makeId()(choice.drill.id);
		return (
			besideDaily(filling, choice, id, minutes) ??
			filling.workshop.period(`${id} ${minutes} ${choice.rung ?? ''}`, () =>
				periodFromDrill(filling.now, { ...rungOf(choice), id, minutes })
			)
		);
	}

	private add(choice: Choice, minutes: number, more: Partial<Work>): boolean {
		const period = this.made(choice, minutes);
		if (!period) return false;
		this.filling.append(period);
		this.filling.take(choice, minutes);
		const { gives, run } = choice;
		// What is hard is no longer than there was room for: the stretch of hard work has its limit.
		const isHard = run.effort >= this.filling.plan.context.limits.hardEffort;
		const most = isHard ? Math.min(minutes, this.mostOf(choice)) : this.mostOf(choice);
		this.all.push({
			...{ period, gives, choice, effort: run.effort, place: placeInArc(choice), isFree: true },
			...{ least: Math.min(LEAST_WORK, most), most },
			...more
		});
		return true;
	}

	/** What a brief asks for: each of its drills for its minutes, or why not. */
	briefs(because: (drill: string) => Undone['because'] | null): void {
		const { choices, input, undone, used } = this.filling;
		for (const { drill, minutes } of input.brief ?? []) {
			if (used.has(drill)) continue;
			const choice = choices.find((each) => each.drill.id === drill);
			const leeway = leewayOf(minutes);
			const bounds = {
				least: Math.max(3, Math.ceil(minutes - leeway)),
				most: Math.floor(minutes + leeway)
			};
			const isTooMuch = choice !== undefined && !this.filling.isWithin(choice, minutes);
			const why = because(drill) ?? (isTooMuch ? 'finding' : null);
			if (choice && !why && this.add(choice, minutes, { ...bounds, brief: drill, isFree: false }))
				continue;
			undone.push({ what: 'brief', drill, because: why ?? (choice ? blockedBy(choice) : 'shelf') });
		}
	}

	/** Daily drills that all do, for a few minutes each. */
	dailies(): void {
		const { choices, used, undone } = this.filling;
		for (const choice of choices) {
			const { drill, run } = choice;
			if (drill.frequency !== 'daily' || used.has(drill.id) || this.isOther(choice)) continue;
			if (run.needsRole?.length) continue;
			const place = Math.min(placeInArc(choice), 0.5);
			const isMade =
				isForAll(choice) &&
				this.add(choice, DAILY_MINUTES, { least: DAILY_MINUTES, place, isFree: false });
			if (!isMade) undone.push({ what: 'daily', drill: drill.id, because: blockedBy(choice) });
		}
	}

	private isOther({ drill }: Choice): boolean {
		return ['warm-up', 'scrimmage', 'cool-down'].includes(drill.family ?? '');
	}

	/** Rounds of stations of so many minutes at least. */
	rounds(count: number, minutes: number, isFirst: boolean): number {
		let made = 0;
		for (let k = 0; k < count; k += 1) if (this.round(minutes, isFirst)) made += 1;
		return made;
	}

	private round(minutes: number, isFirst: boolean): boolean {
		const { filling } = this;
		if (minutes === 0 || !stations(filling, minutes)) return false;
		const before = this.all.filter(({ period: { kind } }) => kind === 'stations').length;
		const place = (isFirst ? 1.5 : 4.5) + before / 100;
		const halves = this.divided(filling.practice.periods[filling.practice.periods.length - 1]);
		for (const [k, period] of halves.entries())
			this.all.push({
				...{ period, least: period.minutes, most: period.minutes + ROUND_MORE / halves.length },
				// The second half comes right after the first, with a drink between.
				...{ effort: this.effortOf(period), gives: [], isFree: false, place: place + k / 1000 }
			});
		return true;
	}

	/** A round that is longer than players go without water, in two halves. */
	private divided(period: Period): Period[] {
		const { filling } = this;
		if (period.minutes <= filling.plan.context.limits.waterMinutes) return [period];
		const edit = splitPeriod(filling.practice, period.id, filling.makeId());
		const applied = edit && applyEdit(filling.practice, edit);
		if (!applied?.ok) return [period];
		filling.practice = applied.value.practice;
		return filling.practice.periods.slice(-2);
	}

	/** Time in which every unit works by itself; says why not where that cannot be. */
	units(minutes: number): boolean {
		const { filling } = this;
		if (!units(filling, minutes)) return false;
		const period = filling.practice.periods[filling.practice.periods.length - 1];
		this.all.push({
			...{ period, least: LEAST_WORK, most: Math.max(LEAST_WORK, filling.cap), place: 5 },
			...{ effort: this.effortOf(period), gives: [], isFree: false }
		});
		return true;
	}

	private effortOf(period: Period): number {
		const efforts = period.lanes.flatMap(({ blocks }) =>
			blocks.map(
				({ drill }) =>
					this.filling.choices.find((each) => each.drill.id === drill?.id)?.run.effort ?? 1
			)
		);
		return Math.max(1, ...efforts);
	}

	/** One more drill for all: what is worth most in so many minutes. False where none is left that holds. */
	oneMore(minutes: number, isMeant: (choice: Choice) => boolean = () => true): boolean {
		const { filling } = this;
		const order = filling.inOrder(
			Math.min(minutes, filling.cap),
			(choice) => isForAll(choice) && isMeant(choice)
		);
		return order
			.slice(0, DRILLS_TRIED)
			.some((choice) => this.add(choice, Math.min(minutes, this.mostOf(choice)), {}));
	}

	/** A small-sided game for all as a piece of the work: it may last where drills should not. */
	smallGame(minutes: number): boolean {
		return this.oneMore(minutes, isSmallGame);
	}

	/** Whether something that was made trains an aim. */
	gives(aim: number): boolean {
		const { practice, choices } = this.filling;
		return [...blocksOf(practice)].some(({ block, period }) => {
			const choice = choices.find(({ drill }) => drill.id === block.drill?.id);
			const isForSome = (choice?.run.needsRole ?? []).length > 0;
			return period.kind !== 'warm-up' && !isForSome && (choice?.gives[aim] ?? 0) >= TRAINS;
		});
	}

	/** Takes a work out again. */
	drop(work: Work): void {
		this.all.splice(this.all.indexOf(work), 1);
		const { filling } = this;
		const { periods } = filling.practice;
		filling.practice = {
			...filling.practice,
			periods: periods.filter(({ id }) => id !== work.period.id)
		};
	}
}

/** Why a drill that was asked for cannot be run by all who come. */
export function blockedBy({ obstacle }: Choice): Undone['because'] {
	if (!obstacle) return 'finding';
	if (obstacle.what !== 'short') return 'players';
	const [first] = obstacle.of;
	if (first === 'coaches') return 'adults';
	return first === 'kit' ? 'kit' : first === 'size' ? 'players' : 'ground';
}
