import { sum } from 'd3-array';
import type { Drill } from '../model/drill';
import { areaOf } from '../model/skill';
import { onRung } from '../playing';

/** A drill that gives a skill, on the rung where its ladder stands. */
export interface SkillChoice {
	drill: Drill;
	/** The drill itself where there is none. */
	rung?: string;
	/** Minutes that would give what is owed, within what is a good length. */
	minutes: number;
	/** Share of its time that is the skill's, 0 to 1. */
	share: number;
	/** Higher is better: by the share, and by how well it fits who is here. */
	score: number;
}

/** A block that is worth setting up is no shorter, and one that keeps its edge no longer. */
const LEAST_MINUTES = 8;
const MOST_MINUTES = 15;
/** A skill that is only touched on is worth half. */
const SECOND = 0.5;

/** Share of a drill's time that is a skill's or a stage of it, and what it is worth: second skills half. */
function shareOf({ skills }: Drill, wanted: string): { share: number; worth: number } {
	const own = skills.filter(({ skill }) => skill === wanted || areaOf(skill) === wanted);
	return {
		share: sum(own, ({ share }) => share),
		worth: sum(own, ({ share, focus }) => (focus === 'main' ? share : share * SECOND))
	};
}

/**
 * The drills that give a skill, the best first. `rungOf` says on which rung each is to be run, null for the
 * drill itself; `fitOf` how well it fits who is here, 0 to 1 and below 0 where it does not fit at all.
 */
export function drillsForSkill(
	drills: readonly Drill[],
	{
		skill,
		owedMinutes,
		rungOf,
		fitOf
	}: {
		skill: string;
		owedMinutes: number;
		rungOf: (drill: Drill) => string | null;
		fitOf: (drill: Drill) => number;
	}
): SkillChoice[] {
	return drills
		.flatMap((drill): SkillChoice[] => {
			const rung = rungOf(drill);
			const { share, worth } = shareOf(onRung(drill, rung ?? undefined), skill);
			const fit = fitOf(drill);
			if (share === 0 || fit < 0) return [];
			const minutes = Math.round(owedMinutes / share);
			return [
				{
					drill,
					...(rung !== null && { rung }),
					minutes: Math.min(MOST_MINUTES, Math.max(LEAST_MINUTES, minutes)),
					share,
					score: worth * (0.5 + fit / 2)
				}
			];
		})
		.sort((a, b) => b.score - a.score);
}
