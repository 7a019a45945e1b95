import { expect, test } from 'vitest';
import { evaluate, standingsAt } from '$core/practice';
import { demoContext, demoPractice } from '../../../../tests/support/demo';
import { BIBS, bibLook } from '../bib/bibs';
import { dayWords } from '../ui/dates';
import { drawingsOf } from './drawings';
import { sheetBlocks } from './sheet';

const evaluation = evaluate(demoPractice(), demoContext());
const blocks = (period: string) => {
	const window = evaluation.windows.find((each) => each.period.id === period);
	if (!window) throw new Error(`no ${period}`);
	return sheetBlocks(evaluation, window);
};

test('the sheet names zone, adult, turns and the bibs of every slot of a station', () => {
	const [duel] = blocks('stations');
	expect(duel).toMatchObject({ zones: 'A', adults: 'Maren', numbers: '', turns: '14 turns' });
	expect(duel.bibs).toEqual([[0], [3], [2], [1]]);
});

test('it gives copies their bibs, and numbers to those without one', () => {
	expect(blocks('squares')[0]).toMatchObject({
		zones: 'A, B, C, D',
		bibs: [[0], [1], [2], [3]],
		numbers: ''
	});
	expect(blocks('warm-up')[0].numbers).toBe('everyone');
	expect(blocks('units')[0].numbers).toBe('2 3 4 5 14 22 9 11 6 7');
});

test('nobody who does not come is on it', () => {
	const practice = demoPractice();
	const absent = ['p02', 'p03', 'p04', 'p05', 'p14', 'p22'];
	const fewer = evaluate(
		{ ...practice, expected: practice.expected.filter((id) => !absent.includes(id)) },
		demoContext()
	);
	const numbers = fewer.windows.flatMap((window) =>
		sheetBlocks(fewer, window).flatMap((block) => block.numbers.split(' '))
	);
	const away = demoContext()
		.players.filter(({ id }) => absent.includes(id))
		.map(({ number }) => String(number));
	expect(away).toHaveLength(6);
	expect(numbers.filter((number) => away.includes(number))).toEqual([]);
	expect(numbers).toContain('everyone');
});

test('drills are drawn once each, as they start with the players of their largest copy', () => {
	const drawings = drawingsOf(evaluation);
	const names = drawings.map(({ name }) => name);
	expect(names).toContain('Channel duel');
	expect(new Set(names).size).toBe(names.length);
	const duel = drawings.find(({ name }) => name === 'Channel duel');
	const sizes = evaluation.runs.flatMap(({ run }) =>
		run.drill?.id === 'channel-duel' ? run.players.length : []
	);
	expect(duel?.when).toBe(`18:52, ${Math.max(...sizes)} players`);
	expect(duel?.cues.map(({ spot }) => spot)).toContain('right');
	const standing = duel ? standingsAt(duel.alone, duel.now) : [];
	expect(standing).toHaveLength(Math.max(...sizes));
	expect(standing.every(({ spot }) => spot !== null)).toBe(true);
});

test('bibs are told apart without colour, and use no letter of a zone', () => {
	expect(new Set(BIBS.map(({ letter }) => letter)).size).toBe(8);
	expect(new Set(BIBS.map(({ pattern }) => pattern)).size).toBe(8);
	for (const { letter } of BIBS) expect('ABCDEF').not.toContain(letter);
	expect(bibLook(9)).toBe(BIBS[1]);
});

test('days are said as a coach says them', () => {
	expect(dayWords('2027-04-06')).toBe('Tuesday 6 April');
});
