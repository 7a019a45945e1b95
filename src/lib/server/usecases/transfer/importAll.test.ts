import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { beforeEach, describe, expect, test } from 'vitest';
import { demoDb } from '../../../../../tests/support/database';
import type { Db } from '../../database';
import { demoTeams } from '../team/seedDemo';
import { keepTemplate } from '../practices/keepTemplate';
import { exported as exportAll } from '../../../../../tests/support/exported';
import { importAll } from './importAll';
import { placeText } from '$core/base';

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
		expect(await importAll(db, exported)).toEqual({ ok: true, value: { teams: 1, practices: 26 } });
		expect(Buffer.from(await exportAll(db)).equals(Buffer.from(exported))).toBe(true);
	});

	test('comes back so with every team of the demo', async () => {
		db = await demoDb(demoTeams());
		exported = await exportAll(db);
		await emptied();
		expect(await importAll(db, exported)).toMatchObject({ ok: true, value: { teams: 3 } });
		expect(Buffer.from(await exportAll(db)).equals(Buffer.from(exported))).toBe(true);
		// Tens of thousands of ledger rows, twice: longer than a test usually may take.
	}, 120_000);

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
		expect(again).toMatchObject({ ok: false, failure: { within: 'teams/saltmarsh', path: [] } });
		expect(Buffer.from(await exportAll(db)).equals(Buffer.from(exported))).toBe(true);
	});
});

/** A practice of a file, as far as it is spoilt here. */
interface Nonsense {
	date: string;
	start: string;
	timeZone: string;
	place: string;
	expected: string[];
	periods: {
		id: string;
		minutes: number;
		slots?: object[];
		lanes: { blocks: NonsenseBlock[] }[];
	}[];
}
interface NonsenseBlock {
	climb: object[];
	copies: { group?: string }[];
	drill: { id: string; revision: number };
}
const block = ({ periods }: Nonsense) => periods[1].lanes[0].blocks[0];
const stations = ({ periods }: Nonsense) =>
	periods.find(({ slots }) => slots) as Nonsense['periods'][0];

test('people who were removed keep their place in what was exported, without a name', async () => {
	await db.query(`delete from person where team_id = 'saltmarsh' and id = 'p07'`);
	const bytes = await exportAll(db);
	const team = JSON.parse(strFromU8(unzipSync(bytes)['teams/saltmarsh/team.json']));
	expect(team.gone).toEqual(['p07']);
	await emptied();
	expect(await importAll(db, bytes)).toMatchObject({ ok: true });
	expect(Buffer.from(await exportAll(db)).equals(Buffer.from(bytes))).toBe(true);
});

