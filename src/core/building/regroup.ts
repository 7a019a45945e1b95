import { freeBibs } from './bibs';
import type { Group, Period } from '../model/practice';
import type { RotateInput, RotateOutput } from '../rotation';
import { isStation } from '../playing';
import { arranging, type EditOf, idMaker, idsIn, type Plan } from '../practice';

type Arrange = EditOf<'arrange-period'>;

/** Groups of a period that go through it together: those of its stations, or all. */
export function movingGroups(period: Period): Group[] {
	const named = new Set((period.slots ?? []).flatMap((slot) => Object.values(slot).flat()));
	const groups = period.groups ?? [];
	return period.slots ? groups.filter(({ id }) => named.has(id)) : groups;
}

/**
 * The edit that puts other players into the groups of a period, in their order. A leader who stays keeps
 * that; where there is none, the first of those who are `leading` takes it.
 */
export function regroup(
	period: Period,
	players: readonly (readonly string[])[],
	leading: ReadonlySet<string> = new Set()
): Arrange {
	const moving = movingGroups(period);
	const next = new Map(moving.map(({ id }, index) => [id, [...(players[index] ?? [])]]));
	const groups = (period.groups ?? []).map((group) => {
		const own = next.get(group.id);
		if (!own) return group;
		const { leader: before, ...rest } = group;
		const stays = before !== undefined && own.includes(before);
		const leader = stays ? before : own.find((id) => leading.has(id));
		return { ...rest, players: own, ...(leader && { leader }) };
	});
	return arranging(period, { groups });
}

/** The stations of a period as `rotate` takes them: where they are and how hard. */
export function stationsOf({ context }: Plan, period: Period): RotateInput['stations'] {
	return period.lanes
		.filter((lane) => isStation(period, lane))
		.map(({ id, blocks }) => {
			const [block] = blocks;
			const zone = context.zoneById.get(block?.copies[0]?.zoneId ?? '');
			const drill = context.shelf.find((each) => each.id === block?.drill?.id);
			const place = zone && { x: zone.x + zone.length / 2, y: zone.y + zone.width / 2 };
			return { id, ...place, ...(drill && { effort: drill.effort }) };
		});
}

/** The edit that takes the groups of a station period through its stations in another way. */
export function reround(
	period: Period,
	{ slots, walk }: RotateOutput,
	{ walkMetresPerSecond }: { walkMetresPerSecond: number }
): Arrange {
	const needed = Math.ceil(walk.longestLeg / walkMetresPerSecond);
	return arranging(period, {
		slots: slots.map(({ rest: _rest, ...at }) => at),
		moveSeconds: Math.min(600, Math.max(period.moveSeconds ?? 0, needed))
	});
}

/**
 * Twice as many groups, each half of one, for rounds in which two meet at a station. The larger halves
 * come first: a round pairs one of the first with one of the last, so that stations stay alike.
 */
export function halvedGroups(period: Period): Group[] {
	const makeId = idMaker(idsIn(period));
	const groups = movingGroups(period);
	const others = (period.groups ?? []).filter((group) => !groups.includes(group));
	const bibs = freeBibs(others, groups.length * 2);
	const halfOf = ({ players }: Group) => Math.ceil(players.length / 2);
	const first = groups.map(({ leader: _leader, ...group }, index) => ({
		...group,
		bib: bibs[index],
		players: group.players.slice(0, halfOf(group))
	}));
	const second = groups.map((group, index) => ({
		id: makeId(group.id),
		bib: bibs[groups.length + index],
		players: group.players.slice(halfOf(group))
	}));
	return [...first, ...second];
}

/** The same period with these groups in the place of those that go through its stations. */
export function withGroups(period: Period, groups: readonly Group[]): Period {
	const moving = new Set(movingGroups(period).map(({ id }) => id));
	return {
		...period,
		groups: [...groups, ...(period.groups ?? []).filter(({ id }) => !moving.has(id))]
	};
}
