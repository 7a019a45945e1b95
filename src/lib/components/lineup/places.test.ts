import { expect, test } from 'vitest';
import { fewerPlaces } from '$core/rotation';
import { placesOf } from './places';
import { speaker } from '$words';

const say = speaker(undefined);
const team = { positionList: [{ id: 'z', name: 'Zenith' }] };

test('places come in order, with their team where there are two', () => {
	const at = { '1:0': 'a', '0:10': 'b', '0:2': 'c' };
	expect(placesOf({ positions: ['x', 'y', 'z'], shifts: [{ at, sit: [] }] }, team, say)).toEqual([
		{ key: '0:2', words: 'Zenith, team 1' },
		{ key: '0:10', words: '11, team 1' },
		{ key: '1:0', words: 'x, team 2' }
	]);
	expect(placesOf({ positions: [], shifts: [] }, team, say)).toEqual([]);
});

test('a smaller team loses places where it has most', () => {
	const team = ['keeper', 'back', 'back', 'back', 'link', 'link', 'forward'];
	expect(fewerPlaces(team, 5)).toEqual(['keeper', 'back', 'link', 'link', 'forward']);
	expect(fewerPlaces(team, 9)).toEqual(team);
	expect(fewerPlaces(['keeper'], 0)).toEqual(['keeper']);
});
