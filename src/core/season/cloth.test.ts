import { randomLcg } from 'd3-random';
import { describe, expect, test } from 'vitest';
import { demoContext, demoPractices, demoTeams } from '../../../tests/support/demo';
import { addDays } from '../conditions';
import type { Season, Target } from '../model/season';
import { evaluate } from '../playing';
import { clothOf, type ClothPractice, type SkillSum } from './cloth';
import { coverage } from './coverage';
import { loadByWeek, lacking, type CostSum } from './figures';
import { ledgerRows } from './ledger';
import { weekOf } from './week';

/** A row of a practice as it is added up by hand. */
interface Row {
	practice: string;
	player: string;
	unit: string | null;
	skill: string;
	seconds: number;
}

/** Sums by practice, skill and unit, as the database makes them. */
function sumsOf(rows: readonly Row[]): SkillSum[] {
	const sums = new Map<string, SkillSum>();
	for (const { practice, skill, unit, seconds } of rows) {
		const key = JSON.stringify([practice, skill, unit]);
		const sum = sums.get(key) ?? { practice, skill, unit, seconds: 0 };
		sums.set(key, { ...sum, seconds: sum.seconds + seconds });
	}
	return [...sums.values()];
}

const countsOf = (players: readonly { unit?: string }[]) => {
	const counts = new Map<string | null, number>();
	for (const { unit = null } of players as { unit?: string | null }[])
		counts.set(unit, (counts.get(unit) ?? 0) + 1);
	return counts;
};

/** What a cell must say, added up row by row. */
function byHand(
	season: Season,
	{ skill, unit }: { skill: string; unit?: string },
	week: number,
	{ rows, practices, players }: World
) {
	const own = players.filter((player) => unit === undefined || player.unit === unit);
	const ids = new Set(own.map(({ id }) => id));
	const minutes = (of: (practice: ClothPractice) => boolean) => {
		const wanted = new Set(practices.filter(of).map(({ id }) => id));
		let seconds = 0;
		for (const row of rows) {
			const isSkill = row.skill === skill || row.skill.startsWith(`${skill}/`);
			if (isSkill && wanted.has(row.practice) && ids.has(row.player)) seconds += row.seconds;
		}
		return own.length === 0 ? 0 : seconds / 60 / own.length;
	};
	const last = addDays(season.firstDay, 7 * week - 1);
	const isIn = ({ date }: ClothPractice) => weekOf(season, date) === week;
	let target = 0;
	for (const each of season.targets ?? []) {
		const phase = season.phases?.find(({ id }) => id === each.phase);
		if (!phase || each.skill !== skill || each.unit !== unit) continue;
		let [days, begun] = [0, 0];
		for (let day = phase.firstDay; day <= phase.lastDay; day = addDays(day, 1)) {
			days += 1;
			if (day <= last) begun += 1;
		}
		target += (each.minutes * begun) / days;
	}
	return {
		done: minutes((practice) => isIn(practice) && practice.isDone),
		planned: minutes((practice) => isIn(practice) && !practice.isDone),
		standing: minutes(({ date }) => weekOf(season, date) >= 1 && weekOf(season, date) <= week),
		target
	};
}

interface World {
	rows: Row[];
	practices: ClothPractice[];
	players: { id: string; unit?: string }[];
}

function expectByHand(
	season: Season,
	areas: { id: string; stages?: string[] }[],
	world: World,
	every = 1
) {
	const lines = clothOf({
		season,
		areas: areas.map((area) => ({ name: area.id, ...area })),
		practices: world.practices,
		sums: sumsOf(world.rows),
		players: countsOf(world.players)
	});
	expect(lines.length).toBeGreaterThan(0);
	for (const line of lines)
		for (const [index, cell] of line.cells.entries()) {
			if (index % every !== 0) continue;
			const wanted = byHand(season, line, index + 1, world);
			for (const key of ['done', 'planned', 'standing', 'target'] as const)
				expect(cell[key], `${line.skill} ${line.unit ?? ''} ${index + 1} ${key}`).toBeCloseTo(
					wanted[key],
					6
				);
			const owes = wanted.target - wanted.standing;
			expect(cell.owed).toBeCloseTo(owes >= 1 && line.players > 0 ? owes : 0, 6);
		}
	return lines;
}

