import type { Point } from '$core/playing';

/** The soft curve of a move from one spot to the next, as a path, and the point where its number stands. */
export function moveCurve(from: Point, to: Point): { d: string; x: number; y: number } {
	const [mx, my] = [(from.x + to.x) / 2, (from.y + to.y) / 2];
	const [dx, dy] = [to.x - from.x, to.y - from.y];
	const [cx, cy] = [mx - dy * 0.18, my + dx * 0.18];
	return {
		d: `M${from.x} ${from.y}Q${cx} ${cy} ${to.x} ${to.y}`,
		x: (mx + cx) / 2,
		y: (my + cy) / 2
	};
}
