import { expect, test } from 'vitest';
import { demoContext, demoPractice } from '../../../../tests/support/demo';
import { betterWords } from './better';
import { fitOf } from './fits';
import { obstacleWords } from './obstacles';

const context = demoContext();
const plan = { practice: demoPractice(), context };
const drill = (id: string) => {
	const found = context.shelf.find((each) => each.id === id);
	if (!found) throw new Error(id);
	return found;
};

test('what would give clearly more turns is named with what is missing', () => {
	expect(betterWords(fitOf(plan, drill('rebound-rally'), 12))).toMatch(
		/^11 copies would give \d+ turns: more rebound boards needed/
	);
	expect(betterWords(fitOf(plan, drill('eight-a-side'), 12))).toBe('');
	const few = { ...plan, context: { ...context, kit: { ...context.kit, ball: 4 } } };
	expect(betterWords(fitOf(few, drill('two-touch-squares'), 12))).toMatch(/ball/);
});

test('obstacles are told with what there is and what is needed', () => {
	expect(obstacleWords({ what: 'players', has: 12, needs: 16 })).toBe(
		'needs 16 players, 12 are here'
	);
	expect(obstacleWords({ what: 'groups', has: 9, min: 5, max: 8 })).toBe(
		'9 players make no groups of 5 to 8'
	);
	expect(obstacleWords({ what: 'adults', has: 1, needs: 2 })).toBe('needs 2 adults, 1 are here');
	expect(obstacleWords({ what: 'ground', length: 8, width: 6 })).toBe('no zone holds 8 × 6 m');
	expect(obstacleWords({ what: 'fixture', item: 'goal', needs: 2 })).toBe('no zone with 2 goals');
	expect(obstacleWords({ what: 'kit', item: 'ball', has: 1, needs: 2 })).toBe(
		'needs 2 balls, 1 can be used'
	);
});
