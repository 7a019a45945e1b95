import { beforeEach, describe, expect, test } from 'vitest';
import { demoDb } from '../../../../../tests/support/database';
import type { Ground, Zone } from '$core/model/team';
import type { Db } from '../../database';
import { demoSurroundings } from '../../../../../tests/support/demo';
import type { Drill } from '$core/model/drill';
import { listGrounds } from '../../repositories/places';
import { findKit } from '../../repositories/settings';
import { findTeam } from '../../repositories/teams';
import { loadSurroundings } from '../../repositories/teamHistory';
import { createPractice } from '../practices/createPractice';
import { kitAskedFor } from '../../repositories/shelf';
import { loadPerson } from '../people/person';
import { saveAdults } from '../people/saveAdults';
import { saveKit } from './saveKit';
import { addGround, removeGround, saveGround } from './saveGround';
import { savePerson } from '../people/savePerson';
import { saveWords } from './saveWords';
import { loadBoard } from '../views';
import { placeOf } from '../../../../../tests/support/place';

const teamId = 'saltmarsh';
const today = '2027-04-06';

let db: Db;
beforeEach(async () => {
	db = await demoDb();
});
async function surroundings(day = today) {
	const found = await loadSurroundings(db, teamId, { day });
	if (!found) throw new Error('no team');
	return found;
}

describe('a player’s own page', () => {
	const facts = {
		note: ' Two words. ',
		restrictions: [
			{ from: 'running', setBy: 'Dr Vale', cleared: { by: 'Dr Vale', on: '2027-04-10' } }
		]
	};

	test('keeps notes and restrictions, which hold until they are lifted', async () => {
		expect(await savePerson(db, { teamId, id: 'p01', facts })).toMatchObject({ ok: true });
		const player = (await surroundings()).players.find(({ id }) => id === 'p01');
		expect(player).toMatchObject({ note: 'Two words.', restrictions: facts.restrictions });
		const kept = await loadPerson(db, teamId, 'p01');
		expect(kept?.person).toMatchObject({ name: player?.name, note: 'Two words.' });
		expect(kept?.counted.length).toBeGreaterThan(0);
		expect(kept?.expected.length).toBeGreaterThan(0);
	});

	test.each<[string, string, object]>([
		['restrictions[0].setBy', 'p01', { note: '', restrictions: [{ from: 'contact', setBy: '' }] }],
		[
			'restrictions[0].until',
			'p01',
			{ note: '', restrictions: [{ from: 'contact', setBy: 'x', until: '2027-02-30' }] }
		],
		[
			'restrictions[0].until',
			'p01',
			{
				note: '',
				restrictions: [{ from: 'contact', setBy: 'x', since: '2027-04-10', until: '2027-04-09' }]
			}
		],
		[
			'restrictions[0].drills',
			'p01',
			{ note: '', restrictions: [{ from: 'drills', by: 'coach', setBy: 'x', skills: [] }] }
		],
		['', 'head', { note: '', restrictions: [] }]
	])('is refused at %s', async (path, id, value) => {
		expect(placeOf(await savePerson(db, { teamId, id, facts: value }))).toBe(path);
	});
});

test('what a practitioner has set only one lifts; what a coach has set a coach ends', async () => {
	const save = async (...restrictions: object[]) =>
		savePerson(db, { teamId, id: 'p02', facts: { note: '', restrictions } });
	const knee = { from: 'running', since: today, until: '2027-05-01', setBy: 'Dr Vane' };
	const own = {
		from: 'drills',
		by: 'coach',
		reason: 'cannot catch yet',
		skills: ['receiving'],
		setBy: 'Ada'
	};
	expect(await save(knee, own)).toMatchObject({ ok: true });
	for (const lighter of [
		[],
		[{ ...knee, until: '2027-04-20' }],
		[{ ...knee, by: 'coach' }],
		[{ ...knee, from: 'contact' }],
		[{ ...knee, since: '2027-04-10' }]
	])
		expect(placeOf(await save(...lighter))).toBe('restrictions');
	expect(await save({ ...knee, until: '2027-06-01' })).toMatchObject({ ok: true });
	const lifted = { ...knee, until: '2027-06-01', cleared: { by: 'Dr Vane', on: today } };
	expect(await save(lifted)).toMatchObject({ ok: true });
	expect(placeOf(await save({ ...knee, until: '2027-06-01' }))).toBe('restrictions');
	expect(placeOf(await save(lifted, { ...own, cleared: { by: 'x', on: today } }))).toBe(
		'restrictions[1].cleared'
	);
});

describe('adults', () => {
	test('are changed and added, with units, what they can lead and ages', async () => {
		const { adults } = await surroundings();
		const row = {
			name: ' New Helper ',
			role: 'helper',
			units: ['backs'],
			skills: ['passing'],
			days: [2],
			ages: { from: 6, to: 12 }
		};
		const [first] = adults;
		const same = { id: first.id, name: 'Other Name', role: first.role };
		const rows = [{ ...same, units: [], skills: [], days: [] }, row];
		expect(await saveAdults(db, { teamId, day: today, rows })).toMatchObject({ ok: true });
		const after = (await surroundings()).adults;
		expect(after).toHaveLength(adults.length + 1);
		expect(after[0]).toEqual(same);
		expect(after.at(-1)).toMatchObject({ ...row, name: 'New Helper' });
	});

	test.each<[string, object]>([
		['[0].units', { units: ['wizards'] }],
		['[0].skills', { skills: ['chess'] }],
		['[0].days[0]', { days: [9] }],
		['[0].ages', { ages: { from: 12, to: 6 } }],
		['[0].id', { id: 'p01' }]
	])('are refused at %s', async (path, set) => {
		const row = { name: 'A', role: 'helper', units: [], skills: [], days: [], ...set };
		expect(placeOf(await saveAdults(db, { teamId, day: today, rows: [row] }))).toBe(path);
	});
});

