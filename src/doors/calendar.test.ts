import ICAL from 'ical.js';
import { describe, expect, test } from 'vitest';
import { readCalendar, writeCalendar, type CalendarEvent } from './index';

const frame = { name: 'Saltmarsh', timeZone: 'Europe/London', stamp: Date.UTC(2027, 3, 6, 9) };
const days = { timeZone: 'Europe/London', first: '2027-03-01', last: '2027-06-06' };
const practice: CalendarEvent = {
	uid: 'p1@saltmarsh',
	sequence: 3,
	date: '2027-03-30',
	start: '18:30',
	minutes: 90,
	title:
		'Practice; with, marks \\ and a very long title that has to be folded since no line may be longer',
	place: 'Estuary Ground',
	says: '18:30 Warm-up\n18:40 Two-touch squares – Größe',
	isCancelled: false
};
const fileOf = (...lines: string[]) =>
	['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:x', ...lines, 'END:VCALENDAR', ''].join('\r\n');
const event = (...lines: string[]) =>
	fileOf('BEGIN:VEVENT', 'UID:g1', 'SUMMARY:Orrin Quay', ...lines, 'END:VEVENT');
const read = (text: string) => {
	const outcome = readCalendar(text, days);
	if (!outcome.ok) throw new Error(outcome.failure);
	return outcome.value.events;
};

describe('a calendar that is written', () => {
	const text = writeCalendar(
		[
			practice,
			{ ...practice, uid: 'p2@saltmarsh', date: '2027-03-25', isCancelled: true },
			{ uid: 'g1@saltmarsh', sequence: 0, date: '2027-04-03', title: 'Game', isCancelled: false }
		],
		frame
	);

	test('has short lines with their ends, and reads back as it was by the library', () => {
		for (const line of text.split('\r\n')) expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75);
		expect(text.endsWith('END:VCALENDAR\r\n')).toBe(true);
		expect(text.replaceAll('\r\n', '')).not.toMatch(/[\r\n]/);
		const calendar = new ICAL.Component(ICAL.parse(text));
		ICAL.TimezoneService.register(calendar.getFirstSubcomponent('vtimezone') as ICAL.Component);
		const [first, second, third] = calendar
			.getAllSubcomponents('vevent')
			.map((part) => new ICAL.Event(part));
		expect(first.uid).toBe(practice.uid);
		expect(first.sequence).toBe(3);
		expect(first.summary).toBe(practice.title);
		expect(first.description).toBe(practice.says);
		// Summer time began two days before: half past six is half past five in Greenwich.
		expect(first.startDate.toJSDate().toISOString()).toBe('2027-03-30T17:30:00.000Z');
		expect(first.endDate.toJSDate().toISOString()).toBe('2027-03-30T19:00:00.000Z');
		expect(second.startDate.toJSDate().toISOString()).toBe('2027-03-25T18:30:00.000Z');
		expect(second.component.getFirstPropertyValue('status')).toBe('CANCELLED');
		expect(third.startDate.isDate).toBe(true);
		ICAL.TimezoneService.reset();
	});

	test('is read by this application too', () => {
		expect(read(text)).toEqual([
			expect.objectContaining({
				uid: 'p2@saltmarsh',
				date: '2027-03-25',
				start: '18:30',
				isCancelled: true
			}),
			expect.objectContaining({
				uid: 'p1@saltmarsh',
				date: '2027-03-30',
				start: '18:30',
				place: 'Estuary Ground'
			}),
			{ uid: 'g1@saltmarsh', date: '2027-04-03', title: 'Game', isCancelled: false }
		]);
	});
});

