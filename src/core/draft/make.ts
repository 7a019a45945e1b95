import { max, sum } from 'd3-array';
import { periodFromDrill, plainPeriod, resizePeriods } from '../building';
import { hasOwnPlace, isGame } from '../model/family';
import type { Block, Period, Practice } from '../model/practice';
import { playersOfCopy } from '../playing';
import { applyEdit, idMaker, idsIn } from '../practice';
import { contactOfMinute, isForAll, isLivePlay, isSmallGame, type Choice } from './choices';
import { climbFor, stepsOf } from './climbFor';
import { rungOf, type Filling } from './filling';
import { DRINK, outlineOf, type Outline, type Slot } from './outline';
import type { Undone } from './shapes';
import { blockedBy, LEAST_WORK, Works, type Work } from './works';

/** A practice that was made, and what was asked for and is not in it. */
export interface Made {
	practice: Practice;
	undone: Undone[];
}

/** How the work of a practice is cut. */
export interface Pattern {
	/** Rounds of stations, where there is time for them. */
	rounds: number;
	/** Whether stations come before the rest. */
	isRoundFirst: boolean;
	/** Drills more than there must be: shorter ones. */
	more: number;
}

/** Where in a practice a period that stays belongs. */
export type Place = 'warm-up' | 'work' | 'game' | 'end';

/** What a practice is to be made of. */
export interface MakeAsked {
	pattern: Pattern;
	kept: Readonly<Record<Place, readonly Period[]>>;
	/** Minutes of a round of stations; 0 where too few come for any. */
	roundMinutes: number;
	/** Minutes of the game; null where nobody said. */
	scrimmage: number | null;
	refused: (drill: string) => Undone['because'] | null;
}

/** What a practice usually spends beside its work: minutes, and the share of a game. */
export const USUAL = { warmUp: 10, coolDown: 4, scrimmageShare: 0.2, firstPlayShare: 0.3 } as const;
const MOST_WARM_UP = 12;
const MOST_CLOSE = 5;
const TALK = 2;
/** Practices shorter than this have no time for more than a warm-up that is long enough. */
const SHORT = 45;
/** From so many minutes on, a live game gets these at least. */
const GAME_FROM = 45;
const LEAST_GAME = 10;
/** What a game is worth setting up for. */
const ANY_GAME = 5;
/** Where play comes first, the share of the game that the first one gets. */
const FIRST_GAME = 0.4;
const FEWEST_FOR_GAME = 4;
/** Share of the contact of a day that a usual game takes at most. */
const GAME_CONTACT = 0.8;
/** Effort that warms up and tires nobody. */
const EASY = 5;
/** A game that nobody gave its minutes may be so much shorter or longer. */
const GAME_LEEWAY = 3;
/** How often the minutes are cut anew with a drill more or less, and how far drills are stretched at last. */
const CUTS = 8;
const STRETCHES = [1, 2, 3, 4];

/** A period of the frame: what comes before the work, and after it. */
interface Fixed {
	period: Period;
	least: number;
	most: number;
	usual: number;
	isGame: boolean;
	effort: number;
	/** It stays as it came. */
	isKept?: boolean;
}

/** What frames the work: its beginning, games before and after it, the end. */
interface Frame {
	warmUps: Fixed[];
	before: Fixed[];
	after: Fixed[];
	ends: Fixed[];
}

/** An outline with the minutes of each period of the end. */
type Cut = Outline & { ends: number[] };

const kept = (periods: readonly Period[]): Fixed[] =>
	periods.map((period) => ({
		...{ period, least: period.minutes, most: period.minutes, usual: period.minutes },
		...{ isGame: period.kind === 'scrimmage', effort: 1, isKept: true }
	}));

/** Makes a practice: what it is framed by, the work between, and the minutes of all. */
export class Maker {
	private readonly works: Works;

	constructor(
		private readonly filling: Filling,
		private readonly asked: MakeAsked
	) {
		this.works = new Works(filling);
	}

	private get minutes(): number {
		return this.filling.input.frame.minutes;
	}

