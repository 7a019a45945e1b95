export { addDays, clockAt, dayAt, dayName, daysBetween, isTimeZone, weekdayOf } from './calendar';
export { instantOf } from './instant';
export { compassName, sunOver, type Moment, type Sun } from './sun';
