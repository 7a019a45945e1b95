import { beforeEach, describe, expect, test } from 'vitest';
import {
	days,
	saltmarshSeason,
	seasonId,
	teamId,
	today
} from '../../../../../tests/support/saltmarshSeason';
import { demoPractices } from '../../../../../tests/support/demo';
import { placeOf } from '../../../../../tests/support/place';
import { lastDayOf } from '$core/season';
import { readOfPlayer } from '../../repositories/seasonSums';
import { listTallies } from '../../repositories/ladders';
import { loadDueFor } from './dueFor';
import { changePush } from './pushes';
import { rule, saveTallies, unrule } from './tallies';

let season: Awaited<ReturnType<typeof saltmarshSeason>>;
beforeEach(async () => {
	season = await saltmarshSeason();
});

describe('what is counted and decided', () => {
	const row = {
		drill: 'press-in-pairs',
		rung: null,
		judge: 'decision',
		whom: 'squad',
		clean: 8,
		tries: 10
	};
	const count = (tallies: unknown, practiceId = '2027-03-25') =>
		saveTallies(season.db, { teamId, practiceId, tallies });

	test('is kept by practice, and refused with its place where it makes no sense', async () => {
		expect(await count([row])).toMatchObject({ ok: true });
		const kept = (await listTallies(season.db, teamId, days)).filter(
			({ practice }) => practice === '2027-03-25'
		);
		expect(kept).toMatchObject([{ ...row, date: '2027-03-25' }]);
		expect(placeOf(await count([row, { ...row, clean: 11 }]))).toBe('[1].clean');
		expect(placeOf(await count([{ ...row, drill: 'gone' }]))).toBe('[0].drill');
		expect(placeOf(await count([{ ...row, rung: 'gone' }]))).toBe('[0].rung');
		expect(placeOf(await count([{ ...row, whom: 'unit', whomId: 'gone' }]))).toBe('[0].whom');
		expect(placeOf(await count([{ ...row, whom: 'player' }]))).toBe('[0].whom');
		expect(placeOf(await count([row, row]))).toBe('[1].drill');
		expect(await count([row], '2027-04-08')).toMatchObject({ ok: false });
		expect(await listTallies(season.db, teamId, days)).toEqual(expect.arrayContaining(kept));
		// Of a practice that was not held after all it stays, and counts for nothing.
		await season.turn('2027-03-25', 'planned');
		expect(
			(await listTallies(season.db, teamId, days)).some(({ practice }) => practice === '2027-03-25')
		).toBe(false);
		await season.turn('2027-03-25', 'held');
		expect(await listTallies(season.db, teamId, days)).toEqual(expect.arrayContaining(kept));
	});

	test('says what a board has due, and on which rung its drills go on', async () => {
		const due = await loadDueFor(season.db, teamId, today);
		expect(due?.due[0]).toMatchObject({
			skill: 'finishing',
			targetMinutes: expect.closeTo(66.63, 1)
		});
		expect(due?.rungs).toMatchObject({ 'shooting-arc': 'static', 'rebound-rally': 'closer' });
		await rule(season.db, {
			...{ teamId, today },
			ruling: {
				drill: 'shooting-arc',
				whom: 'squad',
				rung: null,
				advice: 'down',
				chosen: 'stay',
				reason: 'Windy.'
			}
		});
		expect((await loadDueFor(season.db, teamId, today))?.rungs).toMatchObject({
			'shooting-arc': null
		});
		// What is decided for a unit, or taken back from it, moves the unit's ladder alone.
		const forBacks = { drill: 'rebound-rally', whom: 'unit', whomId: 'backs' } as const;
		const decide = (ruling: object) => rule(season.db, { teamId, today, ruling });
		const kept = { rung: 'reverse', advice: 'up', chosen: 'stay', reason: 'Few came.' };
		expect(await decide({ ...forBacks, ...kept })).toMatchObject({ ok: true });
		expect(placeOf(await decide({ ...forBacks, ...kept, whom: 'squad' }))).toBe('whom');
		expect(placeOf(await decide({ ...forBacks, ...kept, whomId: 'gone' }))).toBe('whom');
		expect((await loadDueFor(season.db, teamId, today))?.rungs).toMatchObject({
			'rebound-rally': 'closer'
		});
		await unrule(season.db, {
			teamId,
			ruling: { ...forBacks, drill: 'shooting-arc', date: today }
		});
		expect((await loadDueFor(season.db, teamId, today))?.rungs).toMatchObject({
			'shooting-arc': null
		});
		const push = { season: seasonId, skill: 'finishing' };
		expect(
			await changePush(season.db, { teamId, today, push: { ...push, push: 'off' } })
		).toMatchObject({
			ok: true
		});
		expect(
			(await loadDueFor(season.db, teamId, today))?.due.some(
				({ skill, unit }) => skill === 'finishing' && !unit
			)
		).toBe(false);
		expect(
			placeOf(
				await changePush(season.db, { teamId, today, push: { ...push, push: 'day', day: today } })
			)
		).toBe('day');
		expect(
			await changePush(season.db, { teamId, today, push: { ...push, push: 'none' } })
		).toMatchObject({
			ok: true
		});
		// What is planned before a practice counts for it.
		const planned = (await loadDueFor(season.db, teamId, '2027-04-22'))?.due ?? [];
		const passing = planned.find(({ skill, unit }) => skill === 'passing' && !unit);
		expect(passing?.gotMinutes).toBeGreaterThan(180);
		expect(await loadDueFor(season.db, teamId, 'none')).toBeUndefined();
	});

	test('what was run lately is what was held, and what is planned before', async () => {
		const recent = (await loadDueFor(season.db, teamId, '2027-04-22'))?.recent ?? [];
		const days = [...new Set(recent.map(({ date }) => date))].sort();
		const own = demoPractices('saltmarsh').filter(
			({ date }) => date >= '2027-03-25' && date < '2027-04-22'
		);
		expect(days).toEqual(own.map(({ date }) => date));
		for (const { date, periods } of own) {
			const drills = periods.flatMap(({ lanes }) =>
				lanes.flatMap(({ blocks }) => blocks.flatMap(({ drill }) => drill?.id ?? []))
			);
			const found = recent.flatMap((each) => (each.date === date ? [each.drill] : []));
			expect(found.sort()).toEqual([...new Set(drills)].sort());
		}
	});

	test('of one player is theirs alone', async () => {
		const rows = (await season.allRows()).filter(
			({ player, of, state }) => player === 'p02' && state === (of === 'held' ? 'done' : of)
		);
		const sums = await readOfPlayer(season.db, teamId, { ...days, player: 'p02' });
		const total = (list: readonly { seconds: number }[]) =>
			list.reduce((sum, { seconds }) => sum + seconds, 0);
		expect(total(sums)).toBeCloseTo(total(rows), 0);
		expect(lastDayOf(await season.seasonNow())).toBe(days.last);
	});
});