	/** The whole practice; parts that nothing can fill are left out. */
	make(): Made {
		const { filling, asked } = this;
		const ends = asked.kept.end.length > 0 ? kept(asked.kept.end) : this.coolDown();
		const warmUps = asked.kept['warm-up'].length > 0 ? kept(asked.kept['warm-up']) : this.warmUp();
		filling.isWarm = warmUps.length > 0;
		// What was asked for goes before a game that nobody asked for.
		this.works.briefs(this.asked.refused);
		const [before, after] = this.games();
		const fixed = [...warmUps, ...before, ...after];
		this.work(this.minutes - sum([...fixed, ...ends], ({ usual }) => usual));
		const outline = this.cut({ warmUps, before, after, ends });
		const practice = this.assembled(outline, [...warmUps, ...before, ...after, ...ends]);
		const undone = this.undoneIn(practice);
		return { practice, undone };
	}

	/** A drill with a place of its own, as a period of the frame; null where none holds. */
	private framed(
		order: readonly Choice[],
		minutes: { least: number; most: number; usual: number }
	): Fixed | null {
		const { filling } = this;
		for (const choice of order) {
			const id = filling.makeId()(choice.drill.id);
			const period = filling.workshop.period(`${id} ${minutes.usual} ${choice.rung ?? ''}`, () =>
				periodFromDrill(filling.now, { ...rungOf(choice), id, minutes: minutes.usual })
			);
			if (!period) continue;
			filling.append(period);
			// A game with contact leaves what it does not need of the day's to the work.
			const hasContact = contactOfMinute(choice, filling.plan) > 0;
			const bounds = { ...minutes, most: hasContact ? minutes.usual : minutes.most };
			filling.take(choice, minutes.usual, bounds.most);
			// Live play in the place of a game lasts no longer than any drill.
			const most = isLivePlay(choice) ? Math.min(bounds.most, filling.cap) : bounds.most;
			const plays = choice.drill.family === 'scrimmage' || isSmallGame(choice);
			return {
				period,
				...bounds,
				least: Math.min(bounds.least, most),
				most,
				isGame: plays,
				effort: choice.run.effort
			};
		}
		return null;
	}

	/** Drills of a family that all can do, daily ones first, then those that are worth most. */
	private ofFamily(family: string, minutes: number): Choice[] {
		const { choices } = this.filling;
		const isDaily = ({ drill }: Choice) => Number(drill.frequency === 'daily');
		return choices
			.filter((choice) => choice.drill.family === family && isForAll(choice))
			.toSorted(
				(a, b) =>
					isDaily(b) - isDaily(a) || this.filling.value(b, minutes) - this.filling.value(a, minutes)
			);
	}

	private warmUp(): Fixed[] {
		const { limits } = this.filling.plan.context;
		const asked = max(this.filling.input.brief ?? [], ({ drill }) => this.ownWarmUp(drill)) ?? 0;
		const least = Math.ceil(Math.max(limits.warmUpMinutes, asked));
		const usual = Math.max(least, this.minutes < SHORT ? 0 : USUAL.warmUp);
		const bounds = { least, usual, most: Math.max(usual, MOST_WARM_UP) };
		const made = this.framed(this.ofFamily('warm-up', usual), bounds) ?? this.easyStart(bounds);
		return made ? [made] : [];
	}

	/** Something easy to begin with, where no warm-up of the shelf takes those who come. */
	private easyStart(bounds: { least: number; most: number; usual: number }): Fixed | null {
		const { choices } = this.filling;
		const easy = choices
			.filter((choice) => isForAll(choice) && !hasOwnPlace(choice.drill))
			.filter(({ run }) => run.effort <= EASY && run.contact === 0 && !run.live)
			.toSorted((a, b) => a.run.effort - b.run.effort);
		const made = this.framed(easy, bounds);
		return made && { ...made, period: { ...made.period, kind: 'warm-up', rank: 'must' } };
	}

