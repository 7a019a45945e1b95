import { adultPlaces, simulate, type SimulateOutput } from '../drill';
import type { Drill } from '../model/drill';
import type { Lane, Period } from '../model/practice';
import { mainAreas } from '../model/skill';
import type { Zone } from '../model/team';
import { copiesByFixtures, copiesInZone, kitNeeded } from '../sizing';
import {
	adultsIn,
	clearOf,
	gapBetween,
	keptOutOfDrill,
	kitLeft,
	layInto,
	maySupervise,
	overlap,
	type Rectangle,
	whoLeadsFirst,
	zonesOfLane
} from '../playing';
import type { Plan } from '../practice';
import type { StationWish } from './stations';

/** What a station gives a group of `players` in `minutes`; null where the drill does not run with them. */
export function stationGives(
	drill: Drill,
	{ players, minutes }: { players: number; minutes: number }
): SimulateOutput | null {
	const run = simulate({ drill, players, minutes });
	return run.ok ? run.value : null;
}

const NO_STATION = new Set(['warm-up', 'cool-down', 'scrimmage']);

/** Drills of the shelf that suit a station: those that keep the fewest players out first, then the least waiting. */
function stationDrills(plan: Plan, { players, count, minutes }: StationsAsked): Drill[] {
	const squad = players.map((id) => plan.context.playerById.get(id));
	const size = Math.ceil(players.length / count);
	return plan.context.shelf
		.filter(({ family }) => !NO_STATION.has(family ?? ''))
		.flatMap((drill) => {
			const gives = stationGives(drill, { players: size, minutes });
			const out = squad.filter((player) => keptOutOfDrill(player, drill, plan)).length;
			return gives ? [{ drill, out, wait: gives.share.wait }] : [];
		})
		.sort((a, b) => a.out - b.out || a.wait - b.wait)
		.map(({ drill }) => drill);
}

/** The stations that are asked for, and what goes on beside them. */
export interface StationsAsked {
	period: Period;
	/** Stations that stay as they are where they still run; an earlier one goes before a later one. */
	kept: readonly StationWish[];
	/** Drills that are tried first. */
	first: readonly Drill[];
	/** Lanes that go on beside the stations: their zones, adults and kit are taken. */
	beside: readonly Lane[];
	count: number;
	/** Who goes through the stations. */
	players: readonly string[];
	minutes: number;
}

/** What is left for one more station, while stations are taken one after the other. */
class Stock {
	readonly wishes: StationWish[] = [];
	private readonly adults: string[];
	private readonly kit: Map<string, number>;
	private readonly used: Zone[];
	private readonly laid: { drill: Drill; at: Rectangle }[] = [];
	private readonly sizes: { least: number; most: number };

	constructor(
		private readonly plan: Plan,
		private readonly asked: StationsAsked
	) {
		const { practice, context } = plan;
		const { beside, count, period, players } = asked;
		this.adults = practice.adults.filter((id) => !adultsIn(beside).has(id));
		this.used = beside.flatMap(zonesOfLane).flatMap((id) => context.zoneById.get(id) ?? []);
		this.kit = new Map(Object.entries(kitLeft(period, beside, { practice, context })));
		this.sizes = {
			least: Math.floor(players.length / count),
			most: Math.ceil(players.length / count)
		};
	}

	/** Takes a drill as one more station, in `zoneId` and with `adults` where they are said; false where it cannot run. */
	take(drill: Drill, wish?: StationWish): boolean {
		const { context } = this.plan;
		if (this.wishes.length >= this.asked.count) return false;
		if (this.wishes.some((own) => own.drill.id === drill.id) || !this.suits(drill)) return false;
		const zones = wish ? [context.zoneById.get(wish.zoneId)] : this.bySize();
		const zone = zones.find((each) => each && this.isFree(drill, each));
		const adults = this.leaders(drill, wish?.adults);
		if (!zone || !adults || !this.takeKit(drill)) return false;
		for (const id of adults) this.adults.splice(this.adults.indexOf(id), 1);
		this.used.push(zone);
		this.laid.push({ drill, at: layInto(zone, drill, this.sizes.most) });
		this.wishes.push({ ...wish, drill, zoneId: zone.id, adults });
		return true;
	}

