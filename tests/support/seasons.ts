import { randomLcg } from 'd3-random';
import { addDays, daysBetween } from '../../src/core/conditions';
import type { Drill } from '../../src/core/model/drill';
import { trained } from '../../src/core/model/skill';
import { ladderOf } from '../../src/core/drill';
import { planSearch, type SeasonPlanInput, type SeasonPlanOutput } from '../../src/core/seasonPlan';
import { demoSurroundings, demoTeams } from './demo';

export const FIRST_DAY = '2027-03-01';
const APART = new Set(['warm-up', 'cool-down', 'scrimmage']);

/** The best plan after so many reports of the search. */
export function planned(input: SeasonPlanInput, reports = 20): SeasonPlanOutput {
	const found = planSearch(input);
	if (!found.ok) throw new Error(found.failure.message);
	let state = found.value.next();
	for (let k = 1; k < reports && !state.done && !state.value.done; k += 1)
		state = found.value.next();
	if (state.done) throw new Error('a search is never over');
	return state.value.best;
}

/** Drills of a demo team that a plan chooses from: no warm-ups or games, none that one role alone can do. */
export const plannable = (drills: readonly Drill[]): Drill[] =>
	drills.filter(({ family, needsRole }) => !APART.has(family ?? '') && !needsRole);

/** A made-up season to be planned: some weeks of practices, targets in phases, games, what was done and stands. */
export function randomSeason(seed: number): SeasonPlanInput {
	const random = randomLcg(((seed * 7919 + 13) % 9973) / 9973);
	const upTo = (most: number) => Math.floor(random() * most);
	const chance = (share: number) => random() < share;
	const some = <Item>(items: readonly Item[], count: number) =>
		items
			.map((item) => ({ item, order: random() }))
			.sort((a, b) => a.order - b.order)
			.slice(0, count)
			.map(({ item }) => item);
	const { team, drills, players } = demoSurroundings(demoTeams()[seed % demoTeams().length]);
	const shelf = plannable(drills);
	const weeks = 3 + upTo(10);
	const begun = chance(0.5) ? 7 * upTo(4) : 0;
	const today = addDays(FIRST_DAY, begun);
	const weekdays = some([0, 1, 2, 3, 4], 2 + upTo(3)).sort();
	const minutes = 30 + 5 * upTo(11);
	const days = Array.from({ length: weeks }, (_, week) =>
		weekdays.map((day) => 7 * week + day)
	).flat();
	const last = addDays(today, 7 * weeks - 1);
	const middle = addDays(today, Math.floor((7 * weeks) / 2));
	const practices = days.map((day, k): SeasonPlanInput['practices'][number] => ({
		id: `p${k}`,
		date: addDays(today, day),
		minutes,
		players: chance(0.2) ? upTo(players.length) : players.length,
		...(chance(0.8) && { adults: chance(0.1) ? 0 : 2 + upTo(5) }),
		...(chance(0.08) && {
			locked: some(shelf, 1 + upTo(2)).map(({ id, rungs }) => ({
				drill: id,
				...(rungs.length > 0 && chance(0.3) && { rung: rungs[0].id }),
				minutes: 6 + upTo(9)
			}))
		})
	}));
	const areas = some(trained(team.skillAreas), 3 + upTo(5));
	const whole = minutes * days.length;
	return {
		today,
		practices,
		players: players.map(({ id }) => id),
		units: Object.fromEntries(players.flatMap(({ id, unit }) => (unit ? [[id, unit]] : []))),
		skills: areas.map(({ id }, k) => ({
			id,
			...(k > 0 && chance(0.15) && { after: [areas[k - 1].id] }),
			...(chance(0.3) && { weight: 1 + upTo(3) }),
			targets: [
				{
					from: today,
					to: middle,
					minutes: Math.round((whole * (0.2 + random())) / areas.length / 2)
				},
				{
					from: addDays(middle, 1),
					to: last,
					minutes: Math.round((whole * (0.2 + random())) / areas.length / 2)
				}
			]
		})),
		drills: shelf,
		done:
			begun === 0
				? []
				: Array.from({ length: begun }, (_, day) => ({
						date: addDays(FIRST_DAY, day),
						skill: areas[day % areas.length].id,
						player: players[day % players.length].id,
						seconds: 60 * upTo(900),
						focus: chance(0.5) ? ('main' as const) : ('second' as const)
					})),
		held: Array.from({ length: begun / 7 }, (_, week) => ({
			date: addDays(FIRST_DAY, 7 * week + 6),
			...(chance(0.5) && { contactMinutes: upTo(25) }),
			load: 200 + upTo(200),
			...(chance(0.3) && { isHard: true })
		})),
		ladders: some(shelf, upTo(8)).map((drill) => ({
			drill: drill.id,
			rung: ladderOf(drill)[upTo(ladderOf(drill).length)],
			...(begun > 0 && chance(0.7) && { last: addDays(FIRST_DAY, upTo(begun)) })
		})),
		...(chance(0.4) && { ages: { from: 7 + upTo(12), to: 30 } }),
		...(chance(0.4) && { tapers: [{ firstDay: addDays(last, -9), lastDay: last }] }),
		games: Array.from({ length: weeks }, (_, week) => ({ date: addDays(today, 7 * week + 5) })),
		daysOff: chance(0.3)
			? [{ firstDay: addDays(today, 7), lastDay: addDays(today, 8 + upTo(5)) }]
			: [],
		...(chance(0.3) && { limits: { hardEffort: 6 + upTo(3), contactDayMinutes: 8 + upTo(15) } }),
		seed
	};
}

