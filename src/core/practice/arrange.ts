import { ok, type Outcome } from '../base';
import { adultPlaces, resolveDrill, type Runner } from '../drill';
import { evenGroups } from '../grouping';
import type { Drill } from '../model/drill';
import type { Block, Copy, Group, Lane, Period, PeriodKind, Practice } from '../model/practice';
import type { Zone } from '../model/team';
import { cyclicSlots } from '../rotation';
import {
	copiesByFixtures,
	copiesInZone,
	size,
	slotSeconds,
	type SizeOption,
	type SizeOutput
} from '../sizing';
import type { Context } from './context';
import { drillOf } from './context';
import type { EditOf } from './edit';
import { idsIn } from './find';
import { idMaker } from './ids';
import { limitsOf, roomFor, type Room } from './room';
import { playersOfCopy } from './schedule';

/** A practice with what it is built from. */
export interface Plan {
	practice: Practice;
	context: Context;
}

/** The sizes of a drill in a period, and the room that they were found in. */
export interface Sizing {
	output: SizeOutput;
	room: Room;
}

/** Ideal, least and most minutes of a new period around the minutes asked for. */
function minutesAround(minutes: number) {
	return {
		minutes,
		ideal: minutes,
		min: Math.max(1, Math.round(minutes * 0.6)),
		max: Math.max(minutes, Math.round(minutes * 1.5))
	};
}

/** Players of a lane: those of its copies. */
export function playersOfLane(period: Period, lane: Lane): string[] {
	const copies = lane.blocks.flatMap((block) => block.copies);
	return [...new Set(copies.flatMap((copy) => playersOfCopy(period, copy)))];
}

/** Players expected whom no lane of the period has yet, but for the given lane. */
function freePlayers({ practice }: Plan, period: Period, lane?: Lane): string[] {
	const taken = new Set(
		period.lanes.filter((other) => other !== lane).flatMap((other) => playersOfLane(period, other))
	);
	return practice.expected.filter((id) => !taken.has(id));
}

/** The number of players a group of the drill has at best, of those there. */
const groupAbout = (drill: Drill, players: number) => Math.min(players, drill.group.ideal);

/**
 * How many copies of a drill a period can hold for `players`, what each gives, and what blocks it,
 * from the zones, adults and kit that `beside` leaves. Fails as `size` does.
 */
export function sizeHere(
	{ practice, context }: Plan,
	{
		period,
		drill,
		rung,
		players,
		minutes,
		beside
	}: {
		period: Period;
		drill: Drill;
		rung?: string;
		players: number;
		minutes: number;
		beside: readonly Lane[];
	}
): Outcome<Sizing> {
	const resolved = resolveDrill(drill, rung);
	if (!resolved.ok) return resolved;
	const about = groupAbout(resolved.value, players);
	const room = roomFor(resolved.value, { practice, period, beside, context, players: about });
	const output = size({ drill, rung, players, minutes, limits: limitsOf(room) });
	return output.ok ? ok({ output: output.value, room }) : output;
}

