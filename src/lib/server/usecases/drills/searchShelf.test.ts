import { beforeEach, describe, expect, test } from 'vitest';
import { demoDb } from '../../../../../tests/support/database';
import type { Here } from '$core/shelf';
import type { Db } from '../../database';
import { drillOf, toContext } from '$core/practice';
import {
	findDrill,
	insertRevision,
	listArchived,
	listRevisions,
	listUses,
	setDrillArchived
} from '../../repositories/drills';
import { exported } from '../../../../../tests/support/exported';
import { importAll } from '../transfer/importAll';
import { loadSurroundings } from '../../repositories/teamHistory';
import { loadDrillPage, loadHere } from './drillPage';
import { searchShelf } from './searchShelf';
import { loadBoard } from '../views';
import { loadShelfPage } from './shelfPage';

const teamId = 'saltmarsh';
const today = '2027-04-06';

let db: Db;
let here: Here;
beforeEach(async () => {
	db = await demoDb();
	const around = await loadSurroundings(db, teamId, { day: today });
	if (!around) throw new Error('no team');
	here = { players: 22, adults: 5, zones: around.ground.zones, kit: around.kit };
});
async function found(words: string, filter: object = {}, ages = { from: 14, to: 15 }) {
	const page = await searchShelf(db, teamId, { words, filter, here, ages, day: today });
	if (!page.ok) throw new Error(page.failure.message);
	return page.value;
}

describe('the shelf', () => {
	test('shows what is for the ages of the team first', async () => {
		const { lines } = await found('', {}, { from: 8, to: 9 });
		const fits = lines.filter(({ standing }) => standing.obstacle === null);
		const isFor = fits.map(({ drill }) => !drill.ages || drill.ages.from <= 8);
		expect(new Set(isFor).size).toBe(2);
		expect(isFor).toEqual(isFor.toSorted((a, b) => Number(b) - Number(a)));
	});

	test('sends drills bare of ladder and words, the newest revision of each, however often it is asked', async () => {
		const tide = async () => (await found('tide lin')).lines.map(({ drill }) => drill);
		const [first] = await tide();
		const whole = await findDrill(db, teamId, 'tide-lines');
		if (!whole) throw new Error('no drill');
		const {
			faults: _f,
			calls: _c,
			prompts: _p,
			praise: _r,
			success: _s,
			paths: _w,
			...rest
		} = whole;
		expect(first).toEqual({ ...rest, cues: [], cautions: [], rungs: [] });
		await insertRevision(db, teamId, { ...whole, effort: 10 });
		expect(await tide()).toMatchObject([{ revision: 2, effort: 10 }]);
		expect(await tide()).toHaveLength(1);
	});

	test('is searched by the beginnings of words in any text, the name first', async () => {
		expect((await found('')).found).toBe(25);
		const { lines } = await found('rebound');
		expect(lines[0].drill.id).toBe('rebound-rally');
		expect((await found('REBOUND ral')).lines.map(({ drill }) => drill.id)).toEqual([
			'rebound-rally'
		]);
		expect((await found("'; drop table & | ! :*")).found).toBeGreaterThanOrEqual(0);
		expect((await found('zebra')).found).toBe(0);
	});

	test('knows when a drill was used, and for how many practices it was not', async () => {
		const { lines } = await found('');
		const never = lines.find(({ lastUsed }) => lastUsed === null);
		if (never) expect(never.unusedFor).toBe(11);
		const tide = lines.find(({ drill }) => drill.id === 'tide-lines');
		expect(tide).toMatchObject({ lastUsed: '2027-04-22', unusedFor: 0 });
		const rested = await found('', { unused: 3 });
		expect(rested.lines.every(({ unusedFor }) => unusedFor >= 3)).toBe(true);
	});

	test('puts what can run here first, and says what keeps the others', async () => {
		here = { ...here, players: 10 };
		const { lines, fitting } = await found('');
		expect(fitting).toBeLessThan(25);
		expect(lines.findIndex(({ standing }) => standing.obstacle !== null)).toBe(fitting);
		expect(lines.map(({ standing }) => standing.obstacle)).toContainEqual(
			expect.objectContaining({ what: 'players', has: 10 })
		);
	});

	test('leaves out a drill that is archived, which practices keep and a restore brings back', async () => {
		expect(await setDrillArchived(db, teamId, { id: 'tide-lines', archived: true })).toBe(true);
		expect(await setDrillArchived(db, teamId, { id: 'nowhere', archived: true })).toBe(false);
		const ids = async () => (await found('')).lines.map(({ drill }) => drill.id);
		expect(await ids()).not.toContain('tide-lines');
		expect(await listArchived(db, teamId)).toEqual([{ id: 'tide-lines', name: 'Tide lines' }]);
		const board = await loadBoard(db, teamId, '2027-03-02');
		if (!board) throw new Error('no practice');
		const context = toContext(board.surroundings);
		expect(context.shelf.map(({ id }) => id)).not.toContain('tide-lines');
		expect(drillOf(context, { id: 'tide-lines', revision: 1 })?.name).toBe('Tide lines');
		expect((await loadDrillPage(db, teamId, { id: 'tide-lines', today }))?.isArchived).toBe(true);
		const file = await exported(db);
		await db.query('delete from team where id = $1', [teamId]);
		expect(await importAll(db, file)).toMatchObject({ ok: true });
		expect(await listArchived(db, teamId)).toHaveLength(1);
		await setDrillArchived(db, teamId, { id: 'tide-lines', archived: false });
		expect(await ids()).toContain('tide-lines');
	});

	test('refuses a filter that is none, with its place', async () => {
		const page = await searchShelf(db, teamId, {
			...{ words: '', filter: { effort: 99 }, here, ages: { from: 14, to: 15 }, day: today }
		});
		expect(page).toMatchObject({ failure: { path: ['effort'] } });
	});
});

