/** Scores closer than this are the same. */
export const SAME = 1e-9;

/** Whether score `a` comes before `b`: by the first part in which they differ. */
export function isLess(a: ArrayLike<number>, b: ArrayLike<number>): boolean {
	for (let part = 0; part < a.length; part += 1) {
		if (a[part] < b[part] - SAME) return true;
		if (a[part] > b[part] + SAME) return false;
	}
	return false;
}
