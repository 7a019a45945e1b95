import type { Ground, Zone } from '../model/team';
import { guidesOf, snapped, snappedStretch, tidyZone } from './guides';

/** The smallest side of a zone, in metres. */
export const LEAST_SIDE = 1;

/** A corner by which a zone is pulled: near or far along the length, near or far across. */
export interface Corner {
	along: 'near' | 'far';
	across: 'near' | 'far';
}

export const CORNERS: readonly Corner[] = [
	{ along: 'near', across: 'near' },
	{ along: 'far', across: 'near' },
	{ along: 'near', across: 'far' },
	{ along: 'far', across: 'far' }
];

/** How far something is pulled, in metres along the length and across. */
export interface By {
	x: number;
	y: number;
}

/** The ground with another zone in the place of the one with its id. */
export const withZone = (ground: Ground, zone: Zone): Ground => ({
	...ground,
	zones: ground.zones.map((each) => (each.id === zone.id ? zone : each))
});

/** A zone moved, with an edge on a guide or else on whole metres. */
export function movedZone(ground: Ground, zone: Zone, by: By): Zone {
	const guides = guidesOf(ground, zone.id);
	return tidyZone({
		...zone,
		x: by.x === 0 ? zone.x : snappedStretch(zone.x + by.x, zone.length, guides.x),
		y: by.y === 0 ? zone.y : snappedStretch(zone.y + by.y, zone.width, guides.y)
	});
}

/** One side of a zone pulled at one of its ends: where it begins and how long it is. */
function pulled(
	[start, length]: [number, number],
	end: 'near' | 'far',
	{ by, guides }: { by: number; guides: readonly number[] }
): [number, number] {
	if (by === 0) return [start, length];
	if (end === 'far')
		return [start, Math.max(LEAST_SIDE, snapped(start + length + by, guides) - start)];
	const last = start + length;
	const first = Math.min(last - LEAST_SIDE, snapped(start + by, guides));
	return [first, last - first];
}

/** A zone pulled at a corner, which comes to lie on guides or else on whole metres. */
export function resizedZone(ground: Ground, zone: Zone, corner: Corner, by: By): Zone {
	const guides = guidesOf(ground, zone.id);
	const [x, length] = pulled([zone.x, zone.length], corner.along, { by: by.x, guides: guides.x });
	const [y, width] = pulled([zone.y, zone.width], corner.across, { by: by.y, guides: guides.y });
	return tidyZone({ ...zone, x, y, length, width });
}

/** A name that no zone of the ground has: the next letter, then numbers. */
export function freeName({ zones }: Ground): string {
	const taken = new Set(zones.map(({ name }) => name.toLowerCase()));
	const letters = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ'.split('');
	const numbers = zones.map((_, index) => String(index + 1));
	return [...letters, ...numbers].find((name) => !taken.has(name.toLowerCase())) ?? 'New zone';
}

/**
 * The zones of a rectangle divided evenly: `along` × `across` of them, row by row, each with a name that
 * the ground does not have. Ids are made by `makeId`.
 */
export function dividedZones(
	ground: Ground,
	{ x, y, length, width }: Pick<Zone, 'x' | 'y' | 'length' | 'width'>,
	{ along, across, makeId }: { along: number; across: number; makeId: () => string }
): Zone[] {
	const made: Zone[] = [];
	for (let row = 0; row < across; row += 1)
		for (let column = 0; column < along; column += 1)
			made.push(
				tidyZone({
					id: makeId(),
					name: freeName({ ...ground, zones: [...ground.zones, ...made] }),
					x: x + (column * length) / along,
					y: y + (row * width) / across,
					length: length / along,
					width: width / across
				})
			);
	return made;
}
