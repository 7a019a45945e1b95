import { expect, test } from 'vitest';
import { areaOf, skillAt, skillName, skillsOf, stageOf } from './skill';

const areas = [
	{ id: 'passing', name: 'Passing', stages: ['five metres', 'on the run'] },
	{ id: 'keeping', name: 'Goal keeping' }
];

test('a skill is an area, or a stage of one', () => {
	expect([areaOf('passing/2'), stageOf('passing/2')]).toEqual(['passing', 2]);
	expect([areaOf('passing'), stageOf('passing')]).toEqual(['passing', null]);
	// What only looks like one is an area of its own.
	for (const plain of ['give/go', 'passing/0', '/2', 'a/b/'])
		expect([areaOf(plain), stageOf(plain)]).toEqual([plain, null]);
	expect(areaOf(skillAt('give/go', 3))).toBe('give/go');
});

test('a skill is called by its area and its stage', () => {
	expect(skillName('passing/2', areas)).toBe('Passing: on the run');
	expect(skillName('passing/9', areas)).toBe('Passing');
	expect(skillName('keeping', areas)).toBe('Goal keeping');
	expect(skillName('scanning', areas)).toBe('Scanning');
	expect(skillsOf(areas)).toEqual(['passing', 'passing/1', 'passing/2', 'keeping']);
});
