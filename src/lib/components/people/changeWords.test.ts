import { expect, test } from 'vitest';
import { demoContext } from '../../../../tests/support/demo';
import { speaker } from '$words';
import { changeWords } from './changeWords';

const say = speaker(undefined);
const context = demoContext();
const nothing = {
	...{ id: 'p', name: 'Four stations', isRound: true, moved: [], gone: [], joined: [], adults: [] },
	drills: [],
	...{ minutes: { before: 20, after: 20 }, parts: { before: 4, after: 4 } }
};

test('what becomes of a period is said in parts, with names while they are few', () => {
	expect(changeWords(nothing, context, say)).toEqual([]);
	const minutes = { before: 20, after: null };
	expect(changeWords({ ...nothing, minutes }, context, say)).toEqual(['20 min, dropped']);
	const isNew = { before: null, after: 2 };
	expect(changeWords({ ...nothing, minutes: isNew }, context, say)).toEqual(['2 min, new']);
	const ids = context.players.map(({ id }) => id);
	const names = context.players.map(({ name }) => name);
	const changed = {
		...{ ...nothing, minutes: { before: 20, after: 15 }, parts: { before: 4, after: 3 } },
		...{ moved: ids.slice(0, 6), joined: ids.slice(0, 1), adults: ['head'] },
		drills: ['two-touch-squares']
	};
	expect(changeWords(changed, context, say)).toEqual([
		'20 → 15 min',
		'Runs Two-touch squares instead',
		'4 → 3 stations',
		`6 change groups: ${names.slice(0, 4).join(', ')} and 2 more`,
		`1 joins: ${names[0]}`,
		`${context.adultById.get('head')?.name} stands there now`
	]);
	expect(changeWords({ ...changed, isRound: false }, context, say)[2]).toBe('4 → 3 copies');
});
