import { expect, test } from 'vitest';
import { demoContext, demoTeams } from '../../../tests/support/demo';
import { blankDrill, drillOfRung, faultOf, simulate } from '.';

test('a blank drill runs as it is', () => {
	expect(faultOf(blankDrill({ id: 'x', sport: 'any', skill: 'passing' }))).toBeNull();
});

test('a rung made into a drill runs as the rung does', () => {
	for (const team of demoTeams())
		for (const drill of demoContext(team).shelf)
			for (const rung of drill.rungs) {
				const own = drillOfRung(drill, rung.id);
				if (!own) throw new Error(`${drill.id} ${rung.id}`);
				expect([drill.id, faultOf(own)]).toEqual([drill.id, null]);
				const asked = { players: own.group.ideal, minutes: 6 };
				expect(simulate({ drill: own, ...asked })).toEqual(
					simulate({ drill, rung: rung.id, ...asked })
				);
			}
	expect(drillOfRung(demoContext().shelf[0], 'no such rung')).toBeNull();
});

test('what cannot run is told with its rung', () => {
	const drill = blankDrill({ id: 'x', sport: 'any' });
	const lame = { ...drill, rotation: { moves: { work: 'feed', feed: 'feed' } } };
	expect(faultOf(lame)).toMatchObject({ code: 'unbalanced-rotation' });
	const rungs = [
		{ id: 'r', name: 'R', change: 'c', lever: 'pace' as const, set: { rotation: lame.rotation } }
	];
	expect(faultOf({ ...drill, rungs })).toMatchObject({ onRung: 'r' });
});
