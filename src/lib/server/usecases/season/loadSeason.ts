import { group, rollup } from 'd3-array';
import type { Surroundings } from '$core/model/bundle';
import { ladderOf } from '$core/drill';
import type { Drill } from '$core/model/drill';
import type { Push, Ruling } from '$core/model/ladders';
import type { Season } from '$core/model/season';
import { toContext } from '$core/practice';
import {
	followedBy,
	lacking,
	byNews,
	lastDayOf,
	saidOf,
	standingOf,
	type CostSum,
	type DatedTally,
	type Lack,
	type LadderStanding,
	type PackedSum,
	type RungRun,
	type Whose
} from '$core/season';
import type { Queryable } from '../../database';
import { listNewest } from '../../repositories/drills';
import {
	listSeasonPractices,
	type SeasonDays,
	type SeasonPractice
} from '../../repositories/season';
import {
	listRuns,
	readOfPlayer,
	sumByPlayer,
	sumCosts,
	sumCostsOf,
	sumSkills
} from '../../repositories/seasonSums';
import { listPushes, listRulings, listTallies } from '../../repositories/ladders';
import { loadSurroundings } from '../../repositories/teamHistory';
import { listSeasons } from '../../repositories/teams';
import { findSeason } from './changeSeason';

/** A season with who and what its team is on a day. */
export interface SeasonOf {
	season: Season;
	/** All seasons of the team, to change between. */
	seasons: { id: string; name: string }[];
	around: Surroundings;
	days: SeasonDays;
	/** The days that its ladders stand on: those of the seasons that it goes on from, too. */
	ladderDays: SeasonDays;
}

/** The days that the ladders of a season stand on. */
export function ladderDaysOf(season: Season, seasons: readonly Season[]): SeasonDays {
	const firsts = [season, ...followedBy(season, seasons)].map(({ firstDay }) => firstDay);
	return { first: firsts.sort()[0], last: lastDayOf(season) };
}

/** The season that a page is about: the one that is asked for, else that of today. Undefined where there is none. */
export async function seasonOf(
	db: Queryable,
	teamId: string,
	{ today, id }: { today: string; id?: string | null }
): Promise<SeasonOf | undefined> {
	const season = await findSeason(db, teamId, { id, day: today });
	const around = season && (await loadSurroundings(db, teamId, { day: today }));
	if (!around) return undefined;
	const seasons = await listSeasons(db, teamId);
	return {
		season,
		seasons: seasons.map(({ id, name }) => ({ id, name })),
		around,
		days: { first: season.firstDay, last: lastDayOf(season) },
		ladderDays: ladderDaysOf(season, seasons)
	};
}

/** Whose season is loaded: units are at hand within everybody's. */
export type PlayerOrAll = { player: string } | null;

/** What the ladders of a season stand on. */
export interface LadderView {
	runs: RungRun[];
	tallies: DatedTally[];
	rulings: Ruling[];
	/** The newest of each drill that was run. */
	drills: Drill[];
}

/** What was counted and decided of some runs in a season. */
async function laddersOf(
	db: Queryable,
	teamId: string,
	{ days, runs }: { days: SeasonDays; runs: RungRun[] }
): Promise<LadderView> {
	const ids = [...new Set(runs.map(({ drill }) => drill))];
	return {
		runs,
		tallies: await listTallies(db, teamId, days),
		rulings: await listRulings(db, teamId),
		drills: await listNewest(db, teamId, ids)
	};
}

/** What one player had of each skill, packed as what their unit had, and what they ran. */
async function hadBy(
	db: Queryable,
	teamId: string,
	{ days, player, unit }: { days: SeasonDays; player: string; unit: string | null }
): Promise<{ sums: string; runs: RungRun[] }> {
	const rows = await readOfPlayer(db, teamId, { ...days, player });
	const runs = new Map(
		rows.flatMap(({ practice, date, drill, rung, isDone }) =>
			isDone ? [[`${practice} ${drill} ${rung}`, { practice, date, drill, rung, unit }]] : []
		)
	);
	return {
		sums: JSON.stringify(
			rows.map(({ practice, skill, focus, seconds }): PackedSum => {
				return [practice, skill, focus === 'main' ? 1 : 0, unit, seconds];
			})
		),
		runs: [...runs.values()]
	};
}

