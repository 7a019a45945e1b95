import { beforeEach, describe, expect, test } from 'vitest';
import { demoDb } from '../../../../../tests/support/database';
import { placeOf } from '../../../../../tests/support/place';
import type { TeamSport } from '$core/model/teamSport';
import type { Db } from '../../database';
import { findTeam } from '../../repositories/teams';
import { stampOf } from '../submission';
import { saveSport, teamSportOf } from './saveSport';

const teamId = 'saltmarsh';
let db: Db;
let stored: TeamSport;
beforeEach(async () => {
	db = await demoDb();
	const team = await findTeam(db, teamId);
	if (!team) throw new Error('no team');
	stored = teamSportOf(team);
});
const save = (change: Partial<TeamSport>, base?: string) =>
	saveSport(db, { teamId, sport: { ...stored, ...change }, base });

describe('saveSport', () => {
	test('keeps ids of what there was, and gives new parts ids that others can name', async () => {
		const saved = await save({
			units: [...stored.units, { key: 'new-units-1', name: 'Short corner crew' }],
			positions: [...stored.positions, { key: 'n', name: 'Injector', unit: 'new-units-1' }],
			lineUp: [...stored.lineUp, { position: 'n', x: 91, y: 20 }],
			areas: stored.areas.map((area) => ({ ...area, name: `${area.name}!` })),
			loads: ['  drag flicks '],
			cautions: ['Goggles for corners.']
		});
		expect(saved).toMatchObject({ ok: true });
		const team = await findTeam(db, teamId);
		expect(team?.units.at(-1)).toEqual({ id: 'short-corner-crew', name: 'Short corner crew' });
		expect(team?.positionList?.at(-1)).toEqual({
			id: 'injector',
			name: 'Injector',
			unit: 'short-corner-crew'
		});
		expect(team?.positions?.at(-1)).toBe('injector');
		expect(team?.places?.at(-1)).toEqual([91, 20]);
		expect(team?.skillAreas.map(({ id }) => id)).toEqual(stored.areas.map(({ key }) => key));
		expect(team).toMatchObject({ loads: ['drag flicks'], cautions: ['Goggles for corners.'] });
	});

	test('knows from the kit what a team of before has never said', async () => {
		const team = await findTeam(db, teamId);
		if (!team) throw new Error('no team');
		const { positionList, places, loads, cautions, sportName, ...before } = team;
		expect(teamSportOf(before)).toEqual(stored);
		expect(teamSportOf({ ...before, sport: 'rope-ball' })).toMatchObject({
			name: 'rope-ball',
			cautions: []
		});
	});

	test('takes two new parts of one spelling apart, and two of one name not at all', async () => {
		const two = [
			{ key: 'new-1', name: 'Wing!' },
			{ key: 'new-2', name: 'Wing?' }
		];
		await save({ units: [...stored.units, ...two] });
		const ids = (await findTeam(db, teamId))?.units.map(({ id }) => id) ?? [];
		expect(ids.slice(-2)).toEqual(['wing', 'wing-2']);
	});

	test('keeps the order of areas, what comes first, and those that are retired', async () => {
		const [passing, receiving, ...others] = stored.areas;
		const areas = [receiving, { ...passing, after: receiving.key, retired: true }, ...others];
		expect(await save({ areas })).toMatchObject({ ok: true });
		const team = await findTeam(db, teamId);
		expect(team?.skillAreas.slice(0, 2)).toMatchObject([
			{ id: 'receiving' },
			{ id: 'passing', after: ['receiving'], retired: true }
		]);
		expect(team && teamSportOf(team).areas).toEqual(areas);
	});

	test.each([
		['name', () => ({ name: ' ' })],
		['units', () => ({ units: stored.units.slice(1) })],
		['areas', () => ({ areas: stored.areas.slice(1) })],
		['areas', () => ({ areas: [] })],
		['areas', () => ({ areas: stored.areas.map((area) => ({ ...area, retired: true })) })],
		[
			'areas[0].after',
			() => {
				const [one, two, ...others] = stored.areas;
				return { areas: [{ ...one, after: two.key }, { ...two, after: one.key }, ...others] };
			}
		],
		['units[1].name', () => ({ units: [stored.units[0], { key: 'n', name: 'KEEPERS' }] })],
		['lineUp[0].position', () => ({ positions: stored.positions.slice(1) })],
		['lineUp[0].x', () => ({ lineUp: [{ position: 'keeper', x: NaN, y: 1 }] })]
	])('refuses what is wrong at %s and stores nothing', async (path, change) => {
		const before = await findTeam(db, teamId);
		expect(placeOf(await save(change() as Partial<TeamSport>))).toBe(path);
		expect(await findTeam(db, teamId)).toEqual(before);
	});

	test('says who is in a unit, and what names an area, before it is taken away', async () => {
		const unit = await save({ units: stored.units.slice(1) });
		expect(!unit.ok && unit.failure.message).toMatch(/lack Keepers, and \d+ people are in it/);
		const area = await save({ areas: stored.areas.slice(1) });
		expect(!area.ok && area.failure.message).toMatch(/lack \w+, and \d+ drills and \d+ ratings/);
	});

	test('does not write over what somebody else saved', async () => {
		const base = stampOf(stored);
		expect(await save({ loads: ['slaps'] }, base)).toMatchObject({ ok: true });
		expect(await save({ loads: ['pushes'] }, base)).toMatchObject({
			ok: false,
			failure: { newest: expect.any(String) }
		});
	});
});
