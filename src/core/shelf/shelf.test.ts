import { describe, expect, test } from 'vitest';
import { demoContext } from '../../../tests/support/demo';
import { foundFor, facetsOf, filtered, obstaclesOf, type ShelfLine } from '.';

const { shelf, ground, kit } = demoContext();
const lines: ShelfLine[] = shelf.map((drill, index) => ({
	drill,
	skills: foundFor(drill),
	lastUsed: null,
	unusedFor: index,
	rank: 0,
	obstacles: index % 2 === 0 ? [] : [{ what: 'players', has: 1, needs: 2 }]
}));
const ids = (found: readonly ShelfLine[]) => found.map(({ drill }) => drill.id);

describe('filters', () => {
	test('let through what has all that is asked for', () => {
		expect(filtered(lines, {})).toHaveLength(shelf.length);
		const found = filtered(lines, { skill: 'receiving', contact: 0, effort: 5 });
		expect(ids(found)).toContain('rebound-rally');
		expect(ids(found)).not.toContain('channel-duel');
		expect(filtered(lines, { unused: 15 })).toHaveLength(shelf.length - 15);
	});

	test('find an area with all its stages, or one stage', () => {
		const area = filtered(lines, { skill: 'passing' });
		const stage = filtered(lines, { skill: 'passing/1' });
		expect(stage.length).toBeGreaterThan(0);
		expect(area.length).toBeGreaterThan(stage.length);
		expect(ids(area)).toEqual(expect.arrayContaining(ids(stage)));
		const fitting = filtered(lines, { fits: true });
		expect(fitting.length).toBe(Math.ceil(lines.length / 2));
	});

	test('count what every choice would leave, the other choices as they are', () => {
		const filter = { skill: 'passing', contact: 1 };
		for (const { key, counts } of facetsOf(lines, filter))
			for (const { value, count } of counts) {
				const typed = ['effort', 'contact', 'unused'].includes(key) ? Number(value) : value;
				expect([key, value, count]).toEqual([
					key,
					value,
					filtered(lines, { ...filter, [key]: typed }).length
				]);
			}
	});
});

describe('obstacles', () => {
	const here = { players: 22, adults: 5, zones: ground.zones, kit };
	const of = (id: string, set: Partial<typeof here> = {}) => {
		const drill = shelf.find((each) => each.id === id);
		return drill ? obstaclesOf(drill, { ...here, ...set }) : [];
	};

	test('are none for the demo’s own shelf', () => {
		expect(shelf.filter(({ id }) => of(id).length > 0).map(({ id }) => id)).toEqual([]);
	});

	test('are that players make no groups of a size that the drill takes', () => {
		const drill = { ...shelf[0], group: { min: 5, ideal: 6, max: 8 } };
		const groups = (players: number) =>
			obstaclesOf(drill, { ...here, players }).some(({ what }) => what === 'groups');
		const impossible = Array.from({ length: 40 }, (_, index) => index + 5).filter(groups);
		// Every way to deal them out, tried one by one.
		const isPossible = (players: number) =>
			Array.from({ length: players }, (_, index) => index + 1).some(
				(copies) => Math.floor(players / copies) >= 5 && Math.ceil(players / copies) <= 8
			);
		expect(impossible).toEqual([9]);
		expect(
			Array.from({ length: 40 }, (_, index) => index + 5).filter((n) => !isPossible(n))
		).toEqual(impossible);
	});

	test('name what is missing with its numbers', () => {
		expect(of('eight-a-side', { players: 12 })).toContainEqual({
			what: 'players',
			has: 12,
			needs: 16
		});
		expect(of('rebound-rally', { kit: { ball: 1 } })).toEqual([
			{ what: 'kit', item: 'ball', has: 1, needs: 2 }
		]);
		const bare = ground.zones.map(({ fixtures: _fixtures, ...zone }) => zone);
		expect(of('rebound-rally', { zones: bare })).toEqual([
			{ what: 'fixture', item: 'rebound board', needs: 1 }
		]);
		const small = [{ id: 'x', name: 'X', x: 0, y: 0, length: 4, width: 4 }];
		expect(of('rebound-rally', { zones: small })).toEqual([
			{ what: 'ground', length: 8, width: 8 }
		]);
	});
});
