import { describe, expect, test } from 'vitest';
import { simpleDrill } from '../../../tests/support/drills';
import type { Drill, Spot } from '../model/drill';
import { adultPlaces, deal, playerSystem, resolveDrill } from '.';

const spot = (id: string, fields: Partial<Spot> = {}): Spot => ({
	id,
	role: 'worker',
	count: 1,
	...fields
});
const drill = (spots: Spot[], moves: Record<string, string> = {}): Drill =>
	simpleDrill({ spots, rotation: { moves } });
function system(of: Drill, adults = 0) {
	const outcome = playerSystem(of, adults);
	if (!outcome.ok) throw new Error(outcome.failure.message);
	return outcome.value;
}
const leads = (of: Drill, adults = 0) => {
	const { spots, leadsTo } = system(of, adults);
	return Object.fromEntries(spots.map(({ id }, k) => [id, spots[leadsTo[k]].id]));
};

describe('playerSystem', () => {
	test('fills either spots with adults in listed order, passing over one that needs more', () => {
		const either = { by: 'either' as const };
		const wide = drill([spot('a'), spot('b', { ...either, count: 2 }), spot('c', either)]);
		expect(system(wide, 1).spots.map(({ id }) => id)).toEqual(['a', 'b']);
		expect(system(wide, 2).spots.map(({ id }) => id)).toEqual(['a', 'c']);
		expect(system(wide, 3)).toMatchObject({ adults: 3, needed: 1 });
		expect(adultPlaces(wide)).toEqual({ always: 0, either: 3 });
	});

	test('goes on through adults to the next player, and stays where there is only adults', () => {
		const adult = { by: 'adult' as const };
		const ring = drill([spot('a'), spot('x', adult), spot('y', adult), spot('b')], {
			a: 'x',
			x: 'y',
			y: 'b',
			b: 'a'
		});
		expect(leads(ring)).toEqual({ a: 'b', b: 'a' });
		expect(leads(drill([spot('a'), spot('x', adult)], { a: 'x' }))).toEqual({ a: 'a' });
		expect(
			leads(drill([spot('a'), spot('x', adult), spot('y', adult)], { a: 'x', x: 'y', y: 'x' }))
		).toEqual({ a: 'a' });
	});

	test('names the first spot that gets back more or fewer than it gives', () => {
		const outcome = playerSystem(
			drill([spot('a'), spot('b', { count: 2 })], { a: 'b', b: 'a' }),
			0
		);
		expect(outcome).toMatchObject({
			ok: false,
			failure: { code: 'unbalanced-rotation', spot: 'a' }
		});
	});

	test('keeps units apart, and lets those of none go anywhere', () => {
		const back = { unit: 'backs' };
		const crossed = drill([spot('a', back), spot('b', { unit: 'forwards' })], { a: 'b', b: 'a' });
		expect(playerSystem(crossed, 0)).toMatchObject({
			failure: { code: 'bad-input', path: ['drill', 'rotation', 'moves', 'a'] }
		});
		expect(leads(drill([spot('a', back), spot('b')], { a: 'b', b: 'a' }))).toEqual({
			a: 'b',
			b: 'a'
		});
	});
});

describe('deal', () => {
	test('gives unit spots their own players first, and spare ones to the lines of their unit', () => {
		const mixed = system(
			drill([
				spot('m', { unit: 'mid', line: true }),
				spot('f', { unit: 'fwd', line: true }),
				spot('any', { line: true })
			])
		);
		const players = [
			{ id: '0', unit: 'fwd' },
			{ id: '1', unit: 'mid' },
			{ id: '2' },
			{ id: '3', unit: 'mid' },
			{ id: '4', unit: 'back' },
			{ id: '5', unit: 'fwd' }
		];
		expect(deal(mixed, players)).toEqual([
			[1, 3],
			[0, 5],
			[2, 4]
		]);
	});

	test('lines everyone up at the first spot where no line is flagged', () => {
		const plain = system(drill([spot('a'), spot('b')]));
		expect(
			deal(
				plain,
				Array.from({ length: 5 }, (_, k) => ({ id: String(k) }))
			)
		).toEqual([[0, 2, 3, 4], [1]]);
	});
});

test('a rung replaces whole fields, and an unknown one is refused with its place', () => {
	const rungs = [
		{
			id: 'fast',
			name: 'Fast',
			change: '',
			lever: 'pace' as const,
			set: { turn: { workSeconds: 4, headwaySeconds: 4 } }
		}
	];
	const laddered = simpleDrill({
		turn: { workSeconds: 8, headwaySeconds: 9, shortSeconds: 5 },
		rungs
	});
	expect(resolveDrill(laddered, 'fast')).toMatchObject({
		value: { turn: { workSeconds: 4 }, effort: 4 }
	});
	const resolved = resolveDrill(laddered, 'fast');
	expect(resolved.ok && resolved.value.turn.shortSeconds).toBeUndefined();
	expect(resolveDrill(laddered, 'slow', ['climb', 2, 'rung'])).toMatchObject({
		failure: { path: ['climb', 2, 'rung'] }
	});
});
