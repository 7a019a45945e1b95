import { expect, test } from 'vitest';
import { evaluate, playersNowhere, standingsAt } from '$core/playing';
import { demoContext, demoPractice } from '../../../../tests/support/demo';
import { BIBS, bibLook } from '../bib/bibs';
import { dayWords } from '../page/dates';
import { drawingsOf } from './drawings';
import { sheetBlocks } from './sheet';
import { speaker } from '$words';

const say = speaker(undefined);

const evaluation = evaluate(demoPractice(), demoContext());
const blocks = (period: string) => {
	const window = evaluation.windows.find((each) => each.period.id === period);
	if (!window) throw new Error(`no ${period}`);
	return sheetBlocks(evaluation, window, { say });
};

test('the sheet names zone, adult, turns and the bibs of every slot of a station', () => {
	const [duel] = blocks('stations');
	const turns = evaluation.runs
		.filter(({ run }) => run.block.id === 'duel')
		.flatMap(({ sums }) => sums.map(({ reps }) => reps));
	expect(duel).toMatchObject({
		...{ zones: 'A', adults: 'Maren', numbers: '' },
		turns: `${Math.min(...turns)} to ${Math.max(...turns)} turns`
	});
	expect(duel.bibs).toEqual([[0], [3], [2], [1]]);
});

test('it says where lines start for the number that comes, by the size of groups', () => {
	const [outlet] = blocks('units');
	const { run, steps } = evaluation.runs.find((each) => each.run.block.id === 'outlet') ?? {};
	const numbers = [...outlet.lines.matchAll(/(\d+) ([a-z-]+)/g)].map(([, n, id]) => [
		id,
		Number(n)
	]);
	expect(numbers.map(([id]) => id)).toEqual(steps?.[0].system.spots.map(({ id }) => id));
	expect(numbers.reduce((sum, [, n]) => sum + Number(n), 0)).toBe(run?.players.length);
	expect(blocks('water-1')).toEqual([]);
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

test('it says what is run: rungs with their change, sides, and the cues and cautions of the rung', () => {
	const practice = demoPractice();
	const press = practice.periods.flatMap(({ lanes }) => lanes.flatMap((lane) => lane.blocks));
	for (const block of press)
		if (block.id === 'arc') block.climb = [{ minutes: 3 }, { rung: 'chaser', minutes: 4 }];
	const context = demoContext();
	const next = evaluate(practice, context);
	const stations = next.windows.find(({ period }) => period.id === 'stations');
	const arc =
		stations && sheetBlocks(next, stations, { say }).find(({ block }) => block.id === 'arc');
	const drill = context.shelf.find(({ id }) => id === 'shooting-arc');
	expect(arc).toMatchObject({
		rungs: 'as it is 3′, then A chaser (a chaser starts two metres behind) 4′',
		sides: 'from the left / from the right',
		cautions: drill?.cautions,
		cues: drill?.cues.map(({ say }) => say)
	});
});

test('it says how a climb by turns goes, what copies do on their own, and what the coach set', () => {
	const practice = demoPractice();
	for (const block of practice.periods.flatMap(({ lanes }) => lanes.flatMap((lane) => lane.blocks)))
		if (block.id === 'sq') {
			block.climb = [
				{ turns: 4, side: 'clockwise' },
				{ rung: 'one-touch', turns: 1 }
			];
			block.copies[1].climb = [{ minutes: 10 }];
			Object.assign(block, {
				shows: 'p06',
				eyes: 'head',
				voice: 'players',
				counting: 'clean squares'
			});
			block.scenario = { score: '1-2', secondsLeft: 90, restart: 'a free hit' };
		}
	const context = demoContext();
	const next = evaluate(practice, context);
	const squares = next.windows.find(({ period }) => period.id === 'squares');
	const [sq] = squares ? sheetBlocks(next, squares, { say }) : [];
	const change = sq.drill?.rungs.find(({ id }) => id === 'one-touch')?.change;
	expect(sq.rungs).toBe(
		`as it is for 4 turns, clockwise, then One touch (${change}) for 1 turn; copy 2: as it is`
	);
	const [player] = (context.playerById.get('p06')?.name ?? '').split(' ');
	const [adult] = (context.adultById.get('head')?.name ?? '').split(' ');
	expect(sq.set).toEqual([
		`${player} shows it`,
		`${adult} watches`,
		'The players talk',
		'Starts at 1-2, 90 s left, a free hit',
		'Counts: clean squares'
	]);
	expect(sq.counts.join()).not.toContain('Counts');
});

test('who is in no part of a practice is known', () => {
	const practice = { ...demoPractice(), expected: [...demoPractice().expected, 'p15'] };
	const kept = evaluate(practice, demoContext());
	const placed = new Set(kept.runs.flatMap(({ run }) => run.players));
	expect(playersNowhere(practice, kept.runs)).toEqual(
		practice.expected.filter((id) => !placed.has(id))
	);
	expect(playersNowhere({ ...practice, expected: ['p23'] }, [])).toEqual(['p23']);
});

test('nobody who does not come is on it', () => {
	const practice = demoPractice();
	const absent = ['p02', 'p03', 'p04', 'p05', 'p14', 'p22'];
	const fewer = evaluate(
		{ ...practice, expected: practice.expected.filter((id) => !absent.includes(id)) },
		demoContext()
	);
	const numbers = fewer.windows.flatMap((window) =>
		sheetBlocks(fewer, window, { say }).flatMap((block) => block.numbers.split(' '))
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
	const looks = Array.from({ length: 26 }, (_, bib) => bibLook(bib));
	expect(new Set(looks.map(({ letter }) => letter)).size).toBe(26);
	expect(looks[9]).toMatchObject({ pattern: BIBS[1].pattern, dots: 1 });
});

test('days are said as a coach says them', () => {
	expect(dayWords('2027-04-06')).toBe('Tuesday 6 April');
});
