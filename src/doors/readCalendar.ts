import { TZDate } from '@date-fns/tz';
import ICAL from 'ical.js';
import { isTimeZone } from '../core/conditions';
import { fail, ok, type Result } from '../core/base';

/** An event of a calendar file, in the local time of a team. */
export interface ReadEvent {
	/** Its UID; one of several in a row has its day behind it. */
	uid: string;
	date: string;
	/** None where it lasts all day. */
	start?: string;
	title: string;
	place?: string;
	isCancelled: boolean;
}

/** Why a calendar file cannot be read. */
export type CalendarFault = 'too-large' | 'no-calendar' | 'broken' | 'no-events' | 'too-many';

/** What was read, and how many events were left out because they have no day. */
export interface ReadCalendar {
	events: ReadEvent[];
	skipped: number;
}

/** The most that is read of a file, and the most events of it. */
export const MOST_CALENDAR_BYTES = 2_000_000;
const MOST_EVENTS = 2000;
/** The most days on which one event comes again, and the most that are gone through to find them. */
const MOST_REPEATS = 200;
const MOST_STEPS = 5000;

const two = (value: number) => String(value).padStart(2, '0');

/** A text in one line without what no text may hold, cut to what fits. */
const plain = (value: unknown, most = 200): string =>
	String(value ?? '')
		// eslint-disable-next-line no-control-regex -- control characters are what is taken out
		.replace(/[\u0000-\u001f\u007f]+/g, ' ')
		.trim()
		.slice(0, most);

/** A time of a file in the local time of a team. What names no zone, or one that nobody knows, is local already. */
function localTime(
	time: ICAL.Time,
	zoneName: string | undefined,
	timeZone: string
): { date: string; start?: string } {
	const { year, month, day, hour, minute, second } = time;
	const plainDay = `${String(year).padStart(4, '0')}-${two(month)}-${two(day)}`;
	if (time.isDate) return { date: plainDay };
	const isUtc = time.zone === ICAL.Timezone.utcTimezone;
	const hasOwn = time.zone && !isUtc && time.zone !== ICAL.Timezone.localTimezone;
	let instant: number | null = null;
	if (isUtc) instant = Date.UTC(year, month - 1, day, hour, minute, second);
	else if (zoneName && isTimeZone(zoneName))
		instant = new TZDate(year, month - 1, day, hour, minute, second, 0, zoneName).getTime();
	else if (hasOwn) instant = time.toJSDate().getTime();
	if (instant === null) return { date: plainDay, start: `${two(hour)}:${two(minute)}` };
	const shown = new TZDate(instant, timeZone);
	const date = `${String(shown.getFullYear()).padStart(4, '0')}-${two(shown.getMonth() + 1)}-${two(shown.getDate())}`;
	return { date, start: `${two(shown.getHours())}:${two(shown.getMinutes())}` };
}

/** The times of an event, each of those on which it comes again that lie within days. */
function* timesOf(
	event: ICAL.Event,
	{ first, last }: { first: string; last: string }
): Generator<{ time: ICAL.Time; item: ICAL.Event; isOne: boolean }> {
	if (!event.isRecurring()) {
		yield { time: event.startDate, item: event, isOne: true };
		return;
	}
	const iterator = event.iterator();
	let found = 0;
	for (let step = 0; step < MOST_STEPS && found < MOST_REPEATS; step += 1) {
		const time = iterator.next();
		if (!time) return;
		const day = time.toString().slice(0, 10);
		if (day > last) return;
		if (day < first) continue;
		found += 1;
		const { startDate, item } = event.getOccurrenceDetails(time);
		yield { time: startDate, item, isOne: false };
	}
}

/** Events of a calendar, each with those that stand in for one of its days. */
function eventsIn(calendar: ICAL.Component): ICAL.Event[] {
	const parts = calendar.getAllSubcomponents('vevent');
	const exceptions = parts.filter((part) => part.hasProperty('recurrence-id'));
	const uidOf = (part: ICAL.Component) => String(part.getFirstPropertyValue('uid') ?? '');
	const plainOnes = parts.filter((part) => !part.hasProperty('recurrence-id'));
	const known = new Set(plainOnes.map(uidOf));
	return [
		...plainOnes.map(
			(part) =>
				new ICAL.Event(part, {
					strictExceptions: false,
					exceptions: exceptions.filter((each) => uidOf(each) === uidOf(part))
				})
		),
		// A day of a row of which the file has nothing else stands for itself.
		...exceptions
			.filter((part) => !known.has(uidOf(part)))
			.map((part) => new ICAL.Event(part, { strictExceptions: false, exceptions: [] }))
	];
}

/** The events of one part of the file, by local time; null where it has no day that can be read. */
function readEvent(
	event: ICAL.Event,
	days: { first: string; last: string },
	timeZone: string
): ReadEvent[] | null {
	try {
		const uid = plain(event.uid, 150);
		return [...timesOf(event, days)].map(({ time, item, isOne }) => {
			const start = item.component.getFirstProperty('dtstart');
			const zone = start?.getFirstParameter('tzid') || undefined;
			const when = localTime(time, zone, timeZone);
			const place = plain(item.location);
			return {
				uid: isOne ? uid : `${uid} ${when.date}`,
				...when,
				title: plain(item.summary),
				...(place && { place }),
				isCancelled:
					String(item.component.getFirstPropertyValue('status') ?? '').toUpperCase() === 'CANCELLED'
			};
		});
	} catch {
		return null;
	}
}

/** Takes a zone's own name for itself where it is none that is known: what the file says of it counts. */
function registerZones(calendar: ICAL.Component): void {
	for (const zone of calendar.getAllSubcomponents('vtimezone')) {
		const id = zone.getFirstPropertyValue('tzid');
		if (typeof id === 'string' && !ICAL.TimezoneService.has(id))
			ICAL.TimezoneService.register(zone);
	}
}

/**
 * The events of an iCalendar file between two days, in the local time of a team. What comes again does so on
 * each of its days; an event without a day is counted and left out. Nothing of the file is followed or run.
 */
export function readCalendar(
	text: string,
	{ timeZone, ...days }: { timeZone: string; first: string; last: string }
): Result<ReadCalendar, CalendarFault> {
	if (text.length > MOST_CALENDAR_BYTES) return fail('too-large');
	const trimmed = text.replace(/^\uFEFF/, '').trim();
	if (!/^BEGIN:VCALENDAR/i.test(trimmed)) return fail('no-calendar');
	const events: ReadEvent[] = [];
	let skipped = 0;
	ICAL.TimezoneService.reset();
	try {
		const parsed: unknown[] = ICAL.parse(trimmed);
		// Several calendars in one file come as a list of them.
		const all = typeof parsed[0] === 'string' ? [parsed] : (parsed as unknown[][]);
		const calendars = all.map((each) => new ICAL.Component(each as [string, unknown[], unknown[]]));
		const found = calendars.flatMap((calendar) => {
			registerZones(calendar);
			return eventsIn(calendar);
		});
		if (found.length === 0) return fail('no-events');
		if (found.length > MOST_EVENTS) return fail('too-many');
		for (const event of found) {
			const read = readEvent(event, days, timeZone);
			if (read) events.push(...read);
			else skipped += 1;
		}
	} catch {
		return fail('broken');
	} finally {
		ICAL.TimezoneService.reset();
	}
	return ok({
		events: events.toSorted((a, b) =>
			`${a.date} ${a.start ?? ''}` < `${b.date} ${b.start ?? ''}` ? -1 : 1
		),
		skipped
	});
}
