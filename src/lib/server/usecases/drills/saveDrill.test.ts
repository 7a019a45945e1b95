import { beforeEach, expect, test } from 'vitest';
import { demoDb } from '../../../../../tests/support/database';
import { blankDrill } from '$core/drill';
import type { Db } from '../../database';
import { findDrill, listRevisions } from '../../repositories/drills';
import { saveDrill } from './saveDrill';
import { placeOf } from '../../../../../tests/support/place';

const teamId = 'saltmarsh';
const blank = { ...blankDrill({ id: 'new', sport: 'field-hockey' }), name: 'Rope Brücke' };
let db: Db;
beforeEach(async () => {
	db = await demoDb();
});

test('a new drill gets an id of its name, one that is saved again a revision', async () => {
	expect(await saveDrill(db, { teamId, drill: blank, isNew: true })).toEqual({
		ok: true,
		value: 'rope-brucke'
	});
	expect(await saveDrill(db, { teamId, drill: blank, isNew: true })).toMatchObject({
		value: 'rope-brucke-2'
	});
	const own = { ...blank, id: 'rope-brucke', effort: 9 };
	expect(await saveDrill(db, { teamId, drill: own, isNew: false })).toMatchObject({ ok: true });
	expect(await listRevisions(db, teamId, 'rope-brucke')).toHaveLength(2);
	expect(await findDrill(db, teamId, 'rope-brucke', 1)).toMatchObject({ effort: 5 });
});

test.each<[string, unknown]>([
	['name', { ...blank, name: ' ' }],
	['effort', { ...blank, effort: 11 }],
	['', { ...blank, rotation: { moves: { work: 'feed' } } }],
	['drill.spots[0].count', { ...blank, spots: [{ ...blank.spots[0], count: 0 }, blank.spots[1]] }],
	['', null]
])('a drill that cannot be is refused at %j', async (path, drill) => {
	expect(placeOf(await saveDrill(db, { teamId, drill, isNew: true }))).toBe(path);
	expect(await findDrill(db, teamId, 'rope-brucke')).toBeUndefined();
});

test('no drill of another shelf is revised', async () => {
	const drill = { ...blank, id: 'nowhere' };
	expect(await saveDrill(db, { teamId, drill, isNew: false })).toMatchObject({
		failure: { path: ['id'] }
	});
});
