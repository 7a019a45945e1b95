import { beforeEach, describe, expect, test } from 'vitest';
import type { Fix, Seed } from '$core/model/scene';
import { blocksOf, toContext } from '$core/practice';
import { evaluate } from '$core/playing';
import { faultsIn } from '$core/checks';
import { demoSurroundings } from '../../../../../tests/support/demo';
import { placeOf } from '../../../../../tests/support/place';
import {
	saltmarshSeason,
	seasonId,
	teamId,
	today
} from '../../../../../tests/support/saltmarshSeason';
import { findDrill } from '../../repositories/drills';
import { findPractice } from '../../repositories/practices';
import { stampOf } from '../submission';
import { loadBoard, loadPaper } from '../views';
import { loadDueFor } from './dueFor';
import { loadFixes, loadGameWeekOf } from './loadScenes';
import { removeScene, saveScene, tickFix } from './scenes';
import { setUpFix } from './setUpFix';

let season: Awaited<ReturnType<typeof saltmarshSeason>>;
beforeEach(async () => {
	season = await saltmarshSeason();
});
const of = { teamId, seasonId };
/** The first name of a player of the demo. */
const FIRST = demoSurroundings().players[4].name.split(' ')[0];
const TUESDAY = '2027-04-13';
const fixOf = async (id: string) =>
	(await season.seasonNow()).fixes?.find((fix) => fix.id === id) as Fix;
const save = (scene: unknown, base?: string, list: 'fixes' | 'seeds' = 'fixes') =>
	saveScene(season.db, { ...of, list, scene, ...(base !== undefined && { base }) });

describe('a scene', () => {
	test('is stored under an id of its own, and changed by one coach at a time', async () => {
		const fix = await fixOf('late-runner');
		const made = await save({ ...fix, id: 'new', name: 'Nobody covered' }, stampOf(null));
		expect(made.ok).toBe(true);
		const id = made.ok ? made.value : '';
		expect(await fixOf(id)).toEqual({ ...fix, id, name: 'Nobody covered' });
		// Somebody else has changed it meanwhile.
		await save({ ...fix, decided: 'The back steps up.' }, stampOf(fix));
		const late = await save({ ...fix, decided: 'The half drops.' }, stampOf(fix));
		expect(late).toMatchObject({ ok: false, failure: { newest: expect.any(String) } });
		expect((await fixOf('late-runner')).decided).toBe('The back steps up.');
	});

	test.each([
		['name', { name: '  ' }],
		['name', { name: 'Tessel Mill ran free' }],
		['decided', { decided: 'Wait for orrin quay to turn.' }],
		['tokens[0].id', { tokens: [{ id: FIRST, side: 'ours', x: 3, y: 3 }], ways: [] }],
		['tokens[1].id', { tokens: [1, 2].map((x) => ({ id: 'A', side: 'theirs', x, y: 1 })) }],
		['tokens[0].x', { tokens: [{ id: 'A', side: 'theirs', x: 71, y: 1 }] }],
		['tokens', { tokens: [] }],
		['ways[0].to', { ways: [{ from: 'A', to: 'Nobody', kind: 'run' }] }],
		['skills[0]', { skills: ['juggling'] }],
		['game', { game: 'game-99' }],
		['groundId', { groundId: 'moon' }]
	])('is refused at %s, and nothing is stored', async (place, change) => {
		const before = await season.seasonNow();
		const fix = await fixOf('late-runner');
		expect(placeOf(await save({ ...fix, ...change }))).toBe(place);
		expect(await season.seasonNow()).toEqual(before);
	});

	test('of a game goes with the game; a game that changes keeps how often calendars are told', async () => {
		const { games = [] } = await season.seasonNow();
		const seed = (await season.seasonNow()).seeds?.[0] as Seed;
		await save({ ...seed, name: 'Straight through' }, stampOf(seed), 'seeds');
		expect((await season.seasonNow()).games).toEqual(games);
		await season.change({ games: games.filter(({ id }) => id !== 'game-2') });
		expect((await season.seasonNow()).seeds).toEqual([]);
		await season.change({ games: [] });
		expect((await fixOf('late-runner')).game).toBeUndefined();
	});
});

