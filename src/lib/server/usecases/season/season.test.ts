import { randomLcg } from 'd3-random';
import { beforeEach, describe, expect, test } from 'vitest';
import { demoDb } from '../../../../../tests/support/database';
import { placeOf } from '../../../../../tests/support/place';
import { addDays } from '$core/conditions';
import type { Season } from '$core/model/season';
import { lastDayOf, unpackSums } from '$core/season';
import { readCalendar } from '../../../../doors';
import type { Db } from '../../database';
import { findPractice } from '../../repositories/practices';
import {
	listSeasonPractices,
	listTallies,
	readOfPlayer,
	sumByPlayer,
	sumCosts,
	sumSkills
} from '../../repositories/season';
import { listSeasons } from '../../repositories/teams';
import { saveEdits } from '../practices/saveEdits';
import { archivePractice } from '../practices/archivePractice';
import { practiceCalendar, seasonCalendar } from './calendarFile';
import { changeSeason, moveGame, partsOf, stampOfParts } from './changeSeason';
import { createSeason } from './createSeason';
import { loadDueFor } from './dueFor';
import { importGames, lookAtGames, opponentIn } from './importGames';
import { makePractices } from './makePractices';
import { changePush } from './pushes';
import { rule, saveTallies, unrule } from './tallies';
import { movePractice, turnPractices } from './turnPractice';

const teamId = 'saltmarsh';
const seasonId = 'spring-2027';
const today = '2027-04-06';
const days = { first: '2027-03-01', last: '2027-06-06' };
const now = new Date('2027-04-06T09:00:00Z');

let db: Db;
beforeEach(async () => {
	db = await demoDb();
});

const seasonNow = async () =>
	(await listSeasons(db, teamId)).find(({ id }) => id === seasonId) as Season;
const change = async (parts: Partial<Season>, base?: string) =>
	changeSeason(db, { teamId, seasonId, parts, ...(base && { base }) });
const turn = (id: string, to: 'held' | 'planned' | 'cancelled') =>
	turnPractices(db, {
		...{ teamId, ids: [id], today },
		turn: { to, ...(to === 'cancelled' && { reason: 'Pitch frozen' }) }
	});
const move = (id: string, to: object) => movePractice(db, { teamId, id, to, today });

/** All rows of the ledger of people who are in the team, with their practice, as they are stored. */
const allRows = async () =>
	(
		await db.query<{
			practice: string;
			state: string;
			date: string;
			of: string;
			on: string;
			archived: boolean;
			player: string;
			unit: string | null;
			skill: string;
			focus: string;
			seconds: number;
		}>(
			`select l.practice_id as practice, l.state, l.date::text as date, p.state as "of",
				p.date::text as "on", p.archived, l.player_id as player, l.skill, l.focus,
				l.seconds::float8 as seconds,
				(select unit from person_unit u where u.team_id = l.team_id and u.person_id = l.player_id
				 order by since desc limit 1) as unit
			 from ledger l join practice p on p.team_id = l.team_id and p.id = l.practice_id
			 join person o on o.team_id = l.team_id and o.id = l.player_id
			 where l.team_id = $1`,
			[teamId]
		)
	).rows;

