import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { demoContext, demoTeams } from '../../../tests/support/demo';
import {
	asTheDrill,
	blankDrill,
	changedFields,
	faultOf,
	renameSpots,
	resolveDrill,
	simulate
} from '.';
import { timingOf, turnsOn, withChange, type Tap } from '.';

const all = demoTeams().flatMap((team) => demoContext(team).shelf);
const blank = blankDrill({ id: 'x', sport: 'any' });
const rung = { id: 'r', name: 'R', change: 'c', lever: 'pace' as const };
const drill = { ...blank, effort: 5, rungs: [rung] };

describe('a change', () => {
	test('is of the drill, or only of the rung that is named', () => {
		expect(withChange(drill, { effort: 7 }).effort).toBe(7);
		const harder = withChange(drill, { effort: 7 }, 'r');
		expect(harder.effort).toBe(5);
		expect(resolveDrill(harder, 'r')).toMatchObject({ value: { effort: 7 } });
		expect(changedFields(harder.rungs[0])).toEqual(['effort']);
	});

	test('of a rung that is the drill’s own again is none', () => {
		const harder = withChange(drill, { effort: 7, contact: 2 }, 'r');
		expect(changedFields(withChange(harder, { effort: 5 }, 'r').rungs[0])).toEqual(['contact']);
		expect(asTheDrill(harder, 'r', ['effort', 'contact'])).toEqual(drill);
	});

	test('to nothing takes a field out of the drill, and empties a list of a rung', () => {
		const called = { ...drill, calls: ['here'] };
		const silent = withChange(called, { calls: undefined }, 'r');
		expect(resolveDrill(silent, 'r')).toMatchObject({ value: { calls: [] } });
		expect(withChange(called, { live: undefined }, 'r')).toEqual(called);
		expect(withChange({ ...drill, live: true }, { live: undefined })).toEqual(drill);
	});
});

test('spots are called otherwise wherever they are named, and the drill runs as before', () => {
	for (const each of all) {
		const names = Object.fromEntries(each.spots.map(({ id }, at) => [id, `spot ${at}`]));
		const renamed = renameSpots(each, names);
		expect([each.id, faultOf(renamed)]).toEqual([each.id, null]);
		const run = { players: each.group.ideal, minutes: 6 };
		const [before, after] = [each, renamed].map((drill) => simulate({ drill, ...run }));
		if (!before.ok || !after.ok) throw new Error(each.id);
		for (const player of before.value.perPlayer)
			player.bySpot = Object.fromEntries(
				Object.entries(player.bySpot).map(([id, had]) => [names[id], had])
			);
		expect(after.value).toEqual(before.value);
		const back = Object.fromEntries(Object.entries(names).map(([id, name]) => [name, id]));
		expect(renameSpots(renamed, back)).toEqual(each);
	}
	// Names that change places are not mixed up.
	const swapped = renameSpots(blank, { work: 'feed', feed: 'work' });
	expect(swapped.spots.map(({ id }) => id)).toEqual(['feed', 'work']);
});

test('names that stand for nothing are told with their place', () => {
	const cue = { say: 'low', spot: 'nobody' };
	expect(faultOf({ ...blank, cues: [cue] })).toMatchObject({ path: ['drill', 'cues', 0, 'spot'] });
	const path = { from: 'work', to: 'nobody', kind: 'run' as const };
	expect(faultOf({ ...blank, paths: [path] })).toMatchObject({ path: ['drill', 'paths', 0, 'to'] });
	const needs = { ...drill, rungs: [{ ...rung, needs: ['none'] }] };
	expect(faultOf(needs)).toMatchObject({ path: ['drill', 'rungs', 0, 'needs'] });
});

describe('taps at real tries', () => {
	const taps = (...at: [Tap['kind'], number][]): Tap[] =>
		at.map(([kind, atSeconds]) => ({ kind, atSeconds }));

	test('give what a turn takes, also where turns overlap', () => {
		const seen = taps(
			['end', 1],
			['start', 2],
			['start', 6],
			['end', 9.2],
			['start', 11],
			['end', 15],
			['end', 18.1]
		);
		expect(timingOf(seen)).toEqual({
			tries: 3,
			workSeconds: 7,
			shortSeconds: 7,
			longSeconds: 9,
			headwaySeconds: 4.5
		});
		expect(turnsOn(seen.slice(0, 3))).toBe(2);
	});

	test('say nothing before the first end and the second start', () => {
		expect(timingOf(taps(['start', 3]))).toMatchObject({ tries: 0, workSeconds: null });
		expect(timingOf(taps(['start', 3], ['end', 5]))).toMatchObject({ headwaySeconds: null });
	});

	test('find again what tries were made of', () => {
		fc.assert(
			fc.property(
				fc.array(fc.integer({ min: 2, max: 40 }), { minLength: 2, maxLength: 12 }),
				(halves) => {
					// Tries one after another with no pause: headway and work are the same numbers.
					let at = 100;
					const seen = halves.flatMap((each): Tap[] => {
						const start = at;
						at += each / 2;
						return taps(['start', start], ['end', at]);
					});
					const timing = timingOf(seen);
					expect(timing.tries).toBe(halves.length);
					expect(timing.shortSeconds).toBe(Math.min(...halves) / 2);
					expect(timing.longSeconds).toBe(Math.max(...halves) / 2);
				}
			),
			{ seed: 11, numRuns: 60 }
		);
	});
});
