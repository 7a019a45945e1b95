import { afterAll, beforeAll, describe, expect, inject, test } from 'vitest';
import { demoPractice } from '../../../../tests/support/demo';
import { simpleDrill } from '../../../../tests/support/drills';
import { emptyOn } from '../../../../tests/support/database';
import { findPractice } from '../repositories/practices';
import { listTeams } from '../repositories/teams';
import type { SentEdit } from '$core/practice';
import { deletePerson, readPeople } from '../repositories/people';
import { findLimits } from '../repositories/settings';
import { changeAlone } from '../usecases/refusable';
import { setLimits } from '../usecases/team/setLimits';
import { listRevisions } from '../repositories/drills';
import { createTeam } from '../usecases/team/createTeam';
import { saveDrill } from '../usecases/drills/saveDrill';
import { saveEdits } from '../usecases/practices/saveEdits';
import { seedDemo } from '../usecases/team/seedDemo';
import { openDatabaseServer, StartRefusal, type Db, type OpenDatabase } from '.';

const teamId = 'saltmarsh';
const practiceId = demoPractice().id;
const PROCESSES = 4;

let opened: OpenDatabase[] = [];
let dbs: Db[] = [];

/** Does something in each process at the same time, as often as there are turns. */
const atOnce = <Value>(run: (db: Db, k: number) => Promise<Value>, turns = 8): Promise<Value[]> =>
	Promise.all(Array.from({ length: turns }, (_, k) => run(dbs[k % dbs.length], k)));

beforeAll(async () => {
	if (inject('postgresUrl') === '') return;
	const url = await emptyOn(inject('postgresUrl'), { name: 'several', template: 'template0' });
	opened = await Promise.all(Array.from({ length: PROCESSES }, () => openDatabaseServer(url)));
	dbs = opened.map(({ db }) => db);
});
afterAll(() => Promise.all(opened.map(({ close }) => close())));

describe('several processes on one server', () => {
	test('bring an empty database to the newest schema and fill it once', async () => {
		const seeded = await atOnce((db) => seedDemo(db, { teams: [teamId] }));
		expect(seeded.filter(Boolean)).toHaveLength(1);
		expect(await listTeams(dbs[0])).toHaveLength(1);
	});

	test('take every edit once, whoever was first', async () => {
		const before = await findPractice(dbs[0], teamId, practiceId);
		const edited = async (db: Db, k: number) => {
			let revision = before?.revision ?? 0;
			const edit = { type: 'set-practice', set: { place: `Pitch ${k}` } } as const;
			for (let tries = 0; ; tries += 1) {
				const saved = await saveEdits(db, {
					teamId,
					practiceId,
					revision,
					edits: [{ id: `several-${k}`, edit }]
				});
				if (saved.ok) return tries;
				if (saved.failure.reason !== 'stale') throw new Error(saved.failure.reason);
				revision = saved.failure.current.revision;
			}
		};
		const tries = await atOnce(edited);
		const after = await findPractice(dbs[1], teamId, practiceId);
		expect(after?.revision).toBe((before?.revision ?? 0) + 8);
		expect(Math.max(...tries)).toBeGreaterThan(0);
	});

	test('do once what is sent twice', async () => {
		const send = (db: Db) =>
			createTeam(db, {
				wanted: {
					name: 'Twice FC',
					sport: 'field-hockey',
					from: 12,
					to: 13,
					coach: 'Coach',
					timeZone: 'UTC',
					players: ''
				},
				today: '2027-04-06',
				submission: 'sent-twice'
			});
		const answers = await atOnce(send);
		expect(new Set(answers.map((answer) => JSON.stringify(answer))).size).toBe(1);
		expect((await listTeams(dbs[0])).filter(({ name }) => name === 'Twice FC')).toHaveLength(1);
	});

	test('give new drills of one name an id each, and revisions a number each', async () => {
		const created = await atOnce((db) =>
			saveDrill(db, { teamId, drill: simpleDrill({ name: 'Same name' }), isNew: true })
		);
		const ids = created.map((saved) => (saved.ok ? saved.value : ''));
		expect(new Set(ids).size).toBe(8);
		expect(ids).toContain('same-name-8');
		await atOnce((db, k) =>
			saveDrill(db, {
				teamId,
				drill: simpleDrill({ id: 'same-name', name: `Name ${k}` }),
				isNew: false
			})
		);
		const lines = await listRevisions(dbs[0], teamId, 'same-name');
		expect(lines.map(({ revision }) => revision)).toEqual([9, 8, 7, 6, 5, 4, 3, 2, 1]);
	});

	test('read one state of the data, whatever is written meanwhile, and write nothing then', async () => {
		const count = async (db: Pick<Db, 'query'>) =>
			(await db.query<{ count: number }>('select count(*)::int as count from drill_revision'))
				.rows[0].count;
		const [before, after] = await dbs[0].snapshot(async (tx) => {
			const first = await count(tx);
			await saveDrill(dbs[1], { teamId, drill: simpleDrill({ name: 'Later' }), isNew: true });
			return [first, await count(tx)];
		});
		expect(after).toBe(before);
		expect(await count(dbs[0])).toBe(before + 1);
		await expect(dbs[0].snapshot((tx) => tx.query('delete from team'))).rejects.toThrow(
			'read-only'
		);
	});

	test('change what a team has beside edits of its practice, none in the other’s way', async () => {
		const stored = await findPractice(dbs[0], teamId, practiceId);
		const work = (db: Db, k: number): Promise<unknown> => {
			const edits = [{ id: `beside-${k}`, edit: { type: 'set-practice', set: { minutes: 80 } } }];
			if (k % 3 === 0) return changeAlone(db, teamId, (tx) => deletePerson(tx, teamId, `p1${k}`));
			if (k % 3 === 1)
				return setLimits(db, teamId, { day: '2027-04-06', wanted: { waterMinutes: 10 + k } });
			const revision = stored?.revision ?? 0;
			return saveEdits(db, { teamId, practiceId, revision, edits: edits as SentEdit[] });
		};
		await atOnce(work, 9);
		const people = (await readPeople(dbs[0], teamId)).map(({ id }) => id);
		expect(['p10', 'p13', 'p16'].filter((id) => people.includes(id))).toEqual([]);
		const limits = await findLimits(dbs[0], teamId, '2027-04-06');
		expect([11, 14, 17]).toContain(limits.waterMinutes);
	});

	test('run again what collided', async () => {
		let runs = 0;
		const collision = Object.assign(new Error('deadlock'), { code: '40P01' });
		const value = await dbs[0].transaction(async () => {
			runs += 1;
			if (runs < 3) throw collision;
			return runs;
		});
		expect(value).toBe(3);
	});
});

test('a server that does not answer is a reason not to start', async () => {
	const opening = openDatabaseServer('postgresql://nobody@127.0.0.1:9/none');
	await expect(opening).rejects.toThrow(StartRefusal);
	await expect(opening).rejects.toThrow('FIELDPLAN_DATABASE_URL');
});
