import { describe, expect, test } from 'vitest';
import type { Season } from '../model/season';
import { askedOf, fromShares, phaseSums } from './aims';
import { dayOffOn, daysOfWeek, lastDayOf, openSlots, patternSlots, phaseOn } from './calendar';
import { seasonFault, type SeasonKnown } from './seasonFault';

const season: Season = {
	id: 's',
	name: 'Spring',
	firstDay: '2027-03-01',
	weeks: 3,
	phases: [
		{ id: 'one', name: 'One', firstDay: '2027-03-01', lastDay: '2027-03-10' },
		{ id: 'two', name: 'Two', firstDay: '2027-03-11', lastDay: '2027-03-21' }
	],
	patterns: [
		{ id: 'a', weekdays: [2, 4], start: '18:30', minutes: 90, place: 'Estuary' },
		{ id: 'b', weekdays: [6], start: '10:00', minutes: 60, place: 'Hall', firstDay: '2027-03-08' }
	],
	daysOff: [{ name: 'Exams', firstDay: '2027-03-09', lastDay: '2027-03-11' }],
	targets: [
		{ skill: 'passing', phase: 'one', minutes: 50 },
		{ skill: 'passing/1', phase: 'one', minutes: 40 },
		{ skill: 'passing/2', phase: 'one', minutes: 30 },
		{ skill: 'moving', phase: 'one', minutes: 20 },
		{ skill: 'moving', phase: 'one', unit: 'backs', minutes: 35 }
	]
};
const known: SeasonKnown = {
	skills: new Set(['passing', 'passing/1', 'passing/2', 'moving']),
	units: new Set(['backs']),
	grounds: new Set(['estuary']),
	drills: new Map([['duel', new Set(['slow'])]])
};

describe('the days of a season', () => {
	test('are counted to the last of its weeks', () => {
		expect(lastDayOf(season)).toBe('2027-03-21');
		expect(daysOfWeek(season, 2)).toEqual({ first: '2027-03-08', last: '2027-03-14' });
		expect(phaseOn(season, '2027-03-11')?.id).toBe('two');
		expect(phaseOn(season, '2027-04-01')).toBeUndefined();
		expect(dayOffOn(season, '2027-03-11')?.name).toBe('Exams');
	});

	test('give the slots of the patterns, without days off and within each pattern’s days', () => {
		expect(patternSlots(season).map(({ slot }) => slot)).toEqual([
			'2027-03-02 18:30',
			'2027-03-04 18:30',
			'2027-03-13 10:00',
			'2027-03-16 18:30',
			'2027-03-18 18:30',
			'2027-03-20 10:00'
		]);
		expect(patternSlots(season, '2027-03-17').map(({ date }) => date)).toEqual([
			'2027-03-18',
			'2027-03-20'
		]);
	});

	test('leave a slot open until a practice stands for it, wherever that has moved to', () => {
		const practices = [
			{ date: '2027-03-02', start: '18:30', slot: null },
			{ date: '2027-03-05', start: '19:00', slot: '2027-03-04 18:30' }
		];
		expect(openSlots(season, practices, season.firstDay).map(({ date }) => date)).toEqual([
			'2027-03-13',
			'2027-03-16',
			'2027-03-18',
			'2027-03-20'
		]);
	});
});

describe('targets of a phase', () => {
	test('ask for an area or for its stages together, and are held against its practices', () => {
		expect(askedOf(season.targets?.filter(({ unit }) => !unit) ?? [])).toBe(90);
		const practices = [
			{ date: '2027-03-02', minutes: 90, isCancelled: false },
			{ date: '2027-03-10', minutes: 60, isCancelled: false },
			{ date: '2027-03-04', minutes: 90, isCancelled: true },
			{ date: '2027-03-11', minutes: 90, isCancelled: false }
		];
		expect(phaseSums(season, practices)).toEqual([
			{ phase: 'one', asks: 90, has: 150 },
			{ phase: 'two', asks: 0, has: 90 }
		]);
		expect(phaseSums(season, practices, 'backs')[0].asks).toBe(35);
	});

	test('come from shares in whole five minutes', () => {
		expect(fromShares({ passing: 0.13, moving: 0.004, shooting: 0.1 }, 360)).toEqual([
			{ skill: 'passing', minutes: 45 },
			{ skill: 'shooting', minutes: 35 }
		]);
	});
});

