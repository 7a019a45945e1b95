/** Whether a text is a day of the calendar in these three centuries: the 30th of February is none. */
export function isDay(day: string): boolean {
	if (!/^(19|20|21)\d\d-\d\d-\d\d$/.test(day)) return false;
	const date = new Date(`${day}T00:00:00Z`);
	return !Number.isNaN(date.getTime()) && date.toISOString().startsWith(day);
}
