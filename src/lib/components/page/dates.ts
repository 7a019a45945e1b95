const WORDS = new Intl.DateTimeFormat('en-GB', {
	weekday: 'long',
	day: 'numeric',
	month: 'long',
	timeZone: 'UTC'
});

/** A day in words, `Tuesday 6 April`, in the language of the interface. */
export function dayWords(day: string): string {
	return WORDS.format(new Date(`${day}T00:00:00Z`)).replace(',', '');
}

/** The days of the week from Monday on, `Monday` or `Mon`, in the language of the interface. */
export function weekdayNames(weekday: 'long' | 'short'): string[] {
	const words = new Intl.DateTimeFormat('en-GB', { weekday, timeZone: 'UTC' });
	// The year 2001 began on a Monday.
	return Array.from({ length: 7 }, (_, index) => words.format(Date.UTC(2001, 0, 1 + index)));
}
