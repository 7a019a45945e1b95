import { simulate, type SimulateOutput } from '../drill';
import type { Drill } from '../model/drill';
import type { Lane } from '../model/practice';
import { mainAreas } from '../model/skill';
import type { Zone } from '../model/team';
import { copiesByFixtures, copiesInZone } from '../sizing';
import type { Plan } from './plan';
import type { StationWish } from './stations';
import { adultsIn, overlap, whoLeadsFirst, zonesOfLane } from './room';

const holdsOne = (drill: Drill, zone: Zone, players: number) =>
	copiesInZone(drill, zone, players) > 0 && copiesByFixtures(drill, zone) > 0;

/** What a station gives a group of `players` in `minutes`; null where the drill does not run with them. */
export function stationGives(
	drill: Drill,
	{ players, minutes }: { players: number; minutes: number }
): SimulateOutput | null {
	const run = simulate({ drill, players, minutes });
	return run.ok ? run.value : null;
}

/** Drills that a group of `players` can run at a station, the least waiting first. */
function stationDrills({ context }: Plan, players: number, minutes: number): Drill[] {
	const rated = context.shelf.flatMap((drill) => {
		const { min, max } = drill.group;
		const isFor =
			drill.family !== 'warm-up' && drill.family !== 'cool-down' && drill.family !== 'scrimmage';
		const gives =
			isFor && players >= min && players <= max ? stationGives(drill, { players, minutes }) : null;
		return gives ? [{ drill, wait: gives.share.wait }] : [];
	});
	return rated.sort((a, b) => a.wait - b.wait).map(({ drill }) => drill);
}

/**
 * A wish for each of `count` stations: the given drills first, then others of the shelf that fit
 * groups of `players`, of different skills while there are any; each in a zone of its own that
 * holds it, with an adult while there are any. Fewer than `count` where the ground has no more room.
 */
export function suggestStations(
	plan: Plan,
	{
		first,
		beside,
		count,
		players,
		minutes
	}: {
		first: readonly Drill[];
		/** Lanes that go on beside the stations: their zones and adults are taken. */
		beside: readonly Lane[];
		count: number;
		players: number;
		minutes: number;
	}
): StationWish[] {
	const { practice, context } = plan;
	const adults = practice.adults.filter((id) => !adultsIn(beside).has(id));
	const used: Zone[] = beside.flatMap(zonesOfLane).flatMap((id) => context.zoneById.get(id) ?? []);
	const areas = new Set<string>();
	const wishes: StationWish[] = [];
	const size = (zone: Zone) => zone.length * zone.width;
	const zones = context.ground.zones.toSorted((a, b) => size(a) - size(b));

	function take(drill: Drill): boolean {
		const zone = zones.find(
			(each) => holdsOne(drill, each, players) && !used.some((other) => overlap(other, each))
		);
		if (!zone || wishes.length >= count) return false;
		used.push(zone);
		for (const area of mainAreas(drill)) areas.add(area);
		const [leader] = whoLeadsFirst(adults, drill, context);
		if (leader !== undefined) adults.splice(adults.indexOf(leader), 1);
		wishes.push({ drill, zoneId: zone.id, adults: leader === undefined ? [] : [leader] });
		return true;
	}

	for (const drill of first.slice(0, count)) take(drill);
	const others = stationDrills(plan, players, minutes).filter(
		({ id }) => !first.some((own) => own.id === id)
	);
	const isNew = (drill: Drill) => !mainAreas(drill).some((area) => areas.has(area));
	for (const drill of others) if (isNew(drill)) take(drill);
	for (const drill of others) if (!wishes.some((wish) => wish.drill === drill)) take(drill);
	return wishes;
}