/** What the page adds up is what a plain sum over the rows gives, and no row is of a state that is over. */
async function expectSound(): Promise<void> {
	const rows = await allRows();
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
	const sums = unpackSums(await sumSkills(db, teamId, days));
	expect(sums).toHaveLength(plain.size);
	for (const { practice, skill, focus, unit, seconds } of sums)
		expect(seconds).toBeCloseTo(
			plain.get(JSON.stringify([practice, skill, focus, unit])) ?? NaN,
			1
		);
	const each = await sumByPlayer(db, teamId, days);
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
				() => move(id, { date: addDays('2027-03-25', upTo(20)) }),
				() => turn(id, 'cancelled'),
				() => turn(id, 'planned'),
				() => turn(id, 'held'),
				() => archivePractice(db, { teamId, id, archived: random() < 0.5 }),
				() =>
					db.query(
						`insert into person_unit values ($1, 'p06', $2::date, 'backs')
					on conflict do nothing`,
						[teamId, addDays('2027-04-05', k)]
					)
			];
			await deeds[upTo(deeds.length)]();
		}
		await expectSound();
		await db.query(`delete from person where team_id = $1 and id = 'p07'`, [teamId]);
		await expectSound();
	}, 60_000);

	test('moves with its rows and its edits, as an edit that the board can take back', async () => {
		const before = (await allRows()).filter(({ practice }) => practice === '2027-04-01').length;
		expect(await move('2027-04-01', { date: '2027-04-02', start: '19:00' })).toMatchObject({
			ok: true
		});
		const rows = (await allRows()).filter(({ practice }) => practice === '2027-04-01');
		expect(rows).toHaveLength(before);
		expect(new Set(rows.map(({ date }) => date))).toEqual(new Set(['2027-04-02']));
		const { rows: edits } = await db.query<{ body: unknown }>(
			`select body from practice_edit where team_id = $1 and practice_id = '2027-04-01'`,
			[teamId]
		);
		expect(edits).toMatchObject([{ body: { type: 'set-practice', set: { date: '2027-04-02' } } }]);
		expect(placeOf(await move('2027-04-01', { date: '2027-04-07' }))).toBe('date');
		expect(await move('nowhere', { date: '2027-04-02' })).toMatchObject({ ok: false });
		expect(await move('2027-04-01', { date: 'soon' })).toMatchObject({ ok: false });
	});

	test('that is cancelled gives nothing until it is called back, and says why', async () => {
		const rowsOf = async (id: string) =>
			(await allRows()).filter(({ practice }) => practice === id).length;
		const planned = await rowsOf('2027-04-08');
		await turn('2027-04-08', 'cancelled');
		expect(await rowsOf('2027-04-08')).toBe(0);
		const listed = await listSeasonPractices(db, teamId, days);
		expect(listed.find(({ id }) => id === '2027-04-08')).toMatchObject({
			...{ state: 'cancelled', reason: 'Pitch frozen' }
		});
		// Work on its plan goes on meanwhile, without rows.
		const edit = { type: 'set-practice' as const, set: { minutes: 80 } };
		await saveEdits(db, {
			teamId,
			practiceId: '2027-04-08',
			revision: 1,
			edits: [{ id: 'shorter', edit }]
		});
		expect(await rowsOf('2027-04-08')).toBe(0);
		await turn('2027-04-08', 'planned');
		expect(await rowsOf('2027-04-08')).toBe(planned);
		expect(await turn('2027-04-13', 'held')).toMatchObject({ ok: false });
	});

	test('that was held counts for those who came, and is changed with its plan', async () => {
		await db.query(
			`insert into attendance (team_id, practice_id, person_id, state) values ($1, $2, 'p02', 'absent')`,
			[teamId, today]
		);
		await turn(today, 'held');
		const done = (await allRows()).filter(
			({ practice, state }) => practice === today && state === 'done'
		);
		expect(done.some(({ player }) => player === 'p02')).toBe(false);
		expect(done.some(({ player }) => player === 'p03')).toBe(true);
		const costs = await sumCosts(db, teamId, { first: today, last: today });
		expect(costs.reduce((sum, { load }) => sum + load, 0)).toBeGreaterThan(0);
		await saveEdits(db, {
			...{ teamId, practiceId: today, revision: 1 },
			edits: [{ id: 'gone', edit: { type: 'remove-period', period: 'stations' } }]
		});
		const after = (await allRows()).filter(
			({ practice, state }) => practice === today && state === 'done'
		);
		expect(after.length).toBeLessThan(done.length);
		await turn(today, 'planned');
		expect(
			(await allRows()).some(({ practice, state }) => practice === today && state === 'done')
		).toBe(false);
	});
});

describe('practices from the usual days', () => {
	test('are made once, on days that no practice stands for', async () => {
		const make = async () => makePractices(db, { teamId, seasonId, from: today });
		expect(await make()).toEqual({ ok: true, value: 0 });
		await move('2027-04-29', { date: '2027-04-30' });
		await turn('2027-04-27', 'cancelled');
		expect(await make()).toEqual({ ok: true, value: 0 });
		const { patterns = [] } = await seasonNow();
		const saturdays = {
			id: 'new-patterns-1',
			weekdays: [6],
			start: '09:30',
			minutes: 60,
			place: 'Hall',
			firstDay: '2027-05-22'
		};
		expect(await change({ patterns: [...patterns, saturdays] })).toMatchObject({ ok: true });
		expect(await make()).toEqual({ ok: true, value: 3 });
		const made = (await listSeasonPractices(db, teamId, days)).filter(
			({ place }) => place === 'Hall'
		);
		expect(made.map(({ date, minutes, slot }) => [date, minutes, slot])).toEqual([
			['2027-05-22', 60, '2027-05-22 09:30'],
			['2027-05-29', 60, '2027-05-29 09:30'],
			['2027-06-05', 60, '2027-06-05 09:30']
		]);
		const stored = await findPractice(db, teamId, made[0].id);
		expect(stored?.practice.expected).toHaveLength(24);
		// The keeper coach comes on Thursdays.
		expect(stored?.practice.adults).not.toContain('keeper-coach');
	});
});