/** A zone for each copy: one each while there are zones, then second places where they fit. */
function placeCopies(drill: Drill, zones: readonly Zone[], sizes: readonly number[]): Zone[] {
	const holds = zones.map((zone) =>
		Math.min(copiesInZone(drill, zone, sizes[0]), copiesByFixtures(drill, zone))
	);
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

/** Adults dealt to copies: what each needs first, then one more each while there are any. */
function staffCopies(drill: Drill, adults: readonly string[], copies: number, adultsAt: number) {
	const each = drill.coaches.min + adultPlaces(drill).always + adultsAt;
	const rest = [...adults];
	const staffed = Array.from({ length: copies }, () => rest.splice(0, each));
	const ideal = each + Math.max(0, drill.coaches.ideal - drill.coaches.min);
	for (const copy of staffed)
		if (copy.length < ideal && rest.length > 0) copy.push(...rest.splice(0, 1));
	return staffed;
}

/** Groups of the given sizes, even over ratings and units, with bibs in order. */
function makeGroups(
	players: readonly string[],
	sizes: readonly number[],
	{ context, makeId, stem }: { context: Context; makeId: (stem: string) => string; stem: string }
): Group[] {
	const known = players.map((id): Runner => context.playerById.get(id) ?? { id });
	return evenGroups(known, sizes).map((group, index) => ({
		id: makeId(`${stem}.g`),
		bib: index % 8,
		players: group.map(({ id }) => id)
	}));
}

/** The copies of a block for an option of `size`, with the groups that run them. */
function copiesFor(
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
	const zones = placeCopies(drill, room.zones, sizes);
	const adults = staffCopies(drill, room.adults, sizes.length, adultsAt);
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

const zoneIdsOf = (copies: readonly Copy[]) => [...new Set(copies.map(({ zoneId }) => zoneId))];

/** A kind of period that suits a drill put on the tape. */
function kindFor(drill: Drill): PeriodKind {
	if (drill.family === 'warm-up') return 'warm-up';
	return drill.family === 'scrimmage' ? 'scrimmage' : 'together';
}

/**
 * A new period that runs one drill with everyone expected: copies, groups, zones and adults from the
 * best free size; where none is free, one copy, and the checks say what is wrong.
 * `null` where no zone of the ground could hold one copy.
 */
export function periodFromDrill(
	plan: Plan,
	{ drill, id, minutes }: { drill: Drill; id: string; minutes: number }
): Period | null {
	const { practice, context } = plan;
	const makeId = idMaker([...practice.periods.flatMap(idsIn), id]);
	const period: Period = {
		id,
		name: drill.name,
		kind: kindFor(drill),
		rank: kindFor(drill) === 'warm-up' ? 'must' : 'should',
		...minutesAround(minutes),
		lanes: []
	};
	const players = practice.expected;
	const sized = sizeHere(plan, { period, drill, players: players.length, minutes, beside: [] });
	const about = groupAbout(drill, players.length);
	const room = sized.ok
		? sized.value.room
		: roomFor(drill, { practice, period, beside: [], context, players: about });
	if (room.zones.length === 0) return null;
	const { options, best } = sized.ok ? sized.value.output : { options: [], best: null };
	const option = options[best ?? 0] ?? { sizes: [players.length], adultsAt: 0 };
	const blockId = makeId(`${id}.b`);
	const { copies, groups } = copiesFor(drill, {
		option,
		room,
		players,
		stem: blockId,
		makeId,
		context
	});
	const block: Block = {
		id: blockId,
		drill: { id: drill.id, revision: drill.revision ?? 1 },
		climb: [{ minutes }],
		minutes,
		copies,
		stopShare: 0.1
	};
	const lane = { id: makeId(`${id}.l`), zoneIds: zoneIdsOf(copies), blocks: [block] };
	return { ...period, ...(groups.length > 0 && { groups }), lanes: [lane] };
}

/** A new period without a drill: water, a talk, the close. */
export function plainPeriod(
	kind: PeriodKind,
	{ id, name, minutes }: { id: string; name: string; minutes: number }
): Period {
	return { id, name, kind, rank: 'must', ...minutesAround(minutes), min: 1, lanes: [] };
}

/** Groups of the period that another lane still uses. */
function groupsKept(period: Period, lane: Lane): Group[] {
	const used = new Set(
		period.lanes
			.filter((other) => other !== lane)
			.flatMap((other) => other.blocks.flatMap(({ copies }) => copies.map(({ group }) => group)))
	);
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
	const kept = groupsKept(period, lane);
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
	return {
		type: 'arrange-period',
		period: period.id,
		kind: period.kind === 'stations' ? 'together' : period.kind,
		lanes: period.lanes.map((each) => (each === lane ? next : each)),
		groups: all.length > 0 ? all : null,
		slots: null,
		moveSeconds: null
	};
}

/** A station as it is asked for: a drill in a zone with its adults. */
export interface StationWish {
	drill: Drill;
	zoneId: string;
	adults: string[];
}

/**
 * The edit that makes a period a round of stations: as many even groups as stations, each group one
 * station on at every slot. The period's other insides are replaced.
 */
export function splitIntoStations(
	{ practice, context }: Plan,
	{
		period,
		wishes,
		sizes,
		moveSeconds
	}: {
		period: Period;
		wishes: readonly StationWish[];
		sizes: readonly number[];
		moveSeconds: number;
	}
): EditOf<'arrange-period'> {
	const makeId = idMaker([
		...practice.periods.filter((other) => other !== period).flatMap(idsIn),
		period.id
	]);
	const groups = makeGroups(practice.expected, sizes, { context, makeId, stem: period.id });
	const seconds = slotSeconds(period.minutes, {
		slots: Math.max(wishes.length, sizes.length),
		moveSeconds
	});
	const minutes = Math.max(1, Math.round(seconds / 60));
	const lanes = wishes.map(({ drill, zoneId, adults }): Lane => {
		const block: Block = {
			id: makeId(`${period.id}.b`),
			drill: { id: drill.id, revision: drill.revision ?? 1 },
			climb: [{ minutes }],
			minutes,
			copies: [{ id: makeId(`${period.id}.c`), zoneId, players: [], adults }],
			stopShare: 0.05
		};
		return { id: makeId(`${period.id}.l`), zoneIds: [zoneId], blocks: [block] };
	});
	const slots = cyclicSlots(groups.length, lanes.length).map((at) =>
		Object.fromEntries(
			at.map((list, station) => [lanes[station].id, list.map((group) => groups[group].id)])
		)
	);
	return {
		type: 'arrange-period',
		period: period.id,
		kind: 'stations',
		lanes,
		groups,
		slots,
		moveSeconds
	};
}

export { freePlayers };
