import { beforeEach, describe, expect, test } from 'vitest';
import { demoDb } from '../../../../../tests/support/database';
import { check } from '$core/checks';
import { evaluate } from '$core/playing';
import { toContext } from '$core/practice';
import type { Db } from '../../database';
import { findPractice, listPractices } from '../../repositories/practices';
import { deleteTeam, listTeamLines } from '../../repositories/teams';
import { loadSurroundings } from '../../repositories/teamHistory';
import { listDrills } from '../../repositories/drills';
import { createTeam, readPlayers, type NewTeam } from './createTeam';
import { addGround } from './saveGround';
import { seedDemo } from './seedDemo';
import { listSports } from './sports';
import { exported as exportAll } from '../../../../../tests/support/exported';
import { importAll } from '../transfer/importAll';
import { loadBoard } from '../views';
import { placeOf } from '../../../../../tests/support/place';
import { misfitText } from '$core/base';

const today = '2027-04-06';
const wanted: NewTeam = {
	name: 'Tern Point Juniors',
	sport: 'team-handball',
	from: 10,
	to: 12,
	coach: 'Ines Marlow',
	timeZone: 'Europe/London',
	players: '7 Ada Lind\n\n  Bo Farrow \n12. Cy Ötker-Nguyễn'
};

let db: Db;
beforeEach(async () => {
	db = await demoDb();
});
async function made(change: Partial<NewTeam> = {}) {
	const created = await createTeam(db, { wanted: { ...wanted, ...change }, today });
	if (!created.ok) throw new Error(misfitText(created.failure));
	return created.value;
}

describe('createTeam', () => {
	test.each(listSports().map((sport) => [sport.id, sport] as const))(
		'starts a team of %s with its ground, positions and an empty practice',
		async (id, sport) => {
			const { team, practice } = await made({ sport: id });
			const board = await loadBoard(db, team, practice);
			if (!board) throw new Error('no board');
			expect(board.surroundings.ground).toEqual(sport.ground);
			expect(board.surroundings.team.positions).toEqual(sport.team);
			expect(board.surroundings.players.map(({ name, number }) => [number, name])).toEqual([
				[7, 'Ada Lind'],
				[undefined, 'Bo Farrow'],
				[12, 'Cy Ötker-Nguyễn']
			]);
			expect(board.stored.practice).toMatchObject({ date: today, periods: [] });
			const evaluation = evaluate(board.stored.practice, toContext(board.surroundings));
			expect(check(evaluation).filter(({ severity }) => severity === 'stop')).toEqual([]);
		}
	);

	test('gives a larger squad more of what is counted for a squad, and no more of the rest', async () => {
		const sport = listSports().find(({ id }) => id === 'field-hockey');
		const kitOfSquad = async (count: number) => {
			const players = Array.from({ length: count }, (_, k) => `Player ${k + 1}`).join('\n');
			const { team, practice } = await made({ sport: 'field-hockey', players });
			return (await loadBoard(db, team, practice))?.surroundings.kit ?? {};
		};
		const kit = sport?.kit ?? {};
		expect(await kitOfSquad(24)).toEqual(kit);
		const large = await kitOfSquad(48);
		for (const [item, count] of Object.entries(kit))
			expect([item, large[item]]).toEqual([item, count < 10 ? count : 2 * count]);
		expect(Object.values(kit).some((count) => count < 10)).toBe(true);
	});

	const rope = { name: 'Rope ball', length: 30, width: 12.5, indoors: true, ball: 'knot' };

	test('starts a team of a sport of its own on a plain rectangle, with drills in its words', async () => {
		const { team, practice } = await made({ sport: undefined, ownSport: rope });
		const board = await loadBoard(db, team, practice);
		expect(board?.surroundings.ground).toMatchObject({ length: 30, width: 12.5, indoors: true });
		expect(board?.surroundings.team).toMatchObject({
			sport: 'rope-ball',
			sportName: 'Rope ball',
			words: { ball: 'knot' }
		});
		const shelf = await listDrills(db, team);
		expect(shelf.length).toBeGreaterThanOrEqual(12);
		expect(JSON.stringify(shelf)).not.toMatch(/\bballs?\b/);
		expect(await addGround(db, team)).toMatchObject({ ok: true });
	});

	test('gives teams of one name ids of their own, and none that is a page', async () => {
		expect((await made()).team).toBe('tern-point-juniors');
		expect((await made()).team).toBe('tern-point-juniors-2');
		expect((await made({ name: 'Teams' })).team).toBe('teams-2');
		expect((await made({ name: '海辺' })).team).toBe('team');
	});

	test.each([
		['sport', { sport: 'chess' }],
		['ownSport.name', { sport: undefined, ownSport: { ...rope, name: ' ' } }],
		['name', { name: '  ' }],
		['to', { to: 9 }],
		['timeZone', { timeZone: 'Mars/Base' }],
		['players, line 2', { players: `Ada\n${'x'.repeat(201)}` }],
		['players, line 301', { players: 'Ada\n'.repeat(301) }]
	])('refuses what is wrong at %s and stores nothing', async (path, change) => {
		const before = await listTeamLines(db);
		expect(placeOf(await createTeam(db, { wanted: { ...wanted, ...change }, today }))).toBe(path);
		expect(await listTeamLines(db)).toEqual(before);
	});

	test('goes out and comes back like any other team', async () => {
		await made();
		const exported = await exportAll(db);
		await db.exec('truncate team cascade');
		expect(await importAll(db, exported)).toMatchObject({ ok: true, value: { teams: 2 } });
		expect(Buffer.from(await exportAll(db)).equals(Buffer.from(exported))).toBe(true);
	});
});

describe('teams beside each other', () => {
	test('see nothing of one another', async () => {
		const { team, practice } = await made();
		expect(await findPractice(db, 'saltmarsh', practice)).toBeUndefined();
		expect(await loadBoard(db, team, '2027-04-06')).toBeUndefined();
		expect((await listPractices(db, team)).map(({ practice: own }) => own.id)).toEqual([practice]);
		const own = await loadSurroundings(db, team, { day: today });
		const names = JSON.stringify(own?.players) + JSON.stringify(own?.adults);
		const others = await loadSurroundings(db, 'saltmarsh', { day: today });
		for (const { name } of others?.players ?? []) expect(names).not.toContain(name);
	});

	test('are removed one by one with all that is theirs, and the demo does not come back', async () => {
		const { team } = await made();
		expect(await deleteTeam(db, 'nobody')).toBe(false);
		for (const demo of ['saltmarsh']) expect(await deleteTeam(db, demo)).toBe(true);
		expect((await listTeamLines(db)).map(({ id }) => id)).toEqual([team]);
		expect((await db.query('select 1 from ledger')).rows).toEqual([]);
		await deleteTeam(db, team);
		await seedDemo(db, { today });
		expect(await listTeamLines(db)).toEqual([]);
	});
});

test('lines of players: numbers in front, any script, empty lines left out', () => {
	expect(readPlayers('1) A\r\n٢ B\n 23;C d,\n\n')).toEqual({
		ok: true,
		value: [{ name: 'A', number: 1 }, { name: '٢ B' }, { name: 'C d', number: 23 }]
	});
});
