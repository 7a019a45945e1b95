import { tzName, tzOffset, tzScan } from '@date-fns/tz';
import { addMinutes } from 'date-fns';
import ICAL from 'ical.js';
import { addDays } from '../core/conditions';

/** Something in a calendar: a practice or a game. */
export interface CalendarEvent {
	/** Stays the same as long as the event does. */
	uid: string;
	/** Grows with every change. */
	sequence: number;
	date: string;
	/** Local time; none for something that lasts all day. */
	start?: string;
	/** Minutes that it lasts. */
	minutes?: number;
	title: string;
	place?: string;
	says?: string;
	isCancelled: boolean;
}

// A limit of 75 octets holds for a line with its break; the library counts without.
ICAL.foldLength = 74;

const local = (date: string, clock: string): string => `${date}T${clock}:00`;

/** Hours and minutes that a zone is ahead of Greenwich: `+01:00`. */
function offsetText(minutes: number): string {
	const size = Math.abs(minutes);
	const two = (value: number) => String(value).padStart(2, '0');
	return `${minutes < 0 ? '-' : '+'}${two(Math.floor(size / 60))}:${two(size % 60)}`;
}

/** One time that a zone keeps to: from when, and by how much it changes. */
function observance(timeZone: string, at: Date, before: number, offset: number): ICAL.Component {
	const part = new ICAL.Component(offset > before ? 'daylight' : 'standard');
	// When it begins, by the clock that held until then.
	const shown = addMinutes(at, before).toISOString().slice(0, 19);
	part.updatePropertyWithValue('dtstart', ICAL.Time.fromDateTimeString(shown));
	part.updatePropertyWithValue('tzoffsetfrom', ICAL.UtcOffset.fromString(offsetText(before)));
	part.updatePropertyWithValue('tzoffsetto', ICAL.UtcOffset.fromString(offsetText(offset)));
	part.updatePropertyWithValue('tzname', tzName(timeZone, at, 'short'));
	return part;
}

/** What a time zone does between two days, as calendars want it beside its name. */
function zonePart(timeZone: string, first: string, last: string): ICAL.Component {
	const zone = new ICAL.Component('vtimezone');
	zone.updatePropertyWithValue('tzid', timeZone);
	const interval = {
		start: new Date(`${addDays(first, -370)}T00:00:00Z`),
		end: new Date(`${addDays(last, 370)}T00:00:00Z`)
	};
	let before = tzOffset(timeZone, interval.start);
	zone.addSubcomponent(observance(timeZone, interval.start, before, before));
	for (const { date, offset } of tzScan(timeZone, interval)) {
		zone.addSubcomponent(observance(timeZone, date, before, offset));
		before = offset;
	}
	return zone;
}

function timed(name: string, text: string, timeZone: string): ICAL.Property {
	const property = new ICAL.Property(name);
	property.setParameter('tzid', timeZone);
	property.setValue(ICAL.Time.fromDateTimeString(text));
	return property;
}

function eventPart(event: CalendarEvent, { timeZone, stamp }: CalendarFrame): ICAL.Component {
	const { uid, sequence, date, start, minutes, title, place, says, isCancelled } = event;
	const part = new ICAL.Component('vevent');
	part.updatePropertyWithValue('uid', uid);
	part.updatePropertyWithValue('dtstamp', ICAL.Time.fromJSDate(new Date(stamp), true));
	part.updatePropertyWithValue('sequence', sequence);
	if (start === undefined) {
		part.updatePropertyWithValue('dtstart', ICAL.Time.fromDateString(date));
		part.updatePropertyWithValue('dtend', ICAL.Time.fromDateString(addDays(date, 1)));
	} else {
		part.addProperty(timed('dtstart', local(date, start), timeZone));
		if (minutes !== undefined)
			part.updatePropertyWithValue('duration', ICAL.Duration.fromSeconds(minutes * 60));
	}
	part.updatePropertyWithValue('summary', title);
	if (place) part.updatePropertyWithValue('location', place);
	if (says) part.updatePropertyWithValue('description', says);
	part.updatePropertyWithValue('status', isCancelled ? 'CANCELLED' : 'CONFIRMED');
	return part;
}

/** What all events of a calendar have in common. */
export interface CalendarFrame {
	/** What the calendar is called. */
	name: string;
	/** IANA name of the zone that times are in. */
	timeZone: string;
	/** When it is written: milliseconds since 1970. */
	stamp: number;
}

/** An iCalendar file of events, with lines that end as the format asks for. */
export function writeCalendar(events: readonly CalendarEvent[], frame: CalendarFrame): string {
	const calendar = new ICAL.Component('vcalendar');
	calendar.updatePropertyWithValue('version', '2.0');
	calendar.updatePropertyWithValue('prodid', '-//Field Plan//Season//EN');
	calendar.updatePropertyWithValue('method', 'PUBLISH');
	calendar.updatePropertyWithValue('x-wr-calname', frame.name);
	const days = events.map(({ date }) => date).sort();
	if (events.some(({ start }) => start !== undefined))
		calendar.addSubcomponent(zonePart(frame.timeZone, days[0], days[days.length - 1]));
	for (const event of events) calendar.addSubcomponent(eventPart(event, frame));
	return `${calendar.toString()}\r\n`;
}
