/**
 * Places of a smaller team: of the position that has most, the last is left out until `count` are left.
 * A team that is small enough stays as it is.
 */
export function fewerPlaces(positions: readonly string[], count: number): string[] {
	let kept = [...positions];
	while (kept.length > Math.max(1, count)) {
		const times = (name: string) => kept.filter((each) => each === name).length;
		const most = kept.reduce((a, b) => (times(b) > times(a) ? b : a));
		kept = kept.toSpliced(kept.lastIndexOf(most), 1);
	}
	return kept;
}
