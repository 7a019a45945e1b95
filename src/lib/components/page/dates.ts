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
