import { max, sum } from 'd3-array';
import type { Practice } from '../model/practice';
import { laidOutMeanwhile } from '../playing';
import { Assembly, type Cut } from './assembly';
import type { Choice } from './choices';
import { stepsOf } from './climbFor';
import { TRAINS, type Filling } from './filling';
import { Framing, kept, USUAL, type Fixed, type Frame, type MakeAsked } from './frame';
import { DRINK, outlineOf, type Slot } from './outline';
import type { Undone } from './shapes';
import { LEAST_WORK, Works, type Work } from './works';

/** A practice that was made, and what was asked for and is not in it. */
export interface Made {
	practice: Practice;
	undone: Undone[];
}

/** How often the minutes are cut anew with a drill more or less, and how far drills are stretched at last. */
const CUTS = 8;
const STRETCHES = [1, 2, 3, 4];

/** Makes a practice: what it is framed by, the work between, and the minutes of all. */
export class Maker {
	private readonly works: Works;
	private readonly framing: Framing;

	constructor(
		private readonly filling: Filling,
		private readonly asked: MakeAsked
	) {
		this.works = new Works(filling);
		this.framing = new Framing(filling, asked);
	}

	private get minutes(): number {
		return this.filling.input.frame.minutes;
	}

	/** The whole practice; parts that nothing can fill are left out. */
	make(): Made {
		const { filling, asked, works, framing } = this;
		const ends = framing.end();
		const warmUps = framing.warmUp();
		filling.isWarm = warmUps.length > 0;
		// What was asked for goes before a game that nobody asked for.
		works.briefs(asked.refused);
		const [before, after] = framing.games(sum(works.all, ({ period }) => period.minutes));
		const frame = { warmUps, before, after, ends };
		this.work(this.minutes - sum(Object.values(frame).flat(), ({ usual }) => usual));
		const outline = this.cut(frame);
		const fixed = [...warmUps, ...before, ...after, ...ends];
		const practice = new Assembly(filling, asked, works.all).of(outline, fixed);
		const undone = this.undoneIn(practice);
		return { practice, undone };
	}

	/** The work in so many minutes, drinks among them: what is asked for, then what is worth most. */
	private work(minutes: number): void {
		const { works, asked, filling } = this;
		const { pattern, kept: own } = asked;
		const { input } = filling;
		const limit = filling.plan.context.limits.waterMinutes;
		const drinks = Math.max(0, Math.ceil((this.minutes - USUAL.coolDown) / limit) - 1);
		const all = minutes - sum(own.work, (period) => period.minutes) - drinks * DRINK;
		const left = () => all - sum(works.all, ({ period }) => period.minutes);
		works.dailies();
		if (input.unitTime) {
			const length = Math.min(filling.cap, Math.max(LEAST_WORK, Math.round(left() / 3)));
			if (!works.units(length))
				filling.undone.push({ what: 'units', because: this.hasUnits() ? 'finding' : 'units' });
		}
		const fitting = asked.roundMinutes > 0 ? Math.floor(left() / asked.roundMinutes) : 0;
		const rounds = Math.min(pattern.rounds, Math.max(0, fitting));
		// What not all can do at once some can at a station.
		filling.prefers = filling.wanted.most();
		const made = works.rounds(rounds, asked.roundMinutes, pattern.isRoundFirst);
		if (input.stations === true && made === 0)
			filling.undone.push({
				what: 'stations',
				because: asked.roundMinutes === 0 ? 'players' : rounds === 0 ? 'time' : 'finding'
			});
		this.owedMost(left());
		filling.prefers = null;
		this.freely(left(), pattern.more);
	}

	private hasUnits(): boolean {
		const { plan, input } = this.filling;
		const units = new Set(
			input.frame.expected.map((id) => plan.context.playerById.get(id)?.unit ?? '')
		);
		return units.size > 1 && !units.has('');
	}

