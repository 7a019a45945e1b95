import { group, max, min, sum } from 'd3-array';
import type { Alternative, DraftInput } from '../../src/core/draft';
import type { Drill } from '../../src/core/model/drill';
import type { Block, Period } from '../../src/core/model/practice';

/** What a stern coach says against a draft: a code, with what it is about. */
export interface Complaint {
	code: string;
	about: string;
}

/** Minutes of one drill at an age, as a coach has them in mind. */
const mostMinutes = (age: number) => (age < 9 ? 8 : age < 12 ? 10 : age < 16 ? 12 : 15);
/** Minutes after a drink before which nobody wants another, however hard the work or slow the laying out is. */
const DRINK_AGAIN = 5;
/** Minutes of what is owed most below which a coach would ask why. */
const LEAST_OWED = 3;
const isGameKind = (drill: Drill | undefined) =>
	drill?.family === 'scrimmage' ||
	(drill?.family === 'small-games' && drill.spots.every(({ role }) => role !== 'opponent'));
const APART = ['warm-up', 'scrimmage', 'cool-down'];

/**
 * Reads a draft as an experienced coach would, with rules of its own: nothing of what made the draft is used, only
 * its practice, its words and the shelf.
 */
export function complaintsOf(input: DraftInput, draft: Alternative): Complaint[] {
	const { practice, undone } = draft;
	const { team, frame, players } = input;
	const found: Complaint[] = [];
	const say = (code: string, about: unknown = '') => found.push({ code, about: String(about) });
	const drillOf = ({ drill }: Block) => input.drills.find(({ id }) => id === drill?.id);
	const onIt = (block: Block): Drill | undefined => {
		const drill = drillOf(block);
		const set = drill?.rungs.find(({ id }) => id === block.climb[0]?.rung)?.set;
		return drill && { ...drill, ...set };
	};
	const blocksIn = ({ lanes }: Period) => lanes.flatMap(({ blocks }) => blocks);
	const { periods } = practice;
	const all = periods.flatMap((period) => blocksIn(period).map((block) => ({ period, block })));

	if (sum(periods, ({ minutes }) => minutes) !== frame.minutes)
		say('minutes', `${sum(periods, ({ minutes }) => minutes)} of ${frame.minutes}`);
	if (draft.figures.stops > 0) say('stops', draft.figures.stops);

	// The beginning, the end, and nothing that nobody would run.
	const [first] = periods;
	if (first?.kind !== 'warm-up') say('no-warm-up');
	else if (first.minutes < 8 || first.minutes > 12) say('warm-up-length', first.minutes);
	for (const [k, { kind, minutes }] of periods.entries()) {
		if (kind === 'water' && minutes !== 2) say('water-length', minutes);
		if (kind === 'water' && periods[k + 1]?.kind === 'water') say('water-twice', k);
		if (kind === 'close' && minutes > 5) say('close-length', minutes);
		if (kind === 'water' && (k === 0 || k === periods.length - 1)) say('water-at-the-edge', k);
	}
	// Nobody drinks again right after a drink.
	const waters = periods.flatMap(({ kind }, k) => (kind === 'water' ? [k] : []));
	for (const [k, at] of waters.slice(1).entries()) {
		const between = sum(periods.slice(waters[k] + 1, at), ({ minutes }) => minutes);
		if (between < DRINK_AGAIN) say('drink-soon', between);
	}
	let dry = 0;
	for (const { kind, minutes } of periods) {
		dry = kind === 'water' || kind === 'close' ? 0 : dry + minutes;
		if (dry > 20) say('dry', dry);
	}

	// How long one drill lasts, by player at most: a slot of a round, or a period.
	const cap = mostMinutes(team.ages.from);
	const long = new Map<string, number>();
	for (const { period, block } of all) {
		const drill = drillOf(block);
		if (!drill || isGameKind(drill) || APART.includes(drill.family ?? '')) continue;
		for (const { rung, minutes = 0 } of block.climb) {
			const weights = sum(block.climb, (step) => step.minutes ?? 0);
			const length = block.minutes * (weights > 0 ? minutes / weights : 1);
			const key = `${drill.id} ${rung ?? ''} ${period.slots?.length ? period.id : ''}`;
			long.set(key, (long.get(key) ?? 0) + length);
		}
	}
	for (const [key, minutes] of long) {
		const asked = input.brief?.find(({ drill }) => key.startsWith(`${drill} `))?.minutes ?? 0;
		if (minutes > Math.max(cap, asked * 1.2, asked + 2) + 0.5)
			say('drill-long', `${key}: ${minutes}`);
	}
	const drills = new Set(all.flatMap(({ block }) => block.drill?.id ?? []));
	if (team.ages.from < 12 && frame.minutes >= 45 && drills.size < 4) say('few-drills', drills.size);

	// Hard work: no more than thirty minutes of effort 8 and more without five easy ones.
	let [hard, easy] = [0, 0];
	for (const period of periods) {
		const isRound = (period.slots ?? []).length > 0;
		const efforts = blocksIn(period).map((block) => onIt(block)?.effort ?? 0);
		// A group has one station at a time: a round is hard where all of them are.
		const effort = (isRound ? min(efforts) : max(efforts)) ?? 0;
		if (effort >= 8) {
			hard += period.minutes;
			easy = 0;
		} else if (period.kind !== 'water') {
			easy += period.minutes;
			if (easy >= 5) hard = 0;
		}
		if (hard > 30) say('hard-long', hard);
	}

	// Ages, and who may not.
	for (const { block } of all) {
		const drill = onIt(block);
		if (!drill) continue;
		if (team.ages.from < 12 && (drill.effort >= 9 || drill.contact >= 3)) say('too-hard', drill.id);
		if (drill.ages && (drill.ages.from > team.ages.from || drill.ages.to < team.ages.to))
			say('ages', drill.id);
	}
	for (const { id, restrictions = [] } of players) {
		const isOut = restrictions.some(
			({ from, since, cleared }) =>
				(from === 'contact' || from === 'all') &&
				(since === undefined || since <= frame.date) &&
				(!cleared || frame.date < cleared.on)
		);
		if (!isOut) continue;
		for (const { period, block } of all) {
			const drill = onIt(block);
			const isIn = block.copies.some(
				({ players: own = [], group: of }) =>
					own.includes(id) ||
					(period.groups ?? []).some((each) => each.id === of && each.players.includes(id))
			);
			const isRound = (period.slots ?? []).length > 0;
			const inRound = isRound && (period.groups ?? []).some((each) => each.players.includes(id));
			if (drill && (isIn || inRound) && (drill.contact >= 1 || isGameKind(drill)))
				say('kept-out', `${id} in ${drill.id}`);
		}
	}

	// What was asked is done, or the reason is said.
	for (const { drill, minutes, rung } of input.brief ?? []) {
		if (undone.some((each) => each.what === 'brief' && each.drill === drill)) continue;
		const own = all.filter(({ block }) => block.drill?.id === drill);
		const got = sum(own, ({ period, block }) =>
			(period.slots ?? []).length > 0 ? block.minutes : period.minutes
		);
		if (own.length === 0) say('brief-gone', drill);
		else if (Math.abs(got - minutes) > Math.max(2, 0.2 * minutes) + 1e-9)
			say('brief-minutes', `${drill}: ${got} of ${minutes}`);
		const stands = input.ladders?.find((each) => each.drill === drill);
		if (rung !== undefined && !stands && !own.some(({ block }) => block.climb[0].rung === rung))
			say('brief-rung', drill);
	}
	const isSaid = (what: string) => undone.some((each) => each.what === what);
	if (
		input.stations === true &&
		!periods.some(({ kind }) => kind === 'stations') &&
		!isSaid('stations')
	)
		say('stations');
	if (
		input.unitTime &&
		!periods.some(({ lanes }) => new Set(lanes.map(({ unit }) => unit)).size > 1) &&
		!isSaid('units')
	)
		say('units');

	// A period is called what it holds.
	for (const period of periods) {
		const names = new Set(blocksIn(period).flatMap((block) => drillOf(block)?.name ?? []));
		if (
			names.size === 1 &&
			period.kind !== 'stations' &&
			period.kind !== 'units' &&
			!names.has(period.name)
		)
			say('name', `${period.name} holds ${[...names].join()}`);
	}

	// The game: there is one, everybody is in it, it lasts, and it has ground.
	const games = periods.filter((period) =>
		blocksIn(period).some((block) => isGameKind(drillOf(block)))
	);
	const wants = input.scrimmage !== 0 && frame.minutes >= 45 && !isSaid('game');
	if (wants && games.length === 0) say('no-game');
	if (
		wants &&
		input.scrimmage === undefined &&
		games.length > 0 &&
		!games.some(({ minutes }) => minutes >= 10)
	)
		say('game-short', games.map(({ minutes }) => minutes).join());
	if (wants && input.arc === 'play-first' && !input.keep?.length && games.length > 0) {
		const place = periods.findIndex((period) => games.includes(period));
		if (periods.slice(0, place).some(({ kind }) => kind !== 'warm-up' && kind !== 'water'))
			say('play-not-first');
	}
	for (const game of games.filter(({ kind }) => kind === 'scrimmage'))
		for (const block of blocksIn(game)) {
			if (!block.lineup || block.copies.length > 1) continue;
			const drill = drillOf(block);
			const here = new Set(
				block.copies.flatMap(({ players: own = [], group: of }) => [
					...own,
					...(game.groups ?? []).filter(({ id }) => id === of).flatMap((each) => each.players)
				])
			);
			const places = sum(drill?.spots ?? [], ({ role, count, upTo = count }) =>
				role === 'worker' ? upTo : 0
			);
			const most = Math.max(
				0,
				...block.lineup.shifts.map(
					({ at }) => Object.values(at).filter((id) => here.has(id)).length
				)
			);
			const sides = 2 * (team.positions?.length ?? 0);
			const full = Math.min(places, here.size, sides);
			if (most + 1 < full) say('line-up', `${most} of ${full}`);
		}

	// Built up: closed technique before live play, technique with contact before conditioning.
	if (input.arc === 'build-up') {
		const works = periods
			.filter(({ kind, lanes }) => kind === 'together' && lanes.length === 1)
			.flatMap((period) =>
				blocksIn(period)
					.slice(0, 1)
					.map((block) => onIt(block))
			)
			.flatMap((drill) => drill ?? []);
		const firstLive = works.findIndex(
			({ live, spots }) => live && spots.some(({ role }) => role === 'opponent')
		);
		const late = works.findLastIndex(
			({ live, effort, spots }) =>
				!live && effort < 8 && spots.every(({ role }) => role !== 'opponent')
		);
		const isNew = input.ladders !== undefined;
		if (firstLive >= 0 && late > firstLive && !isNew) say('closed-after-live', works[late].id);
		const tired = works.findIndex(({ effort }) => effort >= 9);
		const contact = works.findLastIndex(
			({ contact: own, effort, live }) => own >= 2 && effort < 9 && !live
		);
		if (tired >= 0 && contact > tired) say('contact-after-conditioning', works[contact].id);
	}

	// The same drill stands there once, but for games and what water divides.
	for (const [id, own] of group(all, ({ block }) => block.drill?.id ?? '')) {
		const drill = input.drills.find((each) => each.id === id);
		// Where no game can be played other live play stands before and after.
		if (!drill || isGameKind(drill) || (drill.live && isSaid('game'))) continue;
		const places = [...new Set(own.map(({ period }) => periods.indexOf(period)))];
		const isRow = places.every((place, k) => k === 0 || place - places[k - 1] <= 2);
		if (!isRow) say('twice', id);
	}

	// What is owed most gets some, unless the draft says why not.
	const owed = [...input.due].sort((a, b) => b.weight * b.minutes - a.weight * a.minutes)[0];
	if (owed) {
		const got = draft.covers[input.due.indexOf(owed)].minutes;
		if (
			got < Math.min(LEAST_OWED, owed.minutes) &&
			!undone.some(({ skill }) => skill === owed.skill)
		)
			say('owed', owed.skill);
	}
	return found;
}
