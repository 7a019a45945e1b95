import { beforeEach, describe, expect, test } from 'vitest';
import { demoDb } from '../../../../../tests/support/database';
import { demoContext, demoPractices, demoTeams } from '../../../../../tests/support/demo';
import { faultsIn } from '$core/checks';
import { evaluate } from '$core/playing';
import { plannedMinutes, toContext } from '$core/practice';
import { ledgerRows } from '$core/season';
import { ok } from '$core/base';
import type { Db, Queryable } from '../../database';
import { changeTeam } from '../refusable';
import { listSummed } from '../../repositories/summaries';
import { saveSetting } from '../../repositories/settings';
import { freshenSummaries, refreshSummaries, storePlanned } from './summaries';
import { saveEdits } from './saveEdits';
import { loadBoard, loadPaper, loadPracticeList } from '../views';

const teamId = 'saltmarsh';
const today = '2027-04-06';

let db: Db;
beforeEach(async () => {
	db = await demoDb();
});
/** Water at least every so many minutes, on every day. */
const waterEach = (waterMinutes: number, on: Queryable = db) =>
	saveSetting(on, teamId, { what: 'limits', value: { waterMinutes } });
const summaryOfToday = async () =>
	(await listSummed(db, teamId)).find(({ id }) => id === today)?.summary;

test('list, board, paper and ledger say of every practice of every team what its own day and ground say', async () => {
	db = await demoDb(demoTeams());
	for (const team of demoTeams()) {
		const list = await loadPracticeList(db, team, { today });
		const context = demoContext(team);
		for (const practice of demoPractices(team)) {
			const evaluation = evaluate(practice, context);
			const faults = faultsIn(evaluation);
			const of = (wanted: string) => faults.filter(({ severity }) => severity === wanted).length;
			const line = list?.lines.find(({ id }) => id === practice.id);
			expect([practice.id, line?.summary]).toEqual([
				practice.id,
				{
					minutes: practice.minutes,
					plannedMinutes: plannedMinutes(practice),
					players: practice.expected.length,
					adults: practice.adults.length,
					busyShare: evaluation.figures.busyShare,
					opposedShare: evaluation.figures.opposedShare,
					stops: of('stop'),
					warnings: of('warn'),
					hints: of('hint')
				}
			]);
			for (const load of [loadBoard, loadPaper]) {
				const shown = await load(db, team, practice.id);
				if (!shown) throw new Error('no practice');
				const played = evaluate(shown.stored.practice, toContext(shown.surroundings));
				expect(played.figures).toEqual(evaluation.figures);
				expect(faultsIn(played)).toEqual(faults);
			}
			expect((await storePlanned(db, practice)).rows).toEqual(ledgerRows(evaluation));
		}
	}
});

test('an edit brings the summary of its practice up to date', async () => {
	const edit = { type: 'set-practice' as const, set: { minutes: 100 } };
	await saveEdits(db, {
		teamId,
		practiceId: today,
		revision: 1,
		edits: [{ id: 'longer', edit }]
	});
	expect(await summaryOfToday()).toMatchObject({ minutes: 100, plannedMinutes: 90 });
});

describe('what changes under a practice', () => {
	test.each([
		['limits', () => waterEach(60)],
		['kit', () => db.query(`update dated_setting set body = '[]' where what = 'kit'`)],
		[
			'a unit',
			() => db.query(`insert into person_unit values ('saltmarsh', 'p06', '2027-04-05', 'backs')`)
		],
		['a zone', () => db.query(`update ground set body = jsonb_set(body, '{length}', '71')`)],
		['the team', () => db.query(`update team set body = jsonb_set(body, '{ages,from}', '13')`)]
	])('plays what is planned again, not what was held: %s', async (_what, change) => {
		await change();
		const summed = await listSummed(db, teamId);
		const forgotten = summed.filter(({ summary }) => summary === null);
		expect(forgotten.map(({ id }) => id)).toEqual(
			summed.filter(({ date }) => date >= today).map(({ id }) => id)
		);
		expect(await refreshSummaries(db, teamId, 20)).toBe(0);
		expect(await summaryOfToday()).toMatchObject({ players: 22 });
	});

	test('shows in the findings of the list', async () => {
		expect(await summaryOfToday()).toMatchObject({ warnings: 3 });
		await waterEach(60);
		await freshenSummaries(db, teamId, async () => true);
		const list = await loadPracticeList(db, teamId, { today });
		expect(list?.lines.find(({ id }) => id === today)?.summary).toMatchObject({ warnings: 1 });
	});

	test('shows also where it changes while the practice is being played', async () => {
		await waterEach(20);
		let change: Promise<unknown> | undefined;
		const changing: Db = {
			...db,
			transaction: (run) =>
				db.transaction((tx) =>
					run({
						...tx,
						query(sql, values) {
							if (sql.includes('set summary'))
								change ??= changeTeam(db, { teamId }, async (other) =>
									ok(await waterEach(60, other))
								);
							return tx.query(sql, values);
						}
					})
				)
		};
		await refreshSummaries(changing, teamId, 20);
		await change;
		await refreshSummaries(db, teamId, 20);
		expect(await summaryOfToday()).toMatchObject({ warnings: 1 });
	});

	test('writes nothing when a list is looked at while nothing can be stored', async () => {
		await waterEach(60);
		await freshenSummaries(db, teamId, async () => false);
		expect(await summaryOfToday()).toBeNull();
	});
});
