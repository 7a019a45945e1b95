import { badInput, fail, ok, type Failure, type Outcome, type Path } from '../base';
import type { Drill, Spot } from '../model/drill';

/** Other moves after a share of the turns. */
export interface ResultMoves {
	/** Share of turns that go so, over 0 and under 1. */
	readonly share: number;
	/** For each spot, the index of the spot that its players go to then; null where they play on. */
	readonly leadsTo: readonly (number | null)[];
}

/** A drill as its players see it: the spots that players hold and where each leads. */
export interface System {
	/** The spots that players hold, in the drill's order. */
	readonly spots: readonly Spot[];
	/** For each of `spots`, the index in `spots` that its players go to after a turn. */
	readonly leadsTo: readonly number[];
	/** Null where every turn ends alike. */
	readonly result: ResultMoves | null;
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

/** Spots that no player holds: those of adults, of markers, and the `either` spots that adults fill. */
function heldByOthers(drill: Drill, adults: number): Set<string> {
	const held = new Set<string>();
	let left = adults;
	for (const spot of drill.spots) {
		if (holder(spot) === 'adult' || holder(spot) === 'marker') held.add(spot.id);
		if (holder(spot) !== 'either' || spot.count > left) continue;
		held.add(spot.id);
		left -= spot.count;
	}
	return held;
}

type Moves = ReadonlyMap<string, string>;

/** Where a player of `spot` ends up when others' spots are passed through: the own spot if nowhere. */
function destination(spot: string, moves: Moves, others: ReadonlySet<string>): string {
	const seen = new Set<string>();
	let at = moves.get(spot);
	while (at !== undefined && others.has(at) && !seen.has(at)) {
		seen.add(at);
		at = moves.get(at);
	}
	return at === undefined || others.has(at) ? spot : at;
}

/**
 * The system that players run through when `adults` adults fill `either` spots, in listed order, as
 * far as they go. A move into a spot that no player holds goes on along that spot's own move. Nothing
 * is checked.
 */
function systemOf(drill: Drill, adults: number): System {
	const others = heldByOthers(drill, adults);
	const spots = drill.spots.filter(({ id }) => !others.has(id));
	const indexOf = new Map(spots.map(({ id }, index) => [id, index]));
	const { moves, result } = drill.rotation;
	const leads = (id: string, along: Moves) => indexOf.get(destination(id, along, others)) as number;
	const usual = new Map(Object.entries(moves));
	const special = new Map(Object.entries(result?.moves ?? {}));
	const total = (list: readonly Spot[]) => list.reduce((sum, { count }) => sum + count, 0);
	const markers = drill.spots.filter((spot) => holder(spot) === 'marker');
	return {
		spots,
		leadsTo: spots.map(({ id }) => leads(id, usual)),
		result: result
			? {
					share: result.share,
					leadsTo: spots.map(({ id }) => (special.has(id) ? leads(id, special) : null))
				}
			: null,
		needed: total(spots),
		adults: total(drill.spots) - total(spots) - total(markers)
	};
}

/** A move that `upTo` or units forbid. */
function badMove(
	spots: readonly Spot[],
	leadsTo: readonly (number | null)[],
	at: Path
): Failure | null {
	for (const [index, from] of spots.entries()) {
		const to = spots[leadsTo[index] ?? index];
		if (to === from) continue;
		const path = [...at, from.id];
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

function unbalanced(
	spots: readonly Spot[],
	leadsTo: readonly (number | null)[],
	when: string
): Failure | null {
	const gets = spots.map(() => 0);
	for (const [index, spot] of spots.entries()) gets[leadsTo[index] ?? index] += spot.count;
	const fault = spots.findIndex(({ count, upTo }, at) => upTo === undefined && gets[at] !== count);
	if (fault < 0) return null;
	const { id, count } = spots[fault];
	return {
		code: 'unbalanced-rotation',
		spot: id,
		message: `spot "${id}" gives ${count} ${when} and gets back ${gets[fault]}`
	};
}

const MOVES: Path = ['drill', 'rotation', 'moves'];
const RESULT_MOVES: Path = ['drill', 'rotation', 'result', 'moves'];

/** What keeps a system from running, kind by kind: each is asked of every step before the next kind. */
const KINDS: readonly ((system: System) => Failure | null)[] = [
	({ spots, leadsTo }) => badMove(spots, leadsTo, MOVES),
	({ spots, result }) => result && badMove(spots, result.leadsTo, RESULT_MOVES),
	({ spots, leadsTo }) => unbalanced(spots, leadsTo, 'a turn'),
	({ spots, result }) => result && unbalanced(spots, result.leadsTo, 'such a turn')
];

/** A system with what keeps it from running, by kind. */
interface Checked {
	system: System;
	faults: readonly (Failure | null)[];
}

/** Systems by drill and number of adults: a drill never changes, and is asked about again and again. */
const known = new WeakMap<Drill, Map<number, Checked>>();

function checkedSystem(drill: Drill, adults: number): Checked {
	const own = known.get(drill) ?? new Map<number, Checked>();
	known.set(drill, own);
	const before = own.get(adults);
	if (before) return before;
	const system = systemOf(drill, adults);
	const checked = { system, faults: KINDS.map((fault) => fault(system)) };
	own.set(adults, checked);
	return checked;
}

/**
 * The systems that players run through on drills one after another, with `adults` for the `either`
 * spots. Fails with `bad-input` for a move that units or `upTo` forbid, else `unbalanced-rotation` with
 * the first listed spot that gets back more or fewer than it gives; `at` is the drill at fault.
 */
export function playerSystems(
	drills: readonly Drill[],
	adults: (drill: Drill) => number
): { ok: true; value: System[] } | { ok: false; failure: Failure; at: number } {
	const checked = drills.map((drill) => checkedSystem(drill, adults(drill)));
	for (const kind of KINDS.keys())
		for (const [at, { faults }] of checked.entries()) {
			const failure = faults[kind];
			if (failure) return { ok: false, failure, at };
		}
	return { ok: true, value: checked.map(({ system }) => system) };
}

/** The system of one drill, as `playerSystems` gives it. */
export function playerSystem(drill: Drill, adults: number): Outcome<System> {
	const made = playerSystems([drill], () => adults);
	return made.ok ? ok(made.value[0]) : fail(made.failure);
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
