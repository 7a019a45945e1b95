import type { PlayerFigures, State, Track } from '$core/playing';

/** Players from the one who waits most to the one who waits least. */
export function mostIdleFirst(figures: readonly PlayerFigures[]): PlayerFigures[] {
	return figures.toSorted((a, b) => b.seconds.wait - a.seconds.wait || a.busyShare - b.busyShare);
}

/**
 * A track in whole marks of `seconds` each: every mark shows the state that is owed most by then, so
 * that short turns do not blur and the marks of a state add up to its time. What is left of a state
 * is carried on to the next marks.
 */
export function inMarks(
	track: Track,
	seconds: number
): { fromSecond: number; toSecond: number; state: State }[] {
	const owed = new Map<State, number>();
	const marks: { fromSecond: number; toSecond: number; state: State }[] = [];
	const end = track.at(-1)?.toSecond ?? 0;
	let index = 0;
	for (let from = 0; from < end - 1e-6; from += seconds) {
		const to = Math.min(end, from + seconds);
		for (let at = from; at < to - 1e-9;) {
			while (track[index].toSecond <= at + 1e-9) index += 1;
			const until = Math.min(to, track[index].toSecond);
			owed.set(track[index].state, (owed.get(track[index].state) ?? 0) + until - at);
			at = until;
		}
		const [[state, most]] = [...owed].sort((a, b) => b[1] - a[1]);
		owed.set(state, most - (to - from));
		const last = marks.at(-1);
		if (last?.state === state) last.toSecond = to;
		else marks.push({ fromSecond: from, toSecond: to, state });
	}
	return marks;
}

/** One outline a state over all rows: a few paths draw thousands of stretches. */
export function statePaths(
	tracks: readonly Track[],
	{
		rowHeight,
		gap,
		scale,
		markSeconds
	}: { rowHeight: number; gap: number; scale: number; markSeconds: number }
): Map<State, string> {
	const parts = new Map<State, string[]>();
	for (const [row, track] of tracks.entries()) {
		const y = row * rowHeight;
		const height = rowHeight - gap;
		for (const { state, fromSecond, toSecond } of inMarks(track, markSeconds)) {
			const x = (fromSecond * scale).toFixed(2);
			const width = ((toSecond - fromSecond) * scale).toFixed(2);
			const list = parts.get(state) ?? [];
			list.push(`M${x} ${y}h${width}v${height}h-${width}z`);
			parts.set(state, list);
		}
	}
	return new Map([...parts].map(([state, list]) => [state, list.join('')]));
}