describe('a season that makes no sense', () => {
	const course = (step: object) => [{ id: 'c', name: 'C', steps: [step as { drill: string }] }];
	test.each<[string, Partial<Season>, string]>([
		[
			'two phases at once',
			{
				phases: [
					...(season.phases ?? []),
					{ id: 'three', name: 'Three', firstDay: '2027-03-20', lastDay: '2027-03-21' }
				]
			},
			'phases.2.firstDay overlaps'
		],
		[
			'a phase that ends first',
			{ phases: [{ id: 'x', name: 'X', firstDay: '2027-03-10', lastDay: '2027-03-09' }] },
			'phases.0.lastDay ends-first'
		],
		[
			'a phase after the season',
			{ phases: [{ id: 'x', name: 'X', firstDay: '2027-03-10', lastDay: '2027-03-22' }] },
			'phases.0.lastDay outside'
		],
		[
			'a game before it',
			{ games: [{ id: 'g', date: '2027-02-28', opponent: 'Orrin Quay' }] },
			'games.0.date outside'
		],
		[
			'one calendar event twice',
			{
				games: [
					{ id: 'g', date: '2027-03-02', opponent: 'A', uid: 'u' },
					{ id: 'h', date: '2027-03-03', opponent: 'B', uid: 'u' }
				]
			},
			'games.1.uid twice'
		],
		[
			'an id twice',
			{
				games: [
					{ id: 'g', date: '2027-03-02', opponent: 'A' },
					{ id: 'g', date: '2027-03-03', opponent: 'B' }
				]
			},
			'games.1.id twice'
		],
		[
			'a skill that is gone',
			{ targets: [{ skill: 'gone', phase: 'one', minutes: 1 }] },
			'targets.0.skill no-skill'
		],
		[
			'a unit that is gone',
			{ targets: [{ skill: 'moving', unit: 'x', phase: 'one', minutes: 1 }] },
			'targets.0.unit no-unit'
		],
		[
			'a phase that is gone',
			{ targets: [{ skill: 'moving', phase: 'x', minutes: 1 }] },
			'targets.0.phase no-phase'
		],
		[
			'a target twice',
			{
				targets: [
					{ skill: 'moving', phase: 'one', minutes: 1 },
					{ skill: 'moving', phase: 'one', minutes: 2 }
				]
			},
			'targets.1.skill twice'
		],
		[
			'a floor twice',
			{
				floors: [
					{ skill: 'moving', minutes: 1 },
					{ skill: 'moving', minutes: 2 }
				]
			},
			'floors.1.skill twice'
		],
		[
			'a ground that is gone',
			{
				patterns: [
					{ id: 'a', weekdays: [1], start: '10:00', minutes: 60, place: 'x', groundId: 'gone' }
				]
			},
			'patterns.0.groundId no-ground'
		],
		[
			'a drill that is gone',
			{ courses: course({ drill: 'gone' }) },
			'courses.0.steps.0.drill no-drill'
		],
		[
			'a rung that is gone',
			{ courses: course({ drill: 'duel', rung: 'gone' }) },
			'courses.0.steps.0.rung no-rung'
		]
	])('%s is named with its place', (_what, change, place) => {
		const fault = seasonFault({ ...season, ...change }, known);
		expect(`${fault?.path.join('.')} ${fault?.code}`).toBe(place);
	});

	test('is told from one that makes sense', () => {
		expect(seasonFault(season, known)).toBeNull();
		const sound = { ...season, courses: course({ drill: 'duel', rung: 'slow' }) };
		expect(seasonFault(sound, known)).toBeNull();
	});
});