	private ownWarmUp(drill: string): number {
		const choice = this.filling.choices.find((each) => each.drill.id === drill);
		return choice?.run.warmUpMinutes ?? 0;
	}

	private coolDown(): Fixed[] {
		const usual = this.minutes < SHORT ? 3 : USUAL.coolDown;
		const bounds = { least: 3, usual, most: MOST_CLOSE };
		const made = this.framed(this.ofFamily('cool-down', usual), bounds);
		return made ? [made] : [];
	}

	/** Minutes of the game in all: what was asked, or what is usual; 0 where none is wanted. */
	private gameMinutes(): number {
		const { scrimmage } = this.asked;
		const { arc } = this.filling.input;
		const share = arc === 'play-first' ? USUAL.firstPlayShare : USUAL.scrimmageShare;
		const asked = sum(this.works.all, ({ period }) => period.minutes);
		const room = this.minutes - asked - USUAL.warmUp - USUAL.coolDown;
		const usual = Math.min(Math.round(this.minutes * share), Math.max(0, room));
		const wanted = scrimmage ?? Math.max(usual, this.minutes >= GAME_FROM ? LEAST_GAME : 0);
		const [choice] = this.playable(wanted);
		const left = choice ? this.filling.contactLeft(choice) : Infinity;
		// A usual game leaves some of the day's contact to technique.
		const contact = Math.floor(scrimmage === null ? left * GAME_CONTACT : left);
		return Math.min(wanted, contact, 2 * this.filling.plan.context.limits.waterMinutes);
	}

	/** What can be played by all who come: the full game, then small-sided ones, then other live play of two sides. */
	private playable(minutes: number): Choice[] {
		const { choices, input } = this.filling;
		if (input.frame.expected.length < FEWEST_FOR_GAME) return [];
		const byWorth = (own: Choice[]) =>
			own.sort((a, b) => this.filling.value(b, minutes) - this.filling.value(a, minutes));
		return [
			...this.ofFamily('scrimmage', minutes),
			...byWorth(choices.filter((choice) => isSmallGame(choice) && isForAll(choice))),
			...byWorth(
				choices.filter(
					(choice) =>
						isLivePlay(choice) && isForAll(choice) && !this.filling.used.has(choice.drill.id)
				)
			)
		];
	}

	/** The games before the work and after it, with the talk between where play comes first. */
	private games(): [before: Fixed[], after: Fixed[]] {
		const { arc } = this.filling.input;
		const own = kept(this.asked.kept.game);
		const limit = this.filling.plan.context.limits.waterMinutes;
		const total = this.gameMinutes();
		if (own.length > 0 && (arc === 'build-up' || own.length > 1))
			return arc === 'build-up' ? [[], own] : [own.slice(0, 1), own.slice(1)];
		if (own.length === 0 && total < ANY_GAME) return [[], []];
		const isSaid = this.asked.scrimmage !== null;
		const game = (minutes: number): Fixed | null => {
			const usual = Math.min(minutes, limit);
			const least = Math.min(usual, this.minutes >= GAME_FROM ? LEAST_GAME : ANY_GAME);
			const bounds = isSaid
				? { least: usual, most: usual }
				: {
						least: Math.max(least, usual - GAME_LEEWAY),
						most: Math.min(limit, usual + GAME_LEEWAY)
					};
			return this.framed(this.playable(usual), { ...bounds, usual });
		};
		if (arc === 'build-up') {
			const last = game(total);
			if (!last?.isGame) this.filling.undone.push({ what: 'game', because: this.noGame() });
			return [[], last ? [last] : []];
		}
		const first = Math.max(ANY_GAME, Math.round(total * FIRST_GAME));
		const opening = game(first);
		if (!opening?.isGame) this.filling.undone.push({ what: 'game', because: this.noGame() });
		if (!opening) return [[], own];
		if (!opening.isGame) return [[opening], own];
		// The game shows what does not work yet; then it is worked on, and played again.
		const least = this.minutes >= GAME_FROM && !isSaid ? LEAST_GAME : ANY_GAME;
		const last =
			own.length > 0 ? own : [game(Math.max(least, total - first))].flatMap((g) => g ?? []);
		return [[opening, ...this.talk()], last];
	}

