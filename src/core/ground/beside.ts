import type { Ground, Zone } from '../model/team';

/** How another zone lies to one: part of it, around it, sharing ground with it, or some metres away. */
export interface Beside {
	zone: Zone;
	how: 'within' | 'around' | 'overlaps' | 'near';
	/** Square metres that both have. */
	shared: number;
	/** Metres between them; 0 where they touch or share ground. */
	gap: number;
}

/** Metres that two stretches have in common; below 0 the metres between them. */
const common = (a: number, length: number, b: number, other: number) =>
	Math.min(a + length, b + other) - Math.max(a, b);

/** Square metres that are lost in the rounding of edges: zones that touch share nothing. */
const NOTHING = 0.5;

function besideOf(zone: Zone, other: Zone): Beside {
	const along = common(zone.x, zone.length, other.x, other.length);
	const across = common(zone.y, zone.width, other.y, other.width);
	const shared = Math.max(0, along) * Math.max(0, across);
	const gap = Math.hypot(Math.min(0, along), Math.min(0, across));
	const area = ({ length, width }: Zone) => length * width;
	const isWhole = (of: Zone) => shared >= area(of) - NOTHING;
	const how =
		shared < NOTHING ? 'near' : isWhole(other) ? 'within' : isWhole(zone) ? 'around' : 'overlaps';
	return { zone: other, how, shared, gap };
}

/**
 * Zones that cannot be used beside one without a thought: those that share ground with it, and those
 * nearer than `clearMetres`. The nearest first.
 */
export function zonesBeside(ground: Ground, zone: Zone, clearMetres: number): Beside[] {
	return ground.zones
		.filter(({ id }) => id !== zone.id)
		.map((other) => besideOf(zone, other))
		.filter(({ how, gap }) => how !== 'near' || gap < clearMetres - 1e-6)
		.sort((a, b) => b.shared - a.shared || a.gap - b.gap);
}

/** Zones that hold no smaller one: the parts of which larger ones are put together. */
export function smallestZones({ zones }: Pick<Ground, 'zones'>): Zone[] {
	const area = ({ length, width }: Zone) => length * width;
	const holds = (zone: Zone, other: Zone) =>
		area(other) < area(zone) - NOTHING && besideOf(zone, other).how === 'within';
	return zones.filter((zone) => !zones.some((other) => holds(zone, other)));
}

/** Pairs of smallest zones that share ground, with the square metres: most likely a slip. */
export function halfOverlaps(ground: Pick<Ground, 'zones'>): [Zone, Zone, number][] {
	const zones = smallestZones(ground);
	return zones.flatMap((zone, index) =>
		zones.slice(index + 1).flatMap((other): [Zone, Zone, number][] => {
			const { how, shared } = besideOf(zone, other);
			return how === 'overlaps' ? [[zone, other, shared]] : [];
		})
	);
}
