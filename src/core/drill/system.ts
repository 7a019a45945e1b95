import { badInput, fail, ok, type Failure, type Outcome } from '../base';
import type { Drill, Spot } from '../model/drill';

/** A drill as its players see it: the spots that players hold and where each leads. */
export interface System {
	/** The spots that players hold, in the drill's order. */
	readonly spots: readonly Spot[];
	/** For each of `spots`, the index in `spots` that its players go to after a turn. */
	readonly leadsTo: readonly number[];
	/** Players that fill every spot once. */
	readonly needed: number;
	/** Adults who hold a spot of one running copy. */
	readonly adults: number;
}

const holder = (spot: Spot) => spot.by ?? 'player';

/** Adults that one copy takes: those on `adult` spots, and those that fill all `either` spots. */
export function adultPlaces(drill: Drill): { always: number; either: number } {
	const places = { always: 0, either: 0 };
	for (const spot of drill.spots) {
		if (holder(spot) === 'adult') places.always += spot.count;
		if (holder(spot) === 'either') places.either += spot.count;
	}
	return places;
}

function heldByAdults(drill: Drill, adults: number): Set<string> {
	const held = new Set<string>();
	let left = adults;
	for (const spot of drill.spots) {
		if (holder(spot) === 'adult') held.add(spot.id);
		if (holder(spot) !== 'either' || spot.count > left) continue;
		held.add(spot.id);
		left -= spot.count;
	}
	return held;
}

/** Where a player of `spot` ends up when adults' spots are passed through: the own spot if nowhere. */
function destination(spot: string, moves: ReadonlyMap<string, string>, adults: Set<string>) {
	const seen = new Set<string>();
	let at = moves.get(spot);
	while (at !== undefined && adults.has(at) && !seen.has(at)) {
		seen.add(at);
		at = moves.get(at);
	}
	return at === undefined || adults.has(at) ? spot : at;
}

function badMove(spots: readonly Spot[], leadsTo: readonly number[]): Failure | null {
	for (const [index, from] of spots.entries()) {
		const to = spots[leadsTo[index]];
		if (to === from) continue;
		const path = ['drill', 'rotation', 'moves', from.id];
		const keepsLine = [from, to].find(({ upTo }) => upTo !== undefined);
		if (keepsLine) return badInput(path, `spot "${keepsLine.id}" has upTo and keeps its own line`);
		if (from.unit !== undefined && to.unit !== undefined && from.unit !== to.unit)
			return badInput(
				path,
				`expected a spot of unit "${from.unit}", got "${to.id}" of "${to.unit}"`
			);
	}
	return null;
}

function unbalanced(spots: readonly Spot[], leadsTo: readonly number[]): Failure | null {
	const gets = spots.map(() => 0);
	for (const [index, spot] of spots.entries()) gets[leadsTo[index]] += spot.count;
	const fault = spots.findIndex(({ count, upTo }, at) => upTo === undefined && gets[at] !== count);
	if (fault < 0) return null;
	const { id, count } = spots[fault];
	return {
		code: 'unbalanced-rotation',
		spot: id,
		message: `spot "${id}" gives ${count} a turn and gets back ${gets[fault]}`
	};
}

/**
 * The system that players run through when `adults` adults fill `either` spots, in listed order, as
 * far as they go. A move into an adult's spot goes on along that spot's own move. Fails with
 * `bad-input` for a move that units or `upTo` forbid, else `unbalanced-rotation` with the first
 * listed spot that gets back more or fewer than it gives.
 */
export function playerSystem(drill: Drill, adults: number): Outcome<System> {
	const adultSpots = heldByAdults(drill, adults);
	const spots = drill.spots.filter(({ id }) => !adultSpots.has(id));
	const moves = new Map(Object.entries(drill.rotation.moves));
	const indexOf = new Map(spots.map(({ id }, index) => [id, index]));
	const leadsTo = spots.map(({ id }) => indexOf.get(destination(id, moves, adultSpots)) as number);
	const fault = badMove(spots, leadsTo) ?? unbalanced(spots, leadsTo);
	if (fault) return fail(fault);
	const total = (list: readonly Spot[]) => list.reduce((sum, { count }) => sum + count, 0);
	return ok({
		spots,
		leadsTo,
		needed: total(spots),
		adults: total(drill.spots) - total(spots)
	});
}

/** The failure of a group that cannot fill the spots, or null. */
export function checkPlayers({ needed }: { needed: number }, players: number): Failure | null {
	if (players >= needed) return null;
	return {
		code: 'too-few-players',
		needed,
		message: `${players} players are fewer than the ${needed} that the spots need`
	};
}