	/** Whether every group can run a drill: by number and by roles. */
	private suits(drill: Drill): boolean {
		const { context } = this.plan;
		const { players, count, minutes } = this.asked;
		const { least, most } = this.sizes;
		if (least < drill.group.min || most > drill.group.max) return false;
		if (![least, most].every((size) => stationGives(drill, { players: size, minutes })))
			return false;
		const squad = players.flatMap((id) => context.playerById.get(id) ?? []);
		const plays = (role: string) =>
			squad.filter(({ unit, positions }) => unit === role || positions?.includes(role)).length;
		const needs = drill.needsRole ?? [];
		return needs.every((need) => plays(need.role) >= need.count * count);
	}

	private bySize(): Zone[] {
		const size = (zone: Zone) => zone.length * zone.width;
		return this.plan.context.ground.zones.toSorted((a, b) => size(a) - size(b));
	}

	/** Whether a zone holds a copy, beside and clear of what is taken. */
	private isFree(drill: Drill, zone: Zone): boolean {
		const { limits } = this.plan.context;
		const players = this.sizes.most;
		if (copiesInZone(drill, zone, players) === 0 || copiesByFixtures(drill, zone) === 0)
			return false;
		if (this.used.some((other) => overlap(other, zone))) return false;
		const own = layInto(zone, drill, players);
		return this.laid.every(
			(other) =>
				gapBetween(own, other.at) >=
				Math.max(clearOf(drill, limits), clearOf(other.drill, limits)) - 1e-6
		);
	}

	/**
	 * The adults that a station takes: those it has, else who leads its skill; null where too few are left,
	 * or none who may watch young players.
	 */
	private leaders(drill: Drill, own: readonly string[] = []): string[] | null {
		const { context } = this.plan;
		const isYoung = context.team.ages.from < context.limits.aloneFromAge;
		const needed = drill.coaches.min + adultPlaces(drill).always;
		const kept = own.filter((id) => this.adults.includes(id));
		const others = whoLeadsFirst(this.adults, drill, context).filter((id) => !kept.includes(id));
		const adults = [...kept, ...others.slice(0, Math.max(0, Math.max(needed, 1) - kept.length))];
		const isWatched = !isYoung || adults.some((id) => maySupervise(id, context));
		return isWatched && adults.length >= needed ? adults : null;
	}

	private takeKit(drill: Drill): boolean {
		const needs = [...kitNeeded(drill, { copies: 1, players: this.sizes.most })];
		if (needs.some(([item, count]) => count > (this.kit.get(item) ?? 0) + 1e-9)) return false;
		for (const [item, count] of needs) this.kit.set(item, (this.kit.get(item) ?? 0) - count);
		return true;
	}
}

/**
 * A wish for each of `count` stations that its groups can run: those that are kept, then the given drills,
 * then others of the shelf, of different skills while there are any, none twice; each in a zone of its own
 * and clear of the others, with an adult while there are any. Fewer than `count` where no more can run.
 */
export function suggestStations(plan: Plan, asked: StationsAsked): StationWish[] {
	const stock = new Stock(plan, asked);
	for (const wish of asked.kept) stock.take(wish.drill, wish);
	for (const drill of asked.first) stock.take(drill);
	const others = stationDrills(plan, asked);
	const isNew = (drill: Drill) => {
		const areas = stock.wishes.flatMap((wish) => mainAreas(wish.drill));
		return !mainAreas(drill).some((area) => areas.includes(area));
	};
	for (const drill of others) if (isNew(drill)) stock.take(drill);
	for (const drill of others) stock.take(drill);
	return stock.wishes;
}
