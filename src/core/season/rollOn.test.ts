import fc from 'fast-check';
import { sum } from 'd3-array';
import { expect, it } from 'vitest';
import { addDays, daysBetween } from '../conditions';
import type { Season, Target } from '../model/season';
import { demoSurroundings } from '../../../tests/support/demo';
import { followedBy, lastDayOf, rolledOn, seasonFault } from './index';
import { skillsOf } from '../model/skill';

const saltmarsh = demoSurroundings('saltmarsh');
const known = {
	skills: new Set(skillsOf(saltmarsh.team.skillAreas)),
	units: new Set(saltmarsh.team.units.map(({ id }) => id)),
	grounds: new Set([saltmarsh.ground.id]),
	drills: new Map(
		saltmarsh.drills.map(({ id, rungs }) => [id, new Set(rungs.map((rung) => rung.id))])
	)
};

it('stretches phases and targets to any weeks, in order and within the season', () => {
	fc.assert(
		fc.property(
			fc.integer({ min: 1, max: 40 }),
			fc.integer({ min: 0, max: 400 }),
			(weeks, days) => {
				const before = saltmarsh.season;
				const firstDay = addDays(lastDayOf(before), 1 + days);
				const next = rolledOn(before, { id: 'next', name: 'Autumn', firstDay, weeks });
				expect(seasonFault(next, known)).toBeNull();
				const { phases = [], targets = [] } = next;
				// Phases of the demo follow each other without a gap: so do those of the next season.
				const lengths = phases.map((phase) => daysBetween(phase.firstDay, phase.lastDay) + 1);
				expect(sum(lengths)).toBe(7 * weeks);
				/** Minutes a day that a target asks for in its phase. */
				const density = (of: Season, { phase, minutes }: Target) => {
					const own = of.phases?.find(({ id }) => id === phase);
					return minutes / (own ? daysBetween(own.firstDay, own.lastDay) + 1 : NaN);
				};
				const isThere = ({ phase }: Target) => phases.some(({ id }) => id === phase);
				const kept = (before.targets ?? []).filter(isThere);
				expect(targets).toHaveLength(kept.length);
				for (const [k, target] of targets.entries()) {
					const length = lengths[phases.findIndex(({ id }) => id === target.phase)];
					const asked = density(before, kept[k]) * length;
					expect(Math.abs(density(next, target) * length - Math.max(1, asked))).toBeLessThan(0.51);
				}
				expect(next.games).toBeUndefined();
				expect(next.follows).toBe(before.id);
			}
		),
		{ seed: 8, numRuns: 60 }
	);
});

it('takes what is open on the fix list along, without the game that it was seen in', () => {
	const fix = {
		...{ id: 'a', name: 'Late', ground: { length: 9, width: 9 }, game: 'g', since: '2027-04-03' },
		tokens: [{ id: '1', side: 'ours' as const, x: 1, y: 1 }]
	};
	const season: Season = {
		...{ id: 's', name: 'Spring', firstDay: '2027-03-01', weeks: 14 },
		fixes: [fix, { ...fix, id: 'b', closed: '2027-04-06' }]
	};
	const next = rolledOn(season, { id: 'n', name: 'Autumn', firstDay: '2027-09-06', weeks: 10 });
	expect(next.fixes?.map(({ id, game }) => [id, game])).toEqual([['a', undefined]]);
});

it('follows a chain of seasons, and ends where it goes round', () => {
	const season = (id: string, follows?: string): Season => ({
		...{ id, name: id, firstDay: '2027-03-01', weeks: 1, ...(follows && { follows }) }
	});
	const [a, b, c] = [season('a'), season('b', 'a'), season('c', 'b')];
	expect(followedBy(c, [a, b, c]).map(({ id }) => id)).toEqual(['b', 'a']);
	expect(followedBy(a, [a, b, c])).toEqual([]);
	const round = season('a', 'c');
	expect(followedBy(c, [round, b, c]).map(({ id }) => id)).toEqual(['b', 'a']);
});
