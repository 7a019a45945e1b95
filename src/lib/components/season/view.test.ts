import { describe, expect, test } from 'vitest';
import type { Season } from '$core/model/season';
import { speaker } from '$words';
import { calendarWeeks } from './calendarItems';
import { readMessage } from '../../../words/read';
import { dueWords } from './dueWords';
import { weekWords, wholeWords } from './lineWords';
import {
	nextOf,
	ordered,
	phaseStretches,
	placeOf,
	seasonView,
	sharesOf,
	weekOfRibbon,
	type SentSeason,
	type ShownPractice
} from './view';

const practice = (
	id: string,
	date: string,
	state: ShownPractice['state'] = 'held'
): ShownPractice => ({
	...{ id, date, start: '18:30', minutes: 90, place: 'Ground', state, reason: null },
	summary: { plannedMinutes: 90, opposedShare: 0.2, stops: 0 }
});
const season: Season = {
	...{ id: 's', name: 'S', firstDay: '2027-03-01', weeks: 3 },
	phases: [{ id: 'one', name: 'One', firstDay: '2027-03-04', lastDay: '2027-03-14' }],
	targets: [
		{ skill: 'passing', phase: 'one', minutes: 50 },
		{ skill: 'moving', phase: 'one', unit: 'backs', minutes: 30 }
	],
	games: [{ id: 'g', date: '2027-03-06', start: '10:00', opponent: 'Orrin Quay' }],
	daysOff: [{ name: 'Exams', firstDay: '2027-03-09', lastDay: '2027-03-10' }]
};
const sent: SentSeason = {
	today: '2027-03-10',
	season,
	areas: [
		{ id: 'passing', name: 'Passing', stages: ['near'] },
		{ id: 'moving', name: 'Moving' }
	],
	players: [{ id: 'a', unit: 'backs' }, { id: 'b' }],
	practices: [
		practice('p', '2027-03-02'),
		practice('q', '2027-03-05'),
		practice('r', '2027-03-12', 'planned'),
		practice('s', '2027-03-13', 'cancelled')
	],
	sums: JSON.stringify([
		['p', 'passing/1', 1, 'backs', 1200],
		['p', 'passing', 1, null, 600],
		['q', 'passing', 0, 'backs', 600],
		['r', 'moving', 1, 'backs', 900]
	]),
	costs: [
		{ practice: 'p', unit: 'backs', load: 60, contact: 0 },
		{ practice: 'p', unit: null, load: 40, contact: 0 }
	],
	counts: [
		['backs', 1],
		[null, 1]
	],
	pushes: [],
	tallies: [],
	drills: []
};
const lineOf = (view: ReturnType<typeof seasonView>, skill: string, unit?: string) =>
	view.lines.find((line) => line.skill === skill && line.unit === unit);