	private noGame(): Undone['because'] {
		const { choices } = this.filling;
		const some = choices.some(({ drill }) => drill.family === 'scrimmage');
		return some ? 'players' : 'shelf';
	}

	private talk(): Fixed[] {
		const { talkMinutes } = this.filling.plan.context.limits;
		const minutes = Math.min(TALK, Math.floor(talkMinutes));
		if (minutes === 0 || this.minutes < SHORT) return [];
		const id = this.filling.makeId()('talk');
		const period = plainPeriod('talk', { id, name: this.filling.taste.names.talk, minutes });
		this.filling.append(period);
		return [{ period, least: minutes, most: minutes, usual: minutes, isGame: false, effort: 1 }];
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
		const made = works.rounds(rounds, asked.roundMinutes, pattern.isRoundFirst);
		if (input.stations === true && made === 0)
			filling.undone.push({
				what: 'stations',
				because: asked.roundMinutes === 0 ? 'players' : rounds === 0 ? 'time' : 'finding'
			});
		this.owedMost(left());
		this.freely(left(), pattern.more);
	}

	private hasUnits(): boolean {
		const { plan, input } = this.filling;
		const units = new Set(
			input.frame.expected.map((id) => plan.context.playerById.get(id)?.unit ?? '')
		);
		return units.size > 1 && !units.has('');
	}

