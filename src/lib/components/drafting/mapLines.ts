import type { Drill } from '$core/model/drill';
import type { Point } from '$core/playing';
import type { WayKind } from './wayRows';

const toHalf = (value: number, most: number) =>
	Math.min(most, Math.max(0, Math.round(value * 2) / 2));

/** The nearest half metre on the ground of a copy. */
export const snapped = ({ x, y }: Point, { length, width }: Drill['ground']): Point => ({
	x: toHalf(x, length),
	y: toHalf(y, width)
});

/** A spot on the map. */
export interface PlacedSpot extends Point {
	key: string;
}

/** The key of the spot nearest to a point and within so many metres of it; null where there is none. */
export function nearestSpot(
	spots: readonly PlacedSpot[],
	{ x, y }: Point,
	within: number
): string | null {
	let best: { key: string; metres: number } | null = null;
	for (const spot of spots) {
		const metres = Math.hypot(spot.x - x, spot.y - y);
		if (metres <= within && metres < (best?.metres ?? Infinity)) best = { key: spot.key, metres };
	}
	return best?.key ?? null;
}

/** A line of the drawing, in metres. */
export interface MapLine {
	key: string;
	kind: WayKind | 'move';
	from: Point;
	to: Point;
}

/** The moves after a turn and the ways within it, between the spots as they are placed. */
export function linesOn(
	{ rotation, paths = [] }: Pick<Drill, 'paths'> & Partial<Pick<Drill, 'rotation'>>,
	spots: readonly PlacedSpot[]
): MapLine[] {
	const at = (end: string | number[]): Point | undefined =>
		typeof end === 'string' ? spots.find(({ key }) => key === end) : { x: end[0], y: end[1] };
	const line = (
		key: string,
		kind: MapLine['kind'],
		ends: [string | number[], string | number[]]
	) => {
		const [from, to] = ends.map(at);
		return from && to ? [{ key, kind, from, to }] : [];
	};
	return [
		...paths.flatMap(({ kind, from, to }, index) => line(`way ${index}`, kind, [from, to])),
		...Object.entries(rotation?.moves ?? {}).flatMap(([from, to]) =>
			from === to ? [] : line(`move ${from}`, 'move', [from, to])
		)
	];
}