/** What the ladders of a season stand on, of everybody or of a player. */
export async function loadLadders(
	db: Queryable,
	teamId: string,
	{
		ladderDays: days,
		whose
	}: Pick<SeasonOf, 'ladderDays'> & { whose: (PlayerOrAll & { unit?: string | null }) | null }
): Promise<LadderView> {
	const runs = whose
		? (await hadBy(db, teamId, { days, unit: null, ...whose })).runs
		: await listRuns(db, teamId, days);
	return laddersOf(db, teamId, { days, runs });
}

/** What the page of a season is drawn from. */
export interface SeasonView {
	practices: SeasonPractice[];
	/** Sums of skills, packed. */
	sums: string;
	costs: CostSum[];
	/** How many players there are by unit. */
	counts: [unit: string | null, players: number][];
	pushes: Push[];
	ladders: LadderView;
	jump: number;
}

/** What the page of a season shows of its practices, of all players or of one. */
export async function loadSeason(
	db: Queryable,
	teamId: string,
	{ season, around, days, ladderDays, whose }: SeasonOf & { whose: PlayerOrAll }
): Promise<SeasonView> {
	const shown = around.players.filter(({ id }) => !whose || id === whose.player);
	const own = whose && { ...whose, unit: shown[0]?.unit ?? null };
	const counts = rollup(
		shown,
		(all) => all.length,
		({ unit }) => unit ?? null
	);
	const sums = own
		? (await hadBy(db, teamId, { days, ...own })).sums
		: await sumSkills(db, teamId, days);
	return {
		practices: await listSeasonPractices(db, teamId, days),
		sums,
		costs: own
			? await sumCostsOf(db, teamId, { ...days, ...own })
			: await sumCosts(db, teamId, days),
		counts: [...counts],
		pushes: await listPushes(db, teamId, season.id),
		ladders: await loadLadders(db, teamId, { ladderDays, whose: own }),
		jump: toContext(around).limits.loadJump
	};
}

/** Where ladders go on, of drills that were run: the rung that comes next, or where it stands while that needs another first. */
export function nextRungs(
	view: LadderView,
	drills: readonly Drill[]
): { drill: string; rung: string | null; last: string }[] {
	// A block on the tape is for everybody first: what was decided for a unit alone does not move it.
	const said = saidOf(view, null, new Map());
	return drills.flatMap((drill) => {
		const standing = standingOf(drill, said);
		if (!standing) return [];
		const place = standing.needs.length > 0 ? standing.at : standing.next;
		return [{ drill: drill.id, rung: ladderOf(drill)[place], last: standing.last }];
	});
}

/** Players who have not had what the others had. */
export async function loadLacks(
	db: Queryable,
	teamId: string,
	{ season, around, days }: SeasonOf
): Promise<Lack[]> {
	return lacking({
		season,
		areas: around.team.skillAreas,
		players: around.players,
		had: await sumByPlayer(db, teamId, days)
	});
}

/** A ladder as the page of a season shows it: where it stands, with the names of its rungs. */
export interface ShownLadder {
	standing: LadderStanding;
	name: string;
	rungs: (string | null)[];
}

/** The most ladders that are shown of each. */
const MOST_LADDERS = 6;

/** Where the ladders stand that are shown of everybody and of each unit; of one player only theirs. */
export function shownLadders(
	{ drills, ...said }: LadderView,
	{ around, whose }: Pick<SeasonOf, 'around'> & { whose: PlayerOrAll }
): Record<string, ShownLadder[]> {
	const own = drills.filter(({ rungs }) => rungs.length > 0);
	const unitOf = new Map(around.players.map(({ id, unit }) => [id, unit]));
	const of = (whom: Whose): ShownLadder[] => {
		const theirs = saidOf(said, whom, unitOf);
		const runs = group(theirs.runs, ({ drill }) => drill);
		return own
			.flatMap((drill) => {
				const standing = standingOf(drill, { ...theirs, runs: runs.get(drill.id) ?? [] });
				return standing ? [{ drill, standing }] : [];
			})
			.sort((a, b) => byNews(a.standing, b.standing))
			.slice(0, MOST_LADDERS)
			.map(({ drill: { name, rungs }, standing }) => {
				const called = new Map(rungs.map((rung) => [rung.id, rung.name]));
				const names = standing.rungs.map(({ id }) => (id === null ? null : (called.get(id) ?? id)));
				return { standing, name, rungs: names };
			});
	};
	if (whose) return { '': of(whose) };
	const units = around.team.units.map(({ id }) => [id, of({ unit: id })] as const);
	return { '': of(null), ...Object.fromEntries(units) };
}
