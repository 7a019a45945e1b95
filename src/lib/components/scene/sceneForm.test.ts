import { expect, test } from 'vitest';
import type { Fix, Seed } from '$core/model/scene';
import { demoSurroundings } from '../../../../tests/support/demo';
import { drillDrawn, headOf, keptOf, lineUpOn } from './sceneForm';

const { team, season } = demoSurroundings();
const { fixes = [], seeds = [] } = season;

test.each([...fixes, ...seeds])(
	'what is opened of $name and not changed is saved as it was',
	(of) => {
		const scene: Fix | Seed = of;
		expect(keptOf(scene, headOf(scene), drillDrawn(scene, team))).toStrictEqual(scene);
	}
);

test('what is emptied is gone, what nobody types stays', () => {
	const [fix] = fixes;
	const stored = { ...fix, drill: 'late-runner', closed: '2027-04-08' };
	const head = {
		...headOf(stored),
		name: ' Late ',
		call: ' ',
		decided: '',
		game: undefined,
		skills: []
	};
	const kept = keptOf(stored, head, drillDrawn(stored, team)) as Fix;
	expect(kept).toMatchObject({ name: 'Late', drill: 'late-runner', closed: '2027-04-08' });
	expect(Object.keys(kept)).not.toEqual(
		expect.arrayContaining(['call', 'decided', 'game', 'skills'])
	);
});

test('a line-up stands where it is on the ground, each under a name of its own', () => {
	const whole = lineUpOn(team, { length: 91.4, width: 55 });
	expect(whole).toHaveLength(11);
	expect(new Set(whole.map(({ name }) => name)).size).toBe(11);
	expect(whole[0]).toEqual({ name: 'Keeper', unit: 'keepers', at: { x: 2, y: 27.5 } });
	const near = lineUpOn(team, { length: 25, width: 55 });
	expect(near.map(({ name }) => name)).toEqual(['Keeper', 'Back 1', 'Back 2', 'Back 3']);
});
