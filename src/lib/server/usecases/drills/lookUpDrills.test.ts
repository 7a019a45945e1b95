import { beforeEach, describe, expect, test } from 'vitest';
import { demoDb } from '../../../../../tests/support/database';
import { simpleDrill } from '../../../../../tests/support/drills';
import type { Db } from '../../database';
import { listAtHand } from '../../repositories/shelf';
import { drillsFor, namedDrills } from './lookUpDrills';
import { saveDrill } from './saveDrill';
import { loadBoard } from '../views';

const teamId = 'saltmarsh';
let db: Db;
beforeEach(async () => {
	db = await demoDb();
});
const named = (names: string) => namedDrills(db, teamId, names);

describe('drills that a board does not have at hand', () => {
	test('are found whole by their words, and by the revision that a practice names', async () => {
		const found = await drillsFor(db, teamId, 'channel du');
		expect(found).toMatchObject({ ok: true, value: [{ id: 'channel-duel' }] });
		expect(found.ok && found.value[0].rungs.length).toBeGreaterThan(0);
		const drill = simpleDrill({ id: 'channel-duel', name: 'Channel duel, later' });
		await saveDrill(db, { teamId, drill, isNew: false });
		expect(await named('channel-duel@1,channel-duel@2,ghost@1')).toMatchObject({
			ok: true,
			value: [
				{ revision: 1, name: 'Channel duel' },
				{ revision: 2, name: 'Channel duel, later' }
			]
		});
	});

	test('are refused where they are named in no way that names are', async () => {
		expect(await named('channel-duel')).toMatchObject({ failure: { path: [0, 'revision'] } });
		expect(await named('')).toMatchObject({ ok: false });
		expect(await drillsFor(db, teamId, 'x'.repeat(201))).toMatchObject({
			failure: { path: ['words'] }
		});
	});

	test('are those beyond the ones that were used last', async () => {
		const few = await listAtHand(db, teamId, 5);
		expect(few).toHaveLength(5);
		const board = await loadBoard(db, teamId, '2027-04-06');
		expect(board?.drillsOnShelf).toBe(board?.surroundings.drills.length);
		await saveDrill(db, { teamId, drill: simpleDrill({ name: 'Brand new' }), isNew: true });
		const after = await loadBoard(db, teamId, '2027-04-06');
		expect(after?.drillsOnShelf).toBe((board?.drillsOnShelf ?? 0) + 1);
		expect(after?.surroundings.drills.map(({ name }) => name)).toContain('Brand new');
	});
});
