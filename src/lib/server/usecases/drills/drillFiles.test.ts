import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { beforeEach, describe, expect, test } from 'vitest';
import { demoDb } from '../../../../../tests/support/database';
import type { Drill } from '$core/model/drill';
import type { Db } from '../../database';
import { findDrill, listRevisions } from '../../repositories/drills';
import { readDrillFile, storeDrills, zipDrills } from './drillFiles';

const teamId = 'saltmarsh';
let db: Db;
let drill: Drill;
beforeEach(async () => {
	db = await demoDb();
	drill = (await findDrill(db, teamId, 'rebound-rally')) as Drill;
});
const read = async (bytes: Uint8Array, name = 'drills.zip') => {
	const outcome = await readDrillFile(db, teamId, { bytes, name });
	if (!outcome.ok) return outcome.failure;
	return outcome.value;
};
const readOne = async (value: unknown) => {
	const drills = await read(
		strToU8(typeof value === 'string' ? value : JSON.stringify(value)),
		'one.json'
	);
	return Array.isArray(drills) ? drills[0] : drills;
};

describe('drills in the open format', () => {
	test('go out as a zip that is the same to the letter when it comes in', async () => {
		const zip = await zipDrills(db, teamId);
		const drills = await read(zip);
		expect(Array.isArray(drills) && drills.map(({ state }) => state)).toEqual(
			Array(25).fill('same')
		);
		expect(Buffer.from(await zipDrills(db, teamId)).equals(Buffer.from(zip))).toBe(true);
	});

	test('are stored as the coach chose: new, as a revision, as a copy, or not at all', async () => {
		const changed = { ...drill, summary: 'Another way.' };
		const files = {
			'a.json': strToU8(JSON.stringify({ ...drill, id: 'brand-new' })),
			'b.json': strToU8(JSON.stringify(changed)),
			'c.json': strToU8(JSON.stringify({ ...drill, id: 'tide-lines' })),
			'd.json': strToU8(JSON.stringify({ ...drill, id: 'buoy-tag' })),
			'e.json': strToU8('{}')
		};
		const drills = await read(zipSync(files));
		if (!Array.isArray(drills)) throw new Error(drills.message);
		expect(drills.map(({ state }) => state)).toEqual(['new', 'clash', 'clash', 'clash', 'fault']);
		const choices = { 'rebound-rally': 'revise', 'tide-lines': 'copy' } as const;
		expect(await storeDrills(db, teamId, { drills, choices })).toBe(3);
		expect(await findDrill(db, teamId, 'brand-new')).toMatchObject({ revision: 1 });
		expect(await findDrill(db, teamId, 'rebound-rally')).toMatchObject({
			revision: 2,
			summary: 'Another way.'
		});
		expect(await findDrill(db, teamId, 'tide-lines-2')).toMatchObject({ name: drill.name });
		expect(await listRevisions(db, teamId, 'buoy-tag')).toHaveLength(1);
	});
});

describe('a file that is not right', () => {
	test('is named with the place in it', async () => {
		expect(await readOne('{"format": ')).toMatchObject({
			state: 'fault',
			misfit: { message: expect.stringContaining('no JSON') }
		});
		const spots = drill.spots.map((spot) => ({ ...spot, count: 0 }));
		expect(await readOne({ ...drill, spots })).toMatchObject({
			state: 'fault',
			misfit: { path: ['drill', 'spots', 0, 'count'] }
		});
		expect(await readOne({ ...drill, surprise: 1 })).toMatchObject({
			misfit: { path: ['surprise'] }
		});
		const rungs = [
			{ ...drill.rungs[0], set: { rotation: { moves: { strike: 'trap', trap: 'trap' } } } }
		];
		expect(await readOne({ ...drill, rungs })).toMatchObject({
			misfit: { within: 'rung reverse' }
		});
	});

	test('cannot reach the prototype, another folder, or a cue of five megabytes', async () => {
		const polluted = JSON.stringify(drill).replace('{', '{"__proto__":{"isAdmin":true},');
		expect(await readOne(polluted)).toMatchObject({ state: 'fault' });
		expect(({} as { isAdmin?: boolean }).isAdmin).toBeUndefined();
		const moves = JSON.stringify({ ...drill, id: 'x' }).replace(
			'"moves":{',
			'"moves":{"__proto__":"trap",'
		);
		expect(await readOne(moves)).toMatchObject({ state: 'fault' });
		const tricks = zipSync({
			'../../../etc/drill.json': strToU8(JSON.stringify({ ...drill, id: 'y' }))
		});
		expect(await read(tricks)).toMatchObject([{ file: 'drill.json', state: 'new' }]);
		const long = { ...drill, cues: [{ say: 'x'.repeat(4_900_000) }] };
		expect(await readOne(long)).toMatchObject({ misfit: { path: ['cues', 0, 'say'] } });
	});

	test('is refused as a whole where it is too large, holds too much, or is no zip', async () => {
		expect(await read(new Uint8Array(5_000_001))).toMatchObject({ message: 'is larger than 5 MB' });
		const bomb = zipSync({ 'a.json': new Uint8Array(21_000_000) }, { level: 9 });
		expect(await read(bomb)).toMatchObject({ message: expect.stringContaining('20 MB') });
		const many = Object.fromEntries(
			Array.from({ length: 2001 }, (_, k) => [`${k}.json`, strToU8('{}')])
		);
		expect(await read(zipSync(many))).toMatchObject({
			message: expect.stringContaining('2000 drills')
		});
		const torn = zipSync({ 'a.json': strToU8('{}') }).slice(0, 30);
		expect(await read(torn)).toMatchObject({ message: 'cannot be read as a zip file' });
		expect(await read(zipSync({ 'a.txt': strToU8('x') }))).toMatchObject({
			message: 'has no .json file in it'
		});
		const twice = strToU8(JSON.stringify({ ...drill, id: 'z' }));
		expect(await read(zipSync({ 'a.json': twice, 'b.json': twice }))).toMatchObject([
			{ state: 'new' },
			{ state: 'fault', misfit: { path: ['id'] } }
		]);
		expect(strFromU8(unzipSync(await zipDrills(db, teamId))['tide-lines.json'])).toContain(
			'drill@1'
		);
	});
});
