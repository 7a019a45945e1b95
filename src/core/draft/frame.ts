import { max } from 'd3-array';
import { periodFromDrill, plainPeriod } from '../building';
import { hasOwnPlace } from '../model/family';
import type { Period } from '../model/practice';
import { contactOfMinute, isForAll, isLivePlay, isSmallGame, type Choice } from './choices';
import { rungOf, type Filling } from './filling';
import type { Undone } from './shapes';

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
/** Nobody warms up, or walks home, for longer. */
export const MOST_WARM_UP = 12;
export const MOST_CLOSE = 5;
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
/** A period of the frame: what comes before the work, and after it. */
export interface Fixed {
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
export interface Frame {
	warmUps: Fixed[];
	before: Fixed[];
	after: Fixed[];
	ends: Fixed[];
}

/** Periods that stay, as parts of the frame. */
export const kept = (periods: readonly Period[]): Fixed[] =>
	periods.map((period) => ({
		...{ period, least: period.minutes, most: period.minutes, usual: period.minutes },
		...{ isGame: period.kind === 'scrimmage', effort: 1, isKept: true }
	}));

/** Makes what frames the work: its beginning, the games before and after it, its end. */
export class Framing {
	constructor(
		private readonly filling: Filling,
		private readonly asked: MakeAsked
	) {}

	private get minutes(): number {
		return this.filling.input.frame.minutes;
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

	/** The warm-up: what stays, else one of the shelf, else something easy; none where nothing holds. */
	warmUp(): Fixed[] {
		const own = this.asked.kept['warm-up'];
		if (own.length > 0) return kept(own);
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

	/** The end: what stays, else a cool-down of the shelf. */
	end(): Fixed[] {
		const own = this.asked.kept.end;
		if (own.length > 0) return kept(own);
		const usual = this.minutes < SHORT ? 3 : USUAL.coolDown;
		const bounds = { least: 3, usual, most: MOST_CLOSE };
		const made = this.framed(this.ofFamily('cool-down', usual), bounds);
		return made ? [made] : [];
	}

	/** Minutes of the game in all, beside so many that are asked for: those that were said, or are usual; 0 where none is wanted. */
	private gameMinutes(asked: number): number {
		const { scrimmage } = this.asked;
		const { arc } = this.filling.input;
		const share = arc === 'play-first' ? USUAL.firstPlayShare : USUAL.scrimmageShare;
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

	/** The games before the work and after it, with the talk where play comes first, beside so many minutes that are asked for. */
	games(asked: number): [before: Fixed[], after: Fixed[]] {
		const { arc } = this.filling.input;
		const own = kept(this.asked.kept.game);
		const limit = this.filling.plan.context.limits.waterMinutes;
		const total = this.gameMinutes(asked);
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
}
