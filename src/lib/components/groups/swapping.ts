/** Groups in which two players have changed places; the same where they are of one group. */
export function swapped(groups: readonly (readonly string[])[], a: string, b: string): string[][] {
	const isTogether = groups.some((ids) => ids.includes(a) && ids.includes(b));
	const other = new Map([
		[a, b],
		[b, a]
	]);
	return groups.map((ids) => (isTogether ? [...ids] : ids.map((id) => other.get(id) ?? id)));
}
