import type { Ground } from '$core/model/team';

/** The part of the world that a map shows, in metres. */
export interface Extent {
	x: number;
	y: number;
	length: number;
	width: number;
}

/** The ground with all its zones, those outside its outline too, and some metres around. */
export function extentOf({ length, width, zones }: Ground): Extent {
	const around = Math.max(2, length / 25);
	const left = Math.min(0, ...zones.map(({ x }) => x)) - around;
	const top = Math.min(0, ...zones.map(({ y }) => y)) - around;
	const right = Math.max(length, ...zones.map((zone) => zone.x + zone.length)) + around;
	const bottom = Math.max(width, ...zones.map((zone) => zone.y + zone.width)) + around;
	return { x: left, y: top, length: right - left, width: bottom - top };
}

/** Metres as a coach says them: `18.33 m`, `12 m`. */
export const metres = (value: number): string => `${Number(value.toFixed(2))} m`;
