import { beforeEach, describe, expect, test } from 'vitest';
import { demoDb } from '../../../../../tests/support/database';
import type { Db } from '../../database';
import { listAttendance } from '../../repositories/attendance';
import { sameValue } from '$core/base';
import { evaluate } from '$core/playing';
import { type Edit, toContext } from '$core/practice';
import { findPractice, listPractices, setArchived } from '../../repositories/practices';
import { loadSurroundings } from '../../repositories/teamHistory';
import { loadAttendance, saveAttendance } from './attendance';
import { saveEdits } from './saveEdits';
import { saveSquad } from '../people/saveSquad';
import { loadBoard, loadMeetings } from '../views';
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
const doneTurns = async (person: string, practice: string) => {
	const { rows } = await db.query<{ turns: number }>(
		`select coalesce(sum(turns), 0)::float as turns from ledger
		 where team_id = $1 and player_id = $2 and practice_id = $3 and state = 'done'`,
		[teamId, person, practice]
	);
	return rows[0].turns;
};

describe('attendance', () => {
	interface Row {
		person: string;
		state: 'here' | 'late' | 'absent';
		minutes?: number;
		reason?: string;
	}
	const week = async (number?: number) => {
		const found = await loadAttendance(db, teamId, { today, week: number });
		if (!found) throw new Error('no team');
		return found;
	};
	const saidOf = async (practice: string) =>
		[...(await week(5)).practices, ...(await week()).practices].find(({ id }) => id === practice)
			?.said ?? {};
	/** Rows as a page sends them that read the practice just now. */
	async function changed(practice: string, ...rows: Row[]) {
		const said = await saidOf(practice);
		return [
			{
				practice,
				rows: rows.map(({ person, ...is }) => ({
					person,
					is,
					was: said[person] ?? { state: 'absent' }
				}))
			}
		];
	}
	const save = (value: unknown) => saveAttendance(db, { teamId, today, sent: value });
	const say = async (practice: string, ...rows: Row[]) => save(await changed(practice, ...rows));
	const coming = async (practice: string) => {
		const {
			expected = [],
			late = {},
			adults = []
		} = (await findPractice(db, teamId, practice))?.practice ?? {};
		return { expected, late, adults };
	};
	async function onBoard(id: string, edit: Edit) {
		const { revision = 0 } = (await findPractice(db, teamId, today)) ?? {};
		const request = { teamId, practiceId: today, revision, edits: [{ id, edit }] };
		expect(await saveEdits(db, request)).toMatchObject({ ok: true });
	}

	test('of a practice to come is its plan: who comes, and when', async () => {
		const before = await findPractice(db, teamId, today);
		const rows: Row[] = [
			{ person: 'p01', state: 'absent', reason: 'ill' },
			{ person: 'p03', state: 'late', minutes: 12 },
			{ person: 'helper-2', state: 'absent' }
		];
		expect(await say(today, ...rows)).toEqual({ ok: true, value: null });
		const after = await findPractice(db, teamId, today);
		expect(after?.revision).toBe((before?.revision ?? 0) + 1);
		const { expected, adults } = before?.practice ?? { expected: [], adults: [] };
		expect(await coming(today)).toEqual({
			expected: expected.filter((id) => id !== 'p01'),
			late: { p03: 12 },
			adults: adults.filter((id) => id !== 'helper-2')
		});
		expect(await saidOf(today)).toMatchObject(
			Object.fromEntries(rows.map(({ person, ...said }) => [person, said]))
		);
		await say(today, ...rows);
		expect((await findPractice(db, teamId, today))?.revision).toBe(after?.revision);
	});

	test('says what the board says, and the board what it says', async () => {
		await say(today, { person: 'p01', state: 'absent', reason: 'ill' });
		const { expected } = await coming(today);
		await onBoard('back', { type: 'set-practice', set: { expected: ['p01', ...expected] } });
		expect((await saidOf(today)).p01).toEqual({ state: 'here' });
		// Somebody else is marked: the player whom the board put back stays.
		await say(today, { person: 'p02', state: 'absent' });
		expect((await coming(today)).expected).toContain('p01');
	});

	test('is refused from a page that is stale, by name, and changes nothing', async () => {
		const stale = await changed(today, { person: 'p01', state: 'late', minutes: 5 });
		const { expected } = await coming(today);
		const without = expected.filter((id) => id !== 'p01');
		await onBoard('gone', { type: 'set-practice', set: { expected: without } });
		expect(await save(stale)).toMatchObject({
			failure: { isStale: true, path: [0, 'rows', 0, 'person'] }
		});
		expect((await coming(today)).expected).toEqual(without);
		// Of whom the page says nothing, nothing is changed.
		expect(await say(today, { person: 'p02', state: 'absent' })).toMatchObject({ ok: true });
		expect((await coming(today)).expected).toEqual(without.filter((id) => id !== 'p02'));
	});

	test('of an adult who is late is planned with: they coach from the first run after they come', async () => {
		await say(today, { person: 'head', state: 'late', minutes: 20 });
		expect((await coming(today)).late).toEqual({ head: 20 });
		const board = await loadBoard(db, teamId, today);
		if (!board) throw new Error('no board');
		const evaluation = evaluate(board.stored.practice, toContext(board.surroundings));
		const early = evaluation.runs.filter(({ run }) => run.fromSecond < 20 * 60);
		expect(early.some(({ run }) => run.adults.includes('head'))).toBe(false);
		expect(evaluation.adults.get('head')?.[0]).toMatchObject({ state: 'off', fromSecond: 0 });
	});

	const HELD = '2027-03-30';

	test('of a practice that was held counts anew what was done, and leaves the plan', async () => {
		const before = await findPractice(db, teamId, HELD);
		const [person] = before?.practice.expected ?? [];
		expect(await doneTurns(person, HELD)).toBeGreaterThan(0);
		await say(HELD, { person, state: 'absent' });
		expect(await doneTurns(person, HELD)).toBe(0);
		expect(await findPractice(db, teamId, HELD)).toEqual(before);
		await say(HELD, { person, state: 'here' });
		expect(await doneTurns(person, HELD)).toBeGreaterThan(0);
	});

	test('of a practice that was held leaves it held though nobody came', async () => {
		const { expected } = await coming(HELD);
		await say(HELD, ...expected.map((person): Row => ({ person, state: 'absent' })));
		expect((await saidOf(HELD))[expected[0]]).toEqual({ state: 'absent' });
		const practice = (await week(5)).practices.find(({ id }) => id === HELD);
		expect(practice?.isHeld).toBe(true);
	});

	test('of one person leaves everybody else as they were, whoever joined later', async () => {
		const rows = [{ name: 'New Comer', positions: [], ratings: {}, usuallyLate: false }];
		await saveSquad(db, { teamId, day: today, rows });
		const newcomer = (await surroundings()).players.at(-1)?.id ?? '';
		const before = await listAttendance(db, teamId);
		await say(HELD, { person: 'p05', state: 'late', minutes: 9 });
		const after = await listAttendance(db, teamId);
		expect(after.filter((row) => !before.some((old) => sameValue(old, row)))).toEqual([
			{ practice: HELD, person: 'p05', state: 'late', minutes: 9 }
		]);
		expect((await week()).habits[newcomer]).toMatchObject({ asked: 0, absent: 0 });
		await say(HELD, { person: newcomer, state: 'here' });
		expect((await saidOf(HELD))[newcomer]).toEqual({ state: 'here' });
	});

	test('of archived practices makes no meetings, and those who did not come met nobody', async () => {
		const met = async () => (await loadMeetings(db, teamId, today)) ?? [];
		const with01 = (all: Awaited<ReturnType<typeof met>>) =>
			all.filter((pair) => pair.includes('p01')).reduce((sum, [, , times]) => sum + times, 0);
		const before = with01(await met());
		await say(HELD, { person: 'p01', state: 'absent' });
		const without = with01(await met());
		expect(without).toBeLessThan(before);
		for (const { practice } of await listPractices(db, teamId))
			await setArchived(db, { teamId, id: practice.id, archived: true });
		expect(await met()).toEqual([]);
	});

	test('of the demo shows the four who are usually late', async () => {
		const { habits } = await week();
		const late = Object.keys(habits).filter((id) => habits[id].isUsuallyLate);
		expect(late.sort()).toEqual(['p03', 'p08', 'p11', 'p20']);
	});

	const row = (person: string, is: object) => ({ person, is, was: { state: 'here' } });
	const sent = (practice: string, ...rows: object[]) => [{ practice, rows }];
	test.each<[string, unknown]>([
		['[0].practice', sent('1999-01-01')],
		['[0].rows[0].person', sent(today, row('ghost', { state: 'absent' }))],
		['[0].rows[1].person', sent(today, ...Array(2).fill(row('p01', { state: 'absent' })))],
		['[0].rows[0].minutes', sent(today, row('p01', { state: 'late' }))],
		['[0].rows[0].is.minutes', sent(today, row('p01', { state: 'late', minutes: -5 }))],
		['[0].rows[0].is.state', sent(today, row('p01', { state: 'asleep' }))]
	])('that is wrong at %s stores nothing', async (path, value) => {
		const rows = await listAttendance(db, teamId);
		expect(placeOf(await save(value))).toBe(path);
		expect(await listAttendance(db, teamId)).toEqual(rows);
	});
});
