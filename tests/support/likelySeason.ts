import { randomLcg } from 'd3-random';
import { addDays } from '../../src/core/conditions';
import type { SeasonPlanInput } from '../../src/core/seasonPlan';
import { demoSurroundings, demoTeams } from './demo';
import { FIRST_DAY, plannable } from './seasons';

/**
 * A season as a coach would plan one, from its first day: the team's whole shelf, nearly all there, the usual
 * days, targets in two phases that the minutes can meet, a game a week in the second, in some a taper and a week off.
 */
export function likelySeason(seed: number): SeasonPlanInput {
	const random = randomLcg(((seed * 6151 + 7) % 9973) / 9973);
	const upTo = (most: number) => Math.floor(random() * most);
	const { team, drills, players, adults } = demoSurroundings(
		demoTeams()[seed % demoTeams().length]
	);
	const isYoung = team.ages.from < 12;
	const weeks = 5 + upTo(8);
	const weekdays = isYoung
		? [2]
		: [
				[1, 3],
				[1, 4],
				[0, 2, 4]
			][upTo(3)];
	const minutes = isYoung ? 28 + upTo(15) : 45 + upTo(25);
	const weekOff = random() < 0.3 ? 2 + upTo(weeks - 3) : null;
	const practices = Array.from({ length: weeks }, (_, week) =>
		(week === weekOff ? [] : weekdays).map((day) => addDays(FIRST_DAY, 7 * week + day))
	)
		.flat()
		.map((date, k) => ({
			...{ id: `p${k}`, date, minutes },
			...{ players: Math.ceil(players.length * (0.85 + 0.15 * random())), adults: adults.length }
		}));
	const areas = team.skillAreas.filter(({ id }) =>
		plannable(drills).some(({ skills }) =>
			skills.some(({ skill, focus }) => focus === 'main' && skill.split('/')[0] === id)
		)
	);
	const parts = areas.map(() => 0.6 + random());
	const whole = parts.reduce((sum, part) => sum + part, 0);
	const load = 0.7 + 0.4 * random();
	const half = Math.floor(weeks / 2);
	const bounds = [addDays(FIRST_DAY, 7 * half - 1), addDays(FIRST_DAY, 7 * weeks - 1)];
	const hasTaper = weeks >= 8 && random() < 0.5;
	return {
		today: FIRST_DAY,
		practices,
		players: players.map(({ id }) => id),
		units: Object.fromEntries(players.flatMap(({ id, unit }) => (unit ? [[id, unit]] : []))),
		ages: team.ages,
		skills: areas.map(({ id }, k) => {
			const asked = (load * practices.length * minutes * parts[k]) / whole / 2;
			return {
				id,
				targets: [
					{ from: FIRST_DAY, to: bounds[0], minutes: Math.round(asked) },
					{ from: addDays(bounds[0], 1), to: bounds[1], minutes: Math.round(asked) }
				]
			};
		}),
		drills: plannable(drills),
		games: Array.from({ length: weeks - half }, (_, k) => ({
			date: addDays(FIRST_DAY, 7 * (half + k) + 5)
		})),
		...(hasTaper && { tapers: [{ firstDay: addDays(bounds[1], -6), lastDay: bounds[1] }] }),
		seed
	};
}
