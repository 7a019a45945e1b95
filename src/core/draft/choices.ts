import { sum } from 'd3-array';
import { daysBetween } from '../conditions';
import { ladderOf, type RungId } from '../drill';
import type { Drill } from '../model/drill';
import { hasOwnPlace, isGame, isLikeAGame, isTwoSided } from '../model/family';
import { contactWeight, onRung, suitableZones } from '../playing';
import { unsuited, type Plan } from '../practice';
import { standingIn, type Obstacle } from '../shelf';
import type { DraftInput, Undone } from './shapes';

/** Something that a draft is to give its players: minutes of a skill that is due. */
export interface Aim {
	skill: string;
	weight: number;
	minutes: number;
}

/** A drill that a draft may choose, on the rung where its ladder goes on. */
export interface Choice {
	/** As it lies on the shelf. */
	drill: Drill;
	/** As it is run. */
	run: Drill;
	rung?: string;
	/** Share of its time by aim. */
	gives: readonly number[];
	/** About the share of its time that a player is at work, 0 to 1. */
	busy: number;
	/** Why not all who come can do it at once; null where they can. */
	obstacle: Obstacle | null;
	/** Whether it is a rung above where its ladder stands: for the first half, while players are fresh. */
	isNext: boolean;
}

/** Practices between two runs of a drill that wants variety. */
const VARY_PRACTICES = 3;

/** Share of a drill's time that is a skill's, or a stage's of it. */
export const shareOf = ({ skills }: Pick<Drill, 'skills'>, wanted: string): number =>
	sum(skills, ({ skill, share }) =>
		skill === wanted || skill.startsWith(`${wanted}/`) ? share : 0
	);

/** Drills that were run, or are planned, too few practices ago to come again. */
function tooSoon({ recent = [] }: DraftInput): ReadonlySet<string> {
	const days = [...new Set(recent.map(({ date }) => date))].sort().slice(-VARY_PRACTICES);
	return new Set(recent.flatMap(({ drill, date }) => (days.includes(date) ? [drill] : [])));
}

/**
 * The rung that a drill is run on, by its id: where its ladder stands, or what the brief asks for, at most one
 * rung above that; null for the drill itself.
 */
function rungsFor({ ladders = [], brief = [], drills }: DraftInput): Map<string, RungId> {
	const stands = new Map<string, RungId>(
		ladders.flatMap(({ drill, rung }) => (rung === undefined ? [] : [[drill, rung] as const]))
	);
	const rungs = new Map(stands);
	for (const { drill, rung } of brief) {
		if (rung === undefined) continue;
		const own = drills.find(({ id }) => id === drill);
		if (!own) continue;
		const ladder = ladderOf(own);
		const from = stands.get(drill);
		const most = from === undefined ? ladder.length : ladder.indexOf(from) + 1;
		rungs.set(drill, ladder[Math.min(ladder.indexOf(rung), most)] ?? null);
	}
	return rungs;
}

/** Why a drill is no choice here at all, whoever comes; null where it may be one. */
function whyNot(run: Drill, { practice, context }: Plan): Undone['because'] | null {
	if (unsuited(run, context)) return 'ages';
	const next = context.before?.nextGame;
	const within = run.notWithinDaysOfGame;
	if (next !== undefined && within !== undefined && daysBetween(practice.date, next) <= within)
		return 'game-near';
	const about = Math.min(practice.expected.length, run.group.ideal);
	return suitableZones(run, context.ground.zones, about).length === 0 ? 'ground' : null;
}

/** All drills of a shelf as a draft may choose them, and why others that its brief asks for are none. */
export interface Choices {
	choices: Choice[];
	refused: ReadonlyMap<string, Undone['because']>;
}

/** All drills of the shelf as a draft may choose them; those that come too soon again are left out. */
export function choicesFor(plan: Plan, input: DraftInput): Choices {
	const { practice, context } = plan;
	const standing = standingIn({
		players: practice.expected.length,
		adults: practice.adults.length,
		zones: context.ground.zones,
		kit: context.kit
	});
	const soon = tooSoon(input);
	const { ladders = [], brief = [], due } = input;
	const rungs = rungsFor(input);
	const stands = new Map(ladders.map(({ drill, rung }) => [drill, rung ?? null]));
	const asked = new Set(brief.map(({ drill }) => drill));
	const choices: Choice[] = [];
	const refused = new Map<string, Undone['because']>();
	for (const drill of context.shelf) {
		if (drill.frequency === 'vary' && soon.has(drill.id) && !asked.has(drill.id)) continue;
		const rung = rungs.get(drill.id) ?? undefined;
		const run = onRung(drill, rung);
		const because = whyNot(run, plan);
		if (because) {
			refused.set(drill.id, because);
			continue;
		}
		const { obstacle, busyAbout } = standing(run);
		choices.push({
			...{ drill, run, busy: busyAbout, obstacle },
			...(rung !== undefined && { rung }),
			gives: due.map(({ skill }) => shareOf(run, skill)),
			isNext: stands.has(drill.id) && (rung ?? null) !== stands.get(drill.id)
		});
	}
	return { choices, refused };
}

