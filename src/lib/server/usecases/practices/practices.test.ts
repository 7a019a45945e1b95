import { weekOf } from '$core/season';
import { beforeEach, describe, expect, test } from 'vitest';
import { demoDb } from '../../../../../tests/support/database';
import { demoPractice, demoSurroundings } from '../../../../../tests/support/demo';
import { seasonOn, type SentEdit } from '$core/practice';
import type { Db } from '../../database';
import { findPractice, listPractices, setArchived } from '../../repositories/practices';
import { listDrills } from '../../repositories/drills';
import { listSeasons } from '../../repositories/teams';
import { loadSurroundings } from '../../repositories/teamHistory';
import { saveKit } from '../team/saveKit';
import { setLimits } from '../team/setLimits';

import { deleteTemplate, findTemplate } from '../../repositories/templates';
import { createPractice } from './createPractice';
import { keepTemplate } from './keepTemplate';
import { saveEdits } from './saveEdits';
import { loadBoard, loadPracticeList } from '../views';

let db: Db;
beforeEach(async () => {
	db = await demoDb();
});

const teamId = 'saltmarsh';
const practiceId = '2027-04-06';
const sent = (id: string, minutes: number): SentEdit => ({
	id,
	edit: { type: 'set-practice', set: { minutes } }
});
const save = (revision: number, edits: SentEdit[]) =>
	saveEdits(db, { teamId, practiceId, revision, edits });
const surroundings = (day: string) => loadSurroundings(db, teamId, { day });
const count = async (sql: string) =>
	(await db.query<{ n: number }>(`select count(*)::int as n from ${sql}`)).rows[0].n;

describe('the demo in the database', () => {
	test('comes out as it went in', async () => {
		const { drills: _none, ...loaded } = (await surroundings('2027-04-06')) ?? { drills: [] };
		const drills = await listDrills(db, teamId);
		const { drills: shelf, ...expected } = demoSurroundings();
		expect(await listSeasons(db, teamId)).toEqual([expected.season]);
		// What a practice is built from knows neither games nor scenes.
		const { games: _games, seeds: _seeds, fixes: _fixes, ...season } = expected.season;
		expect(loaded).toEqual({ ...expected, season });
		expect(drills).toHaveLength(shelf.length);
		expect(drills).toEqual(expect.arrayContaining(shelf));
		expect((await findPractice(db, teamId, practiceId))?.practice).toEqual(demoPractice());
	});

	test('has units and ratings as they stood on a day', async () => {
		await db.query(`insert into person_unit values ('saltmarsh', 'p06', '2027-04-20', 'forwards')`);
		await db.query(`insert into rating values ('saltmarsh', 'p06', 'passing', '2027-04-20', 5)`);
		const p06 = async (day: string) =>
			(await surroundings(day))?.players.find(({ id }) => id === 'p06');
		expect((await p06('2027-04-06'))?.unit).toBe('midfield');
		expect(await p06('2027-04-21')).toMatchObject({ unit: 'forwards', ratings: { passing: 5 } });
	});

	test('has kit and limits as they stood on a day', async () => {
		const rows = [{ item: 'ball', count: 3, broken: 1 }];
		await saveKit(db, { teamId, day: '2027-04-20', rows });
		await setLimits(db, teamId, { day: '2027-04-21', wanted: { waterMinutes: 12 } });
		const [before, after] = [await surroundings('2027-04-19'), await surroundings('2027-04-21')];
		expect(before?.kit).toEqual(demoSurroundings().kit);
		expect(after?.kit).toEqual({ ball: 2 });
		expect(before?.limits?.waterMinutes).toBeUndefined();
		expect(after?.limits?.waterMinutes).toBe(12);
		expect((await surroundings('2027-04-20'))?.limits?.waterMinutes).toBeUndefined();
	});

	test('names people in one table only', async () => {
		const { rows } = await db.query<{ table: string }>(
			`select table_name as table from information_schema.tables where table_schema = 'public' and table_name <> 'person'`
		);
		for (const { table } of rows)
			expect(
				await count(
					`${table} as t where t::text ilike '%Brantwick%' or t::text ilike '%Osgathorpe%'`
				)
			).toBe(0);
	});

	test('is listed by week with its figures, and shown to no other team', async () => {
		const list = await loadPracticeList(db, teamId, { today: practiceId });
		// Ten were held, six to come are planned, nine are made from the usual days, one is cancelled.
		expect(list?.lines).toHaveLength(26);
		expect(list?.lines.filter(({ state }) => state === 'cancelled')).toMatchObject([
			{ id: '2027-05-06', week: 10 }
		]);
		expect(list?.lines.filter(({ state }) => state === 'held').map(({ week }) => week)).toEqual([
			1, 1, 2, 2, 3, 3, 4, 4, 5, 5
		]);
		expect(list?.lines.filter(({ week }) => week === 6).slice(0, 1)).toMatchObject([
			{
				id: practiceId,
				week: 6,
				summary: { players: 22, adults: 5, plannedMinutes: 90, stops: 1 }
			}
		]);
		expect(await loadBoard(db, 'other', practiceId)).toBeUndefined();
		expect(await findPractice(db, 'other', practiceId)).toBeUndefined();
		await db.query(
			`insert into season (team_id, id, name, first_day, weeks)
			 values ($1, 'autumn', 'Autumn 2027', '2027-08-30', 10), ($1, 'old', 'Old', '2026-01-05', 4)`,
			[teamId]
		);
		const seasonAt = async (day: string) => seasonOn(await listSeasons(db, teamId), day)?.id;
		expect(await seasonAt('2027-04-06')).toBe('spring-2027');
		expect(await seasonAt('2027-06-06')).toBe('spring-2027');
		expect(await seasonAt('2027-06-07')).toBe('autumn');
		expect(await seasonAt('2027-09-01')).toBe('autumn');
		expect(await seasonAt('2029-01-01')).toBe('autumn');
		expect(await seasonAt('2026-06-01')).toBe('spring-2027');
		expect(weekOf({ firstDay: '2027-03-01' }, '2027-02-28')).toBe(0);
	});
});

