import { greatest, max, min } from 'd3-array';
import type { Group, Lane, Period, Slot } from '../model/practice';
import { isStation } from '../playing';
import type { Context } from '../practice';
import { movingGroups, withGroups } from '../building';
import { needOf, needOfLane, rungsOf, type Need } from './demand';
import type { Shrunk } from './evened';

/** The stations of a period. */
export const stationLanes = (period: Period): Lane[] =>
	period.lanes.filter((lane) => isStation(period, lane));

/** How many groups meet at a station. */
export const meeting = ({ slots = [] }: Period) =>
	max(slots, (slot) => max(Object.values(slot), ({ length }) => length)) ?? 1;

/** How many copies of a station's block so many players fill, of those that it has: one at least. */
function copiesFilled({ blocks }: Lane, players: number, context: Context): number {
	const [block] = blocks;
	const least = block ? needOf(rungsOf(block, context)).min : 0;
	const most = block?.copies.length ?? 1;
	return Math.max(1, Math.min(most, Math.floor(players / Math.max(1, least))));
}

/**
 * What groups of about so many players need to go through all stations of a round: enough for the copies that
 * they fill, and no more than these take. Groups that meet share both.
 */
export function needOfRound(period: Period, size: number, context: Context): Need {
	const together = Math.max(1, meeting(period));
	const needs = stationLanes(period).map((lane) => {
		const need = needOfLane(lane, context);
		const copies = copiesFilled(lane, size * together, context);
		return { min: need.min * copies, max: need.max * copies, roles: need.roles };
	});
	return {
		min: Math.ceil((max(needs, (need) => need.min) ?? 0) / together),
		max: Math.floor((min(needs, (need) => need.max) ?? Infinity) / together),
		roles: needs.flatMap(({ roles }) => roles)
	};
}

/** Where a group is in every slot: the id of a station, null where it rests. */
const wayOf = ({ slots = [] }: Period, group: string): (string | null)[] =>
	slots.map((slot) => Object.entries(slot).find(([, ids]) => ids.includes(group))?.[0] ?? null);

/** The stations in the order in which groups come to them, a place without one for each group that rests. */
function circleOf(period: Period, groups: readonly Group[]): (string | null)[] {
	const [first] = groups;
	const way = first ? wayOf(period, first.id) : [];
	const seen = [...new Set(way.filter((id) => id !== null))];
	const others = stationLanes(period)
		.map(({ id }) => id)
		.filter((id) => !seen.includes(id));
	const rests = Array.from({ length: groups.length - seen.length - others.length }, () => null);
	return [...seen, ...others, ...rests];
}

/** Slots in which groups go round a circle from where they begin: each one place on at every slot. */
function goingRound(
	circle: readonly (string | null)[],
	{ starts, slots }: { starts: readonly (string | undefined)[]; slots: number }
): Slot[] {
	return Array.from({ length: slots }, (_, slot) => {
		const at: Slot = Object.fromEntries(circle.flatMap((id) => (id === null ? [] : [[id, []]])));
		for (const [place, group] of starts.entries()) {
			const id = circle[(place + slot) % circle.length];
			if (id !== null && group !== undefined) at[id].push(group);
		}
		return at;
	});
}

/** The station that a round does without first: one that nobody can stand with, else that which needs most. */
function leastOf(period: Period, context: Context, unstaffed: ReadonlySet<string>): Lane {
	const rank = (lane: Lane) => (unstaffed.has(lane.id) ? 1000 : 0) + needOfLane(lane, context).min;
	return greatest(stationLanes(period), rank) as Lane;
}

/** A round without one station and one group: who began there begins where the group began. */
function without(period: Period, group: Group, station: Lane): Period {
	const groups = movingGroups(period);
	const circle = circleOf(period, groups);
	const begins = new Map(groups.map(({ id }) => [id, wayOf(period, id)[0]]));
	const left = circle.filter((id) => id !== station.id);
	const taken = new Map<string | null, string[]>();
	for (const { id } of groups) {
		if (id === group.id) continue;
		const own = begins.get(id) ?? null;
		const place = own === station.id ? (begins.get(group.id) ?? null) : own;
		taken.set(place, [...(taken.get(place) ?? []), id]);
	}
	const starts = left.map((place) => taken.get(place)?.shift());
	// A round that water divides is a part of a circle: it keeps its slots.
	const slots = Math.min(left.length, (period.slots ?? []).length);
	const lanes = period.lanes.filter((lane) => lane !== station);
	return {
		...period,
		lanes,
		groups: (period.groups ?? []).filter(({ id }) => id !== group.id),
		slots: goingRound(left, { starts, slots })
	};
}

/** A round in which only some groups are left, with as many stations fewer. */
export function withParts(
	period: Period,
	{ kept, parts }: Shrunk,
	{ context, unstaffed }: { context: Context; unstaffed: ReadonlySet<string> }
): Period {
	const groups = movingGroups(period);
	const filled = groups.map((group, index) => {
		const place = kept.indexOf(index);
		return { ...group, players: place < 0 ? [] : [...parts[place]] };
	});
	const gone = filled.filter((_, index) => !kept.includes(index));
	const all = withGroups(period, filled);
	return gone.reduce((now, group) => without(now, group, leastOf(now, context, unstaffed)), all);
}

/** A round in which each station has no more copies than groups of about so many players fill. */
export function withFilledCopies(period: Period, size: number, context: Context): Period {
	const together = Math.max(1, meeting(period));
	const lanes = period.lanes.map((lane) => {
		const [block] = lane.blocks;
		if (!block || !isStation(period, lane)) return lane;
		const filled = copiesFilled(lane, size * together, context);
		if (block.copies.length <= filled) return lane;
		const copies = block.copies
			.toSorted((a, b) => b.adults.length - a.adults.length)
			.slice(0, filled);
		const zoneIds = [...new Set(copies.map(({ zoneId }) => zoneId))];
		return { ...lane, zoneIds, blocks: [{ ...block, copies }] };
	});
	return { ...period, lanes };
}