	/** What is owed most gets a drill of its own, or a station where not all can do it at once. */
	private owedMost(left: number): void {
		const { filling, works, asked } = this;
		const most = filling.wanted.most();
		if (most === null) return;
		const trains = ({ gives }: Choice) => gives[most] >= TRAINS;
		const minutes = Math.min(left, filling.cap);
		if (left >= LEAST_WORK && works.oneMore(minutes, trains)) return;
		if (works.gives(most)) return;
		const isWanted = filling.input.stations !== false && left >= asked.roundMinutes;
		if (isWanted) works.rounds(1, asked.roundMinutes, false);
	}

	/** Drills one after another until the minutes are used, and so many more than there must be. */
	private freely(minutes: number, more: number): void {
		const { works, filling, asked } = this;
		const { input } = filling;
		let left = minutes;
		let count = Math.ceil(left / filling.cap) + more;
		while (left >= LEAST_WORK) {
			const pieces = Math.max(1, Math.min(count, Math.floor(left / LEAST_WORK)));
			const each = Math.max(LEAST_WORK, Math.min(filling.cap, Math.round(left / pieces)));
			const isRound = asked.roundMinutes > 0 && left >= asked.roundMinutes;
			const isMade =
				works.oneMore(each) ||
				(isRound && input.stations !== false && works.rounds(1, asked.roundMinutes, false) > 0);
			if (!isMade) break;
			const { period } = works.all[works.all.length - 1];
			left -= period.minutes;
			count -= 1;
		}
	}

	/** The minutes of all: with a drill more where minutes are open, and one less where there are too few. */
	private cut(frame: Frame): Cut {
		const { works, filling } = this;
		let best: Cut | null = null;
		for (let k = 0; k < CUTS; k += 1) {
			const found = this.outlined(frame, 1);
			if (!found) {
				if (!this.shorten(frame)) break;
				continue;
			}
			best = found;
			if (found.open === 0) return found;
			const isMore =
				found.open >= 2 &&
				(works.oneMore(Math.max(LEAST_WORK, Math.min(found.open, filling.cap))) ||
					works.smallGame(LEAST_WORK));
			if (!isMore) break;
		}
		for (const stretch of STRETCHES) {
			const found = this.outlined(frame, stretch);
			if (found && (!best || found.open < best.open)) best = found;
			if (best?.open === 0) return best;
		}
		// Nothing else is left: a drink more than there must be is better than minutes without a plan.
		const found = this.outlined(frame, 1, true);
		if (found && (!best || found.open < best.open)) best = found;
		return best ?? this.everything(frame);
	}

	/** A work that nobody asked for goes, the last one first; then of what was asked, with the reason. */
	private shorten(frame: Frame): boolean {
		const { works, filling } = this;
		const last = works.all.findLast(({ isFree }) => isFree) ?? works.all.at(-1);
		if (!last) return this.unframe(frame);
		works.drop(last);
		if (last.brief !== undefined)
			filling.undone.push({ what: 'brief', drill: last.brief, because: 'time' });
		return true;
	}

	/** What frames the work goes where there is no time for it: the talk, a second game, the end. False where nothing may. */
	private unframe(frame: Frame): boolean {
		const isOwn = ({ isKept }: Fixed) => isKept !== true;
		const talk = frame.before.findIndex(({ period }) => period.kind === 'talk');
		if (talk >= 0) return frame.before.splice(talk, 1).length > 0;
		for (const part of [
			frame.before.length > 0 ? frame.after : [],
			frame.ends,
			frame.after,
			frame.before
		]) {
			const last = part.findLastIndex(isOwn);
			if (last >= 0) return part.splice(last, 1).length > 0;
		}
		return false;
	}

	private inOrder(): Work[] {
		return this.works.all.toSorted((a, b) => a.place - b.place || a.effort - b.effort);
	}

