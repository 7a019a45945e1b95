import { describe, expect, test } from 'vitest';
import { demoContext, demoPractice } from '../../../../tests/support/demo';
import { periodFromDrill, sizeLane } from '../../../core/building';
import type { Drill } from '../../../core/model/drill';
import { evaluate } from '../../../core/playing';
import { blockWords, percent, turnsWords } from '../tape/words';
import { fitOf, matches } from './fits';
import { speaker } from '$words';

const say = speaker(undefined);

const context = demoContext();
const practice = { ...demoPractice(), periods: [] };
const drill = (id: string) => {
	const found = context.shelf.find((each) => each.id === id);
	if (!found) throw new Error(`no ${id}`);
	return found;
};

describe('how a drill fits', () => {
	test('is said with copies, turns and waiting', () => {
		const { words, score } = fitOf({ practice, context }, drill('two-touch-squares'), 12, { say });
		expect(words).toMatch(/^5 copies of 5 or 4 · (\d+ to )?\d+ turns · waits \d+%$/);
		expect(score).toBeGreaterThan(0);
	});

	test('keeps what a squad does together in as few copies as are free', () => {
		expect(fitOf({ practice, context }, drill('tide-lines'), 12, { say }).words).toMatch(
			/^1 copy of 22/
		);
	});

	test('says what stands in the way where nothing is free', () => {
		const alone = { ...practice, adults: [] };
		const fit = fitOf({ practice: alone, context }, drill('channel-duel'), 12, { say });
		expect(fit).toMatchObject({ score: -1 });
		expect(fit.words).toMatch(/^does not fit, \d cop.*adults? short/);
	});

	test('says how many players are missing', () => {
		const few = { ...practice, expected: practice.expected.slice(0, 3) };
		expect(fitOf({ practice: few, context }, drill('eight-a-side'), 12, { say })).toMatchObject({
			score: -2,
			sizing: null
		});
	});

	test('puts what is for other ages behind what is for these, and says so', () => {
		const { ages } = context.team;
		const own = { ...drill('press-in-pairs'), ages: { from: ages.from, to: ages.to } };
		const other = { ...own, ages: { from: ages.from + 1, to: 40 } };
		const fit = (of: Drill) => fitOf({ practice, context }, of, 12, { say });
		expect(fit(own).score).toBeGreaterThan(0);
		expect(fit(other).score).toBeLessThan(0);
		expect(fit(other).words).toMatch(/^too much for this age, or for another · /);
	});

	test('puts the calm end of a practice behind what has turns', () => {
		const score = (id: string) => fitOf({ practice, context }, drill(id), 12, { say }).score;
		expect(score('closing-circle')).toBeLessThan(score('press-in-pairs'));
	});
});

test('a drill is found by words of its name, summary, family and skills, accents or not', () => {
	expect(matches(drill('channel-duel'), 'two AGAINST')).toBe(true);
	expect(matches(drill('channel-duel'), 'overlóad duel')).toBe(true);
	expect(matches(drill('channel-duel'), 'keeper')).toBe(false);
	expect(matches(drill('channel-duel'), '')).toBe(true);
});

test('the shelf, the list of copies and the panel say the same turns and waiting of the same drill', () => {
	for (const id of ['two-touch-squares', 'press-in-pairs', 'turn-and-switch', 'rebound-rally']) {
		const plan = { practice, context };
		const period = periodFromDrill(plan, { drill: drill(id), id: 'p', minutes: 12 });
		if (!period) throw new Error(id);
		const added = { ...practice, periods: [period] };
		const [{ run }] = evaluate(added, context).runs;
		const figures = evaluate(added, context).figures.blocks.get(run.block.id);
		const said = blockWords(figures, say).replace(/^.*? · /, '');
		expect(fitOf(plan, drill(id), 12, { say }).words).toContain(said);
		const sized = sizeLane(
			{ practice: added, context },
			{ period, lane: run.lane, block: run.block }
		);
		const option = sized?.sizing.output.options.find(
			({ copies, adultsAt }) => copies === run.block.copies.length && adultsAt === 0
		);
		expect(
			`${turnsWords(option?.reps ?? { min: 0, max: 0 }, say)} · waits ${percent(option?.share.wait ?? 0)}`
		).toBe(said);
	}
});