/** A season of so many practices twice or three times a week, 25 drills and 14 skills that all have targets by phase. */
export function wholeSeason(count: number, seed = 1): SeasonPlanInput {
	const random = randomLcg(((seed * 7919 + 29) % 9973) / 9973);
	const upTo = (most: number) => Math.floor(random() * most);
	const { drills, players } = demoSurroundings('saltmarsh');
	const shelf = plannable(drills);
	const skills = Array.from({ length: 14 }, (_, k) => `skill-${k}`);
	const made = Array.from({ length: 25 }, (_, k): Drill => {
		const [a, b, c] = [k % 14, (k * 5 + 3) % 14, (k * 3 + 7) % 14];
		const own = [...new Set([a, b, c])];
		const parts = own.map(() => 1 + upTo(3));
		const whole = parts.reduce((sum, part) => sum + part, 0);
		return {
			...shelf[k % shelf.length],
			id: `drill-${k}`,
			// A rung is harder; what it trains stays.
			rungs: shelf[k % shelf.length].rungs.map((rung) => {
				const { skills: _skills, ...set } = rung.set ?? {};
				return { ...rung, set };
			}),
			frequency: k === 0 ? 'daily' : k % 4 === 1 ? 'vary' : 'regular',
			contact: k % 9 === 4 ? 3 : 0,
			effort: 3 + (k % 6),
			skills: own.map((skill, j) => ({
				skill: skills[skill],
				share: parts[j] / whole,
				focus: j === 0 ? ('main' as const) : ('second' as const)
			}))
		};
	});
	const today = FIRST_DAY;
	const dates = Array.from({ length: count }, (_, k) =>
		addDays(today, 7 * Math.floor(k / 2) + (k % 2 === 0 ? 1 : 3))
	);
	const last = addDays(dates[dates.length - 1], 3);
	const phases = Math.max(2, Math.ceil(count / 10));
	const days = daysBetween(today, last);
	const bounds = Array.from({ length: phases + 1 }, (_, k) => Math.round((days * k) / phases));
	const minutes = 50;
	return {
		today,
		practices: dates.map((date, k) => ({
			...{ id: `p${k}`, date, minutes, players: players.length - upTo(4), adults: 5 }
		})),
		players: players.map(({ id }) => id),
		skills: skills.map((id, k) => ({
			id,
			...(k > 0 && k % 5 === 0 && { after: [skills[k - 1]] }),
			weight: 1 + (k % 3),
			targets: bounds.slice(1).map((to, phase) => ({
				from: addDays(today, bounds[phase] + (phase > 0 ? 1 : 0)),
				to: addDays(today, to),
				minutes: Math.round(((minutes * count) / phases / 14) * (0.6 + 0.9 * random()))
			}))
		})),
		drills: made,
		games: dates.flatMap((date, k) => (k % 2 === 1 && k > 4 ? { date: addDays(date, 2) } : [])),
		seed
	};
}
