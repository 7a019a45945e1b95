import type { Drill } from '$core/model/drill';
import type { Tally } from '$core/model/ladders';
import type { Practice } from '$core/model/practice';
import { blocksOf, climbOf } from '$core/practice';
import type { Queryable } from '../../database';
import { listNewest, listNames } from '../../repositories/drills';
import { findPractice } from '../../repositories/practices';
import { listSeasonPractices } from '../../repositories/season';
import { sumSides } from '../../repositories/seasonSums';
import { listTalliesIn } from '../../repositories/ladders';
import { stampOf } from '../submission';
import { stampOfParts } from './changeSeason';
import { loadLadders, type SeasonOf, type PlayerOrAll } from './loadSeason';

/** A drill on a rung that can be counted. */
export interface Countable {
	drill: string;
	name: string;
	rung: string | null;
	judge: Tally['judge'];
}

/** What was, or can be, counted in a practice. */
export interface Counting {
	practice: { id: string; date: string; start: string };
	/** Drills with rungs as they were planned. */
	planned: Countable[];
	tallies: Tally[];
	/** Groups of its periods, by id, with their bibs. */
	groups: { id: string; bib: number; period: string }[];
	drills: {
		id: string;
		name: string;
		judge: Tally['judge'];
		rungs: { id: string; name: string }[];
	}[];
	stamp: string;
}

/** What of a drill a page of ladders needs. */
const lean = ({ id, name, rungs, success }: Drill) => ({
	id,
	name,
	judge: success?.judge ?? ('outcome' as const),
	rungs: rungs.map((rung) => ({ id: rung.id, name: rung.name }))
});

/** What a practice ran, each drill and rung once, in order. */
function countablesIn(practice: Practice, drills: ReadonlyMap<string, Drill>): Countable[] {
	const found = new Map<string, Countable>();
	for (const { block } of [...blocksOf(practice)]) {
		const drill = block.drill && drills.get(block.drill.id);
		if (!drill || !drill.success) continue;
		const copies = block.copies.length > 0 ? block.copies : [{}];
		for (const { rung = null } of copies.flatMap((copy) => climbOf(block, copy))) {
			const judge = drill.success.judge ?? 'outcome';
			found.set(`${drill.id} ${rung}`, { drill: drill.id, name: drill.name, rung, judge });
		}
	}
	return [...found.values()];
}

/** What was counted in a practice, and what could be; null where there is no such practice. */
async function loadCounting(
	db: Queryable,
	teamId: string,
	practiceId: string
): Promise<Counting | null> {
	const stored = await findPractice(db, teamId, practiceId);
	if (!stored) return null;
	const { practice } = stored;
	const ids = [...blocksOf(practice)].flatMap(({ block }) => block.drill?.id ?? []);
	const drills = await listNewest(db, teamId, [...new Set(ids)]);
	const tallies = await listTalliesIn(db, teamId, practiceId);
	return {
		practice: { id: practice.id, date: practice.date, start: practice.start },
		planned: countablesIn(practice, new Map(drills.map((drill) => [drill.id, drill]))),
		tallies,
		groups: practice.periods.flatMap(({ name, groups = [] }) =>
			groups.map(({ id, bib }) => ({ id, bib, period: name }))
		),
		drills: drills.map(lean),
		stamp: stampOf(tallies)
	};
}

/** What the page of ladders shows. */
export async function loadLadderPage(
	db: Queryable,
	teamId: string,
	{ whose, practiceId, ...of }: SeasonOf & { whose: PlayerOrAll; practiceId: string | null }
) {
	const held = (await listSeasonPractices(db, teamId, of.days))
		.filter(({ state }) => state === 'held')
		.map(({ id, date, start }) => ({ id, date, start }))
		.reverse();
	const chosen = practiceId ?? held[0]?.id;
	return {
		ladders: await loadLadders(db, teamId, { ladderDays: of.ladderDays, whose }),
		sides: await sumSides(db, teamId, of.days),
		held,
		counting: chosen === undefined ? null : await loadCounting(db, teamId, chosen),
		shelf: await listNames(db, teamId),
		courseStamp: stampOfParts(of.season, ['courses'])
	};
}
