import { describe, expect, it } from 'vitest';
import { demoPractices, demoSurroundings, demoTeams } from '../../../tests/support/demo';
import { faultsIn } from '../checks';
import type { Scene } from '../model/scene';
import { evaluate } from '../playing';
import { applyEdit, learning, plannedMinutes, toContext } from '../practice';
import { sceneDrill } from '../scene';
import { setUpScene } from './index';

const SCENE: Scene = {
	...{ name: 'Late switch', ground: { length: 20, width: 18 }, ball: [4, 4] },
	tokens: ['1', '2', '3', 'x1', 'x2', 'x3'].map((id, k) => ({
		...{ id, side: k < 3 ? 'ours' : 'theirs', x: 2 + 3 * k, y: 4 + 2 * (k % 3) }
	}))
};

describe('setUpScene', () => {
	it.each(demoTeams())('fits into every practice of %s and stops nothing', (team) => {
		const around = demoSurroundings(team);
		for (const practice of demoPractices(team)) {
			const context = toContext(around);
			const before = evaluate(practice, context);
			const setUp = setUpScene({ practice, context }, (most) =>
				sceneDrill(SCENE, {
					...{ id: 'late-switch', sport: 'any', units: {}, contact: 1, effort: 6, cautions: [] },
					...{ players: practice.expected.length, ball: Object.keys(around.kit)[0], most },
					words: { summary: '', live: 'Live', liveChange: 'Live.', counts: 'Found' }
				})
			);
			const made = setUp && applyEdit(practice, setUp.edit);
			expect(made?.ok, practice.id).toBe(true);
			if (!setUp || !made?.ok) continue;
			const after = evaluate(made.value.practice, learning(context, [setUp.drill]));
			const [period] = made.value.practice.periods.filter(({ lanes }) =>
				lanes.some(({ blocks }) => blocks.some((block) => block.drill?.id === 'late-switch'))
			);
			expect(period.minutes).toBeGreaterThanOrEqual(4);
			expect(period.minutes).toBeLessThanOrEqual(6);
			expect(plannedMinutes(made.value.practice)).toBeLessThanOrEqual(
				Math.max(practice.minutes, plannedMinutes(practice))
			);
			const found = (evaluation: typeof after, severity: string) =>
				faultsIn(evaluation).filter((each) => each.severity === severity);
			expect(found(after, 'stop').length, practice.id).toBe(found(before, 'stop').length);
			// Nobody goes without water for it.
			const dry = found(after, 'warn').filter(({ code }) => code === 'water-gap').length;
			expect(dry, practice.id).toBe(
				found(before, 'warn').filter(({ code }) => code === 'water-gap').length
			);
		}
	});
});
