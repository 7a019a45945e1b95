/** Things with names, in the order of these. */
export const byName = <Named extends { name: string }>(of: readonly Named[]): Named[] =>
	of.toSorted((a, b) => a.name.localeCompare(b.name));
