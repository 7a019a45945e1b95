import { group, rollup, sum } from 'd3-array';
import type { Season } from '../model/season';
import { areaOf, skillsOf, type SkillAreas } from '../model/skill';
import { daysOfWeek, targetsOf } from './calendar';
import { targetOn } from './due';
import { weekOf } from './week';

/** What the players of a unit had of a skill in a practice, all of them together. */
export interface SkillSum {
	practice: string;
	skill: string;
	/** The unit that they are in now; null for none. */
	unit: string | null;
	seconds: number;
}

/** A practice as the cloth needs one. */
export interface ClothPractice {
	id: string;
	date: string;
	isDone: boolean;
}

/** A week of a line: minutes of a player. */
export interface ClothCell {
	/** Had in practices that were held. */
	done: number;
	/** In practices that are planned. */
	planned: number;
	/** Had or planned from the first day of the season to the end of the week. */
	standing: number;
	/** Asked for from the first day of the season to the end of the week. */
	target: number;
	/** What stands at its end is under the target: minutes. */
	owed: number;
}

/** A skill over the weeks of a season. */
export interface ClothLine {
	skill: string;
	/** The unit that it is for; everyone where there is none. */
	unit?: string;
	/** Players that the means are over. */
	players: number;
	cells: ClothCell[];
}

/** Minutes less than this are not owed: what is trained twice a week is always a little behind. */
const NOTHING_OWED = 1;

/** What lines there are: every area, stages of which there is something, and what is asked of units. */
function linesOf(
	{ targets = [] }: Season,
	areas: SkillAreas,
	sums: readonly SkillSum[]
): { skill: string; unit?: string }[] {
	const given = new Set(sums.map(({ skill }) => skill));
	const retired = new Set(areas.flatMap(({ id, retired: is }) => (is ? id : [])));
	const units = group(
		targets.filter(({ unit }) => unit !== undefined),
		({ skill }) => skill
	);
	const aimed = new Set(targets.flatMap(({ skill, unit }) => (unit === undefined ? skill : [])));
	return skillsOf(areas).flatMap((skill) => {
		const isArea = areaOf(skill) === skill && !retired.has(skill);
		const isShown = isArea || given.has(skill) || aimed.has(skill);
		const own = new Set(units.get(skill)?.map(({ unit }) => unit as string));
		return [...(isShown ? [{ skill }] : []), ...[...own].map((unit) => ({ skill, unit }))];
	});
}

/** Whether a skill is one, or a stage of it. */
const isOf = (skill: string, of: string) => skill === of || areaOf(skill) === of;

/**
 * The cloth of a season: for each skill and week what a player had or is to have, and what is owed of the
 * target. Means are over the players whom a line is for, of `only` where one unit is looked at; `players` are
 * how many there are by unit. An area holds its stages.
 */
export function clothOf({
	season,
	areas,
	practices,
	sums,
	players,
	only
}: {
	season: Season;
	areas: SkillAreas;
	practices: readonly ClothPractice[];
	sums: readonly SkillSum[];
	players: ReadonlyMap<string | null, number>;
	only?: string;
}): ClothLine[] {
	/** Week and state of each practice, worked out once. */
	const placeOf = new Map(
		practices.map(({ id, date, isDone }) => [id, { week: weekOf(season, date), isDone }])
	);
	const bySkill = group(sums, ({ skill }) => skill);
	const all = sum(players.values());
	return linesOf(season, areas, sums)
		.filter(({ unit }) => only === undefined || unit === undefined || unit === only)
		.map((line): ClothLine => {
			const unit = only ?? line.unit;
			const count = unit === undefined ? all : (players.get(unit) ?? 0);
			const own = [...bySkill]
				.filter(([skill]) => isOf(skill, line.skill))
				.flatMap(([, each]) => each)
				.filter((each) => unit === undefined || each.unit === unit);
			const minutes = rollup(
				own,
				(each) => sum(each, ({ seconds }) => seconds) / 60 / Math.max(1, count),
				({ practice }) => placeOf.get(practice)?.week,
				({ practice }) => placeOf.get(practice)?.isDone ?? false
			);
			const targets = targetsOf(season, line);
			let standing = 0;
			const cells = Array.from({ length: season.weeks }, (_, index): ClothCell => {
				const week = minutes.get(index + 1);
				const [done, planned] = [week?.get(true) ?? 0, week?.get(false) ?? 0];
				standing += done + planned;
				const target = targetOn(targets, daysOfWeek(season, index + 1).last);
				const owed = count === 0 ? 0 : target - standing;
				return { done, planned, standing, target, owed: owed < NOTHING_OWED ? 0 : owed };
			});
			return { ...line, players: count, cells };
		});
}
