import { beforeEach, describe, expect, test } from 'vitest';
import {
	days,
	saltmarshSeason,
	seasonId,
	teamId,
	today
} from '../../../../../tests/support/saltmarshSeason';
import { readCalendar } from '../../../../doors';
import { practiceCalendar, seasonCalendar } from './calendarFile';
import { importGames, lookAtGames, opponentIn } from './importGames';

let season: Awaited<ReturnType<typeof saltmarshSeason>>;
beforeEach(async () => {
	season = await saltmarshSeason();
});

const now = new Date('2027-04-06T09:00:00Z');

describe('calendar files', () => {
	const frame = { timeZone: 'Europe/London', ...days };

	test('hold the season with stable UIDs, numbers that grow, and no player’s name', async () => {
		const file = async () =>
			(await seasonCalendar(season.db, teamId, { id: null, today, now })) as string;
		const before = await file();
		const read = readCalendar(before, frame);
		if (!read.ok) throw new Error(read.failure);
		expect(read.value.events).toHaveLength(26 + 8);
		expect(read.value.events.filter(({ isCancelled }) => isCancelled)).toMatchObject([
			{ date: '2027-05-06', start: '18:30' }
		]);
		expect(before.replaceAll(/\r\n /g, '')).toContain('18:30 Warm-up');
		const { rows: people } = await season.db.query<{ name: string }>(
			`select name from person where team_id = $1 and kind = 'player'`,
			[teamId]
		);
		for (const { name } of people) expect(before).not.toContain(name);
		await season.move('2027-04-13', { date: '2027-04-14' });
		await season.turn('2027-04-15', 'cancelled');
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
		await season.turn('2027-04-15', 'planned');
		expect(partOf(await file(), '2027-04-15')).toMatchObject({ sequence: 2 });
		const one = await practiceCalendar(season.db, teamId, { id: today, now });
		expect(one?.match(/BEGIN:VEVENT/g)).toHaveLength(1);
		expect(await practiceCalendar(season.db, teamId, { id: 'none', now })).toBeUndefined();
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
			const looked = await lookAtGames(season.db, { teamId, seasonId, text: text(time) });
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
			importGames(season.db, { teamId, seasonId, taken: taken(of).slice(0, 1), base: of.stamp });
		expect(await take(found)).toEqual({ ok: true, value: 1 });
		expect(await take(found)).toMatchObject({ ok: false });
		expect((await look('0930')).games[0].same).toMatchObject({ isChanged: false });
		const later = await look('1000');
		expect(later.games[0].same).toMatchObject({ start: '10:30', isChanged: true });
		expect(await take(later)).toEqual({ ok: true, value: 1 });
		const { games = [] } = await season.seasonNow();
		expect(games).toHaveLength(9);
		expect(games.find(({ uid }) => uid === 'a')).toMatchObject({ start: '11:00', changes: 1 });
		expect(await lookAtGames(season.db, { teamId, seasonId, text: 'hello' })).toMatchObject({
			ok: false
		});
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
