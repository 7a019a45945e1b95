import { expect, test } from 'vitest';
import { choicesOf } from './choices';
import { speaker } from '$words';

const say = speaker(undefined);

const areas = [{ id: 'passing', name: 'Passing', stages: ['at rest', 'on the run'] }];

test('skills stand as a tree, each stage under its area, strange ones behind', () => {
	const counts = [
		{ value: 'zeal', count: 1 },
		{ value: 'passing/2', count: 3 },
		{ value: 'passing', count: 5 }
	];
	expect(choicesOf('skill', [{ key: 'skill', counts }], { areas, say })).toEqual([
		{ value: 'passing', name: 'Passing', count: 5 },
		{ value: 'passing/2', name: '– on the run', count: 3 },
		{ value: 'zeal', name: 'Zeal', count: 1 }
	]);
});

test('bounds are said in words', () => {
	const facet = (key: 'contact' | 'unused', value: string) => [
		{ key, counts: [{ value, count: 2 }] }
	];
	expect(choicesOf('contact', facet('contact', '0'), { areas, say })[0].name).toBe('none');
	expect(choicesOf('unused', facet('unused', '1'), { areas, say })[0].name).toBe('1 practice');
	expect(choicesOf('effort', [], { areas, say })).toEqual([]);
});
