/**
 * Gives ids made from a stem that nothing in `taken` has: `stem`, `stem-2`, `stem-3`, …
 * Deterministic, so that the same question gives the same edit.
 */
export function idMaker(taken: Iterable<string>): (stem: string) => string {
	const used = new Set(taken);
	return (stem) => {
		let id = stem;
		for (let number = 2; used.has(id); number += 1) id = `${stem}-${number}`;
		used.add(id);
		return id;
	};
}
