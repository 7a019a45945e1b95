export type { Misfit } from '../core/base';
export {
	MOST_CALENDAR_BYTES,
	readCalendar,
	type CalendarFault,
	type ReadCalendar,
	type ReadEvent
} from './readCalendar';
export { readJson, readShape } from './shape';
export { writeCalendar, type CalendarEvent, type CalendarFrame } from './writeCalendar';
