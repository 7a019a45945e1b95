import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { beforeEach, describe, expect, test } from 'vitest';
import { demoDb } from '../../../../tests/support/database';
import type { Db } from '../database';
import { demoTeams } from './seedDemo';
import { keepTemplate } from './keepTemplate';
import { exportAll, importAll } from './transfer';

let db: Db;
let exported: Uint8Array;
beforeEach(async () => {
	db = await demoDb();
	await keepTemplate(db, {
		teamId: 'saltmarsh',
		id: 'usual',
		wanted: { practice: '2027-04-06', name: 'Usual' }
	});
	exported = await exportAll(db);
});

const emptied = () => db.exec('truncate team cascade');
const teams = async () => (await db.query('select id from team')).rows.length;

/** The export with one of its files changed. */
function changed(name: string, change: (text: string) => string): Uint8Array {
	const files = unzipSync(exported);
	files[name] = strToU8(change(strFromU8(files[name])));
	return zipSync(files);
}
const PRACTICE = 'teams/saltmarsh/practices/2027-04-06.json';

describe('everything out and in', () => {
	test('comes back byte for byte from an empty database', async () => {
		await emptied();
		expect(await importAll(db, exported)).toEqual({ ok: true, value: { teams: 1, practices: 11 } });
		expect(Buffer.from(await exportAll(db)).equals(Buffer.from(exported))).toBe(true);
	});

	test('comes back so with every team of the demo', async () => {
		db = await demoDb(demoTeams());
		exported = await exportAll(db);
		await emptied();
		expect(await importAll(db, exported)).toMatchObject({ ok: true, value: { teams: 3 } });
		expect(Buffer.from(await exportAll(db)).equals(Buffer.from(exported))).toBe(true);
	});

	test('holds open-format files that can be read by name', () => {
		const names = Object.keys(unzipSync(exported));
		expect(names).toContain('fieldplan.json');
		expect(names).toContain(PRACTICE);
		expect(names).toContain('teams/saltmarsh/templates/usual.json');
		expect(names.filter((name) => name.includes('/drills/'))).toHaveLength(25);
	});

	test('takes in a second team beside the one that is there', async () => {
		const files = unzipSync(exported);
		const renamed = Object.fromEntries(
			Object.entries(files).map(([name, bytes]) => [
				name.replace('saltmarsh', 'other'),
				strToU8(strFromU8(bytes).replaceAll('"saltmarsh"', '"other"'))
			])
		);
		expect(await importAll(db, zipSync(renamed))).toMatchObject({ ok: true });
		expect(await teams()).toBe(2);
	});

	test('refuses a team that is here already, and changes nothing', async () => {
		const again = await importAll(db, exported);
		expect(again).toMatchObject({ ok: false, failure: { path: 'teams/saltmarsh' } });
		expect(Buffer.from(await exportAll(db)).equals(Buffer.from(exported))).toBe(true);
	});
});

describe('a file that is not right', () => {
	const refused = async (bytes: Uint8Array) => {
		await emptied();
		const outcome = await importAll(db, bytes);
		expect(await teams()).toBe(0);
		return outcome.ok ? 'taken' : outcome.failure;
	};

	test('is named with the place in it', async () => {
		const bad = changed(PRACTICE, (text) => text.replace('"minutes": 90', '"minutes": "long"'));
		expect(await refused(bad)).toEqual({
			path: `${PRACTICE}: practice.minutes`,
			message: 'expected integer'
		});
		const torn = changed(PRACTICE, (text) => text.slice(0, 50));
		expect(await refused(torn)).toMatchObject({
			path: PRACTICE,
			message: expect.stringContaining('no JSON')
		});
		const none = changed(PRACTICE, (text) => text.replaceAll('2027-04-06', '2027-02-30'));
		expect(await refused(none)).toMatchObject({ message: expect.stringContaining('not a day') });
	});

	test('is refused where it is no zip, no export, or of another team', async () => {
		expect(await refused(strToU8('hello'))).toMatchObject({
			message: 'is no zip file that can be read'
		});
		expect(await refused(zipSync({ 'x.json': strToU8('{}') }))).toMatchObject({
			path: 'fieldplan.json'
		});
		const foreign = changed(PRACTICE, (text) =>
			text.replace('"teamId": "saltmarsh"', '"teamId": "x"')
		);
		expect(await refused(foreign)).toMatchObject({ message: 'is of another team' });
	});

	test('is refused where it contradicts itself', async () => {
		const twice = changed('teams/saltmarsh/team.json', (text) =>
			text.replace('"id": "p02"', '"id": "p03"')
		);
		expect(await refused(twice)).toMatchObject({
			message: expect.stringContaining('contradicts itself')
		});
	});

	test('is refused where it would unpack to more than fits', async () => {
		const bomb = zipSync({ 'fieldplan.json': new Uint8Array(65_000_000) }, { level: 9 });
		expect(bomb.length).toBeLessThan(200_000);
		expect(await refused(bomb)).toMatchObject({ message: 'the file holds too much' });
	});

	test('cannot reach outside by the names of its files', async () => {
		const files = unzipSync(exported);
		files['../../teams/x/team.json'] = files['teams/saltmarsh/team.json'];
		files['__proto__.json'] = strToU8('{"polluted": true}');
		await emptied();
		expect(await importAll(db, zipSync(files))).toMatchObject({ ok: true, value: { teams: 1 } });
		expect(({} as { polluted?: boolean }).polluted).toBeUndefined();
	});
});
