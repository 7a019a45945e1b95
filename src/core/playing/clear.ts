import type { Drill } from '../model/drill';
import type { Limits } from '../model/limits';
import type { Point } from './laying';

/** A rectangle of the ground in metres: `corner` is the one nearest the ground's origin. */
export interface Rectangle {
	corner: Point;
	size: { length: number; width: number };
}

/** Metres that a drill wants clear around each copy: how far it says that sticks and balls go. */
export function clearOf(
	{ hazards }: Pick<Drill, 'hazards'>,
	{ swingMetres }: Pick<Limits, 'swingMetres'>
): number {
	const swing = hazards?.swing === undefined ? 0 : Math.max(hazards.swing, swingMetres);
	return Math.max(swing, hazards?.flight ?? 0);
}

/** Metres between two rectangles, 0 where they touch. */
export function gapBetween(a: Rectangle, b: Rectangle): number {
	const along = Math.max(
		a.corner.x - b.corner.x - b.size.length,
		b.corner.x - a.corner.x - a.size.length,
		0
	);
	const across = Math.max(
		a.corner.y - b.corner.y - b.size.width,
		b.corner.y - a.corner.y - a.size.width,
		0
	);
	return Math.hypot(along, across);
}
