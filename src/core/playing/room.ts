import { sum } from 'd3-array';
import type { Drill } from '../model/drill';
import { mainAreas } from '../model/skill';
import type { Lane, Period, Practice } from '../model/practice';
import type { Zone } from '../model/team';
import {
	copiesByFixtures,
	copiesInZone,
	copiesServed,
	kitNeeded,
	type SizeLimits
} from '../sizing';
import { type Context, drillOf } from '../practice';
import { playersOfCopy } from './schedule';

/** What a block can be built from: what the other lanes of its period leave. */
export interface Room {
	/** Zones that overlap no zone in use and not one another, best suited first. */
	zones: Zone[];
	/** Zones on the same ground that hold more copies together, where there are such; none overlaps another. */
	roomier?: Zone[];
	/** Adults who are there and free, those who can lead the drill's main skill first. */
	adults: string[];
	kit: Record<string, number>;
}

/** Whether two zones share ground; touching edges do not count. */
export function overlap(a: Zone, b: Zone): boolean {
	const apart = 1e-6;
	return (
		a.x + a.length > b.x + apart &&
		b.x + b.length > a.x + apart &&
		a.y + a.width > b.y + apart &&
		b.y + b.width > a.y + apart
	);
}

/** Zones of a lane: its own and those of its copies. */
export function zonesOfLane(lane: Lane): string[] {
	const copies = lane.blocks.flatMap((block) => block.copies);
	return [...new Set([...lane.zoneIds, ...copies.map(({ zoneId }) => zoneId)])];
}

/** Zones that hold a copy of `players`, the tightest fit first, none that overlaps an earlier one. */
export function suitableZones(
	drill: Pick<Drill, 'ground' | 'fixtures' | 'hazards'>,
	zones: readonly Zone[],
	players: number
): Zone[] {
	const area = (zone: Zone) => zone.length * zone.width;
	const chosen: Zone[] = [];
	const fitting = zones.filter(
		(zone) => copiesInZone(drill, zone, players) > 0 && copiesByFixtures(drill, zone) > 0
	);
	// Ground alone, where no zone has the fixtures: the size table then says what is missing.
	const candidates =
		fitting.length > 0 ? fitting : zones.filter((zone) => copiesInZone(drill, zone, players) > 0);
	for (const zone of candidates.toSorted((a, b) => area(a) - area(b)))
		if (!chosen.some((other) => overlap(zone, other))) chosen.push(zone);
	return chosen;
}

/** Zones that hold the most copies of `players` together, none that overlaps an earlier one; null where `tight` ones hold as many. */
export function roomierZones(
	drill: Pick<Drill, 'ground' | 'fixtures' | 'hazards'>,
	{ zones, tight, players }: { zones: readonly Zone[]; tight: readonly Zone[]; players: number }
): Zone[] | null {
	const held = new Map(zones.map((zone) => [zone, copiesServed(drill, zone, players)]));
	const holds = (zone: Zone) => held.get(zone) ?? 0;
	const chosen: Zone[] = [];
	for (const zone of zones.toSorted((a, b) => holds(b) - holds(a)))
		if (holds(zone) > 0 && !chosen.some((other) => overlap(zone, other))) chosen.push(zone);
	return sum(chosen, holds) > sum(tight, holds) ? chosen : null;
}

/** Adults that lanes ask for. */
export function adultsIn(lanes: readonly Lane[]): Set<string> {
	const blocks = lanes.flatMap((lane) => lane.blocks);
	return new Set(
		blocks.flatMap(({ copies, lead, eyes }) => [
			...copies.flatMap((copy) => copy.adults),
			...[lead, eyes].filter((id) => id !== undefined)
		])
	);
}

/** What the kit leaves over beside lanes of a period; players who do not come use none. */
export function kitLeft(
	period: Period,
	lanes: readonly Lane[],
	{ practice, context }: { practice: Practice; context: Context }
): Record<string, number> {
	const expected = new Set(practice.expected);
	const left = new Map(Object.entries(context.kit));
	for (const { copies, drill: reference } of lanes.flatMap((lane) => lane.blocks)) {
		const drill = drillOf(context, reference);
		if (!drill) continue;
		const players = copies
			.flatMap((copy) => playersOfCopy(period, copy))
			.filter((id) => expected.has(id)).length;
		for (const [item, count] of kitNeeded(drill, { copies: copies.length, players }))
			left.set(item, Math.max(0, (left.get(item) ?? 0) - count));
	}
	return Object.fromEntries(left);
}

/** Whether an adult is known and may have all players of the team in charge, by their ages. */
export function maySupervise(id: string, { adultById, team }: Context): boolean {
	const adult = adultById.get(id);
	if (!adult) return false;
	const { ages } = adult;
	return !ages || (ages.from <= team.ages.from && ages.to >= team.ages.to);
}

/**
 * Adults in an order that puts those last who may not have the team in charge, and of the others those
 * first who can lead a drill's main skill, then who lead any, then who lead others.
 */
export function whoLeadsFirst(ids: readonly string[], drill: Drill, context: Context): string[] {
	const main = mainAreas(drill);
	function rank(id: string): number {
		if (!maySupervise(id, context)) return 3;
		const skills = context.adultById.get(id)?.skills;
		if (!skills) return 1;
		return main.some((area) => skills.includes(area)) ? 0 : 2;
	}
	return ids.toSorted((a, b) => rank(a) - rank(b));
}

/** Zones that share no ground with those of some lanes. */
function zonesLeft(lanes: readonly Lane[], { ground, zoneById }: Context): Zone[] {
	const inUse = lanes.flatMap(zonesOfLane).flatMap((id) => zoneById.get(id) ?? []);
	return ground.zones.filter((zone) => !inUse.some((used) => overlap(zone, used)));
}

/** How many zones apart from each other some lanes leave. */
export const placesLeft = (lanes: readonly Lane[], context: Context): number =>
	suitableZones({ ground: { length: 1, width: 1 } }, zonesLeft(lanes, context), 1).length;

/** What is free for `drill` with groups of about `players` in a period, beside the given lanes. */
export function roomFor(
	drill: Drill,
	{
		practice,
		period,
		beside,
		context,
		players
	}: {
		practice: Practice;
		period: Period;
		beside: readonly Lane[];
		context: Context;
		players: number;
	}
): Room {
	const free = zonesLeft(beside, context);
	const busy = adultsIn(beside);
	const tight = suitableZones(drill, free, players);
	const roomier = roomierZones(drill, { zones: free, tight, players });
	return {
		zones: tight,
		...(roomier && { roomier }),
		adults: whoLeadsFirst(
			practice.adults.filter((id) => !busy.has(id)),
			drill,
			context
		),
		kit: kitLeft(period, beside, { practice, context })
	};
}

/** The room as limits for `size`. */
export function limitsOf({ zones, roomier, adults, kit }: Room): SizeLimits {
	const sizesOf = (own: readonly Zone[]) =>
		own.map(({ id, length, width, fixtures }) => ({ id, length, width, fixtures }));
	return {
		coaches: adults.length,
		zones: sizesOf(zones),
		...(roomier && { orZones: sizesOf(roomier) }),
		kit
	};
}
