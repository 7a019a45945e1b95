import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { demoSurroundings } from '../../../tests/support/demo';
import { addDays } from '../conditions';
import type { ExportPerson } from '../model/exportFiles';
import type { Season } from '../model/season';
import { ALWAYS, type TeamHistory } from '../model/teamHistory';
import { contextOn, seasonOn, surroundingsOn } from './teamHistory';

const { team, season, ground } = demoSurroundings();
const person = (fields: Partial<ExportPerson>): ExportPerson => ({
	id: 'p',
	kind: 'player',
	name: 'P',
	units: [],
	ratings: [],
	...fields
});
const history = (fields: Partial<TeamHistory> = {}): TeamHistory => ({
	team,
	seasons: [season],
	people: [],
	grounds: [ground, { ...ground, id: 'other' }],
	kit: [],
	limits: [],
	archived: [],
	...fields
});
const day = (offset: number) => addDays('2027-03-01', offset);
const offset = fc.integer({ min: 0, max: 40 });

describe('what stood on a day', () => {
	test('is what was said last until then, of units, ratings, kit and limits', () => {
		fc.assert(
			fc.property(
				fc.uniqueArray(fc.tuple(offset, fc.constantFrom('a', 'b', null)), {
					selector: ([at]) => at,
					maxLength: 6
				}),
				fc.uniqueArray(fc.tuple(offset, fc.option(fc.integer({ min: 1, max: 5 }))), {
					selector: ([at]) => at,
					maxLength: 6
				}),
				offset,
				(units, ratings, asked) => {
					const sort = <Item extends [number, unknown]>(items: Item[]) =>
						items.toSorted(([a], [b]) => a - b);
					const said = history({
						people: [
							person({
								units: sort(units).map(([at, unit]) => ({ since: day(at), unit })),
								ratings: sort(ratings).map(([at, rating]) => ({
									since: day(at),
									skill: 'passing',
									rating
								}))
							})
						],
						kit: sort(ratings).map(([at, count]) => ({
							since: day(at),
							value: [{ item: 'ball', count: count ?? 0 }]
						}))
					});
					// Day by day from the first: what is said on a day holds from then on.
					let [unit, rating]: [string | null, number | null] = [null, null];
					let balls: number | undefined;
					for (let at = 0; at <= asked; at += 1) {
						for (const [from, value] of units) if (from === at) unit = value;
						for (const [from, value] of ratings)
							if (from === at) [rating, balls] = [value, value ?? 0];
					}
					const found = surroundingsOn(said, { day: day(asked) });
					expect(found?.players[0].unit ?? null).toBe(unit);
					expect(found?.players[0].ratings?.passing ?? null).toBe(rating);
					expect(found?.kit.ball).toBe(balls);
				}
			),
			{ seed: 15, numRuns: 200 }
		);
	});

	test('has the limits that were set by then over the defaults, and the ground that is named', () => {
		const said = history({
			limits: [
				{ since: ALWAYS, value: { waterMinutes: 15 } },
				{ since: day(10), value: { waterMinutes: 12 } }
			]
		});
		const on = (at: number, groundId?: string) => contextOn(said, { day: day(at), groundId });
		expect(on(9)?.limits).toMatchObject({ waterMinutes: 15, stopShare: 0.4 });
		expect(on(10)?.limits.waterMinutes).toBe(12);
		expect(on(0, 'other')?.ground.id).toBe('other');
		expect(on(0, 'gone')?.ground.id).toBe(ground.id);
		expect(contextOn(history({ seasons: [] }), { day: day(0) })).toBeUndefined();
	});
});

test('the season of a day holds it, or is the next, or else the last', () => {
	const seasons = fc.uniqueArray(
		fc.record({ start: fc.integer({ min: 0, max: 60 }), weeks: fc.integer({ min: 1, max: 6 }) }),
		{ selector: ({ start }) => start, minLength: 1, maxLength: 4 }
	);
	fc.assert(
		fc.property(seasons, fc.integer({ min: -10, max: 120 }), (made, asked) => {
			const list = made.map(({ start, weeks }): Season => ({
				id: `s${start}`,
				name: 'S',
				firstDay: day(start * 7),
				weeks
			}));
			const within = ({ firstDay, weeks }: Season) =>
				firstDay <= day(asked) && day(asked) < addDays(firstDay, 7 * weeks);
			const chosen = seasonOn(list, day(asked));
			if (list.some(within)) expect(chosen && within(chosen)).toBe(true);
			else {
				const later = list.filter(({ firstDay }) => firstDay > day(asked));
				const first = later.map(({ firstDay }) => firstDay).sort()[0];
				if (first !== undefined) expect(chosen?.firstDay).toBe(first);
				else expect(list).toContain(chosen);
			}
		}),
		{ seed: 16, numRuns: 200 }
	);
});
