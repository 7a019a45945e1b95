import { beforeEach, describe, expect, test } from 'vitest';
import { demoDb } from '../../../../../tests/support/database';
import type { SquadRow } from '$core/model/squad';
import type { Player, Team } from '$core/model/team';
import type { Db } from '../../database';
import { deletePerson } from '../../repositories/people';
import { loadSurroundings } from '../../repositories/teamHistory';
import { saveSquad } from './saveSquad';
import { parseCsv, readSquadTable, writeSquadCsv } from './squadCsv';
import { exported as exportAll } from '../../../../../tests/support/exported';
import { strFromU8, unzipSync } from 'fflate';
import { placeOf } from '../../../../../tests/support/place';

const teamId = 'saltmarsh';
const day = '2027-04-06';

let db: Db;
let team: Team;
let players: Player[];
beforeEach(async () => {
	db = await demoDb();
	({ team, players } = await squad());
});
async function squad(on = day) {
	const surroundings = await loadSurroundings(db, teamId, { day: on });
	if (!surroundings) throw new Error('no team');
	return surroundings;
}
const save = (rows: unknown) => saveSquad(db, { teamId, day, rows });
const rowOf = ({
	id,
	name,
	number,
	unit,
	positions,
	ratings,
	birthYear,
	leads,
	usuallyLate
}: Player): SquadRow => ({
	id,
	name,
	...(number !== undefined && { number }),
	...(unit && { unit }),
	positions: positions ?? [],
	ratings: ratings ?? {},
	...(birthYear !== undefined && { birthYear }),
	leads: leads ?? false,
	usuallyLate: usuallyLate ?? false
});
const bytes = (text: string) => new TextEncoder().encode(text);
function read(
	text: string | Uint8Array,
	{ chosen, ...more }: { delimiter?: string; chosen?: (string | undefined)[] } = {}
) {
	const table = parseCsv(typeof text === 'string' ? bytes(text) : text, more);
	const known = new Map(players.map((player) => [player.id, player]));
	const reading = readSquadTable(table, { team, known, ...(chosen && { chosen }) });
	const { delimiter, encoding } = table;
	const faults = reading.bad.flatMap((line) => line.faults);
	return { ...reading, delimiter, encoding, faults };
}

describe('saveSquad', () => {
	test('changes some, adds some and leaves the others, with facts dated', async () => {
		const [first] = players;
		const row = {
			...rowOf(first),
			name: ' Odile B. ',
			unit: 'backs',
			ratings: { ...first.ratings, passing: 5 }
		};
		const added = {
			name: 'Neu Zugang',
			positions: ['back'],
			ratings: { carrying: 2 },
			usuallyLate: true
		};
		expect(await save([row, added])).toEqual({ ok: true, value: { changed: 1, added: 1 } });
		const after = await squad();
		expect(after.players).toHaveLength(25);
		expect(after.players[0]).toMatchObject({
			name: 'Odile B.',
			unit: 'backs',
			ratings: { passing: 5 }
		});
		expect(after.players.at(-1)).toMatchObject({
			name: 'Neu Zugang',
			positions: ['back'],
			usuallyLate: true
		});
		expect(after.players.slice(1, 24)).toEqual(players.slice(1));
		const before = await squad('2027-04-05');
		expect(before.players[0]).toMatchObject({ unit: 'keepers', ratings: { passing: 4 } });
	});

	test('storing what is there changes nothing', async () => {
		await save(players.map(rowOf));
		expect((await squad()).players).toEqual(players);
	});

	test.each<[string, (rows: SquadRow[]) => unknown]>([
		['[0].name', ([row]) => [{ ...row, name: '  ' }]],
		['[1].unit', ([a, b]) => [a, { ...b, unit: 'wizards' }]],
		['[0].ratings.passing', ([row]) => [{ ...row, ratings: { passing: 6 } }]],
		['[0].ratings.chess', ([row]) => [{ ...row, ratings: { chess: 3 } }]],
		['[1].id', ([row]) => [row, row]],
		['[0].id', ([row]) => [{ ...row, id: 'ghost' }]],
		['[0].number', ([row]) => [{ ...row, number: 1.5 }]],
		['[0].surprise', ([row]) => [{ ...row, surprise: 1 }]],
		[
			'',
			() =>
				Array.from({ length: 490 }, (_, k) => ({
					name: `N${k}`,
					positions: [],
					ratings: {},
					usuallyLate: false
				}))
		]
	])('refuses what is wrong at %s and stores nothing', async (path, change) => {
		expect(placeOf(await save(change(players.slice(0, 2).map(rowOf))))).toBe(path);
		expect((await squad()).players).toEqual(players);
	});

	test('removes a person whole: the name is nowhere in a full dump', async () => {
		const { name, id } = players[3];
		const dump = async () => {
			const tables = await db.query<{ name: string }>(
				`select table_name as name from information_schema.tables where table_schema = 'public'`
			);
			const rows = await Promise.all(
				tables.rows.map(async (table) =>
					JSON.stringify((await db.query(`select * from "${table.name}"`)).rows)
				)
			);
			const files = Object.values(unzipSync(await exportAll(db))).map((file) => strFromU8(file));
			return [...rows, ...files].join('\n');
		};
		expect(await dump()).toContain(name);
		expect(await deletePerson(db, 'other', id)).toBe(false);
		expect(await deletePerson(db, teamId, id)).toBe(true);
		expect(await dump()).not.toContain(name);
	});
});

