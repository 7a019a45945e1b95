import { sum } from 'd3-array';
import { adultPlaces } from '../drill';
import { freeBibs } from './bibs';
import { group } from '../grouping';
import type { Drill } from '../model/drill';
import type { Block, Copy, Group, Lane, Period } from '../model/practice';
import type { Zone } from '../model/team';
import { copiesServed, type SizeOption } from '../sizing';
import type { Room } from '../playing';
import {
	arranging,
	type Context,
	drillOf,
	type EditOf,
	idMaker,
	idsIn,
	type Plan
} from '../practice';

/** A zone for each copy: one each while there are zones, then second places where they fit. */
function placeCopies(drill: Drill, zones: readonly Zone[], sizes: readonly number[]): Zone[] {
	const holds = zones.map((zone) => copiesServed(drill, zone, sizes[0]));
	const places: Zone[] = [];
	for (let round = 0; places.length < sizes.length; round += 1) {
		const open = zones.filter((_, index) => holds[index] > round);
		// More copies than places: they share, and the checks say so.
		if (open.length === 0)
			return sizes.map((_, index) => places[index] ?? zones[index % zones.length]);
		places.push(...open.slice(0, sizes.length - places.length));
	}
	const order = zones.map(({ id }) => id);
	return places.toSorted((a, b) => order.indexOf(a.id) - order.indexOf(b.id));
}

/**
 * The zones that copies are laid into: where players are too young to be alone, no more zones than
 * there are adults, if those hold all copies.
 */
function zonesFor(
	drill: Drill,
	{ zones: tight, roomier, adults }: Room,
	sizes: readonly number[],
	{ team, limits }: Context
): readonly Zone[] {
	const holds = (zone: Zone) => copiesServed(drill, zone, sizes[0]);
	const zones = roomier && sum(tight, holds) < sizes.length ? roomier : tight;
	if (team.ages.from >= limits.aloneFromAge) return zones;
	const few = zones.toSorted((a, b) => holds(b) - holds(a)).slice(0, adults.length);
	const places = sum(few, holds);
	return places >= sizes.length ? few : zones;
}

/** Adults dealt to copies: what each needs first, then one more to each zone without one, then to each copy. */
function staffCopies(
	drill: Drill,
	{ adults, zones, adultsAt }: { adults: readonly string[]; zones: Zone[]; adultsAt: number }
): string[][] {
	const each = drill.coaches.min + adultPlaces(drill).always + adultsAt;
	const rest = [...adults];
	const staffed = zones.map(() => rest.splice(0, each));
	const isWatched = (zone: Zone) =>
		staffed.some((own, index) => own.length > 0 && zones[index] === zone);
	const ideal = each + Math.max(0, drill.coaches.ideal - drill.coaches.min);
	for (const [index, zone] of zones.entries())
		if (ideal > 0 && rest.length > 0 && !isWatched(zone)) staffed[index].push(...rest.splice(0, 1));
	for (const own of staffed)
		if (own.length < ideal && rest.length > 0) own.push(...rest.splice(0, 1));
	return staffed;
}

/** Groups of the given sizes, even over ratings and units, with bibs in order. */
export function makeGroups(
	players: readonly string[],
	sizes: readonly number[],
	{ context, makeId, stem }: { context: Context; makeId: (stem: string) => string; stem: string }
): Group[] {
	const bibs = freeBibs([], sizes.length);
	return evenGroups(players, sizes, context).map((members, index) => ({
		id: makeId(`${stem}.g`),
		bib: bibs[index],
		players: [...members]
	}));
}

/** Search for groups that is short enough to wait for while the board is drawn, and in each try of a draft. */
const SHORT_SEARCH = 12;

/** Even groups that were found for a squad, by players and sizes: whoever tries many practices asks for the same again. */
const found = new WeakMap<Context, Map<string, string[][]>>();

/** Players in groups of these sizes (empty ones last) that are as even as a short search finds, in the order of the squad. */
function evenGroups(
	players: readonly string[],
	sizes: readonly number[],
	context: Context
): string[][] {
	const known = found.get(context) ?? new Map<string, string[][]>();
	found.set(context, known);
	const key = JSON.stringify([players, sizes]);
	const before = known.get(key);
	if (before) return before;
	const groups = dealtEvenly(players, sizes, context);
	known.set(key, groups);
	return groups;
}