describe('the season as it is shown', () => {
	test('tells all that is owed of one day, that of the next practice', () => {
		const { figures, due, dueDay } = seasonView(sent);
		expect(dueDay).toBe('2027-03-12');
		const owed = new Map(due.now.map((each) => [each.skill, each.owedMinutes]));
		// The phase lasts 11 days, 9 of which have begun; the two players had 20 min each of passing.
		expect(owed.get('passing')).toBeCloseTo((50 * 9) / 11 - 20, 6);
		expect(owed.get('moving')).toBeCloseTo((30 * 9) / 11, 6);
		expect(figures.most).toMatchObject({ skill: 'moving', owedMinutes: owed.get('moving') });
		expect(figures.met).toBeCloseTo(20 / ((50 * 9) / 11 + (30 * 9) / 11), 6);
		// Never a main skill since 1 March; passing was one on 2 March.
		expect(figures.gap).toEqual({ skill: 'moving', unit: 'backs', days: 11 });
		const passing = due.now.find(({ skill }) => skill === 'passing');
		expect(passing && dueWords(passing, speaker(undefined, readMessage), dueDay)).toContain(
			'main skill 10 days ago'
		);
	});

	test('says of a line what the list says of it, and of a week where it stands at its end', () => {
		const say = speaker(undefined, readMessage);
		const view = seasonView(sent);
		const passing = lineOf(view, 'passing');
		if (!passing) throw new Error('passing is a line');
		// 20 min were had; 41 are due by Friday, and all 50 by the end of the second week.
		expect(wholeWords(passing, view, say)).toBe(
			'20 min done, 0 min planned · To Friday 12 March: owes 21 of 41 min · main skill 10 days ago, spacing 4'
		);
		expect(weekWords(passing, 2, say)).toBe(
			'0 min done, 0 min planned · To the end of week 2, with what is planned: 20 of 50 min, 30 min short'
		);
		expect(weekWords(passing, 1, say)).toContain('20 of 18 min');
		expect(
			weekWords(
				{ ...passing, cells: passing.cells.map((cell) => ({ ...cell, target: 0 })) },
				1,
				say
			)
		).toBe('20 min done, 0 min planned');
	});

	test('is drawn from what was sent: of all, and of a unit at once', () => {
		const view = seasonView(sent);
		expect(lineOf(view, 'passing')?.cells.map(({ done }) => done)).toEqual([20, 0, 0]);
		expect(lineOf(view, 'moving', 'backs')?.cells[1]).toMatchObject({ done: 0, planned: 15 });
		expect(view.weeks[0].done).toBe(50);
		expect(view.figures).toMatchObject({ held: 2, practices: 3 });
		expect(view.dueDay).toBe('2027-03-12');
		const backs = seasonView(sent, 'backs');
		expect(lineOf(backs, 'passing')?.cells[0].done).toBe(30);
		expect(backs.weeks[0].done).toBe(60);
		expect(backs.due.now.map(({ skill }) => skill).sort()).toEqual(['moving', 'passing']);
	});

	test('is ordered by what is owed or by what was trained least', () => {
		const { lines } = seasonView(sent);
		const owed = ordered(lines, 'owed', 2).map(({ cells }) => cells[1].owed);
		expect(owed).toEqual(owed.toSorted((a, b) => b - a));
		expect(ordered(lines, 'least', 2)[0].skill).toBe('moving');
		expect(ordered(lines, 'listed', 2)).toEqual(lines);
	});

	test('opens the practices behind a line, a week, or both', () => {
		const view = seasonView(sent);
		const { practices } = sent;
		const ids = (at: { week?: number; skill?: string }) =>
			sharesOf(view, {
				...{ season, practices },
				...(at.week && { week: at.week }),
				...(at.skill && { line: lineOf(view, at.skill) })
			}).map(({ practice: { id }, minutes }) => [id, minutes]);
		expect(ids({ week: 1, skill: 'passing' })).toEqual([
			['p', 15],
			['q', 5]
		]);
		expect(ids({ week: 2 }).map(([id]) => id)).toEqual(['r', 's']);
		expect(ids({ skill: 'passing' }).map(([id]) => id)).toEqual(['p', 'q', 'r']);
	});

	test('has its phases, its days and its ribbon in place', () => {
		expect(phaseStretches(season)).toEqual([{ id: 'one', name: 'One', from: 3 / 7, to: 2 }]);
		expect(placeOf(season, '2027-03-11')).toBeCloseTo(10 / 21, 9);
		expect([placeOf(season, '2027-02-28'), placeOf(season, '2027-03-22')]).toEqual([null, null]);
		expect(weekOfRibbon({ season, practices: sent.practices }, 1).map(({ kind }) => kind)).toEqual([
			'practice',
			'practice',
			'game'
		]);
		expect(nextOf(sent.practices, '2027-03-13')).toBeUndefined();
	});
});

test('the calendar has every day of every week, with what is on it in order of time', () => {
	const practices = sent.practices.map((each) => ({
		...each,
		summary: { plannedMinutes: 90, busyShare: 0.5, stops: 0 }
	}));
	const late = { ...practices[0], id: 'late', date: '2027-03-06', start: '09:00' };
	const weeks = calendarWeeks(season, [...practices, late]);
	expect(weeks.map(({ days }) => days.length)).toEqual([7, 7, 7]);
	const [, , , , , saturday] = weeks[0].days;
	expect(saturday.items.map(({ id }) => id)).toEqual(['late', 'g']);
	expect(weeks[1]).toMatchObject({ phase: 'One' });
	expect(weeks[1].days.filter(({ off }) => off).map(({ date }) => date)).toEqual([
		'2027-03-09',
		'2027-03-10'
	]);
});