describe('saveEdits', () => {
	test('gives the new state and its number', async () => {
		const saved = await save(1, [sent('a', 95), sent('b', 100)]);
		expect(saved).toMatchObject({ ok: true, value: { revision: 2, practice: { minutes: 100 } } });
		expect((await findPractice(db, teamId, practiceId))?.revision).toBe(2);
	});

	test('answers an edit that comes again, and does not apply it twice', async () => {
		const add: SentEdit = {
			id: 'add',
			edit: {
				type: 'add-period',
				after: null,
				period: {
					id: 'w',
					name: 'W',
					kind: 'water',
					rank: 'must',
					min: 1,
					ideal: 1,
					max: 1,
					minutes: 1,
					lanes: []
				}
			}
		};
		await save(1, [add]);
		const again = await save(1, [add]);
		expect(again).toMatchObject({ ok: true, value: { revision: 2 } });
		expect((await findPractice(db, teamId, practiceId))?.practice.periods).toHaveLength(9);
	});

	test('tells who was late the newest state and which edits it holds', async () => {
		await save(1, [sent('a', 95)]);
		const late = await save(1, [sent('a', 95), sent('b', 80)]);
		expect(late).toMatchObject({
			ok: false,
			failure: {
				reason: 'stale',
				known: ['a'],
				current: { revision: 2, practice: { minutes: 95 } }
			}
		});
	});

	test('stores nothing of a list in which one edit does not apply', async () => {
		const bad: SentEdit = { id: 'bad', edit: { type: 'remove-period', period: 'nowhere' } };
		const refused = await save(1, [sent('a', 95), bad]);
		expect(refused).toMatchObject({
			ok: false,
			failure: { reason: 'refused', edit: 'bad', why: 'no-such-period' }
		});
		expect(await findPractice(db, teamId, practiceId)).toMatchObject({
			revision: 1,
			practice: { minutes: 90 }
		});
		expect(await count('practice_edit')).toBe(0);
	});

	test('refuses a day that is none', async () => {
		const edit = { type: 'set-practice' as const, set: { date: '2027-02-30' } };
		expect(await save(1, [{ id: 'd', edit }])).toMatchObject({ failure: { reason: 'misfit' } });
	});

	test('writes the planned ledger anew with the practice', async () => {
		const before = await count('ledger');
		const done = await count(`ledger where state = 'done'`);
		expect(done).toBeGreaterThan(3000);
		expect(before).toBeGreaterThan(300);
		const turns = async () =>
			(await db.query('select sum(turns)::real as turns from ledger')).rows[0];
		const planned = await turns();
		await save(1, [{ id: 'r', edit: { type: 'remove-period', period: 'squares' } }]);
		expect(await count(`ledger where block_id = 'sq'`)).toBe(0);
		expect(await count(`ledger where state = 'done'`)).toBe(done);
		await save(2, [sent('m', 90)]);
		expect(await turns()).not.toEqual(planned);
		expect(await count('ledger')).toBeLessThan(before);
	});

	test('knows no practice of another team', async () => {
		const other = await saveEdits(db, {
			teamId: 'other',
			practiceId,
			revision: 1,
			edits: [sent('a', 95)]
		});
		expect(other).toMatchObject({ ok: false, failure: { reason: 'not-found' } });
	});
});

