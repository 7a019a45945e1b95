import { splitEvenly } from '../base';
import type { Drill } from '../model/drill';
import type { Block, Group, Lane, Period, Slot } from '../model/practice';
import { rotate } from '../rotation';
import { slotSeconds } from '../sizing';
import { isStation, keptOutOfDrill, playersOfLane } from '../playing';
import { arranging, type Context, type EditOf, idMaker, idsIn, type Plan } from '../practice';
import { groupsOf, makeGroups } from './copies';

/** A station as it is asked for: a drill in a zone with its adults. */
export interface StationWish {
	drill: Drill;
	zoneId: string;
	adults: string[];
	/** The block that runs there now: what the coach has set in it stays. */
	from?: Block;
}

/** Lanes of a station period that are no stations: they run beside them over the whole period. */
export function sideLanes(period: Period): Lane[] {
	return period.slots ? period.lanes.filter((lane) => !isStation(period, lane)) : [];
}

/** Players who go through the stations of a period: all expected but those of its side lanes. */
export function stationPlayers({ practice }: Plan, period: Period): string[] {
	const beside = new Set(sideLanes(period).flatMap((lane) => playersOfLane(period, lane)));
	return practice.expected.filter((id) => !beside.has(id));
}

/** Those of them who go through a round of these drills: a station that keeps a player out keeps them out of all. */
export function roundPlayers(plan: Plan, period: Period, drills: readonly Drill[]): string[] {
	const { playerById } = plan.context;
	return stationPlayers(plan, period).filter(
		(id) => !drills.some((drill) => keptOutOfDrill(playerById.get(id), drill, plan))
	);
}

/**
 * The edit that makes a period a round of stations: as many even groups as stations, each group one
 * station on at every slot; who is kept out of one of them is in no group. Side lanes stay; the period's other insides are replaced.
 */
export function splitIntoStations(
	plan: Plan,
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
	const { practice, context } = plan;
	const beside = sideLanes(period);
	const makeId = idMaker([
		...practice.periods.filter((other) => other !== period).flatMap(idsIn),
		period.id,
		...idsIn({ ...period, groups: [], lanes: beside })
	]);
	const players = roundPlayers(
		plan,
		period,
		wishes.map(({ drill }) => drill)
	);
	const isMeant = sizes.reduce((sum, size) => sum + size, 0) === players.length;
	const meant = isMeant ? sizes : splitEvenly(players.length, sizes.length);
	const groups = makeGroups(players, meant, { context, makeId, stem: period.id });
	const seconds = slotSeconds(period.minutes, {
		slots: Math.max(wishes.length, sizes.length),
		moveSeconds
	});
	const minutes = Math.max(1, Math.round(seconds / 60));
	const lanes = wishes.map(({ drill, zoneId, adults, from }): Lane => {
		const kept = from?.drill?.id === drill.id ? from : undefined;
		const block: Block = {
			climb: [{ minutes }],
			stopShare: 0.05,
			...kept,
			id: makeId(`${period.id}.b`),
			drill: { id: drill.id, revision: drill.revision ?? 1 },
			minutes,
			copies: [{ id: makeId(`${period.id}.c`), zoneId, players: [], adults }]
		};
		return { id: makeId(`${period.id}.l`), zoneIds: [zoneId], blocks: [block] };
	});
	const slots = slotsOf(groups, lanes, wishes, context);
	return arranging(period, {
		kind: 'stations',
		lanes: [...lanes, ...beside],
		groups: [...groups, ...groupsOf(period, beside)],
		slots,
		moveSeconds
	});
}

/** Who is where in each slot: by the best round of the stations, from how far apart and how hard they are. */
function slotsOf(
	groups: readonly Group[],
	lanes: readonly Lane[],
	wishes: readonly StationWish[],
	context: Context
): Slot[] {
	if (groups.length === 0 || lanes.length === 0) return [];
	const round = rotate({
		groups: groups.map(({ id }) => id),
		stations: lanes.map(({ id }, station) => {
			const { zoneId, drill } = wishes[station];
			const zone = context.zoneById.get(zoneId);
			const place = zone && { x: zone.x + zone.length / 2, y: zone.y + zone.width / 2 };
			return { id, ...place, effort: drill.effort };
		}),
		rules: { hardFrom: context.limits.hardEffort }
	});
	if (!round.ok) throw new Error(`${lanes.length} stations: ${round.failure.message}`);
	return round.value.slots.map(({ rest: _rest, ...at }) => at);
}
