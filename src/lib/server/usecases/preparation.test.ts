import { beforeEach, describe, expect, test } from 'vitest';
import { demoDb } from '../../../../tests/support/database';
import type { Ground, Zone } from '$core/model/team';
import type { Db } from '../database';
import { listAttendance } from '../repositories/attendance';
import { listGrounds, listKit } from '../repositories/places';
import { findPractice } from '../repositories/practices';
import { findTeam, loadSurroundings } from '../repositories/surroundings';
import { loadAttendance, saveAttendance } from './attendance';
import { createPractice } from './createPractice';
import { kitAskedFor } from './kitAskedFor';
import { loadPerson } from './person';
import { saveAdults } from './saveAdults';
import { saveKit } from './saveKit';
import { addGround, removeGround, saveGround } from './saveGround';
import { savePerson } from './savePerson';
import { saveWords } from './saveWords';
import { loadBoard } from './views';

const teamId = 'saltmarsh';
const today = '2027-04-06';

let db: Db;
beforeEach(async () => {
	db = await demoDb();
});
async function surroundings(day = today) {
	const found = await loadSurroundings(db, teamId, day);
	if (!found) throw new Error('no team');
	return found;
}
const doneTurns = async (person: string, practice: string) => {
	const { rows } = await db.query<{ turns: number }>(
		`select coalesce(sum(turns), 0)::float as turns from ledger
		 where team_id = $1 and player_id = $2 and practice_id = $3 and state = 'done'`,
		[teamId, person, practice]
	);
	return rows[0].turns;
};

describe('attendance', () => {
	const sent = (practice: string, ...rows: object[]) => [{ practice, rows }];
	const save = (value: unknown) => saveAttendance(db, { teamId, today, sent: value });

	test('of a practice to come is planned with: who comes, and when', async () => {
		const before = await findPractice(db, teamId, today);
		const rows = [
			{ person: 'p01', state: 'absent', reason: 'ill' },
			{ person: 'p03', state: 'late', minutes: 12 },
			{ person: 'helper-2', state: 'absent' }
		];
		expect(await save(sent(today, ...rows))).toEqual({ ok: true, value: null });
		const after = await findPractice(db, teamId, today);
		expect(after?.revision).toBe((before?.revision ?? 0) + 1);
		const { players, adults } = await surroundings();
		expect(after?.practice).toMatchObject({
			expected: players.map(({ id }) => id).filter((id) => id !== 'p01'),
			late: { p03: 12 },
			adults: adults.map(({ id }) => id).filter((id) => id !== 'helper-2')
		});
		const shown = await loadAttendance(db, teamId, { today });
		expect(shown?.practices[0].said).toEqual(
			Object.fromEntries(rows.map(({ person, ...said }) => [person, said]))
		);
		// The same again changes nothing.
		await save(sent(today, ...rows));
		expect((await findPractice(db, teamId, today))?.revision).toBe(after?.revision);
	});

	test('of a practice that was held counts anew what was done, and leaves the plan', async () => {
		const day = '2027-03-30';
		const before = await findPractice(db, teamId, day);
		const { expected } = before?.practice ?? { expected: [] };
		const [person] = expected;
		expect(await doneTurns(person, day)).toBeGreaterThan(0);
		const absent = (await loadAttendance(db, teamId, { today, week: 5 }))?.practices[0].said;
		await save(
			sent(
				day,
				{ person, state: 'absent' },
				...Object.entries(absent ?? {}).map(([id, said]) => ({ person: id, ...said }))
			)
		);
		expect(await doneTurns(person, day)).toBe(0);
		expect(await findPractice(db, teamId, day)).toEqual(before);
	});

	test('of the demo shows the four who are usually late', async () => {
		const { habits = {} } = (await loadAttendance(db, teamId, { today })) ?? {};
		const late = Object.keys(habits).filter((id) => habits[id].isUsuallyLate);
		expect(late.sort()).toEqual(['p03', 'p08', 'p11', 'p20']);
	});

	test.each<[string, unknown]>([
		['[0].practice', sent('1999-01-01')],
		['[0].rows[0].person', sent(today, { person: 'ghost', state: 'absent' })],
		['[0].rows[1].person', sent(today, ...Array(2).fill({ person: 'p01', state: 'absent' }))],
		['[0].rows[0].minutes', sent(today, { person: 'p01', state: 'late' })],
		['[0].rows[0].minutes', sent(today, { person: 'p01', state: 'late', minutes: -5 })],
		['[0].rows[0].state', sent(today, { person: 'p01', state: 'asleep' })]
	])('that is wrong at %s stores nothing', async (path, value) => {
		const rows = await listAttendance(db, teamId);
		expect(await save(value)).toMatchObject({ failure: { path } });
		expect(await listAttendance(db, teamId)).toEqual(rows);
	});
});

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
		['', 'head', { note: '', restrictions: [] }]
	])('is refused at %s', async (path, id, value) => {
		expect(await savePerson(db, { teamId, id, facts: value })).toMatchObject({ failure: { path } });
	});
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
		expect(await saveAdults(db, { teamId, day: today, rows: [row] })).toMatchObject({
			failure: { path }
		});
	});
});

describe('kit', () => {
	test('that is broken is not planned with', async () => {
		const kit = await listKit(db, teamId);
		const rows = kit.map((each) => (each.item === 'ball' ? { ...each, broken: 3 } : each));
		expect(await saveKit(db, { teamId, rows })).toEqual({ ok: true, value: null });
		expect((await surroundings()).kit.ball).toBe(37);
		expect(await listKit(db, teamId)).toEqual(rows);
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
		expect(await saveKit(db, { teamId, rows })).toMatchObject({ failure: { path } });
		expect((await surroundings()).kit.ball).toBe(40);
	});

	test('is asked for by drills, carried or standing', async () => {
		const asked = kitAskedFor((await surroundings()).drills);
		expect(asked.ball.length).toBeGreaterThan(10);
		expect(asked['small goal'].length).toBeGreaterThan(0);
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
		failure: { path: 'wizard' }
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
			failure: { message: '1 practice is planned on it; the ground stays.' }
		});
		const stranger = { ...wanted, groundId: 'moon' };
		expect(await createPractice(db, { teamId, id: 'x', wanted: stranger })).toMatchObject({
			failure: { path: 'groundId' }
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
		expect(await saveGround(db, { teamId, ground })).toMatchObject({ failure: { path } });
		expect(await grounds()).toEqual(before);
	});
	const withZones = (ground: Ground, change: (zone: Zone) => Zone): Ground => ({
		...ground,
		zones: ground.zones.map(change)
	});
});