describe('a table file of the squad', () => {
	test('goes out and comes back without loss', () => {
		const reading = read(writeSquadCsv(players, team));
		expect(reading.faults).toEqual([]);
		expect(reading.rows).toEqual(players.map(rowOf));
	});

	test('makes formulas in names harmless on the way out, and has them back on the way in', () => {
		const odd = ['=SUM(A1)', '+1', '-2', '@x', 'O\'Neil, "Bo"'].map((name, k) => ({
			id: players[k].id,
			name
		}));
		const text = writeSquadCsv(odd, team);
		for (const line of text.split('\r\n').slice(1, 5)) expect(line.split(',')[2]).toMatch(/^"?'/);
		expect(read(text).rows.map(({ name }) => name)).toEqual(odd.map(({ name }) => name));
	});

	test('is read with semicolons, commas for points, other letters and headings in any case', () => {
		const text = 'NUMBER;Name;Unit;Passing;Club\n7;Zoë Müller;backs;3,5;x\n;Ada;;;\n';
		const latin = Uint8Array.from(text, (letter) => letter.charCodeAt(0));
		const reading = read(latin);
		expect(reading).toMatchObject({ delimiter: ';', encoding: 'windows-1252', faults: [] });
		expect(reading.rows).toEqual([
			{
				name: 'Zoë Müller',
				number: 7,
				unit: 'backs',
				positions: [],
				ratings: { passing: 3.5 },
				leads: false,
				usuallyLate: false
			},
			{ name: 'Ada', positions: [], ratings: {}, leads: false, usuallyLate: false }
		]);
		expect(reading.columns.find(({ heading }) => heading === 'Club')?.takenFor).toBe('');
	});

	test('names every fault with its line and column', () => {
		const text =
			'name,number,unit,passing,usually late\nA,1,backs,3,\nB,x,wizards,9,perhaps\n,5,,,\nC,1\n';
		expect(read(text).faults.map(({ line, column }) => [line, column])).toEqual([
			[3, 'number'],
			[3, 'unit'],
			[3, 'Passing'],
			[3, 'usually late'],
			[4, 'name'],
			[5, '']
		]);
	});

	test('gives the good lines, and keeps the bad ones as they are', () => {
		const { rows, bad } = read('No.,name,passing\n7,Ada,3\nx,Bo,4\n9,Cy,5\n');
		expect(rows.map(({ name, number }) => [name, number])).toEqual([
			['Ada', 7],
			['Cy', 9]
		]);
		expect(bad).toEqual([
			{
				line: 3,
				cells: ['x', 'Bo', '4'],
				faults: [{ line: 3, column: 'number', message: '“x” is not a number from 0 to 999' }]
			}
		]);
	});

	test('takes columns for what the coach says they are', () => {
		const text = 'who,shirt,power\nAda,7,3\n';
		expect(read(text).trouble).toMatch(/^No column has the names/);
		const chosen = ['name', undefined, 'passing'];
		expect(read(text, { chosen }).rows).toMatchObject([
			{ name: 'Ada', number: 7, ratings: { passing: 3 } }
		]);
		expect(read(text, { chosen: ['name', 'name', ''] }).trouble).toBe(
			'Two columns are “name”. Choose one.'
		);
		expect(read(text, { chosen: ['name', 'nonsense', ''] }).rows).toMatchObject([{ number: 7 }]);
	});

	test('says which positions the team does not have', () => {
		const { rows, notes } = read('name,positions\nAda,back | sweeper\n');
		expect(rows[0].positions).toEqual(['back', 'sweeper']);
		expect(notes).toEqual([
			{ line: 2, column: 'positions', message: '“sweeper” is not one of this team’s positions' }
		]);
	});

	test('ragged, headless, huge and binary files are refused with their line', () => {
		expect(read('Ada;7\nBo;8\n').trouble).toMatch(/^No column has the names/);
		expect(read('name;number\nAda;7;8;9\n', { delimiter: ';' }).faults).toMatchObject([
			{ line: 2 }
		]);
		const many = `name\n${Array.from({ length: 2000 }, (_, k) => `N${k}`).join('\n')}`;
		expect(read(many).rows).toHaveLength(500);
		expect(read(many).faults[0]).toMatchObject({ line: 502 });
		expect(read(Uint8Array.from({ length: 5000 }, (_, k) => (k * 7919) % 256)).trouble).not.toBe(
			''
		);
		expect(read('').trouble).not.toBe('');
	});

	test('leaves alone what it has no column for, and counts lines as an editor does', () => {
		const reading = read('id,name,passing\np02,"Two\nlines",9\np03,Third,9\n');
		expect(reading.faults.map(({ line }) => line)).toEqual([2, 4]);
		const second = players.find(({ id }) => id === 'p02') as Player;
		const known = read('id,name\np02,New Name\n').rows[0];
		expect(known).toEqual({
			...rowOf(second),
			name: 'New Name'
		});
		// Of a column that is there an empty cell clears what was rated; the others stay.
		const { passing: _passing, ...others } = second.ratings ?? {};
		expect(read('id,name,passing\np02,New Name,\n').rows[0].ratings).toEqual(others);
	});

	test('of another team adds its players', () => {
		expect(read('id,name\nstranger,Ada\np02,Known\n').rows.map(({ id }) => id)).toEqual([
			undefined,
			'p02'
		]);
	});
});
