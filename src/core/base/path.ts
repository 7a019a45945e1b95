/** Where something lies within a value: keys of objects and places in lists, from the outside in. */
export type Path = readonly (string | number)[];

/** A path as it is shown, `drill.spots[0].count`; empty for the value as a whole. */
export const pathText = (path: Path): string =>
	path.reduce<string>((text, key) => {
		if (typeof key === 'number') return `${text}[${key}]`;
		return text === '' ? key : `${text}.${key}`;
	}, '');

/** Whether two paths lead to the same place. */
export const isSamePath = (a: Path, b: Path): boolean =>
	a.length === b.length && a.every((key, index) => key === b[index]);