describe('a file that is not right', () => {
	const refused = async (bytes: Uint8Array) => {
		await emptied();
		const outcome = await importAll(db, bytes);
		expect(await teams()).toBe(0);
		if (outcome.ok) throw new Error('The file was taken.');
		return { place: placeText(outcome.failure), message: outcome.failure.message };
	};

	test('is named with the place in it', async () => {
		const bad = changed(PRACTICE, (text) => text.replace('"minutes": 90', '"minutes": "long"'));
		expect(await refused(bad)).toEqual({
			place: `${PRACTICE}: practice.minutes`,
			message: 'expected integer'
		});
		const torn = changed(PRACTICE, (text) => text.slice(0, 50));
		expect(await refused(torn)).toMatchObject({
			place: PRACTICE,
			message: expect.stringContaining('no JSON')
		});
		const none = changed(PRACTICE, (text) => text.replaceAll('2027-04-06', '2027-02-30'));
		expect(await refused(none)).toMatchObject({
			message: expect.stringContaining('a day of the calendar')
		});
	});

	test('is refused where it is no zip, no export, or of another team', async () => {
		expect(await refused(strToU8('hello'))).toMatchObject({
			message: 'cannot be read as a zip file'
		});
		expect(await refused(zipSync({ 'x.json': strToU8('{}') }))).toMatchObject({
			place: 'fieldplan.json'
		});
		const foreign = changed(PRACTICE, (text) =>
			text.replace('"teamId": "saltmarsh"', '"teamId": "x"')
		);
		expect(await refused(foreign)).toMatchObject({ message: 'belongs to another team' });
	});

	test('is refused where it contradicts itself', async () => {
		const twice = changed('teams/saltmarsh/team.json', (text) =>
			text.replace(/"skill": "carrying",(\s+)"rating"/, '"skill": "decisions",$1"rating"')
		);
		expect(await refused(twice)).toMatchObject({
			message: expect.stringContaining('contradicts itself')
		});
		const target = changed('teams/saltmarsh/team.json', (text) =>
			text.replace('"skill": "carrying"', '"skill": "decisions"')
		);
		expect(await refused(target)).toEqual({
			place: 'teams/saltmarsh/team.json: seasons[0].targets[5].skill',
			message: 'is there twice'
		});
		const kit = changed('teams/saltmarsh/team.json', (text) =>
			text.replace('"item": "ball"', '"item": "cone"')
		);
		expect(await refused(kit)).toMatchObject({ message: '“cone” is there twice' });
	});

	const nonsense: [string, string, (practice: Nonsense) => void][] = [
		[
			'a climb without steps',
			'practice.periods[1].lanes[0].blocks[0].climb',
			(p) => (block(p).climb = [])
		],
		['100,000 steps', 'blocks[0].climb', (p) => (block(p).climb = Array(1e5).fill({ minutes: 1 }))],
		['5,000 copies', 'copies', (p) => (block(p).copies = Array(5000).fill(block(p).copies[0]))],
		['600 periods', 'practice.periods', (p) => (p.periods = Array(600).fill(p.periods[0]))],
		[
			'minutes beyond a day',
			'practice.periods',
			(p) => p.periods.forEach((each) => (each.minutes = 600))
		],
		['a group that is not there', 'copies[0].group', (p) => (block(p).copies[0].group = 'ghost')],
		['a lane that is not there', '.ghost', (p) => (stations(p).slots = [{ ghost: [] }])],
		['a drill that is not there', '.drill', (p) => (block(p).drill = { id: 'ghost', revision: 1 })],
		['a drill of another revision', '.drill', (p) => (block(p).drill.revision = 99)],
		['a person who is not there', 'practice.expected[0]', (p) => (p.expected[0] = 'ghost')],
		['somebody twice', 'practice.expected[1]', (p) => (p.expected[1] = p.expected[0])],
		['an id twice', 'practice.periods', (p) => (p.periods[2].id = p.periods[1].id)],
		['a time of day that is none', 'practice.start', (p) => (p.start = '25:00')],
		['a year that is none', 'practice.date', (p) => (p.date = '0001-01-01')],
		['a time zone that is none', 'practice.timeZone', (p) => (p.timeZone = 'Moon/Sea')],
		['an id of an object', 'practice.periods[0].id', (p) => (p.periods[0].id = 'constructor')],
		['a zero byte', 'practice.place', (p) => (p.place = 'Pitch\0')]
	];
	test.each(nonsense)('is refused with its place where it has %s', async (_what, path, spoil) => {
		const bad = changed(PRACTICE, (text) => {
			const stored = JSON.parse(text);
			spoil(stored.practice);
			return JSON.stringify(stored);
		});
		const { place } = await refused(bad);
		expect(place).toContain(path);
		expect(place).toContain(`${PRACTICE}: `);
	});

	test.each(['__proto__', 'constructor', 'a b', 'ä'])('may not call a person %s', async (id) => {
		const bad = changed('teams/saltmarsh/team.json', (text) =>
			text.replace('"id": "p02"', `"id": "${id}"`)
		);
		expect(await refused(bad)).toMatchObject({
			place: expect.stringMatching(/^teams\/saltmarsh\/team\.json: people\[\d+\]\.id$/),
			message: expect.stringContaining('letters, digits')
		});
	});

	test('may not bring a team with the address of a page', async () => {
		const files = Object.entries(unzipSync(exported)).map(([name, bytes]) => [
			name.replace('teams/saltmarsh', 'teams/data'),
			strToU8(strFromU8(bytes).replaceAll('"saltmarsh"', '"data"'))
		]);
		expect(await refused(zipSync(Object.fromEntries(files)))).toMatchObject({
			place: 'teams/data/team.json: team.id'
		});
	});

	test('is refused where it would unpack to more than fits', async () => {
		const bomb = zipSync({ 'fieldplan.json': new Uint8Array(65_000_000) }, { level: 9 });
		expect(bomb.length).toBeLessThan(200_000);
		expect(await refused(bomb)).toMatchObject({ message: 'the file has too much in it' });
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