describe('createPractice', () => {
	const wanted = {
		date: '2027-04-08',
		start: '18:30',
		minutes: 90,
		place: 'Here',
		expected: ['p06'],
		adults: ['head']
	};

	test('stores an empty practice of the season', async () => {
		const made = await createPractice(db, { teamId, id: 'new', wanted });
		expect(made).toMatchObject({
			ok: true,
			value: { seasonId: 'spring-2027', timeZone: 'Europe/London', periods: [] }
		});
		expect((await findPractice(db, teamId, 'new'))?.practice.minutes).toBe(90);
	});

	test('starts with the periods of another practice, and its planned ledger', async () => {
		await createPractice(db, {
			teamId,
			id: 'new',
			wanted: { ...wanted, expected: demoPractice().expected, from: '2027-04-01' }
		});
		const [made, model] = [
			await findPractice(db, teamId, 'new'),
			await findPractice(db, teamId, '2027-04-01')
		];
		expect(made?.practice.periods).toEqual(model?.practice.periods);
		expect(await count(`ledger where practice_id = 'new' and state = 'planned'`)).toBeGreaterThan(
			5
		);
		const ghost = await createPractice(db, {
			teamId,
			id: 'other',
			wanted: { ...wanted, from: 'ghost' }
		});
		expect(ghost).toMatchObject({ failure: { path: ['from'] } });
	});

	test('starts with a template, which is kept under one name and belongs to its team', async () => {
		const keep = (id: string, name: string) =>
			keepTemplate(db, { teamId, id, wanted: { practice: practiceId, name } });
		expect(await keep('t1', '  Usual  ')).toMatchObject({ ok: true, value: { name: 'Usual' } });
		expect(await keep('t2', 'Usual')).toMatchObject({ failure: { path: ['name'] } });
		expect(await keep('t2', ' ')).toMatchObject({ failure: { path: ['name'] } });
		expect(await findTemplate(db, 'other', 't1')).toBeUndefined();
		const made = await createPractice(db, {
			teamId,
			id: 'new',
			wanted: { ...wanted, template: 't1' }
		});
		expect(made).toMatchObject({ value: { periods: demoPractice().periods } });
		expect(await deleteTemplate(db, 'other', 't1')).toBe(false);
		expect(await deleteTemplate(db, teamId, 't1')).toBe(true);
		const gone = { ...wanted, template: 't1' };
		expect(await createPractice(db, { teamId, id: 'newer', wanted: gone })).toMatchObject({
			failure: { path: ['template'] }
		});
	});

	test('is archived and restored, by its own team alone', async () => {
		const archived = async () =>
			(await listPractices(db, teamId)).filter(({ isArchived }) => isArchived).length;
		expect(await setArchived(db, { teamId, id: practiceId, archived: true })).toBe(true);
		expect(await archived()).toBe(1);
		expect(await setArchived(db, { teamId: 'other', id: practiceId, archived: false })).toBe(false);
		await setArchived(db, { teamId, id: practiceId, archived: false });
		expect(await archived()).toBe(0);
	});

	test('refuses days that are none and people who are nobody, with the place', async () => {
		const made = (change: object) =>
			createPractice(db, { teamId, id: 'new', wanted: { ...wanted, ...change } });
		expect(await made({ date: '2027-02-30' })).toMatchObject({ failure: { path: ['date'] } });
		expect(await made({ expected: ['p06', 'ghost'] })).toMatchObject({
			failure: { path: ['expected', 1] }
		});
		expect(await made({ adults: ['head', 'head'] })).toMatchObject({
			failure: { path: ['adults'] }
		});
		expect(await findPractice(db, teamId, 'new')).toBeUndefined();
	});
});