describe('what is changed of a season', () => {
	test('is stored with ids of its own, in order of time; a phase takes its targets with it', async () => {
		const { phases = [], targets = [] } = await seasonNow();
		const [foundation, build, ...others] = phases;
		const start = {
			id: 'new-phases-1',
			name: 'Start',
			firstDay: '2027-03-01',
			lastDay: '2027-03-14'
		};
		const changed = await change({ phases: [build, ...others, start] });
		if (!changed.ok) throw new Error(changed.failure.message);
		expect(changed.value.phases?.map(({ name }) => name)).toEqual([
			'Start',
			'Build',
			'Compete',
			'Taper'
		]);
		expect(changed.value.phases?.[0].id).not.toMatch(/^new-/);
		expect(changed.value.targets).toEqual(targets.filter(({ phase }) => phase !== foundation.id));
		expect(await seasonNow()).toEqual(changed.value);
	});

	test('is refused with its place as it was sent, or where somebody else was first', async () => {
		const season = await seasonNow();
		const [foundation, build, ...others] = season.phases ?? [];
		const early = { ...foundation, lastDay: '2027-03-20' };
		expect(placeOf(await change({ phases: [build, early, ...others] }))).toBe('phases[0].firstDay');
		expect(
			placeOf(await change({ games: [{ id: 'x', date: '2028-01-01', opponent: 'Orrin Quay' }] }))
		).toBe('games[0].date');
		expect(
			placeOf(await change({ targets: [{ skill: 'flying', phase: 'build', minutes: 5 }] }))
		).toBe('targets[0].skill');
		expect(placeOf(await change({ weeks: 70 }))).toBe('weeks');
		expect(placeOf(await change({ weeks: 10 }))).toMatch(/^phases/);
		expect(await seasonNow()).toEqual(season);
		const base = stampOfParts(season, ['floors']);
		expect(await change({ floors: [{ skill: 'passing', minutes: 9 }] }, base)).toMatchObject({
			ok: true
		});
		const stale = await change({ floors: [] }, base);
		expect(stale.ok ? null : stale.failure.newest).toBe(
			stampOfParts(await seasonNow(), ['floors'])
		);
		// Other parts are not what was changed.
		expect(await change({ courses: [] }, stampOfParts(season, ['courses']))).toMatchObject({
			ok: true
		});
	});

	test('counts how often a game was changed, and moves it', async () => {
		const { games = [] } = await seasonNow();
		await moveGame(db, { teamId, seasonId, id: 'game-2', date: '2027-04-18' });
		await change({ games: (await seasonNow()).games });
		const after = (await seasonNow()).games ?? [];
		expect(after.find(({ id }) => id === 'game-2')).toMatchObject({
			date: '2027-04-18',
			changes: 1
		});
		expect(after.filter(({ id }) => id !== 'game-2')).toEqual(
			games.filter(({ id }) => id !== 'game-2')
		);
		expect(await moveGame(db, { teamId, seasonId, id: 'x', date: '2027-04-18' })).toMatchObject({
			ok: false
		});
	});

	test('another season follows with the usual days, and overlaps none', async () => {
		const make = (firstDay: string) =>
			createSeason(db, {
				teamId,
				after: seasonId,
				wanted: { name: 'Autumn', firstDay, weeks: 10 }
			});
		expect(placeOf(await make('2027-06-01'))).toBe('firstDay');
		expect(await make('2027-06-07')).toMatchObject({ ok: true });
		const [, autumn] = await listSeasons(db, teamId);
		expect(placeOf(await change({ weeks: 15 }))).toBe('firstDay');
		expect(autumn).toMatchObject({ name: 'Autumn', patterns: [{ weekdays: [2, 4] }] });
		expect(partsOf(autumn, ['games', 'phases'])).toEqual({ games: [], phases: [] });
	});
});

