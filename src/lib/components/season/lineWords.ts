import type { ClothLine } from '$core/season';
import type { Say } from '$words';
import texts from '$texts/season';
import { dayWords } from '../page/dates';
import { dueWords } from './dueWords';
import { lineKey, totalOf, type SeasonView } from './view';

/** What a line had and is to have, in minutes. */
const hadWords = ({ done, planned }: { done: number; planned: number }, say: Say): string =>
	say(texts.soMuch, { done: Math.round(done), planned: Math.round(planned) });

/** What a line had and is to have in a week, and where it stands at the week's end, in words. */
export function weekWords({ cells }: ClothLine, week: number, say: Say): string {
	const cell = cells[week - 1];
	if (cell.target === 0) return hadWords(cell, say);
	const [standing, target, owed] = [cell.standing, cell.target, cell.owed].map(Math.round);
	return [hadWords(cell, say), say(texts.toEndOfWeek, { week, standing, target, owed })].join(
		' · '
	);
}

/** What a line had and is to have in all, and what it owes on the day that the list of what is due tells of, in words. */
export function wholeWords(
	line: ClothLine,
	{ due, dueDay }: Pick<SeasonView, 'due' | 'dueDay'>,
	say: Say
): string {
	const own = [...due.now, ...due.later].find((each) => lineKey(each) === lineKey(line));
	const had = hadWords(totalOf(line), say);
	if (!own) return had;
	const why = dueWords(own, say, dueDay);
	return [had, say(texts.toDay, { day: dayWords(dueDay), why })].join(' · ');
}
