import { splitEvenly } from '../base';
import type { Period } from '../model/practice';
import type { Limits } from '../model/limits';

/** How a stretch of work is done: one drill by all, two after each other, stations, or units by themselves. */
export type Form = 'together' | 'pair' | 'stations' | 'units';

/** A part of a practice before drills are chosen. */
export type Part =
	| { kind: 'warm-up' | 'scrimmage' | 'cool-down' | 'talk' | 'water'; minutes: number }
	| { kind: 'work'; form: Form; minutes: number }
	| { kind: 'kept'; period: Period; minutes: number };

/** How the work of a practice is cut. */
export interface Pattern {
	/** Rounds of stations, where there is time for them. */
	rounds: number;
	/** Whether stations come before the rest. */
	isRoundFirst: boolean;
	/** How the rest is done. */
	rest: 'together' | 'pair';
}

/** Where in a practice a period belongs. */
export type Place = 'warm-up' | 'work' | 'game' | 'end';

/** What a practice is to be made of. */
export interface OutlineAsked {
	arc: 'build-up' | 'play-first';
	minutes: number;
	/** Minutes of scrimmage; 0 where none can be played. */
	scrimmage: number;
	hasCoolDown: boolean;
	/** Periods that stay, by where they belong, in their order. */
	kept: Readonly<Record<Place, readonly Period[]>>;
	pattern: Pattern;
	/** Minutes of one round of stations; 0 where too few come for any. */
	roundMinutes: number;
	/** The last stretch of work before the game is given to units. */
	hasUnits: boolean;
	limits: Pick<Limits, 'warmUpMinutes' | 'waterMinutes' | 'talkMinutes'>;
}

const WATER = 2;
const TALK = 2;
const COOL_DOWN = 4;
/** A stretch of work is no shorter. */
const LEAST_WORK = 6;
/** Where play comes first, the share of the scrimmage that the first game gets. */
const FIRST_GAME = 0.4;
/** What a scrimmage is worth setting up for. */
const LEAST_GAME = 5;
/** Practices shorter than this have no time for more than a warm-up that is long enough. */
const SHORT = 45;

const minutesIn = (parts: readonly Part[]) => parts.reduce((sum, { minutes }) => sum + minutes, 0);

/** Water wherever the time since the last drink would go over the limit. */
function withWater(parts: readonly Part[], most: number): Part[] {
	const out: Part[] = [];
	let since = 0;
	for (const part of parts) {
		if (since > 0 && since + part.minutes > most) {
			out.push({ kind: 'water', minutes: WATER });
			since = 0;
		}
		out.push(part);
		since += part.minutes;
	}
	return out;
}

/** The stretches of work of so many minutes: rounds of stations, the others each at most a drink long. */
function stretches(minutes: number, asked: OutlineAsked): Part[] {
	const { pattern, roundMinutes, hasUnits, limits } = asked;
	if (minutes < LEAST_WORK) return [];
	const fitting = roundMinutes > 0 ? Math.floor(minutes / roundMinutes) : 0;
	const rounds = Math.min(pattern.rounds, fitting);
	const left = minutes - rounds * roundMinutes;
	// What is too short for work of its own makes the rounds longer.
	const isShort = rounds > 0 && left < LEAST_WORK;
	const work =
		(form: Form) =>
		(each: number): Part => ({ kind: 'work', form, minutes: each });
	const stations = (isShort ? splitEvenly(minutes, rounds) : Array(rounds).fill(roundMinutes)).map(
		work('stations')
	);
	if (isShort) return stations;
	const count = Math.ceil(left / Math.max(LEAST_WORK, limits.waterMinutes));
	const rest = splitEvenly(left, count).map(work(pattern.rest));
	// Units work last before the game, where it leaves the others something.
	if (hasUnits && rest.length + stations.length > 1 && rest.length > 0) {
		const { minutes: own } = rest[rest.length - 1];
		const others = rest.slice(0, -1);
		const before = pattern.isRoundFirst ? [...stations, ...others] : [...others, ...stations];
		return [...before, { kind: 'work', form: 'units', minutes: own }];
	}
	return pattern.isRoundFirst ? [...stations, ...rest] : [...rest, ...stations];
}

/** The parts in the order of the arc, without water. */
function inOrder(work: readonly Part[], asked: OutlineAsked): Part[] {
	const { arc, minutes, scrimmage, hasCoolDown, kept, limits } = asked;
	const isShort = minutes < SHORT;
	const stay = (periods: readonly Period[]) =>
		periods.map((period): Part => ({ kind: 'kept', period, minutes: period.minutes }));
	const orKept = (place: Place, made: readonly Part[]) =>
		kept[place].length > 0 ? stay(kept[place]) : made;
	const warmUp = orKept('warm-up', [
		{ kind: 'warm-up', minutes: Math.max(Math.ceil(limits.warmUpMinutes), isShort ? 0 : 10) }
	]);
	const end = orKept(
		'end',
		hasCoolDown ? [{ kind: 'cool-down', minutes: isShort ? 3 : COOL_DOWN }] : []
	);
	const game = (share: number): Part[] => {
		const own = Math.round(scrimmage * share);
		return own >= LEAST_GAME ? [{ kind: 'scrimmage', minutes: own }] : [];
	};
	const all = [...stay(kept.work), ...work];
	if (arc === 'build-up') return [...warmUp, ...all, ...orKept('game', game(1)), ...end];
	// The game shows what does not work yet; then it is worked on, and played again.
	const talk: Part = { kind: 'talk', minutes: Math.min(TALK, Math.floor(limits.talkMinutes)) };
	const [one, ...others] = kept.game;
	const first = others.length > 0 ? stay([one]) : game(FIRST_GAME);
	const last =
		others.length > 0 ? stay(others) : orKept('game', game(first.length > 0 ? 1 - FIRST_GAME : 1));
	const broke = first.length > 0 && talk.minutes > 0 ? [talk] : [];
	return [...warmUp, ...first, ...broke, ...all, ...last, ...end];
}

/** The parts of a practice, water among them, whose minutes are just those that there are. */
export function outlineOf(asked: OutlineAsked): Part[] {
	const { minutes, limits } = asked;
	const least = minutesIn(inOrder([], asked));
	let work = Math.max(0, minutes - least);
	// Water takes its minutes from the work, and less work may need less water.
	for (;;) {
		const parts = withWater(inOrder(stretches(work, asked), asked), limits.waterMinutes);
		const over = minutesIn(parts) - minutes;
		if (over <= 0 || work === 0) return parts;
		work = Math.max(0, work - over);
	}
}