describe('calendar files', () => {
	const frame = { timeZone: 'Europe/London', ...days };

	test('hold the season with stable UIDs, numbers that grow, and no player’s name', async () => {
		const file = async () => (await seasonCalendar(db, teamId, { id: null, today, now })) as string;
		const before = await file();
		const read = readCalendar(before, frame);
		if (!read.ok) throw new Error(read.failure);
		expect(read.value.events).toHaveLength(26 + 8);
		expect(read.value.events.filter(({ isCancelled }) => isCancelled)).toMatchObject([
			{ date: '2027-05-06', start: '18:30' }
		]);
		expect(before.replaceAll(/\r\n /g, '')).toContain('18:30 Warm-up');
		const { rows: people } = await db.query<{ name: string }>(
			`select name from person where team_id = $1 and kind = 'player'`,
			[teamId]
		);
		for (const { name } of people) expect(before).not.toContain(name);
		await move('2027-04-13', { date: '2027-04-14' });
		await turn('2027-04-15', 'cancelled');
		const after = await file();
		const partOf = (text: string, id: string) => {
			const unfolded = text.replaceAll(/\r\n /g, '');
			const part = unfolded.split('BEGIN:VEVENT').find((each) => each.includes(`UID:${id}@`));
			return { sequence: Number(/SEQUENCE:(\d+)/.exec(part ?? '')?.[1]), part: part ?? '' };
		};
		expect(partOf(before, '2027-04-13').sequence).toBe(0);
		expect(partOf(after, '2027-04-13')).toMatchObject({
			sequence: 1,
			part: expect.stringContaining('20270414T183000')
		});
		expect(partOf(after, '2027-04-15')).toMatchObject({
			sequence: 1,
			part: expect.stringContaining('STATUS:CANCELLED')
		});
		await turn('2027-04-15', 'planned');
		expect(partOf(await file(), '2027-04-15')).toMatchObject({ sequence: 2 });
		const one = await practiceCalendar(db, teamId, { id: today, now });
		expect(one?.match(/BEGIN:VEVENT/g)).toHaveLength(1);
		expect(await practiceCalendar(db, teamId, { id: 'none', now })).toBeUndefined();
	});

	test('bring games: looked at first, those that are there known by their UID', async () => {
		const text = (time: string) =>
			[
				'BEGIN:VCALENDAR',
				...[
					'BEGIN:VEVENT',
					'UID:a',
					'SUMMARY:Saltmarsh v Fennel Spit',
					`DTSTART:20270410T${time}00Z`,
					'END:VEVENT'
				],
				...[
					'BEGIN:VEVENT',
					'UID:b',
					'SUMMARY:Orrin Quay away',
					'DTSTART;VALUE=DATE:20270417',
					'END:VEVENT'
				],
				...['BEGIN:VEVENT', 'UID:c', 'SUMMARY:Late', 'DTSTART:20280101T100000', 'END:VEVENT'],
				'END:VCALENDAR'
			].join('\r\n');
		const look = async (time: string) => {
			const looked = await lookAtGames(db, { teamId, seasonId, text: text(time) });
			if (!looked.ok) throw new Error(looked.failure);
			return looked.value;
		};
		const found = await look('0930');
		expect(found).toMatchObject({ outside: 1, skipped: 0 });
		expect(found.games).toEqual([
			{
				uid: 'a',
				date: '2027-04-10',
				start: '10:30',
				opponent: 'Fennel Spit',
				isCancelled: false,
				same: null,
				onThatDay: null
			},
			{
				uid: 'b',
				date: '2027-04-17',
				opponent: 'Orrin Quay away',
				isCancelled: false,
				same: null,
				onThatDay: 'Orrin Quay'
			}
		]);
		const taken = ({ games }: typeof found) =>
			games.map(({ same: _same, onThatDay: _other, ...game }) => game);
		const take = (of: typeof found) =>
			importGames(db, { teamId, seasonId, taken: taken(of).slice(0, 1), base: of.stamp });
		expect(await take(found)).toEqual({ ok: true, value: 1 });
		expect(await take(found)).toMatchObject({ ok: false });
		expect((await look('0930')).games[0].same).toMatchObject({ isChanged: false });
		const later = await look('1000');
		expect(later.games[0].same).toMatchObject({ start: '10:30', isChanged: true });
		expect(await take(later)).toEqual({ ok: true, value: 1 });
		const { games = [] } = await seasonNow();
		expect(games).toHaveLength(9);
		expect(games.find(({ uid }) => uid === 'a')).toMatchObject({ start: '11:00', changes: 1 });
		expect(await lookAtGames(db, { teamId, seasonId, text: 'hello' })).toMatchObject({ ok: false });
	});

	test.each([
		['Saltmarsh Hockey v Orrin Quay', 'Orrin Quay'],
		['Tessel Mill - Saltmarsh', 'Tessel Mill'],
		['Match: Marrow Sands', 'Marrow Sands'],
		['Orrin Quay', 'Orrin Quay']
	])('of “%s” say who is played', (title, opponent) => {
		expect(opponentIn(title, 'Saltmarsh Hockey, under 16')).toBe(opponent);
	});
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
		saveTallies(db, { teamId, practiceId, tallies });

	test('is kept by practice, and refused with its place where it makes no sense', async () => {
		expect(await count([row])).toMatchObject({ ok: true });
		const kept = (await listTallies(db, teamId, days)).filter(
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
		expect(await listTallies(db, teamId, days)).toEqual(expect.arrayContaining(kept));
		// Of a practice that was not held after all it stays, and counts for nothing.
		await turn('2027-03-25', 'planned');
		expect(
			(await listTallies(db, teamId, days)).some(({ practice }) => practice === '2027-03-25')
		).toBe(false);
		await turn('2027-03-25', 'held');
		expect(await listTallies(db, teamId, days)).toEqual(expect.arrayContaining(kept));
	});

	test('says what a board has due, and on which rung its drills go on', async () => {
		const due = await loadDueFor(db, teamId, today);
		expect(due?.due[0]).toMatchObject({
			skill: 'finishing',
			targetMinutes: expect.closeTo(66.63, 1)
		});
		expect(due?.rungs).toMatchObject({ 'shooting-arc': 'static', 'rebound-rally': 'closer' });
		await rule(db, {
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
		expect((await loadDueFor(db, teamId, today))?.rungs).toMatchObject({ 'shooting-arc': null });
		// What is decided for a unit, or taken back from it, moves the unit's ladder alone.
		const forBacks = { drill: 'rebound-rally', whom: 'unit', whomId: 'backs' } as const;
		const decide = (ruling: object) => rule(db, { teamId, today, ruling });
		const kept = { rung: 'reverse', advice: 'up', chosen: 'stay', reason: 'Few came.' };
		expect(await decide({ ...forBacks, ...kept })).toMatchObject({ ok: true });
		expect(placeOf(await decide({ ...forBacks, ...kept, whom: 'squad' }))).toBe('whom');
		expect(placeOf(await decide({ ...forBacks, ...kept, whomId: 'gone' }))).toBe('whom');
		expect((await loadDueFor(db, teamId, today))?.rungs).toMatchObject({
			'rebound-rally': 'closer'
		});
		await unrule(db, { teamId, ruling: { ...forBacks, drill: 'shooting-arc', date: today } });
		expect((await loadDueFor(db, teamId, today))?.rungs).toMatchObject({ 'shooting-arc': null });
		const push = { season: seasonId, skill: 'finishing' };
		expect(await changePush(db, { teamId, today, push: { ...push, push: 'off' } })).toMatchObject({
			ok: true
		});
		expect(
			(await loadDueFor(db, teamId, today))?.due.some(
				({ skill, unit }) => skill === 'finishing' && !unit
			)
		).toBe(false);
		expect(
			placeOf(await changePush(db, { teamId, today, push: { ...push, push: 'day', day: today } }))
		).toBe('day');
		expect(await changePush(db, { teamId, today, push: { ...push, push: 'none' } })).toMatchObject({
			ok: true
		});
		// What is planned before a practice counts for it.
		const planned = (await loadDueFor(db, teamId, '2027-04-22'))?.due ?? [];
		const passing = planned.find(({ skill, unit }) => skill === 'passing' && !unit);
		expect(passing?.gotMinutes).toBeGreaterThan(180);
		expect(await loadDueFor(db, teamId, 'none')).toBeUndefined();
	});

	test('of one player is theirs alone', async () => {
		const rows = (await allRows()).filter(
			({ player, of, state }) => player === 'p02' && state === (of === 'held' ? 'done' : of)
		);
		const sums = await readOfPlayer(db, teamId, { ...days, player: 'p02' });
		const total = (list: readonly { seconds: number }[]) =>
			list.reduce((sum, { seconds }) => sum + seconds, 0);
		expect(total(sums)).toBeCloseTo(total(rows), 0);
		expect(lastDayOf(await seasonNow())).toBe(days.last);
	});
});