describe('a calendar that is read', () => {
	test.each([
		['in Greenwich time', 'DTSTART:20270417T093000Z', { date: '2027-04-17', start: '10:30' }],
		['across midnight', 'DTSTART:20270416T233000Z', { date: '2027-04-17', start: '00:30' }],
		[
			'of a known zone without its rules',
			'DTSTART;TZID=America/New_York:20270417T053000',
			{ date: '2027-04-17', start: '10:30' }
		],
		[
			'of a zone that nobody knows',
			'DTSTART;TZID=Somewhere:20270417T103000',
			{ date: '2027-04-17', start: '10:30' }
		],
		['without a zone', 'DTSTART:20270417T103000', { date: '2027-04-17', start: '10:30' }],
		['that lasts all day', 'DTSTART;VALUE=DATE:20270417', { date: '2027-04-17' }]
	])('%s', (_what, line, expected) => {
		expect(read(event(line))).toEqual([
			{ uid: 'g1', title: 'Orrin Quay', isCancelled: false, ...expected }
		]);
	});

	test('with a zone of its own that it describes', () => {
		const zone = [
			'BEGIN:VTIMEZONE',
			'TZID:Club time',
			'BEGIN:STANDARD',
			'DTSTART:19700101T000000',
			'TZOFFSETFROM:+0300',
			'TZOFFSETTO:+0300',
			'END:STANDARD',
			'END:VTIMEZONE'
		];
		const text = fileOf(
			...zone,
			'BEGIN:VEVENT',
			'UID:g1',
			'SUMMARY:x',
			'DTSTART;TZID=Club time:20270417T123000',
			'END:VEVENT'
		);
		expect(read(text)[0]).toMatchObject({ date: '2027-04-17', start: '10:30' });
	});

	test('again and again: each day of it, one moved, one left out, by its own UID', () => {
		const text = fileOf(
			'BEGIN:VEVENT',
			'UID:g1',
			'SUMMARY:League',
			'DTSTART;TZID=Europe/London:20270313T103000',
			'RRULE:FREQ=WEEKLY;COUNT=5',
			'EXDATE;TZID=Europe/London:20270320T103000',
			'END:VEVENT',
			'BEGIN:VEVENT',
			'UID:g1',
			'RECURRENCE-ID;TZID=Europe/London:20270327T103000',
			'SUMMARY:League, moved',
			'DTSTART;TZID=Europe/London:20270328T120000',
			'END:VEVENT'
		);
		expect(read(text).map(({ uid, date, start, title }) => [uid, date, start, title])).toEqual([
			['g1 2027-03-13', '2027-03-13', '10:30', 'League'],
			['g1 2027-03-28', '2027-03-28', '12:00', 'League, moved'],
			['g1 2027-04-03', '2027-04-03', '10:30', 'League'],
			['g1 2027-04-10', '2027-04-10', '10:30', 'League']
		]);
	});

	test('with rules that never end stops at the season’s, or at its limit', () => {
		expect(read(event('DTSTART:20270301T100000', 'RRULE:FREQ=DAILY'))).toHaveLength(98);
		expect(
			read(event('DTSTART:20270301T100000', 'RRULE:FREQ=SECONDLY')).length
		).toBeLessThanOrEqual(200);
		expect(
			read(event('DTSTART:19000101T100000', 'RRULE:FREQ=MINUTELY')).length
		).toBeLessThanOrEqual(200);
	});

	test('takes nothing but text, in one line, of a length that fits', () => {
		const long = 'x'.repeat(4000);
		const [found] = read(
			fileOf(
				'BEGIN:VEVENT',
				`UID:${long}`,
				`SUMMARY:a\\nb\u0007${long}`,
				'LOCATION:<script>alert(1)</script>',
				'ATTACH:file:///etc/passwd',
				'DTSTART:20270417T103000',
				'END:VEVENT'
			)
		);
		expect(found.uid).toHaveLength(150);
		expect(found.title).toMatch(/^a bx|^a b x/);
		expect(found.title.length).toBeLessThanOrEqual(200);
		expect(found.place).toBe('<script>alert(1)</script>');
	});

	test('without a UID, a title or a day says so or is left out', () => {
		expect(read(fileOf('BEGIN:VEVENT', 'DTSTART:20270417T103000', 'END:VEVENT'))).toEqual([
			{ uid: '', date: '2027-04-17', start: '10:30', title: '', isCancelled: false }
		]);
		expect(readCalendar(fileOf('BEGIN:VEVENT', 'UID:a', 'END:VEVENT'), days)).toEqual({
			ok: true,
			value: { events: [], skipped: 1 }
		});
		expect(
			readCalendar(fileOf('BEGIN:VEVENT', 'UID:a', 'DTSTART:soon', 'END:VEVENT'), days).ok
		).toBe(true);
	});

	test.each([
		['10 MB', `${fileOf()}${' '.repeat(10_000_000)}`, 'too-large'],
		['no calendar', 'name,date\nOrrin Quay,2027-04-17', 'no-calendar'],
		['nothing', '', 'no-calendar'],
		['a picture', '\u0089PNG\r\n\u001a\n\u0000\u0000', 'no-calendar'],
		['half a file', 'BEGIN:VCALENDAR\r\nBEGIN:VEVENT\r\nUID:a', 'broken'],
		['no events', fileOf('BEGIN:VTODO', 'UID:t', 'END:VTODO'), 'no-events'],
		[
			'thousands of events',
			fileOf(
				...Array.from({ length: 2001 }, (_, k) => [
					'BEGIN:VEVENT',
					`UID:${k}`,
					'DTSTART:20270417T103000',
					'END:VEVENT'
				]).flat()
			),
			'too-many'
		]
	])('%s is refused', (_what, text, code) => {
		expect(readCalendar(text, days)).toEqual({ ok: false, failure: code });
	});

	test('of several calendars in one file, with lines that end in any way', () => {
		const one = event('DTSTART:20270417T103000');
		const two = event('DTSTART:20270424T103000').replace('UID:g1', 'UID:g2');
		expect(read(`${one}${two}`).map(({ uid }) => uid)).toEqual(['g1', 'g2']);
		expect(read(one.replaceAll('\r\n', '\n'))).toHaveLength(1);
	});
});
