import { group, rollups, sum } from 'd3-array';
import type { Drill } from '../model/drill';
import type { Push } from '../model/ladders';
import type { Season } from '../model/season';
import { nextGame } from '../scene';
import { areaOf, skillsOf, trained, type SkillAreas } from '../model/skill';
import { targetsOf } from './calendar';
import type { FocusedSum } from './sums';
import { due, type DueOutput } from './due';
import type { DatedTally } from './ladder';

/** A skill that is due, for everyone or for a unit, and what a coach has said of it. */
export type DueSkill = DueOutput['due'][number] & { unit?: string; push?: Push };

/** What each skill was tried and found to be, by practice: a drill's tries count for its main skills. */
const triesOf = (
	tallies: readonly DatedTally[],
	drills: ReadonlyMap<string, Pick<Drill, 'skills'>>
) =>
	rollups(
		tallies.flatMap((tally) =>
			(drills.get(tally.drill)?.skills ?? [])
				.filter(({ focus }) => focus === 'main')
				.map(({ skill }) => ({ ...tally, skill }))
		),
		(own) => ({ clean: sum(own, ({ clean }) => clean), tries: sum(own, ({ tries }) => tries) }),
		({ date }) => date,
		({ skill }) => skill
	).flatMap(([date, bySkill]) => bySkill.map(([skill, counts]) => ({ date, skill, ...counts })));

/** Skills of what is open on the fix list, and of how the next opponent begins. */
export function skillsOfScenes(
	{ fixes = [], seeds = [], prepares, games }: Season,
	today: string
): { fix: ReadonlySet<string>; seeded: ReadonlySet<string> } {
	const next = prepares === 'talk' ? undefined : nextGame({ games }, { date: today, start: '' });
	const skillsIn = (scenes: readonly { skills?: string[] }[]) =>
		new Set(scenes.flatMap(({ skills = [] }) => skills));
	return {
		fix: skillsIn(fixes.filter(({ closed }) => closed === undefined)),
		seeded: skillsIn(seeds.filter(({ game }) => game === next?.id))
	};
}

/** Whether a scene asks for a skill, for a stage of it, or for the area that it is a stage of. */
export const asksFor = (skills: ReadonlySet<string>, skill: string): boolean =>
	[...skills].some((each) => each === skill || areaOf(each) === skill || each === areaOf(skill));

/**
 * Areas of skill, or stages, that may be due: those with a target, and those of scenes; every area where there
 * is no target.
 */
function asked(
	{ targets = [] }: Season,
	areas: SkillAreas,
	ofScenes: ReadonlySet<string>
): { skill: string; unit?: string }[] {
	if (targets.length === 0) return trained(areas).map(({ id }) => ({ skill: id }));
	const order = skillsOf(areas);
	const keys = new Map(
		targets.map(({ skill, unit }) => [`${skill} ${unit ?? ''}`, { skill, ...(unit && { unit }) }])
	);
	for (const skill of ofScenes)
		if (!targets.some((target) => asksFor(new Set([skill]), target.skill)))
			keys.set(`${skill} `, { skill });
	return [...keys.values()].sort((a, b) => order.indexOf(a.skill) - order.indexOf(b.skill));
}

/**
 * What is due on a day, most first: `due` over all targets of a season, those for a unit by themselves.
 * `sums` are those of practices that were held, by unit; what all of a unit had counts for one of them, which
 * gives the same means. What a coach pushed up comes first; what is off, or due on a later day, is left out of
 * `now` and stands in `later`.
 */
export function dueOn(
	today: string,
	{
		season,
		areas,
		players,
		practices,
		sums,
		tallies,
		drills,
		pushes
	}: {
		season: Season;
		areas: SkillAreas;
		players: readonly { id: string; unit?: string }[];
		/** Days of the practices. */
		practices: ReadonlyMap<string, string>;
		sums: readonly FocusedSum[];
		tallies: readonly DatedTally[];
		drills: ReadonlyMap<string, Pick<Drill, 'skills'>>;
		pushes: readonly Push[];
	}
): { now: DueSkill[]; later: DueSkill[] } {
	const first = new Map(
		[...group(players, ({ unit }) => unit ?? null)].map(([u, [one]]) => [u, one.id])
	);
	const rows = sums.flatMap(({ practice, unit, skill, seconds, focus }) => {
		const [date, player] = [practices.get(practice), first.get(unit)];
		return date && player ? [{ date, skill, player, seconds, focus }] : [];
	});
	const units = Object.fromEntries(
		players.flatMap(({ id, unit }) => (unit === undefined ? [] : [[id, unit]]))
	);
	const tried = triesOf(tallies, drills);
	const { fix, seeded } = skillsOfScenes(season, today);
	const all = asked(season, areas, new Set([...fix, ...seeded])).map(
		({ skill, unit }): DueSkill => {
			const outcome = due({
				today,
				season: { firstDay: season.firstDay },
				players: players.map(({ id }) => id),
				units,
				skills: [
					{
						...{ id: skill, targets: targetsOf(season, { skill, unit }) },
						...(unit && { unit }),
						...{ fix: asksFor(fix, skill), seeded: asksFor(seeded, skill) }
					}
				],
				rows: rows.filter((row) => row.skill === skill || areaOf(row.skill) === skill),
				tallies: tried
			});
			if (!outcome.ok) throw new Error(outcome.failure.message);
			const push = pushes.find((each) => each.skill === skill && each.unit === unit);
			return { ...outcome.value.due[0], ...(unit && { unit }), ...(push && { push }) };
		}
	);
	const isLater = ({ push }: DueSkill) =>
		push?.push === 'off' || (push?.push === 'day' && (push.day ?? '') > today);
	const isUp = ({ push }: DueSkill) => push?.push === 'up' || push?.push === 'day';
	const byScore = (list: DueSkill[]) =>
		list.sort((a, b) => Number(isUp(b)) - Number(isUp(a)) || Math.round((b.score - a.score) * 1e9));
	return {
		now: byScore(all.filter((each) => !isLater(each))),
		later: byScore(all.filter(isLater))
	};
}
