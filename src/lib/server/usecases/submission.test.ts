import { beforeEach, describe, expect, test } from 'vitest';
import type { Drill } from '$core/model/drill';
import { demoDb } from '../../../../tests/support/database';
import type { Db } from '../database';
import { findDrill } from '../repositories/drills';
import { listGrounds } from '../repositories/places';
import { findKit } from '../repositories/settings';
import { readPeople } from '../repositories/people';
import { findLimits } from '../repositories/settings';
import { findTeam } from '../repositories/teams';
import { loadSurroundings } from '../repositories/teamHistory';
import { createPractice } from './practices/createPractice';
import { adultsStored, saveAdults } from './people/saveAdults';
import { drillStored, saveDrill } from './drills/saveDrill';
import { saveGround } from './team/saveGround';
import { saveKit } from './team/saveKit';
import { factsStored, savePerson } from './people/savePerson';
import { saveSquad, squadStored } from './people/saveSquad';
import { saveWords } from './team/saveWords';
import { setLimits } from './team/setLimits';
import { stampOf } from './submission';

const teamId = 'saltmarsh';
const day = '2027-04-06';

let db: Db;
beforeEach(async () => {
	db = await demoDb();
});
async function surroundings() {
	const found = await loadSurroundings(db, teamId, { day });
	if (!found) throw new Error('no team');
	return found;
}
const drillNow = async () => (await findDrill(db, teamId, 'gate-runner')) as Drill;
const personNow = async () => (await readPeople(db, teamId)).filter(({ id }) => id === 'p01')[0];

/** Each form: the stamp of what it is read from, and saving one thing or another over it. */
const forms: Record<
	string,
	{ stamp(): Promise<string>; save(text: string, base: string): Promise<{ ok: boolean }> }
> = {
	squad: {
		stamp: async () => stampOf(squadStored((await surroundings()).players)),
		save: (name, base) =>
			saveSquad(db, {
				teamId,
				day,
				base,
				rows: [{ id: 'p01', name, positions: [], ratings: {}, usuallyLate: false }]
			})
	},
	adults: {
		stamp: async () => stampOf(adultsStored((await surroundings()).adults)),
		save: (name, base) =>
			saveAdults(db, {
				teamId,
				day,
				base,
				rows: [{ id: 'head', name, role: 'head coach', units: [], skills: [], days: [] }]
			})
	},
	player: {
		stamp: async () => stampOf(factsStored(await personNow())),
		save: (note, base) =>
			savePerson(db, { teamId, id: 'p01', base, facts: { note, restrictions: [] } })
	},
	kit: {
		stamp: async () => stampOf(await findKit(db, teamId, day)),
		save: (item, base) => saveKit(db, { teamId, day, base, rows: [{ item, count: 1 }] })
	},
	ground: {
		stamp: async () => stampOf((await listGrounds(db, teamId))[0]),
		async save(name, base) {
			const [ground] = await listGrounds(db, teamId);
			return saveGround(db, { teamId, base, ground: { ...ground, name } });
		}
	},
	words: {
		stamp: async () => stampOf((await findTeam(db, teamId))?.words ?? {}),
		save: (squad, base) => saveWords(db, { teamId, base, words: { squad } })
	},
	limits: {
		stamp: async () => stampOf(await findLimits(db, teamId, day)),
		save: (text, base) =>
			setLimits(db, teamId, { day, base, wanted: { talkMinutes: 3 + text.length } })
	},
	drill: {
		stamp: async () => stampOf(drillStored(await drillNow())),
		async save(name, base) {
			const drill = { ...(await drillNow()), name };
			return saveDrill(db, { teamId, base, drill, isNew: false });
		}
	}
};

describe.each(Object.entries(forms))('%s', (_name, { stamp, save }) => {
	test('is saved over what was read, and refused over what somebody else has saved meanwhile', async () => {
		const read = await stamp();
		expect(await save('First', read)).toMatchObject({ ok: true });
		const newest = await stamp();
		expect(await save('Second one', read)).toMatchObject({ ok: false, failure: { newest } });
		expect(await stamp()).toBe(newest);
		// Told so, the coach keeps their own.
		expect(await save('Second one', newest)).toMatchObject({ ok: true });
		expect(await stamp()).not.toBe(newest);
	});
});

describe('sent again because its answer was lost', () => {
	const submission = 'sent-once-0001';

	test('new players are added once', async () => {
		const rows = [{ name: 'New Comer', positions: [], ratings: {}, usuallyLate: false }];
		const before = (await surroundings()).players.length;
		const answers = [];
		for (let k = 0; k < 2; k += 1)
			answers.push(await saveSquad(db, { teamId, day, rows, submission }));
		expect(answers[1]).toEqual(answers[0]);
		expect((await surroundings()).players).toHaveLength(before + 1);
	});

	test('a new drill and a new practice are made once', async () => {
		const drill = await drillNow();
		const made = () => saveDrill(db, { teamId, drill, isNew: true, submission });
		expect(await made()).toEqual(await made());
		const wanted = {
			date: day,
			start: '18:00',
			minutes: 60,
			place: 'Pitch',
			expected: [],
			adults: []
		};
		const again = (id: string) =>
			createPractice(db, { teamId, id, wanted, submission: `${submission}-p` });
		expect(await again('one')).toEqual(await again('two'));
	});

	test('what was refused is tried again', async () => {
		const rows = [{ name: ' ', positions: [], ratings: {}, usuallyLate: false }];
		expect(await saveSquad(db, { teamId, day, rows, submission })).toMatchObject({ ok: false });
		const good = [{ ...rows[0], name: 'New Comer' }];
		expect(await saveSquad(db, { teamId, day, rows: good, submission })).toMatchObject({
			ok: true
		});
	});
});

test('two new drills of one name at the same time are two drills', async () => {
	const drill = await drillNow();
	const both = await Promise.all([1, 2].map(() => saveDrill(db, { teamId, drill, isNew: true })));
	const ids = both.map((each) => (each.ok ? each.value : ''));
	expect(new Set(ids).size).toBe(2);
	for (const id of ids) expect((await findDrill(db, teamId, id))?.revision).toBe(1);
});

test('a unit and a rating that are cleared are gone from that day on, and still there before', async () => {
	const player = (await surroundings()).players.find(({ ratings }) => ratings?.passing);
	const { id = '', name = '', ratings = {} } = player ?? {};
	const { passing: _passing, ...others } = ratings;
	const rows = [{ id, name, positions: [], ratings: others, usuallyLate: false }];
	expect(await saveSquad(db, { teamId, day, rows })).toMatchObject({ ok: true });
	const now = (await surroundings()).players.find((each) => each.id === id);
	expect([now?.unit, now?.ratings?.passing]).toEqual([undefined, undefined]);
	expect(now?.ratings).toEqual(others);
	const earlier = await loadSurroundings(db, teamId, { day: '2027-04-05' });
	expect(earlier?.players.find((each) => each.id === id)).toMatchObject({
		unit: player?.unit,
		ratings
	});
});
