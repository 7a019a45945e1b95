import fc from 'fast-check';
import { expect, test } from 'vitest';
import { evened, shrunk, type Who } from './evened';
import type { Need } from './demand';

/** Ids say what a player is: `a` is away, `l` comes later, `k` keeps a goal. */
const who: Who = {
	comes: (id) => !id.startsWith('a'),
	isThere: (id) => !id.startsWith('a') && !id.startsWith('l'),
	plays: (id, role) => role === 'keeper' && id.startsWith('k'),
	leads: () => false
};
const named = (letters: readonly string[], part: number) =>
	letters.map((letter, k) => `${letter}${part}-${k}`);
const someParts = fc
	.array(fc.array(fc.constantFrom('a', 'l', 'k', 'p', 'p', 'p'), { maxLength: 7 }), {
		minLength: 1,
		maxLength: 4
	})
	.map((parts) => parts.map(named));
const someNeed = fc
	.record({ min: fc.nat(4), more: fc.nat(5), keepers: fc.nat(1) })
	.map(({ min, more, keepers }): Need => ({
		...{ min, max: min + more },
		roles: keepers > 0 ? [{ role: 'keeper', count: keepers }] : []
	}));

const holds = (part: readonly string[], { min, max, roles }: Need): boolean =>
	part.filter(who.isThere).length >= min &&
	part.filter(who.comes).length <= max &&
	roles.every(
		({ role, count }) => part.filter((id) => who.isThere(id) && who.plays(id, role)).length >= count
	);

/** The fewest players who must leave their part, by trying every way to deal those who come. */
function fewestMoved(parts: readonly string[][], need: Need): number {
	const coming = parts.flatMap((part, from) => part.filter(who.comes).map((id) => ({ id, from })));
	const dealt: string[][] = parts.map(() => []);
	function deal(k: number, moved: number, best: number): number {
		if (moved >= best) return best;
		if (k === coming.length) return dealt.every((part) => holds(part, need)) ? moved : best;
		const { id, from } = coming[k];
		for (const [to, part] of dealt.entries()) {
			part.push(id);
			best = deal(k + 1, moved + (to === from ? 0 : 1), best);
			part.pop();
		}
		return best;
	}
	return deal(0, 0, Infinity);
}

test('parts get what they need, and nobody is lost or moved who is away', () => {
	fc.assert(
		fc.property(
			someParts,
			someNeed,
			fc.array(fc.constantFrom('p', 'k'), { maxLength: 3 }),
			(parts, need, letters) => {
				const joining = named(letters, 9);
				const made = evened(parts, { joining, need, who });
				if (!made) return;
				expect(made.parts.flat().sort()).toEqual([...parts.flat(), ...joining].sort());
				for (const part of made.parts) expect(holds(part, need)).toBe(true);
				for (const [k, part] of parts.entries())
					for (const id of part.filter((each) => !who.comes(each)))
						expect(made.parts[k]).toContain(id);
			}
		),
		{ seed: 5, numRuns: 400 }
	);
});

test('as few are moved as any way of dealing needs, and none is given up that can be dealt', () => {
	const few = fc
		.array(fc.array(fc.constantFrom('a', 'p', 'p'), { maxLength: 4 }), {
			minLength: 2,
			maxLength: 3
		})
		.map((parts) => parts.map(named));
	fc.assert(
		fc.property(few, someNeed, (parts, { min, max }) => {
			const need: Need = { min, max, roles: [] };
			const made = evened(parts, { joining: [], need, who });
			expect(made?.moved ?? Infinity).toBe(fewestMoved(parts, need));
		}),
		{ seed: 8, numRuns: 150 }
	);
});

test('a part goes where that moves fewer, and its players are with the others', () => {
	const need = () => ({ min: 3, max: 8, roles: [] });
	const parts = [4, 4, 1].map((size, k) => named(new Array<string>(size).fill('p'), k));
	const made = shrunk(parts, { joining: [], need, who, most: 3 });
	expect(made).toMatchObject({ kept: [0, 1], moved: 1 });
	expect(made?.parts.flat()).toHaveLength(9);
	// Two who fill it are as many as would leave it: it stays.
	const even = [5, 5, 2].map((size, k) => named(new Array<string>(size).fill('p'), k));
	expect(shrunk(even, { joining: [], need, who, most: 3 })).toMatchObject({ moved: 1 });
	expect(shrunk(even, { joining: [], need, who, most: 2 })?.kept).toEqual([0, 1]);
	const none = () => ({ min: 9, max: 9, roles: [] });
	expect(shrunk(even, { joining: [], need: none, who, most: 3 })).toBeNull();
});
