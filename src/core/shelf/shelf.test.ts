import { mean } from 'd3-array';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import {
	demoContext,
	demoPractices,
	demoSurroundings,
	demoTeams
} from '../../../tests/support/demo';
import type { Practice } from '../model/practice';
import { chosenSize, plainPeriod, sizeHere } from '../building';
import { toContext } from '../practice';
import { foundFor, facetsOf, filtered, standingIn, supposing, type ShelfLine } from '.';

const { shelf, ground, kit } = demoContext();
/** A period with nothing in it yet. */
const period = plainPeriod('water', { id: 'ask', name: 'Ask', minutes: 10 });
const lines: ShelfLine[] = shelf.map((drill, index) => ({
	drill,
	skills: foundFor(drill),
	lastUsed: null,
	unusedFor: index,
	rank: 0,
	standing: {
		obstacle: index % 2 === 0 ? null : { what: 'players', has: 1, needs: 2 },
		busyAbout: 0
	}
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

describe('standing', () => {
	const here = { players: 22, adults: 5, zones: ground.zones, kit };
	const obstacle = (id: string, set: Partial<typeof here> = {}) => {
		const drill = shelf.find((each) => each.id === id);
		return drill && standingIn({ ...here, ...set })(drill).obstacle;
	};

	test('is free just where a size is free', () => {
		for (const team of demoTeams()) {
			const surroundings = demoSurroundings(team);
			const [practice] = demoPractices(team);
			fc.assert(
				fc.property(
					fc.integer({ min: 1, max: 60 }),
					fc.nat(12),
					fc.nat(30),
					(players, adults, zone) => {
						const { zones } = surroundings.ground;
						const supposed = supposing(
							{ practice, surroundings },
							{ players, adults, ...(zone < zones.length && { zone: zones[zone].id }) }
						);
						if (!supposed.ok) throw new Error(supposed.failure.message);
						const { ground: free } = supposed.value.surroundings;
						const plan = {
							practice: supposed.value.practice,
							context: toContext(supposed.value.surroundings)
						};
						const standingOf = standingIn({
							players,
							adults,
							zones: free.zones,
							kit: surroundings.kit
						});
						for (const drill of surroundings.drills) {
							const sized = sizeHere(plan, { period, drill, players, minutes: 2, beside: [] });
							const option = sized.ok && chosenSize(drill, sized.value.output);
							const { obstacle: found } = standingOf(drill);
							expect([drill.id, players, adults, found === null]).toEqual([
								...[drill.id, players, adults],
								Boolean(option)
							]);
						}
					}
				),
				{ seed: 6, numRuns: 25 }
			);
		}
	});

	test('estimates how busy players are well enough to sort by', () => {
		for (const team of demoTeams()) {
			const context = demoContext(team);
			const practice = demoPractices(team).at(-1) as Practice;
			const { zones } = context.ground;
			const [players, adults] = [practice.expected.length, practice.adults.length];
			const standingOf = standingIn({ players, adults, zones, kit: context.kit });
			const errors = context.shelf.flatMap((drill) => {
				const about = { period, drill, players, minutes: 12, beside: [] };
				const sized = sizeHere({ practice, context }, about);
				const option = sized.ok && chosenSize(drill, sized.value.output);
				return option ? Math.abs(1 - option.share.wait - standingOf(drill).busyAbout) : [];
			});
			expect(errors.length).toBeGreaterThan(5);
			expect(mean(errors)).toBeLessThan(0.12);
		}
	});

	test('says that players make no groups of a size that the drill takes', () => {
		const drill = { ...shelf[0], group: { min: 5, ideal: 6, max: 8 } };
		const groups = (players: number) =>
			standingIn({ ...here, players })(drill).obstacle?.what === 'groups';
		const impossible = Array.from({ length: 40 }, (_, index) => index + 5).filter(groups);
		expect(impossible).toEqual([9]);
	});

	test('says what is short, in the fewest copies that take everyone', () => {
		expect(obstacle('eight-a-side', { players: 12 })).toEqual({
			what: 'players',
			has: 12,
			needs: 16
		});
		expect(obstacle('rebound-rally')).toBeNull();
		const short = (of: string[]) => ({ what: 'short', copies: expect.any(Number), of });
		expect(obstacle('rebound-rally', { kit: { ball: 1 } })).toEqual(short(['kit']));
		const bare = ground.zones.map(({ fixtures: _fixtures, ...zone }) => zone);
		expect(obstacle('rebound-rally', { zones: bare })).toEqual(short(['fixtures']));
		const small = [{ id: 'x', name: 'X', x: 0, y: 0, length: 4, width: 4 }];
		expect(obstacle('rebound-rally', { zones: small })).toEqual(short(['zones']));
		expect(obstacle('corner-battery', { adults: 0 })).toMatchObject({
			of: expect.arrayContaining(['coaches'])
		});
	});
});
