import { beforeEach, describe, expect, test } from 'vitest';
import { demoDb } from '../../../../../tests/support/database';
import { demoPractices } from '../../../../../tests/support/demo';
import type { Db } from '../../database';
import { loadBoard } from '../views';
import { findPractice } from '../../repositories/practices';
import { archivePractice } from './archivePractice';
import { saveAttendance } from './attendance';
import { addPractice } from './createPractice';
import { saveEdits } from './saveEdits';

const [teamId, today] = ['saltmarsh', '2027-04-06'];
const own = demoPractices(teamId);
const coming = own.find(({ date }) => date >= today);
if (!coming) throw new Error('no practice to come');

let db: Db;
beforeEach(async () => {
	db = await demoDb([teamId]);
});
async function before(id = coming?.id ?? '') {
	const board = await loadBoard(db, teamId, id);
	if (!board?.surroundings.before) throw new Error('nothing before');
	return board.surroundings.before;
}
const summed = async () => {
	const { rows } = await db.query<{ id: string }>(
		`select id from practice where team_id = $1 and state = 'planned' and summary is not null`,
		[teamId]
	);
	return new Set(rows.map(({ id }) => id));
};

describe('what came before a practice', () => {
	test('is how often each player came in the season, and what the six days before have cost', async () => {
		const { attended, week } = await before();
		const { rows } = await db.query<{ practice: string; person: string; state: string }>(
			`select practice_id as practice, person_id as person, state from attendance where team_id = $1`,
			[teamId]
		);
		const earlier = own.filter(({ date }) => date < coming.date);
		expect(earlier.length).toBeGreaterThan(3);
		for (const player of coming.expected) {
			const came = earlier.filter(({ id, expected }) => {
				const said = rows.find((row) => row.practice === id && row.person === player);
				return said ? said.state !== 'absent' : expected.includes(player);
			});
			expect(attended[player] ?? 0).toBe(came.length);
		}
		const week7 = Date.parse(coming.date) - 6 * 86_400_000;
		const near = earlier.filter(({ date }) => Date.parse(date) >= week7);
		expect(week.map(({ date }) => date)).toEqual(near.map(({ date }) => date));
		expect(near.length).toBeGreaterThan(0);
		expect(week.some(({ strain }) => Object.keys(strain).length > 0)).toBe(true);
	});

	test('follows attendance, and those after it are played again', async () => {
		const last = own.filter(({ date }) => date < coming.date).at(-1);
		if (!last) throw new Error('no practice before');
		const [player] = last.expected.filter((id) => coming.expected.includes(id));
		const [had, all] = [await before(), await summed()];
		expect(all.has(coming.id)).toBe(true);
		const is = { state: 'absent' as const };
		const rows = [{ person: player, is, was: { state: 'here' as const } }];
		const saved = await saveAttendance(db, {
			teamId,
			today,
			sent: [{ practice: last.id, rows }]
		});
		expect(saved).toMatchObject({ ok: true });
		expect((await before()).attended[player]).toBe(had.attended[player] - 1);
		expect((await before()).week.at(-1)?.strain[player]).toBeUndefined();
		expect((await summed()).has(coming.id)).toBe(false);
	});

	test('is without what is archived, and with what is planned and changed before it', async () => {
		const had = await before();
		const [player] = coming.expected;
		const wanted = {
			date: '2027-04-05',
			start: '18:00',
			minutes: 60,
			place: 'Estuary Ground',
			expected: coming.expected,
			adults: []
		};
		const added = await db.transaction((tx) => addPractice(tx, { teamId, id: 'monday', wanted }));
		expect(added).toMatchObject({ ok: true });
		expect((await before()).attended[player]).toBe(had.attended[player] + 1);
		await archivePractice(db, { teamId, id: 'monday', archived: true });
		expect(await before()).toEqual(had);
		await archivePractice(db, { teamId, id: 'monday', archived: false });
		const edit = { type: 'set-practice' as const, set: { expected: coming.expected.slice(1) } };
		const edits = [{ id: 'e1', edit }];
		const { revision = 0 } = (await findPractice(db, teamId, 'monday')) ?? {};
		const saved = await saveEdits(db, { teamId, practiceId: 'monday', revision, edits });
		expect(saved).toMatchObject({ ok: true });
		expect((await before()).attended[player]).toBe(had.attended[player]);
	});
});
