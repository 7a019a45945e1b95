import type { PlayerFigures, State, Track } from '$core/practice';

/** Players from the one who waits most to the one who waits least. */
export function mostIdleFirst(figures: readonly PlayerFigures[]): PlayerFigures[] {
	return figures.toSorted((a, b) => b.seconds.wait - a.seconds.wait || a.busyShare - b.busyShare);
}

/** One outline a state over all rows: a few paths draw thousands of stretches. */
export function statePaths(
	tracks: readonly Track[],
	{ rowHeight, gap, scale }: { rowHeight: number; gap: number; scale: number }
): Map<State, string> {
	const parts = new Map<State, string[]>();
	for (const [row, track] of tracks.entries()) {
		const y = row * rowHeight;
		const height = rowHeight - gap;
		for (const { state, fromSecond, toSecond } of track) {
			const x = (fromSecond * scale).toFixed(2);
			const width = ((toSecond - fromSecond) * scale).toFixed(2);
			const list = parts.get(state) ?? [];
			list.push(`M${x} ${y}h${width}v${height}h-${width}z`);
			parts.set(state, list);
		}
	}
	return new Map([...parts].map(([state, list]) => [state, list.join('')]));
}