describe('a drill’s page', () => {
	test('has the newest revision, or the one asked for, and where it was used', async () => {
		const drill = await findDrill(db, teamId, 'tide-lines');
		if (!drill) throw new Error('no drill');
		expect(await insertRevision(db, teamId, { ...drill, name: 'Tide lines, longer' })).toBe(2);
		const page = await loadDrillPage(db, teamId, { id: 'tide-lines', today });
		expect(page?.drill).toMatchObject({ name: 'Tide lines, longer', revision: 2 });
		expect(page?.revisions.map(({ revision }) => revision)).toEqual([2, 1]);
		const old = await loadDrillPage(db, teamId, { id: 'tide-lines', revision: 1, today });
		expect(old?.drill.name).toBe('Tide lines');
		expect(await listRevisions(db, 'other', 'tide-lines')).toEqual([]);
		const uses = await listUses(db, teamId, 'tide-lines');
		expect(uses[0]).toMatchObject({ practice: '2027-04-22', isDone: false });
		const before = uses.filter(({ date }) => date < today);
		expect(before).toHaveLength(10);
		expect(before.every(({ isDone }) => isDone)).toBe(true);
		expect(before[0].turns).toBeGreaterThan(0);
		expect((await found('longer')).lines[0].drill.revision).toBe(2);
	});

	test('takes the next practice for what there is, and the whole team where none is planned', async () => {
		const next = await loadHere(db, teamId, today);
		expect(next).toMatchObject({ isPlanned: true, practice: { date: today } });
		expect(next?.practice.expected).toHaveLength(22);
		await db.query(`update practice set state = 'cancelled' where date >= $1::date`, [today]);
		expect(await loadHere(db, teamId, today)).toMatchObject({ isPlanned: false });
		const later = await loadHere(db, teamId, '2027-12-01');
		expect(later).toMatchObject({ isPlanned: false });
		expect(later?.practice.expected).toHaveLength(24);
		expect(later?.surroundings.drills).toEqual([]);
	});
});

describe('the list of the shelf', () => {
	const asked = async (ask: object, filter: object = {}) =>
		loadShelfPage(db, teamId, { words: '', filter, ask, today });
	const shown = async (ask: object, filter: object = {}) => {
		const page = await asked(ask, filter);
		if (!page.ok) throw new Error(page.failure.message);
		return page.value;
	};

	test('is for the next practice, or for what is asked about', async () => {
		const usual = await shown({});
		expect(usual.here.practice.expected).toHaveLength(22);
		expect(usual.coming).toEqual({ players: 22, adults: 5 });
		const many = await shown({ players: 30, adults: 1, zone: 'a', minutes: 8 });
		expect(new Set(many.here.practice.expected).size).toBe(30);
		expect(many.here.practice.adults).toHaveLength(1);
		expect(many.here.surroundings.ground.zones.map(({ id }) => id)).toEqual(['a']);
		expect(many.zones.length).toBeGreaterThan(5);
		expect(many.ask.minutes).toBe(8);
		expect(many.fitting).toBeLessThan(usual.fitting);
	});

	test('leaves out what cannot run, where that is asked for', async () => {
		const few = await shown({ players: 5 }, { fits: true });
		expect(few.found).toBe(few.fitting);
		expect(few.lines.every(({ standing }) => standing.obstacle === null)).toBe(true);
		const all = await shown({ players: 5 });
		expect([all.found, all.fitting]).toEqual([25, few.fitting]);
	});

	test('refuses what cannot be asked, with its place', async () => {
		expect(await asked({ players: 0 })).toMatchObject({ failure: { path: ['players'] } });
		expect(await asked({ zone: 'moon' })).toMatchObject({ failure: { path: ['zone'] } });
		expect(await asked({}, { skill: '' })).toMatchObject({ failure: { path: ['skill'] } });
	});
});