	/** The practice cut into minutes, its end in as many as leave none open. */
	private outlined(
		{ warmUps, before, after, ends }: Frame,
		stretch: number,
		drinksFill = false
	): Cut | null {
		const { limits } = this.filling.plan.context;
		const frameSlot = ({ period, least, most, usual, isGame, isKept, effort }: Fixed): Slot => ({
			...{
				id: period.id,
				least,
				most:
					isKept || !isGame || stretch === 1 || effort >= limits.hardEffort
						? most
						: Math.max(most, limits.waterMinutes)
			},
			worth: (minutes) => (minutes < usual ? 1000 : isGame ? 0.5 : 0.1)
		});
		// Where drills run out, those that there are climb their ladders for longer; at last they last too long.
		const mostOf = ({ most, brief, choice }: Work) => {
			if (brief !== undefined || !choice) return most;
			const steps = stretch === STRETCHES.length ? stretch : Math.min(stretch, stepsOf(choice));
			return most * steps;
		};
		const workSlot = (work: Work): Slot => ({
			...{ id: work.period.id, least: work.least, most: mostOf(work) },
			worth: (minutes) =>
				1 + this.minuteWorth(work.gives) + (minutes < LEAST_WORK ? 50 : 0) - minutes / 100
		});
		const own = kept(this.asked.kept.work).map(frameSlot);
		const works = this.inOrder();
		const slots = [
			...warmUps.map(frameSlot),
			...before.map(frameSlot),
			...own,
			...works.map(workSlot),
			...after.map(frameSlot)
		];
		const efforts = new Map([
			...[...before, ...after].map(({ period, effort }) => [period.id, effort] as const),
			...works.map(({ period, effort }) => [period.id, effort] as const)
		]);
		const isHard = ({ id }: Slot) => (efforts.get(id) ?? 0) >= limits.hardEffort;
		const slow = this.laidOutSlowly();
		const eased = slots.map((slot, k) => ({
			...slot,
			wantsDrink: k > 0 && (slow.has(slot.id) || (isHard(slot) && isHard(slots[k - 1])))
		}));
		const [end] = ends;
		const tries = end ? [end.usual, ...range(end.least, end.most)] : [0];
		let best: Cut | null = null;
		for (const last of tries) {
			const own = ends.map(({ usual }, k) => (k === 0 ? last : usual));
			const found = outlineOf(eased, {
				minutes: this.minutes - sum(own),
				limit: limits.waterMinutes,
				drinksFill
			});
			if (found && (!best || found.open < best.open)) best = { ...found, ends: own };
			if (best?.open === 0) break;
		}
		return best;
	}

	/** Periods of drills that take longer to lay out than to explain: a drink before them leaves time for that. */
	private laidOutSlowly(): ReadonlySet<string> {
		const adults = this.filling.input.frame.adults.length;
		return new Set(
			this.works.all.flatMap(({ period, choice }) => {
				const run = choice?.run;
				const isSlow = run?.setup && run.setup.seconds > laidOutMeanwhile(run, adults);
				return isSlow ? [period.id] : [];
			})
		);
	}

	private minuteWorth(gives: readonly number[]): number {
		const { due } = this.filling.input;
		const most = max(due, ({ weight }) => weight) ?? 1;
		return sum(gives, (share, k) => share * (due[k]?.weight ?? 0)) / Math.max(1, most);
	}

	/** Where not even the least of all fits: all of the frame, for the coach to see. */
	private everything({ warmUps, before, after, ends }: Frame): Cut {
		const all = [...warmUps, ...before, ...kept(this.asked.kept.work), ...after];
		return {
			parts: all.map(({ period, least }) => ({ id: period.id, minutes: least })),
			open: 0,
			ends: ends.map(({ least }) => least)
		};
	}

	/** What was asked for and is not in a practice in the end. */
	private undoneIn(practice: Practice): Undone[] {
		const { filling } = this;
		const isIn = (drill: string) =>
			practice.periods.some(({ lanes }) =>
				lanes.some(({ blocks }) => blocks.some((block) => block.drill?.id === drill))
			);
		return filling.undone.filter(({ drill }) => drill === undefined || !isIn(drill));
	}
}

const range = (from: number, to: number): number[] =>
	Array.from({ length: to - from + 1 }, (_, k) => from + k);