/** Whether all who come can do a drill at once. */
export const isForAll = ({ obstacle }: Choice): boolean => obstacle === null;

/** Whether a drill has a place of its own in the arc: it is no choice for the work between. */
export const isApart = ({ drill }: Choice): boolean => hasOwnPlace(drill);

/** Whether a drill may stand for a game where the full one cannot be played: two sides of players, or live play of two. */
export const isSmallGame = ({ run }: Choice): boolean => isGame(run) && run.family !== 'scrimmage';

/** Whether a drill may stand where no game can be played. */
export const isLivePlay = ({ run }: Choice): boolean => isLikeAGame(run);

/** What a minute of a drill counts of the minutes of hard contact of a day, 0 to 1. */
export const contactOfMinute = ({ run }: Choice, { context }: Plan): number =>
	contactWeight(run.contact, context.limits);

/** Effort from which a drill without an opponent is there to cost strength. */
const ONLY_HARD = 8;

/**
 * Where a drill comes in a practice that builds up: closed technique, technique with contact, guarded work, live
 * play, and what only costs strength. New things come early, while players are fresh.
 */
export function placeInArc({ run, isNext }: Choice): number {
	const isOnlyHard = run.effort >= ONLY_HARD && !run.live && run.contact < 2;
	if (isOnlyHard) return 6;
	const isOpposed = run.spots.some(({ role }) => role === 'opponent');
	const place = isTwoSided(run) || run.live ? 4 : isOpposed ? 3 : run.contact >= 2 ? 2 : 1;
	return isNext ? Math.min(place, 2.5) : place;
}

/** What is still wanted while a draft fills. */
export class Wanted {
	private readonly left: number[];

	constructor(private readonly aims: readonly Aim[]) {
		this.left = aims.map(({ minutes }) => minutes);
	}

	/** What some minutes of a drill are worth: weighted minutes of what is still wanted. */
	worth({ gives }: Pick<Choice, 'gives'>, minutes: number): number {
		let worth = 0;
		for (let k = 0; k < gives.length; k += 1)
			worth += this.aims[k].weight * Math.min(this.left[k], gives[k] * minutes);
		return worth;
	}

	/** Takes what some minutes of a drill give off what is wanted. */
	take({ gives }: Pick<Choice, 'gives'>, minutes: number): void {
		for (let k = 0; k < gives.length; k += 1)
			this.left[k] = Math.max(0, this.left[k] - gives[k] * minutes);
	}

	/** The aim that most is still wanted of, weighted; null where nothing is wanted. */
	most(): number | null {
		const worth = this.aims.map(({ weight }, k) => weight * this.left[k]);
		const best = worth.indexOf(Math.max(0, ...worth));
		return best >= 0 && worth[best] > 0 ? best : null;
	}
}

/**
 * About the most that a practice could give of its aims, in weighted minutes, over 0: minute by minute the drill
 * that gives most of what is still wanted, none for longer than suits the age.
 */
export function mostWorth(
	choices: readonly Choice[],
	{ aims, minutes, each }: { aims: readonly Aim[]; minutes: number; each: number }
): number {
	const wanted = new Wanted(aims);
	const spent = new Map<Choice, number>();
	const left = ({ run }: Choice, used: number) => (isGame(run) ? Infinity : each) - used;
	let worth = 0;
	for (let minute = 0; minute < minutes; minute += 1) {
		let [best, most] = [null as Choice | null, 0];
		for (const choice of choices) {
			if (left(choice, spent.get(choice) ?? 0) < 1) continue;
			const own = wanted.worth(choice, 1);
			if (own > most) [best, most] = [choice, own];
		}
		if (!best) break;
		worth += most;
		wanted.take(best, 1);
		spent.set(best, (spent.get(best) ?? 0) + 1);
	}
	return worth || 1;
}