describe('what is due', () => {
	const partOf = async (skill: string) =>
		(await loadDueFor(season.db, teamId, TUESDAY))?.due.find(
			(each) => each.skill === skill && each.unit === undefined
		)?.parts;

	test('counts what is on the fix list until it is ticked, and how the next opponent begins', async () => {
		expect(await partOf('defending')).toMatchObject({ fix: 1, seed: 1 });
		expect(await partOf('carrying')).toMatchObject({ fix: 0, seed: 0 });
		await tickFix(season.db, { ...of, id: 'late-runner', on: today });
		expect(await partOf('defending')).toMatchObject({ fix: 0, seed: 1 });
		for (const id of ['over-the-press', 'overlap-right'])
			await removeScene(season.db, { ...of, list: 'seeds', id });
		expect(await partOf('defending')).toMatchObject({ fix: 0, seed: 0 });
		await tickFix(season.db, { ...of, id: 'late-runner', on: null });
		expect(await partOf('defending')).toMatchObject({ fix: 1, seed: 0 });
	});
});

describe('what is on the fix list', () => {
	const setUp = (practiceId: string, fixId = 'late-runner') =>
		setUpFix(season.db, { ...of, fixId, practiceId });

	test('is set up as a block of five minutes that stops nothing, its drill on the shelf', async () => {
		const before = await findPractice(season.db, teamId, TUESDAY);
		expect(await setUp(TUESDAY)).toEqual({ ok: true, value: TUESDAY });
		const { drill: id = '' } = await fixOf('late-runner');
		const board = await loadBoard(season.db, teamId, TUESDAY);
		if (!board || !before) throw new Error('there is no board');
		const { practice, revision } = board.stored;
		expect(revision).toBe(before.revision + 1);
		const [found] = [...blocksOf(practice)].filter(({ block }) => block.drill?.id === id);
		expect(found.block.climb).toEqual([{ minutes: 2 }, { rung: 'live', minutes: 3 }]);
		const evaluation = evaluate(practice, toContext(board.surroundings));
		expect(faultsIn(evaluation).filter(({ severity }) => severity === 'stop')).toEqual([]);
		// Live play counts with as much contact as any live drill of the team has.
		expect((await findDrill(season.db, teamId, id))?.rungs[0].set).toMatchObject({ live: true });
		const [line] = (await loadFixes(season.db, teamId, await season.seasonNow())).filter(
			({ fix }) => fix.id === 'late-runner'
		);
		expect(line.setUp.map(({ practice: on }) => on)).toEqual([TUESDAY]);
	});

	test('runs the same drill again, another revision once it is drawn otherwise', async () => {
		await setUp(TUESDAY);
		await setUp('2027-04-15');
		const fix = await fixOf('late-runner');
		expect((await findDrill(season.db, teamId, fix.drill ?? ''))?.revision).toBe(1);
		const [first, ...others] = fix.tokens;
		await save({ ...fix, tokens: [{ ...first, x: 40 }, ...others] }, stampOf(fix));
		await setUp('2027-04-20');
		expect((await findDrill(season.db, teamId, fix.drill ?? ''))?.revision).toBe(2);
	});

	test('is refused for a practice or a scene that is not there, and nothing is half done', async () => {
		expect(await setUp('2027-01-01')).toMatchObject({ ok: false });
		expect(await setUp(TUESDAY, 'nothing')).toMatchObject({ ok: false });
		expect((await fixOf('late-runner')).drill).toBeUndefined();
	});
});

test('a practice gets ready by the seeds of its next game; its board and paper are built without them', async () => {
	const stored = await findPractice(season.db, teamId, TUESDAY);
	if (!stored) throw new Error('there is no practice');
	const week = await loadGameWeekOf(season.db, teamId, stored.practice);
	expect(week).toMatchObject({
		game: { opponent: 'Orrin Quay' },
		left: 2,
		every: 3,
		hasTalk: false
	});
	expect(week?.seeds).toHaveLength(2);
	await season.turn('2027-04-15', 'cancelled');
	const alone = await loadGameWeekOf(season.db, teamId, stored.practice);
	expect(alone).toMatchObject({ left: 1, every: 2, hasTalk: true });
	for (const load of [loadBoard, loadPaper]) {
		const loaded = JSON.stringify(await load(season.db, teamId, TUESDAY));
		expect(loaded).not.toMatch(/Orrin Quay|Over the press|Overlap on the right/);
	}
});