describe('kit', () => {
	test('that is broken is not planned with', async () => {
		const kit = await findKit(db, teamId, today);
		const rows = kit.map((each) => (each.item === 'ball' ? { ...each, broken: 3 } : each));
		expect(await saveKit(db, { teamId, day: today, rows })).toEqual({ ok: true, value: null });
		expect((await surroundings()).kit.ball).toBe(37);
		expect(await findKit(db, teamId, today)).toEqual(rows);
	});

	test.each<[string, object[]]>([
		[
			'[1].item',
			[
				{ item: 'ball', count: 1 },
				{ item: ' ball', count: 1 }
			]
		],
		['[0].broken', [{ item: 'ball', count: 1, broken: 2 }]],
		['[0].count', [{ item: 'ball', count: -1 }]]
	])('is refused at %s', async (path, rows) => {
		expect(placeOf(await saveKit(db, { teamId, day: today, rows }))).toBe(path);
		expect((await surroundings()).kit.ball).toBe(40);
	});

	test('is asked for by drills, carried or standing', async () => {
		const asked = await kitAskedFor(db, teamId);
		const asks = (drill: Drill, item: string) =>
			[drill, ...drill.rungs.flatMap(({ set }) => set ?? [])].some(({ kit = [], fixtures = [] }) =>
				[...kit, ...fixtures].some((each) => each.item === item)
			);
		for (const item of ['ball', 'small goal']) {
			const names = demoSurroundings().drills.filter((drill) => asks(drill, item));
			expect(asked[item]).toEqual(names.map(({ name }) => name).sort());
		}
	});
});

test('words of a team are kept where they differ, and refused where the glossary has none', async () => {
	const words = { period: ' Segment ', drill: 'drill', squad: '' };
	expect(await saveWords(db, { teamId, words })).toEqual({
		ok: true,
		value: { period: 'Segment' }
	});
	expect((await findTeam(db, teamId))?.words).toEqual({ period: 'Segment' });
	expect(await saveWords(db, { teamId, words: { wizard: 'x' } })).toMatchObject({
		failure: { path: ['wizard'] }
	});
	await saveWords(db, { teamId, words: {} });
	expect(await findTeam(db, teamId)).not.toHaveProperty('words');
});

describe('grounds', () => {
	const grounds = () => listGrounds(db, teamId);

	test('are saved, added from the sport, planned on and removed', async () => {
		const [first] = await grounds();
		const named = { ...first, name: 'Other name', bearing: 12, indoors: true };
		expect(await saveGround(db, { teamId, ground: named })).toMatchObject({ ok: true });
		expect((await surroundings()).ground).toEqual(named);
		const added = await addGround(db, teamId);
		if (!added.ok) throw new Error(added.failure.message);
		expect((await grounds()).map(({ name }) => name)).toEqual(['Other name', 'Whole pitch']);
		const facts = { date: today, start: '09:00', minutes: 60, place: 'There' };
		const wanted = { ...facts, expected: [], adults: [] };
		const there = await createPractice(db, {
			teamId,
			id: 'there',
			wanted: { ...wanted, groundId: added.value }
		});
		expect(there).toMatchObject({ ok: true, value: { groundId: added.value } });
		const board = await loadBoard(db, teamId, 'there');
		expect(board?.surroundings.ground.name).toBe('Whole pitch');
		expect(await removeGround(db, { teamId, id: added.value })).toMatchObject({
			failure: { message: '1 practice is planned on this ground. Move it first.' }
		});
		const stranger = { ...wanted, groundId: 'moon' };
		expect(await createPractice(db, { teamId, id: 'x', wanted: stranger })).toMatchObject({
			failure: { path: ['groundId'] }
		});
		const spare = await addGround(db, teamId);
		expect(await removeGround(db, { teamId, id: spare.ok ? spare.value : '' })).toMatchObject({
			ok: true
		});
		expect(await removeGround(db, { teamId, id: first.id })).toMatchObject({ ok: false });
	});

	test.each<[string, (ground: Ground) => object]>([
		['zones[1].name', (ground) => withZones(ground, (zone) => ({ ...zone, name: 'same' }))],
		['zones[1].id', (ground) => withZones(ground, (zone) => ({ ...zone, id: 'same' }))],
		['zones[0].length', (ground) => withZones(ground, (zone) => ({ ...zone, length: 0 }))],
		['bearing', (ground) => ({ ...ground, bearing: 400 })],
		['place.latitude', (ground) => ({ ...ground, place: { latitude: 99, longitude: 0 } })],
		['id', (ground) => ({ ...ground, id: 'moon' })]
	])('are refused at %s and stay as they are', async (path, change) => {
		const before = await grounds();
		const ground = change(before[0]);
		expect(placeOf(await saveGround(db, { teamId, ground }))).toBe(path);
		expect(await grounds()).toEqual(before);
	});
	const withZones = (ground: Ground, change: (zone: Zone) => Zone): Ground => ({
		...ground,
		zones: ground.zones.map(change)
	});
});
