import type { Ground, Zone } from '../model/team';

/** Lines that zones snap to: places along the length (`x`) and across (`y`), in metres. */
export interface Guides {
	x: readonly number[];
	y: readonly number[];
}

const sorted = (values: readonly number[]) => [...new Set(values)].sort((a, b) => a - b);

/** The outline, straight markings and the edges of all zones but one. */
export function guidesOf(ground: Ground, except?: string): Guides {
	const lines = ground.markings.flatMap((marking) => ('line' in marking ? marking.line : []));
	const others = ground.zones.filter(({ id }) => id !== except);
	return {
		x: sorted([
			0,
			ground.length,
			ground.length / 2,
			...lines.map(([x]) => x),
			...others.flatMap((zone) => [zone.x, zone.x + zone.length])
		]),
		y: sorted([
			0,
			ground.width,
			ground.width / 2,
			...lines.map(([, y]) => y),
			...others.flatMap((zone) => [zone.y, zone.y + zone.width])
		])
	};
}

/** How near to a guide a place must come to be taken there, in metres. */
const REACH = 0.6;

/** A place on its nearest guide, or else on the nearest whole metre. */
export function snapped(value: number, guides: readonly number[]): number {
	const near = guides.reduce<number | null>(
		(best, guide) =>
			Math.abs(guide - value) <= REACH &&
			(best === null || Math.abs(guide - value) < Math.abs(best - value))
				? guide
				: best,
		null
	);
	return near ?? Math.round(value);
}

/** Where a stretch begins so that it, or its end, lies on a guide: whichever is nearer. */
export function snappedStretch(start: number, length: number, guides: readonly number[]): number {
	const first = snapped(start, guides);
	const last = snapped(start + length, guides) - length;
	const isOnGuide = (value: number) => guides.some((guide) => Math.abs(guide - value) < 1e-9);
	const byEnd = isOnGuide(last + length) && !isOnGuide(first);
	return byEnd ? last : first;
}

/** A number of metres to the centimetre. */
export const toCentimetre = (metres: number): number => Math.round(metres * 100) / 100;

/** The same zone with its numbers to the centimetre. */
export const tidyZone = (zone: Zone): Zone => ({
	...zone,
	x: toCentimetre(zone.x),
	y: toCentimetre(zone.y),
	length: toCentimetre(zone.length),
	width: toCentimetre(zone.width)
});