const AREAS = [{ id: 'passing', stages: ['near', 'far'] }, { id: 'moving' }, { id: 'shooting' }];
const SKILLS = ['passing', 'passing/1', 'passing/2', 'moving', 'shooting'];

/** A season made at random: up to 12 practices, 9 players in three units or none, targets here and there. */
function randomSeason(seed: number): { season: Season; world: World } {
	const random = randomLcg(seed);
	const upTo = (most: number) => Math.floor(random() * most);
	const weeks = 1 + upTo(6);
	const firstDay = '2027-03-01';
	const cut = 1 + upTo(weeks * 7 - 1);
	const phases = [
		{ id: 'one', name: 'One', firstDay, lastDay: addDays(firstDay, cut - 1) },
		{
			id: 'two',
			name: 'Two',
			firstDay: addDays(firstDay, cut),
			lastDay: addDays(firstDay, weeks * 7 - 1)
		}
	].filter((phase) => phase.firstDay <= phase.lastDay);
	const units = [undefined, 'backs', 'forwards'];
	const targets = new Map<string, Target>();
	for (let k = upTo(8); k > 0; k -= 1) {
		const unit = units[upTo(3)];
		const target: Target = {
			skill: SKILLS[upTo(5)],
			phase: phases[upTo(phases.length)].id,
			minutes: 1 + upTo(90),
			...(unit && { unit })
		};
		targets.set(JSON.stringify([target.skill, target.phase, unit]), target);
	}
	const players = Array.from({ length: 1 + upTo(9) }, (_, k) => {
		const unit = units[upTo(3)];
		return { id: `p${k}`, ...(unit && { unit }) };
	});
	const practices = Array.from({ length: upTo(13) }, (_, k) => ({
		id: `q${k}`,
		// Some lie before or after the season.
		date: addDays(firstDay, upTo(weeks * 7 + 10) - 5),
		isDone: random() < 0.5
	}));
	const rows = practices.flatMap(({ id: practice }) =>
		players.flatMap(({ id: player, unit = null }: { id: string; unit?: string | null }) =>
			SKILLS.filter(() => random() < 0.4).map((skill) => ({
				...{ practice, player, unit, skill },
				seconds: upTo(900)
			}))
		)
	);
	return {
		season: { id: 's', name: 'S', firstDay, weeks, phases, targets: [...targets.values()] },
		world: { rows, practices, players }
	};
}

