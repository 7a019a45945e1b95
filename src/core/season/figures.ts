import { group, max, mean, sum } from 'd3-array';
import { daysBetween } from '../conditions';
import type { Season } from '../model/season';
import { areaOf, type SkillAreas } from '../model/skill';
import type { ClothPractice } from './cloth';
import type { DueSkill } from './dueNow';
import { weekOf } from './week';

/** A skill that nobody has trained for longer than any other. */
export interface Gap {
	skill: string;
	unit?: string;
	/** Days since it was last a main skill; since the season's first day where it never was. */
	days: number;
}

/** What a season comes to on a day. */
export interface SeasonFigures {
	/** Practices that were held, of those that are not cancelled. */
	held: number;
	practices: number;
	/** Minutes had of those that are due by today, 0 to 1, each skill up to its target; null without targets. */
	met: number | null;
	/** What owes most; null where nothing is owed. */
	most: DueSkill | null;
	/** The longest that a skill with a target has rested; null without targets. */
	gap: Gap | null;
}

/** What a season comes to on a day, with all that is due then, pushed off or not. */
export function figuresOf(
	today: string,
	{
		season,
		practices,
		skills
	}: {
		season: Pick<Season, 'firstDay'>;
		practices: readonly ClothPractice[];
		skills: readonly DueSkill[];
	}
): SeasonFigures {
	const asked = skills.filter(({ targetMinutes }) => targetMinutes > 0);
	const target = sum(asked, ({ targetMinutes }) => targetMinutes);
	const got = sum(asked, ({ gotMinutes, targetMinutes }) => Math.min(gotMinutes, targetMinutes));
	const owing = asked.toSorted((a, b) => b.owedMinutes - a.owedMinutes)[0];
	const gaps = asked
		.map(({ skill, unit, last }): Gap => {
			const days = daysBetween(last ?? season.firstDay, today);
			return { skill, ...(unit !== undefined && { unit }), days };
		})
		.sort((a, b) => b.days - a.days);
	return {
		held: practices.filter(({ isDone }) => isDone).length,
		practices: practices.length,
		met: target > 0 ? got / target : null,
		most: owing && owing.owedMinutes > 0 ? owing : null,
		gap: gaps[0] ?? null
	};
}

/** What a practice costs the players of a unit, all of them together. */
export interface CostSum {
	practice: string;
	unit: string | null;
	/** Minutes times effort. */
	load: number;
	/** Minutes of hard contact. */
	contact: number;
}

/** What a week costs a player. */
export interface WeekLoad {
	/** Minutes times effort, in practices that were held. */
	done: number;
	/** The same in those to come. */
	planned: number;
	/** Minutes of hard contact. */
	contact: number;
	/** How many times the mean of the four weeks before it is; null where there are not four, or nothing in them. */
	times: number | null;
	/** Share of the time that a player is busy with opponents on the ground, 0 to 1; null where nothing is planned. */
	opposed: number | null;
}

const WEEKS_BEFORE = 4;

/** What the weeks of a season cost a player, means over all of them or over those of one unit. */
export function loadByWeek({
	season,
	practices,
	costs,
	players,
	only
}: {
	season: Pick<Season, 'firstDay' | 'weeks'>;
	/** With the share and the minutes that players are busy against opponents. */
	practices: readonly (ClothPractice & { opposed: { share: number; minutes: number } | null })[];
	costs: readonly CostSum[];
	players: ReadonlyMap<string | null, number>;
	only?: string;
}): WeekLoad[] {
	const count = Math.max(1, only === undefined ? sum(players.values()) : (players.get(only) ?? 0));
	const byPractice = group(
		costs.filter(({ unit }) => only === undefined || unit === only),
		({ practice }) => practice
	);
	const byWeek = group(practices, ({ date }) => weekOf(season, date));
	const weeks = Array.from({ length: season.weeks }, (_, index) => {
		const own = byWeek.get(index + 1) ?? [];
		const cost = (of: readonly ClothPractice[], what: 'load' | 'contact') =>
			sum(of, ({ id }) => sum(byPractice.get(id) ?? [], (each) => each[what])) / count;
		const planned = own
			.flatMap(({ opposed }) => opposed ?? [])
			.filter(({ minutes }) => minutes > 0);
		const minutes = sum(planned, (each) => each.minutes);
		return {
			done: cost(
				own.filter(({ isDone }) => isDone),
				'load'
			),
			planned: cost(
				own.filter(({ isDone }) => !isDone),
				'load'
			),
			contact: cost(own, 'contact'),
			opposed: minutes > 0 ? sum(planned, (each) => each.share * each.minutes) / minutes : null
		};
	});
	return weeks.map((week, index) => {
		const before = weeks.slice(Math.max(0, index - WEEKS_BEFORE), index);
		const usual = mean(before, ({ done, planned }) => done + planned) ?? 0;
		const isKnown = before.length === WEEKS_BEFORE && usual > 0;
		return { ...week, times: isKnown ? (week.done + week.planned) / usual : null };
	});
}

/** A player who had less than half of a skill of what the others had. */
export interface Lack {
	player: string;
	skill: string;
	/** Minutes that the player had, and the mean of all whom the skill is for. */
	minutes: number;
	mean: number;
}

const LEAST_OF_MEAN = 0.5;

/**
 * Who has not had what the others had, the widest gaps first: an area under half the mean of those whom it is
 * for, which are the players of a unit where only units have targets for it.
 */
export function lacking({
	season: { targets = [] },
	areas,
	players,
	had
}: {
	season: Pick<Season, 'targets'>;
	areas: SkillAreas;
	players: readonly { id: string; unit?: string }[];
	had: readonly { player: string; skill: string; seconds: number }[];
}): Lack[] {
	const minutes = new Map<string, number>();
	for (const { player, skill, seconds } of had) {
		const key = `${player} ${areaOf(skill)}`;
		minutes.set(key, (minutes.get(key) ?? 0) + seconds / 60);
	}
	const lacks = areas.flatMap(({ id: skill }) => {
		const own = targets.filter((target) => areaOf(target.skill) === skill);
		const units = new Set(own.map(({ unit }) => unit));
		const isForUnits = own.length > 0 && !units.has(undefined);
		const whom = isForUnits ? players.filter(({ unit }) => unit && units.has(unit)) : players;
		const of = ({ id }: { id: string }) => minutes.get(`${id} ${skill}`) ?? 0;
		const usual = mean(whom, of) ?? 0;
		return whom
			.filter((player) => of(player) < usual * LEAST_OF_MEAN)
			.map((player): Lack => ({ player: player.id, skill, minutes: of(player), mean: usual }));
	});
	return lacks.sort((a, b) => a.minutes / a.mean - b.minutes / b.mean || b.mean - a.mean);
}

/** The most that a week of these costs, for a scale. */
export const mostLoad = (weeks: readonly WeekLoad[]): number =>
	max(weeks, ({ done, planned }) => done + planned) ?? 0;
