import { addDays } from '$core/conditions';
import { seasonOn } from '$core/practice';
import { dueOn, lastDayOf, unpackSums, type DueSkill, type Meetings } from '$core/season';
import type { Queryable } from '../../database';
import { findPractice } from '../../repositories/practices';
import { listSeasonPractices } from '../../repositories/season';
import { listDrillDays, sumSkills } from '../../repositories/seasonSums';
import { listPushes, listTallies } from '../../repositories/ladders';
import { loadSurroundings } from '../../repositories/teamHistory';
import { listSeasons } from '../../repositories/teams';
import { loadMeetings } from '../views';
import { ladderDaysOf, loadLadders, nextRungs } from './loadSeason';

/** Days that are looked back for drills that want variety. */
const LOOKED_BACK = 28;

/** What is due in a practice, and on which rung each drill goes on. */
export interface DueFor {
	due: DueSkill[];
	/** Rung by drill, for those that were run this season; null for the drill itself. */
	rungs: Record<string, string | null>;
	/** What the practices of the weeks before it ran, or are to run. */
	recent: { drill: string; date: string }[];
	/** How often players were in a group together before. */
	met: Meetings;
}

/**
 * What is due in a practice: after what was held and what is planned before it. A ladder goes on at the rung
 * that comes next, or stays where that needs another one first. Undefined where there is no such practice.
 */
export async function loadDueFor(
	db: Queryable,
	teamId: string,
	practiceId: string
): Promise<DueFor | undefined> {
	const stored = await findPractice(db, teamId, practiceId);
	if (!stored) return undefined;
	const { date, start } = stored.practice;
	const around = await loadSurroundings(db, teamId, { day: date });
	if (!around) return undefined;
	const { team, players } = around;
	const seasons = await listSeasons(db, teamId);
	const season = seasonOn(seasons, date);
	if (!season) return undefined;
	const days = { first: season.firstDay, last: lastDayOf(season) };
	const before = (await listSeasonPractices(db, teamId, days)).filter(
		(each) => each.state !== 'cancelled' && `${each.date} ${each.start}` < `${date} ${start}`
	);
	const ladders = await loadLadders(db, teamId, {
		ladderDays: ladderDaysOf(season, seasons),
		whose: null
	});
	const tallies = await listTallies(db, teamId, days);
	const { now } = dueOn(date, {
		season,
		areas: team.skillAreas,
		players,
		practices: new Map(before.map((each) => [each.id, each.date])),
		sums: unpackSums(await sumSkills(db, teamId, days)),
		tallies,
		drills: new Map(ladders.drills.map((drill) => [drill.id, drill])),
		pushes: await listPushes(db, teamId, season.id)
	});
	const lately = await listDrillDays(db, teamId, {
		first: addDays(date, -LOOKED_BACK),
		last: date
	});
	return {
		due: now.filter(({ score, push }) => score > 0 || push !== undefined),
		rungs: Object.fromEntries(
			nextRungs(ladders, ladders.drills).map(({ drill, rung }) => [drill, rung])
		),
		recent: lately
			.filter((each) => `${each.date} ${each.start}` < `${date} ${start}`)
			.map(({ drill, date }) => ({ drill, date })),
		met: (await loadMeetings(db, teamId, practiceId)) ?? []
	};
}
