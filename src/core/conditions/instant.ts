const MINUTE = 60_000;
const DAY = 24 * 60 * MINUTE;

/** What a clock in a time zone shows at an instant, as if it were UTC, in milliseconds. */
export function shownAt(instant: number, timeZone: string): number {
	const parts = new Intl.DateTimeFormat('en-GB', {
		timeZone,
		hourCycle: 'h23',
		year: 'numeric',
		month: '2-digit',
		day: '2-digit',
		hour: '2-digit',
		minute: '2-digit',
		second: '2-digit'
	}).formatToParts(new Date(instant));
	const of = (type: string) => Number(parts.find((part) => part.type === type)?.value);
	return Date.UTC(of('year'), of('month') - 1, of('day'), of('hour'), of('minute'), of('second'));
}

/**
 * The instant, in milliseconds since 1970, at which a clock in an IANA time zone shows `clock` on `date`,
 * `minutes` later. Of an hour that comes twice the first; one that is skipped counts on from before.
 */
export function instantOf(
	{ date, clock, timeZone }: { date: string; clock: string; timeZone: string },
	minutes = 0
): number {
	const wanted = Date.parse(`${date}T${clock}:00Z`);
	const offsetAt = (instant: number) => shownAt(instant, timeZone) - instant;
	const before = wanted - offsetAt(wanted - DAY);
	const after = wanted - offsetAt(before);
	const isSkipped = shownAt(before, timeZone) !== wanted && shownAt(after, timeZone) !== wanted;
	const instant = isSkipped || shownAt(before, timeZone) === wanted ? before : after;
	return instant + minutes * MINUTE;
}
