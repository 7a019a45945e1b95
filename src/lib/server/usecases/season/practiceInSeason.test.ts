import { beforeEach, describe, expect, test } from 'vitest';
import { days, saltmarshSeason, teamId, today } from '../../../../../tests/support/saltmarshSeason';
import { randomLcg } from 'd3-random';
import { placeOf } from '../../../../../tests/support/place';
import { addDays } from '$core/conditions';
import { unpackSums } from '$core/season';
import { listSeasonPractices } from '../../repositories/season';
import { sumByPlayer, sumCosts, sumSkills } from '../../repositories/seasonSums';
import { saveEdits } from '../practices/saveEdits';
import { archivePractice } from '../practices/archivePractice';

let season: Awaited<ReturnType<typeof saltmarshSeason>>;
beforeEach(async () => {
	season = await saltmarshSeason();
});

/** What the page adds up is what a plain sum over the rows gives, and no row is of a state that is over. */
async function expectSound(): Promise<void> {
	const rows = await season.allRows();
	for (const row of rows) {
		expect(row.of).not.toBe('cancelled');
		if (row.state === 'done') expect(row.of).toBe('held');
		expect(row.date).toBe(row.on);
	}
	const counted = rows.filter(
		({ state, of, on, archived }) =>
			!archived && days.first <= on && on <= days.last && state === (of === 'held' ? 'done' : of)
	);
	const plain = new Map<string, number>();
	const add = (sums: Map<string, number>, key: string, seconds: number) =>
		sums.set(key, (sums.get(key) ?? 0) + seconds);
	const byPlayer = new Map<string, number>();
	for (const { practice, skill, focus, unit, seconds, player, of } of counted) {
		add(plain, JSON.stringify([practice, skill, focus, unit]), seconds);
		if (of === 'held') add(byPlayer, `${player} ${skill}`, seconds);
	}
	const sums = unpackSums(await sumSkills(season.db, teamId, days));
	expect(sums).toHaveLength(plain.size);
	for (const { practice, skill, focus, unit, seconds } of sums)
		expect(seconds).toBeCloseTo(
			plain.get(JSON.stringify([practice, skill, focus, unit])) ?? NaN,
			1
		);
	const each = await sumByPlayer(season.db, teamId, days);
	expect(each).toHaveLength(byPlayer.size);
	for (const { player, skill, seconds } of each)
		expect(seconds).toBeCloseTo(byPlayer.get(`${player} ${skill}`) ?? NaN, 1);
}
describe('a practice in its season', () => {
	test('leaves no stray row, whatever is done with it', async () => {
		const random = randomLcg(0.42);
		const upTo = (most: number) => Math.floor(random() * most);
		const ids = ['2027-03-30', '2027-04-01', '2027-04-06', '2027-04-08', '2027-04-13'];
		await expectSound();
		for (let k = 0; k < 12; k += 1) {
			const id = ids[upTo(ids.length)];
			const deeds = [
				() => season.move(id, { date: addDays('2027-03-25', upTo(20)) }),
				() => season.turn(id, 'cancelled'),
				() => season.turn(id, 'planned'),
				() => season.turn(id, 'held'),
				() => archivePractice(season.db, { teamId, id, archived: random() < 0.5 }),
				() =>
					season.db.query(
						`insert into person_unit values ($1, 'p06', $2::date, 'backs')
					on conflict do nothing`,
						[teamId, addDays('2027-04-05', k)]
					)
			];
			await deeds[upTo(deeds.length)]();
		}
		await expectSound();
		await season.db.query(`delete from person where team_id = $1 and id = 'p07'`, [teamId]);
		await expectSound();
	}, 60_000);

	test('moves with its rows and its edits, as an edit that the board can take back', async () => {
		const before = (await season.allRows()).filter(
			({ practice }) => practice === '2027-04-01'
		).length;
		expect(await season.move('2027-04-01', { date: '2027-04-02', start: '19:00' })).toMatchObject({
			ok: true
		});
		const rows = (await season.allRows()).filter(({ practice }) => practice === '2027-04-01');
		expect(rows).toHaveLength(before);
		expect(new Set(rows.map(({ date }) => date))).toEqual(new Set(['2027-04-02']));
		const { rows: edits } = await season.db.query<{ body: unknown }>(
			`select body from practice_edit where team_id = $1 and practice_id = '2027-04-01'`,
			[teamId]
		);
		expect(edits).toMatchObject([{ body: { type: 'set-practice', set: { date: '2027-04-02' } } }]);
		expect(placeOf(await season.move('2027-04-01', { date: '2027-04-07' }))).toBe('date');
		expect(await season.move('nowhere', { date: '2027-04-02' })).toMatchObject({ ok: false });
		expect(await season.move('2027-04-01', { date: 'soon' })).toMatchObject({ ok: false });
	});

	test('that is cancelled gives nothing until it is called back, and says why', async () => {
		const rowsOf = async (id: string) =>
			(await season.allRows()).filter(({ practice }) => practice === id).length;
		const planned = await rowsOf('2027-04-08');
		await season.turn('2027-04-08', 'cancelled');
		expect(await rowsOf('2027-04-08')).toBe(0);
		const listed = await listSeasonPractices(season.db, teamId, days);
		expect(listed.find(({ id }) => id === '2027-04-08')).toMatchObject({
			...{ state: 'cancelled', reason: 'Pitch frozen' }
		});
		// Work on its plan goes on meanwhile, without rows.
		const edit = { type: 'set-practice' as const, set: { minutes: 80 } };
		await saveEdits(season.db, {
			teamId,
			practiceId: '2027-04-08',
			revision: 1,
			edits: [{ id: 'shorter', edit }]
		});
		expect(await rowsOf('2027-04-08')).toBe(0);
		await season.turn('2027-04-08', 'planned');
		expect(await rowsOf('2027-04-08')).toBe(planned);
		expect(await season.turn('2027-04-13', 'held')).toMatchObject({ ok: false });
	});

	test('that was held counts for those who came, and is changed with its plan', async () => {
		await season.db.query(
			`insert into attendance (team_id, practice_id, person_id, state) values ($1, $2, 'p02', 'absent')`,
			[teamId, today]
		);
		await season.turn(today, 'held');
		const done = (await season.allRows()).filter(
			({ practice, state }) => practice === today && state === 'done'
		);
		expect(done.some(({ player }) => player === 'p02')).toBe(false);
		expect(done.some(({ player }) => player === 'p03')).toBe(true);
		const costs = await sumCosts(season.db, teamId, { first: today, last: today });
		expect(costs.reduce((sum, { load }) => sum + load, 0)).toBeGreaterThan(0);
		await saveEdits(season.db, {
			...{ teamId, practiceId: today, revision: 1 },
			edits: [{ id: 'gone', edit: { type: 'remove-period', period: 'stations' } }]
		});
		const after = (await season.allRows()).filter(
			({ practice, state }) => practice === today && state === 'done'
		);
		expect(after.length).toBeLessThan(done.length);
		await season.turn(today, 'planned');
		expect(
			(await season.allRows()).some(({ practice, state }) => practice === today && state === 'done')
		).toBe(false);
	});
});
