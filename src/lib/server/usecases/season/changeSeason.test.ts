import { beforeEach, describe, expect, test } from 'vitest';
import {
	days,
	saltmarshSeason,
	seasonId,
	teamId,
	today
} from '../../../../../tests/support/saltmarshSeason';
import { placeOf } from '../../../../../tests/support/place';
import { findPractice } from '../../repositories/practices';
import { listSeasonPractices } from '../../repositories/season';
import { listSeasons } from '../../repositories/teams';
import { moveGame, partsOf, stampOfParts } from './changeSeason';
import { loadLadders, nextRungs, seasonOf } from './loadSeason';
import { createSeason } from './createSeason';
import { makePractices } from './makePractices';

let season: Awaited<ReturnType<typeof saltmarshSeason>>;
beforeEach(async () => {
	season = await saltmarshSeason();
});

describe('practices from the usual days', () => {
	test('are made once, on days that no practice stands for', async () => {
		const make = async () => makePractices(season.db, { teamId, seasonId, from: today });
		expect(await make()).toEqual({ ok: true, value: 0 });
		await season.move('2027-04-29', { date: '2027-04-30' });
		await season.turn('2027-04-27', 'cancelled');
		expect(await make()).toEqual({ ok: true, value: 0 });
		const { patterns = [] } = await season.seasonNow();
		const saturdays = {
			id: 'new-patterns-1',
			weekdays: [6],
			start: '09:30',
			minutes: 60,
			place: 'Hall',
			firstDay: '2027-05-22'
		};
		expect(await season.change({ patterns: [...patterns, saturdays] })).toMatchObject({ ok: true });
		expect(await make()).toEqual({ ok: true, value: 3 });
		const made = (await listSeasonPractices(season.db, teamId, days)).filter(
			({ place }) => place === 'Hall'
		);
		expect(made.map(({ date, minutes, slot }) => [date, minutes, slot])).toEqual([
			['2027-05-22', 60, '2027-05-22 09:30'],
			['2027-05-29', 60, '2027-05-29 09:30'],
			['2027-06-05', 60, '2027-06-05 09:30']
		]);
		const stored = await findPractice(season.db, teamId, made[0].id);
		expect(stored?.practice.expected).toHaveLength(24);
		// The keeper coach comes on Thursdays.
		expect(stored?.practice.adults).not.toContain('keeper-coach');
	});
});

describe('what is changed of a season', () => {
	test('is stored with ids of its own, in order of time; a phase takes its targets with it', async () => {
		const { phases = [], targets = [] } = await season.seasonNow();
		const [foundation, build, ...others] = phases;
		const start = {
			id: 'new-phases-1',
			name: 'Start',
			firstDay: '2027-03-01',
			lastDay: '2027-03-14'
		};
		const changed = await season.change({ phases: [build, ...others, start] });
		if (!changed.ok) throw new Error(changed.failure.message);
		expect(changed.value.phases?.map(({ name }) => name)).toEqual([
			'Start',
			'Build',
			'Compete',
			'Taper'
		]);
		expect(changed.value.phases?.[0].id).not.toMatch(/^new-/);
		expect(changed.value.targets).toEqual(targets.filter(({ phase }) => phase !== foundation.id));
		expect(await season.seasonNow()).toEqual(changed.value);
	});

	test('is refused with its place as it was sent, or where somebody else was first', async () => {
		const before = await season.seasonNow();
		const [foundation, build, ...others] = before.phases ?? [];
		const early = { ...foundation, lastDay: '2027-03-20' };
		expect(placeOf(await season.change({ phases: [build, early, ...others] }))).toBe(
			'phases[0].firstDay'
		);
		expect(
			placeOf(
				await season.change({ games: [{ id: 'x', date: '2028-01-01', opponent: 'Orrin Quay' }] })
			)
		).toBe('games[0].date');
		expect(
			placeOf(await season.change({ targets: [{ skill: 'flying', phase: 'build', minutes: 5 }] }))
		).toBe('targets[0].skill');
		expect(placeOf(await season.change({ weeks: 70 }))).toBe('weeks');
		expect(placeOf(await season.change({ weeks: 10 }))).toMatch(/^phases/);
		expect(await season.seasonNow()).toEqual(before);
		const base = stampOfParts(before, ['floors']);
		expect(await season.change({ floors: [{ skill: 'passing', minutes: 9 }] }, base)).toMatchObject(
			{
				ok: true
			}
		);
		const stale = await season.change({ floors: [] }, base);
		expect(stale.ok ? null : stale.failure.newest).toBe(
			stampOfParts(await season.seasonNow(), ['floors'])
		);
		// Other parts are not what was changed.
		expect(await season.change({ courses: [] }, stampOfParts(before, ['courses']))).toMatchObject({
			ok: true
		});
	});

	test('counts how often a game was changed, and moves it', async () => {
		const { games = [] } = await season.seasonNow();
		await moveGame(season.db, { teamId, seasonId, id: 'game-2', date: '2027-04-18' });
		await season.change({ games: (await season.seasonNow()).games });
		const after = (await season.seasonNow()).games ?? [];
		expect(after.find(({ id }) => id === 'game-2')).toMatchObject({
			date: '2027-04-18',
			changes: 1
		});
		expect(after.filter(({ id }) => id !== 'game-2')).toEqual(
			games.filter(({ id }) => id !== 'game-2')
		);
		expect(
			await moveGame(season.db, { teamId, seasonId, id: 'x', date: '2027-04-18' })
		).toMatchObject({
			ok: false
		});
	});

	test('another season follows with the usual days, and overlaps none', async () => {
		const make = (firstDay: string) =>
			createSeason(season.db, {
				...{ teamId, after: seasonId, rollsOn: false },
				wanted: { name: 'Autumn', firstDay, weeks: 10 }
			});
		expect(placeOf(await make('2027-06-01'))).toBe('firstDay');
		expect(await make('2027-06-07')).toMatchObject({ ok: true });
		const [, autumn] = await listSeasons(season.db, teamId);
		expect(placeOf(await season.change({ weeks: 15 }))).toBe('firstDay');
		expect(autumn).toMatchObject({ name: 'Autumn', patterns: [{ weekdays: [2, 4] }] });
		expect(partsOf(autumn, ['games', 'phases'])).toEqual({ games: [], phases: [] });
	});

	test('the next season rolls on: its ladders stand where they stood, with what is open to fix', async () => {
		const dayIn = '2027-06-08';
		const ladders = async () => {
			const of = await seasonOf(season.db, teamId, { today: dayIn });
			if (!of) throw new Error('there is no season');
			const view = await loadLadders(season.db, teamId, { ...of, whose: null });
			return { id: of.season.id, next: nextRungs(view, view.drills) };
		};
		const stood = await ladders();
		expect(stood.next.length).toBeGreaterThan(10);
		const wanted = { name: 'Summer', firstDay: '2027-06-07', weeks: 7 };
		const bad = { ...wanted, firstDay: '2027-02-31' };
		const roll = (as: typeof wanted) =>
			createSeason(season.db, { teamId, after: seasonId, rollsOn: true, wanted: as });
		expect(placeOf(await roll(bad))).toBe('firstDay');
		const made = await roll(wanted);
		expect(await ladders()).toEqual({ id: made.ok && made.value, next: stood.next });
		const [before, after] = await listSeasons(season.db, teamId);
		expect(after.fixes?.map(({ id }) => id)).toEqual(['late-runner', 'slow-free-hit']);
		expect(after.targets).toHaveLength(before.targets?.length ?? 0);
		expect(after.seeds).toBeUndefined();
	});
});