	/** What is owed most gets a drill of its own, unless nothing on the shelf can run. */
	private owedMost(left: number): void {
		const { filling, works, asked } = this;
		const most = filling.wanted.most();
		if (most === null) return;
		const trains = ({ gives }: Choice) => gives[most] >= 0.3;
		const minutes = Math.min(left, filling.cap);
		if (left >= LEAST_WORK && works.oneMore(minutes, trains)) return;
		if (works.gives(most)) return;
		// What not all can do at once some can at a station.
		const isWanted = filling.input.stations !== false && left >= asked.roundMinutes;
		if (isWanted && works.rounds(1, asked.roundMinutes, false) > 0 && works.gives(most)) return;
		const { skill } = filling.input.due[most];
		const some = filling.choices.filter((choice) => !hasOwnPlace(choice.drill) && trains(choice));
		const because =
			some.length === 0
				? 'shelf'
				: left < LEAST_WORK
					? 'time'
					: some.some(isForAll)
						? 'finding'
						: blockedBy(some[0]);
		if (!filling.undone.some((each) => each.skill === skill))
			filling.undone.push({ what: 'due', skill, because });
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
			if (best?.open === 0) break;
		}
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
	private outlined({ warmUps, before, after, ends }: Frame, stretch: number): Cut | null {
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
		const eased = slots.map((slot, k) => ({
			...slot,
			wantsDrink: k > 0 && isHard(slot) && isHard(slots[k - 1])
		}));
		const [end] = ends;
		const tries = end ? [end.usual, ...range(end.least, end.most)] : [0];
		let best: Cut | null = null;
		for (const last of tries) {
			const own = ends.map(({ usual }, k) => (k === 0 ? last : usual));
			const found = outlineOf(eased, {
				minutes: this.minutes - sum(own),
				limit: limits.waterMinutes
			});
			if (found && (!best || found.open < best.open)) best = { ...found, ends: own };
			if (best?.open === 0) break;
		}
		return best;
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

	/** The practice with its periods in order, each with its minutes, and the drinks between. */
	private assembled(outline: Cut, fixed: readonly Fixed[]): Practice {
		const { filling, asked } = this;
		const { plan, taste } = filling;
		const stay = Object.values(asked.kept).flat();
		const made = new Map(
			[
				...fixed.map(({ period }) => period),
				...this.works.all.map(({ period }) => period),
				...stay
			].map((period) => [period.id, period])
		);
		const ends = fixed.slice(fixed.length - outline.ends.length);
		const parts = [
			...outline.parts,
			...ends.map(({ period }, k) => ({ id: period.id as string | null, minutes: outline.ends[k] }))
		];
		const makeId = idMaker([...made.values()].flatMap(idsIn));
		const periods = parts.map(({ id, minutes }): Period => {
			if (id !== null) return made.get(id) as Period;
			const water = plainPeriod('water', { id: makeId('water'), name: taste.names.water, minutes });
			// A drink is no shorter where time is, and no longer where there is time to spare.
			return { ...water, min: minutes, max: minutes };
		});
		const practice = { ...plan.practice, periods };
		const isKept = new Set(stay.map(({ id }) => id));
		const minutes = new Map(
			parts.flatMap((part) =>
				part.id === null || isKept.has(part.id) ? [] : [[part.id, part.minutes] as const]
			)
		);
		const applied = applyEdit(practice, resizePeriods(practice, minutes));
		const leastOf = new Map(fixed.map(({ period, least }) => [period.id, least]));
		const resized = applied.ok ? applied.value.practice : practice;
		return {
			...resized,
			periods: resized.periods.map((period) =>
				minutes.has(period.id)
					? this.climbing(this.lined(this.bounded(period, leastOf.get(period.id))))
					: period
			)
		};
	}

	/** Who plays where in which shift of a full game, where the team has positions. */
	private lined(period: Period): Period {
		const { filling } = this;
		const { team } = filling.plan.context;
		if (period.kind !== 'scrimmage' || !team.positions || period.lanes.length !== 1) return period;
		const [block] = period.lanes[0].blocks;
		const [copy] = block.copies;
		const choice = filling.choices.find(({ drill }) => drill.id === block.drill?.id);
		if (!choice || choice.run.family !== 'scrimmage' || block.copies.length > 1) return period;
		const players = playersOfCopy(period, copy);
		const { minutes } = period;
		const key = JSON.stringify(['line-up', choice.run.id, minutes, players]);
		const lineup = filling.workshop.gamePlan(key, { drill: choice.run, players, minutes });
		if (!lineup) return period;
		const blocks: Block[] = [{ ...block, lineup }];
		return { ...period, lanes: [{ ...period.lanes[0], blocks }] };
	}

	/** A period whose range goes around its minutes: that of a brief as far as its minutes are kept. */
	private bounded(period: Period, least: number | undefined): Period {
		const work = this.works.all.find(({ period: own }) => own.id === period.id);
		const around = aroundIts(period);
		if (least !== undefined) return { ...around, min: Math.min(period.minutes, least) };
		if (work?.brief === undefined) return around;
		const { minutes } = period;
		return { ...around, min: Math.min(minutes, work.least), max: Math.max(minutes, work.most) };
	}

	/** A drill that lasts longer than suits the age goes up its ladder in steps that do not. */
	private climbing(period: Period): Period {
		const work = this.works.all.find(({ period: own }) => own.id === period.id);
		const { cap } = this.filling;
		if (!work?.choice || work.brief !== undefined) return period;
		if (isGame(work.choice.run) || period.minutes <= cap) return period;
		const { choice } = work;
		const climbs = (block: Block): Block =>
			block.drill?.id === choice.drill.id
				? { ...block, climb: climbFor(choice, block.minutes, cap) }
				: block;
		return {
			...period,
			lanes: period.lanes.map((lane) => ({ ...lane, blocks: lane.blocks.map(climbs) }))
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

/** A period whose range goes around the minutes that it has now. */
const aroundIts = (period: Period): Period => {
	const { minutes, kind, slots = [] } = period;
	if (kind === 'talk') return { ...period, ideal: minutes };
	const least = Math.max(1, Math.round(minutes * (slots.length > 0 ? 0.7 : 0.6)));
	const usual = Math.max(minutes, Math.round(minutes * 1.5));
	const most = { 'warm-up': MOST_WARM_UP, close: MOST_CLOSE }[kind as string] ?? usual;
	return { ...period, ideal: minutes, min: Math.min(least, minutes), max: Math.max(minutes, most) };
};
