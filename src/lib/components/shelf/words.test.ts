import { expect, test } from 'vitest';
import { demoContext, demoPractice } from '../../../../tests/support/demo';
import { betterWords } from './better';
import { fitOf } from './fits';
import { groupWords } from './obstacles';
import { speaker } from '$words';

const say = speaker(undefined);

const context = demoContext();
const plan = { practice: demoPractice(), context };
const drill = (id: string) => {
	const found = context.shelf.find((each) => each.id === id);
	if (!found) throw new Error(id);
	return found;
};

test('what would give clearly more turns is named with what is missing', () => {
	expect(betterWords(fitOf(plan, drill('rebound-rally'), 12, { say }), say)).toMatch(
		/^11 copies would give \d+ turns: .*rebound boards.* for 8 of 11 copies$/
	);
	expect(betterWords(fitOf(plan, drill('eight-a-side'), 12, { say }), say)).toBe('');
	const few = { ...plan, context: { ...context, kit: { ...context.kit, ball: 4 } } };
	expect(betterWords(fitOf(few, drill('two-touch-squares'), 12, { say }), say)).toMatch(/ball/);
});

test('groups that cannot be are told with what there is and what is needed', () => {
	expect(groupWords({ what: 'players', has: 12, needs: 16 }, say)).toBe(
		'needs 16 players, 12 are here'
	);
	expect(groupWords({ what: 'groups', has: 9, min: 5, max: 8 }, say)).toBe(
		'9 players make no groups of 5 to 8'
	);
	expect(groupWords({ what: 'short', copies: 2, of: ['kit'] }, say)).toBe('');
});
