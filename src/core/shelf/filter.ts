import Type, { type Static } from 'typebox';
import { closed, Id, says } from '../model/fields';
import type { ShelfLine } from './line';

/** What a coach looks for; a filter that is not there lets everything through. */
export const ShelfFilter = Type.Object(
	{
		skill: Type.Optional(says(Id, 'An area with all its stages, or one stage')),
		family: Type.Optional(says(Id, 'Family of drills')),
		frequency: Type.Optional(
			says(Type.Enum(['daily', 'regular', 'vary']), 'How often it is wanted')
		),
		effort: Type.Optional(
			says(Type.Integer({ minimum: 1, maximum: 10 }), 'Effort at most, 1 to 10')
		),
		contact: Type.Optional(
			says(Type.Integer({ minimum: 0, maximum: 4 }), 'Contact at most, 0 to 4')
		),
		unused: Type.Optional(
			says(Type.Integer({ minimum: 1, maximum: 200 }), 'Not used for so many practices at least')
		),
		fits: Type.Optional(says(Type.Literal(true), 'Only what can run here'))
	},
	closed
);
export type ShelfFilter = Static<typeof ShelfFilter>;

type Key = keyof ShelfFilter;

/** Values that a line counts for. */
const VALUES: {
	[Each in 'skill' | 'family' | 'frequency']: (line: ShelfLine) => readonly string[];
} = {
	skill: ({ skills }) => skills,
	family: ({ drill }) => (drill.family === undefined ? [] : [drill.family]),
	frequency: ({ drill }) => [drill.frequency]
};

const PASSES: {
	[Each in Key]: (line: ShelfLine, value: NonNullable<ShelfFilter[Each]>) => boolean;
} = {
	skill: ({ skills }, skill) => skills.includes(skill),
	family: ({ drill }, family) => drill.family === family,
	frequency: ({ drill }, frequency) => drill.frequency === frequency,
	effort: ({ drill }, most) => drill.effort <= most,
	contact: ({ drill }, most) => drill.contact <= most,
	unused: ({ unusedFor }, least) => unusedFor >= least,
	fits: ({ standing }) => standing.obstacle === null
};

/** Whether a line passes one part of a filter. */
function passesOne<Each extends Key>(line: ShelfLine, filter: ShelfFilter, key: Each): boolean {
	const value = filter[key];
	return value === undefined || PASSES[key](line, value as NonNullable<ShelfFilter[Each]>);
}

const KEYS = Object.keys(PASSES) as Key[];

/** The lines that pass all parts of a filter. */
export function filtered(lines: readonly ShelfLine[], filter: ShelfFilter): ShelfLine[] {
	const keys = KEYS.filter((key) => filter[key] !== undefined);
	return lines.filter((line) => keys.every((key) => passesOne(line, filter, key)));
}

/** How many lines there would be with each choice of a part of the filter, the other parts as they are. */
export interface Facet {
	key: Key;
	counts: { value: string; count: number }[];
}

/** Steps of the parts that are bounds. */
const STEPS: { [Each in 'effort' | 'contact' | 'unused']: readonly number[] } = {
	effort: [2, 4, 6, 8],
	contact: [0, 1, 2, 3],
	unused: [1, 3, 6, 12]
};

/** The facets of a search: every choice with what it would leave, those that leave nothing too for bounds. */
export function facetsOf(lines: readonly ShelfLine[], filter: ShelfFilter): Facet[] {
	const keys = KEYS.filter((key) => filter[key] !== undefined);
	// A line counts for a part of the filter where no other part keeps it out: one look at each for all parts.
	const passing: ShelfLine[] = [];
	const missing = new Map<Key, ShelfLine[]>(keys.map((key) => [key, []]));
	for (const line of lines) {
		const missed = keys.filter((key) => !passesOne(line, filter, key));
		if (missed.length === 0) passing.push(line);
		else if (missed.length === 1) missing.get(missed[0])?.push(line);
	}
	const butFor = (key: Key) => [...passing, ...(missing.get(key) ?? [])];
	const named = (Object.keys(VALUES) as (keyof typeof VALUES)[]).map((key): Facet => {
		const counts = new Map<string, number>();
		for (const line of butFor(key))
			for (const value of VALUES[key](line)) counts.set(value, (counts.get(value) ?? 0) + 1);
		const sorted = [...counts].sort(([a, m], [b, n]) => n - m || (a < b ? -1 : 1));
		return { key, counts: sorted.map(([value, count]) => ({ value, count })) };
	});
	const bounds = (Object.keys(STEPS) as (keyof typeof STEPS)[]).map((key): Facet => {
		const others = butFor(key);
		const leaves = (value: number) => others.filter((line) => PASSES[key](line, value)).length;
		const counts = STEPS[key].map((value) => ({ value: String(value), count: leaves(value) }));
		return { key, counts };
	});
	return [...named, ...bounds];
}