function dealtEvenly(
	players: readonly string[],
	sizes: readonly number[],
	context: Context
): string[][] {
	const filled = sizes.filter((size) => size > 0);
	const empty = sizes.slice(filled.length).map((): string[] => []);
	if (filled.length === 0) return empty;
	const known = players.map((id) => {
		const { unit, ratings } = context.playerById.get(id) ?? {};
		return { id, ...(unit && { unit }), ...(ratings && { ratings }) };
	});
	const here = new Set(players);
	const met = (context.met ?? []).filter(([a, b]) => here.has(a) && here.has(b));
	const made = group(
		{
			...{ players: known, sizes: filled, mode: 'even' },
			// Where groups are equally even, partners are fresh.
			...(met.length > 0 && { met: met.map((pair) => [...pair]) })
		},
		SHORT_SEARCH
	);
	if (!made.ok) throw new Error(`Groups of ${sizes.join(', ')}: ${made.failure.message}`);
	return [...made.value.groups, ...empty];
}

/** The copies of a block for an option of `size`, with the groups that run them. */
export function copiesFor(
	drill: Drill,
	{
		option,
		room,
		players,
		stem,
		makeId,
		context
	}: {
		option: Pick<SizeOption, 'sizes' | 'adultsAt'>;
		room: Room;
		players: readonly string[];
		stem: string;
		makeId: (stem: string) => string;
		context: Context;
	}
): { copies: Copy[]; groups: Group[] } {
	const { sizes, adultsAt } = option;
	const zones = placeCopies(drill, zonesFor(drill, room, sizes, context), sizes);
	const adults = staffCopies(drill, { adults: room.adults, zones, adultsAt });
	const groups = sizes.length > 1 ? makeGroups(players, sizes, { context, makeId, stem }) : [];
	const copies = sizes.map((_, index) => ({
		id: makeId(`${stem}.c`),
		zoneId: zones[index].id,
		...(groups[index] && { group: groups[index].id }),
		players: groups[index] ? [] : [...players],
		adults: adults[index]
	}));
	return { copies, groups };
}

/** The zones that copies stand in, each once. */
export const zoneIdsOf = (copies: readonly Copy[]) => [
	...new Set(copies.map(({ zoneId }) => zoneId))
];

/** Groups of a period that some of its lanes run with. */
export function groupsOf(period: Period, lanes: readonly Lane[]): Group[] {
	const copies = lanes.flatMap(({ blocks }) => blocks.flatMap((block) => block.copies));
	const used = new Set(copies.map(({ group }) => group));
	return (period.groups ?? []).filter(({ id }) => used.has(id));
}

/** Runs a block of a plain lane in the copies of an option: new groups, zones and adults. */
export function splitIntoCopies(
	{ context }: Plan,
	{
		period,
		lane,
		block,
		option,
		room,
		players
	}: {
		period: Period;
		lane: Lane;
		block: Block;
		option: Pick<SizeOption, 'sizes' | 'adultsAt'>;
		room: Room;
		players: readonly string[];
	}
): EditOf<'arrange-period'> | null {
	const drill = drillOf(context, block.drill);
	if (!drill || room.zones.length === 0) return null;
	const kept = groupsOf(
		period,
		period.lanes.filter((other) => other !== lane)
	);
	const makeId = idMaker(idsIn(period));
	const { copies, groups } = copiesFor(drill, {
		option,
		room,
		players,
		stem: block.id,
		makeId,
		context
	});
	const next = {
		...lane,
		zoneIds: zoneIdsOf(copies),
		blocks: lane.blocks.map((each) => (each === block ? { ...block, copies } : each))
	};
	const all = [...kept, ...groups];
	return arranging(period, {
		kind: period.kind === 'stations' ? 'together' : period.kind,
		lanes: period.lanes.map((each) => (each === lane ? next : each)),
		groups: all.length > 0 ? all : null,
		slots: null,
		moveSeconds: null
	});
}