describe('a cloth', () => {
	test('has in each cell what a plain sum over the rows gives, in 200 random seasons', () => {
		for (let seed = 0; seed < 200; seed += 1) {
			const { season, world } = randomSeason(seed / 200);
			expectByHand(season, AREAS, world);
		}
	});

	test.each(demoTeams())(
		'says of the demo of %s what its rows say, as coverage does',
		(team) => {
			const context = demoContext(team);
			const practices = demoPractices(team);
			const evaluations = practices.map((practice) => evaluate(practice, context));
			const rows = evaluations.flatMap((evaluation) =>
				ledgerRows(evaluation).map(({ player, unit, skill, seconds }) => ({
					...{ practice: evaluation.practice.id, player, skill, seconds },
					unit: unit ?? null
				}))
			);
			const { season, players } = context;
			const world = {
				rows,
				players: players.map(({ id, unit }) => ({ id, ...(unit !== undefined && { unit }) })),
				practices: practices.map(({ id, date }) => ({ id, date, isDone: date < '2027-04-06' }))
			};
			// Every third week is enough of so many rows; the random seasons look at all.
			const lines = expectByHand(season, context.team.skillAreas as { id: string }[], world, 3);
			// Coverage gives means over those who are expected, the cloth over all: the same minutes in all.
			const [area] = context.team.skillAreas;
			const covered = evaluations.reduce(
				(sum, evaluation) =>
					sum +
					coverage(evaluation)
						.skills.filter(({ skill }) => skill === area.id || skill.startsWith(`${area.id}/`))
						.reduce((minutes, each) => minutes + each.minutes, 0) *
						evaluation.practice.expected.length,
				0
			);
			const line = lines.find(({ skill, unit }) => skill === area.id && unit === undefined);
			const inCloth = (line?.cells ?? []).reduce(
				(sum, { done, planned }) => sum + done + planned,
				0
			);
			expect(inCloth * players.length).toBeCloseTo(covered, 3);
		},
		60_000
	);

	test('of one unit is over its players alone, and leaves other units’ lines out', () => {
		const { season, world } = randomSeason(0.37);
		const targets: Target[] = [
			{ skill: 'passing', phase: 'one', minutes: 30 },
			{ skill: 'moving', phase: 'one', unit: 'forwards', minutes: 30 }
		];
		const lines = clothOf({
			season: { ...season, targets },
			areas: AREAS.map((area) => ({ name: area.id, ...area })),
			practices: world.practices,
			sums: sumsOf(world.rows),
			players: countsOf(world.players),
			only: 'backs'
		});
		expect(lines.some(({ unit }) => unit === 'forwards')).toBe(false);
		for (const line of lines)
			expect(line.players).toBe(world.players.filter(({ unit }) => unit === 'backs').length);
	});
});

describe('what weeks cost', () => {
	test('is added up by practice, and a jump is held against the four weeks before', () => {
		const season = { firstDay: '2027-03-01', weeks: 6 };
		const practices = Array.from({ length: 6 }, (_, week) => ({
			id: `q${week}`,
			date: addDays(season.firstDay, 7 * week + 1),
			isDone: week < 5,
			opposed: { share: week / 10, minutes: 60 }
		}));
		const costs: CostSum[] = practices.flatMap(({ id }, week) => [
			{ practice: id, unit: 'backs', load: [100, 100, 100, 100, 260, 0][week], contact: week },
			{ practice: id, unit: null, load: 100, contact: 0 }
		]);
		const players = new Map<string | null, number>([
			['backs', 2],
			[null, 2]
		]);
		const weeks = loadByWeek({ season, practices, costs, players });
		expect(weeks.map(({ done, planned }) => done + planned)).toEqual([50, 50, 50, 50, 90, 25]);
		expect(weeks.map(({ times }) => times)).toEqual([null, null, null, null, 1.8, 25 / 60]);
		expect(weeks[5]).toMatchObject({ done: 0, planned: 25, contact: 1.25, opposed: 0.5 });
		const backs = loadByWeek({ season, practices, costs, players, only: 'backs' });
		expect(backs[4].done).toBe(130);
	});
});

test('whoever had less than half of the mean lacks it; a skill of a unit is held against the unit', () => {
	const players = [
		{ id: 'a', unit: 'backs' },
		{ id: 'b', unit: 'backs' },
		{ id: 'c', unit: 'forwards' }
	];
	const had = [
		{ player: 'a', skill: 'passing/1', seconds: 600 },
		{ player: 'b', skill: 'passing', seconds: 1200 },
		{ player: 'c', skill: 'passing/2', seconds: 60 },
		{ player: 'a', skill: 'moving', seconds: 600 },
		{ player: 'b', skill: 'moving', seconds: 100 }
	];
	const areas = AREAS.map((area) => ({ name: area.id, ...area }));
	const targets: Target[] = [{ skill: 'moving', phase: 'one', unit: 'backs', minutes: 10 }];
	const lacks = lacking({ season: { targets }, areas, players, had });
	expect(lacks.map(({ player, skill }) => `${player} ${skill}`)).toEqual(['c passing', 'b moving']);
	expect(lacks[0]).toMatchObject({ minutes: 1, mean: 31 / 3 });
	const all = lacking({ season: {}, areas, players, had });
	expect(all.map(({ player, skill }) => `${player} ${skill}`)).toContain('c moving');
});
