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
	// On the path of every change, a thousand marks each time: the few states lie side by side in a list.
	const owed: { state: State; seconds: number }[] = [];
	const owedOf = (state: State) => {
		for (const each of owed) if (each.state === state) return each;
		const none = { state, seconds: 0 };
		owed.push(none);
		return none;
	};
	const marks: { fromSecond: number; toSecond: number; state: State }[] = [];
	const end = track.at(-1)?.toSecond ?? 0;
	let index = 0;
	for (let from = 0; from < end - 1e-6; from += seconds) {
		const to = Math.min(end, from + seconds);
		for (let at = from; at < to - 1e-9;) {
			while (track[index].toSecond <= at + 1e-9) index += 1;
			const until = Math.min(to, track[index].toSecond);
			owedOf(track[index].state).seconds += until - at;
			at = until;
		}
		// Of states that are owed the same, the one that came first.
		let [most] = owed;
		for (const each of owed) if (each.seconds > most.seconds) most = each;
		most.seconds -= to - from;
		const { state } = most;
		const last = marks.at(-1);
		if (last?.state === state) last.toSecond = to;
		else marks.push({ fromSecond: from, toSecond: to, state });
	}
	return marks;
}

/** A length in hundredths of a pixel: enough to see, and short to write. */
const hundredths = (length: number) => Math.round(length * 100) / 100;

/** One path a state, a stroke a stretch along the middle of its row: a few short paths draw thousands of stretches. */
export function statePaths(
	tracks: readonly Track[],
	{ rowHeight, scale, markSeconds }: { rowHeight: number; scale: number; markSeconds: number }
): Map<State, string> {
	const parts = new Map<State, string[]>();
	for (const [row, track] of tracks.entries()) {
		const y = hundredths((row + 0.5) * rowHeight);
		for (const { state, fromSecond, toSecond } of inMarks(track, markSeconds)) {
			const x = hundredths(fromSecond * scale);
			const width = hundredths((toSecond - fromSecond) * scale);
			const list = parts.get(state) ?? [];
			list.push(`M${x} ${y}h${width}`);
			parts.set(state, list);
		}
	}
	return new Map([...parts].map(([state, list]) => [state, list.join('')]));
}
