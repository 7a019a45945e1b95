import { nanoid } from 'nanoid';
import Type, { type Static } from 'typebox';
import { assertNever, fail, ok, sameValue, type Result } from '$core/base';
import { closed } from '$core/model/fields';
import { Season, type Game } from '$core/model/season';
import { skillsOf } from '$core/model/skill';
import { seasonOn } from '$core/practice';
import { lastDayOf, seasonFault, type SeasonFault, type SeasonKnown } from '$core/season';
import { readShape, type Misfit } from '../../../../doors';
import type { Db, Queryable } from '../../database';
import { listNewest } from '../../repositories/drills';
import { listGrounds } from '../../repositories/places';
import { saveSeason } from '../../repositories/season';
import { findTeam, listSeasons } from '../../repositories/teams';
import { say } from '../../say';
import { changeTeam } from '../refusable';
import { staleness, stampOf, type Refused, type Submission } from '../submission';
import texts from '$texts/refusals';

/** What a page changes of a season. */
export const SeasonParts = Type.Partial(Type.Omit(Season, ['id']), closed);
export type SeasonParts = Static<typeof SeasonParts>;

/** The parts of a season that a page shows, as a form is read from them. */
export const partsOf = (season: Season, keys: readonly (keyof SeasonParts)[]): SeasonParts =>
	Object.fromEntries([...keys].sort().map((key) => [key, season[key] ?? []]));

/** The stamp of the parts that a page shows. */
export const stampOfParts = (season: Season, keys: readonly (keyof SeasonParts)[]): string =>
	stampOf(partsOf(season, keys));

/** The season with an id, the one of a day where none is named; undefined where there is none. */
export async function findSeason(
	db: Queryable,
	teamId: string,
	{ id, day }: { id?: string | null; day: string }
): Promise<Season | undefined> {
	const seasons = await listSeasons(db, teamId);
	return id ? seasons.find((season) => season.id === id) : seasonOn(seasons, day);
}

/** What a season of a team may name. */
async function knownTo(tx: Queryable, teamId: string, season: Season): Promise<SeasonKnown> {
	const team = await findTeam(tx, teamId);
	const named = (season.courses ?? []).flatMap(({ steps }) => steps.map(({ drill }) => drill));
	const drills = await listNewest(tx, teamId, [...new Set(named)]);
	return {
		skills: new Set(skillsOf(team?.skillAreas ?? [])),
		units: new Set(team?.units.map(({ id }) => id)),
		grounds: new Set((await listGrounds(tx, teamId)).map(({ id }) => id)),
		drills: new Map(drills.map(({ id, rungs }) => [id, new Set(rungs.map((rung) => rung.id))]))
	};
}

/** A fault of a season in words. */
function faultWords({ code, value }: SeasonFault, season: Season): string {
	switch (code) {
		case 'twice':
			return say(texts.isTwice);
		case 'ends-first':
			return say(texts.endsBeforeItBegins, { day: value });
		case 'outside':
			return say(texts.outsideTheSeason, { first: season.firstDay, last: lastDayOf(season) });
		case 'overlaps':
			return say(texts.overlapsPhase, { name: value });
		case 'no-skill':
			return say(texts.isNotASkill);
		case 'no-unit':
			return say(texts.notAUnit, { name: value });
		case 'no-phase':
			return say(texts.notAPhase);
		case 'no-ground':
			return say(texts.notATeamsGround);
		case 'no-drill':
			return say(texts.notADrill);
		case 'no-rung':
			return say(texts.notARung);
		case 'no-game':
			return say(texts.noGame);
		case 'token-twice':
			return say(texts.tokenTwice, { name: value });
		case 'off-ground':
			return say(texts.offGround);
		case 'no-token':
			return say(texts.noToken, { name: value });
		default:
			return assertNever(code);
	}
}

/** What is wrong with a season of a team, in words and with its place; null where nothing is. */
export async function seasonMisfit(
	tx: Queryable,
	teamId: string,
	season: Season
): Promise<Misfit | null> {
	const read = readShape(Season, season);
	if (!read.ok) return read.failure;
	const fault = seasonFault(season, await knownTo(tx, teamId, season));
	return fault && { path: fault.path, message: faultWords(fault, season) };
}

/** What is wrong with a season that has a day in common with another one of the team: each day is of one. Null where none has. */
export function overlapOf(season: Season, seasons: readonly Season[]): Misfit | null {
	const other = seasons.find(
		({ id, firstDay, weeks }) =>
			id !== season.id &&
			firstDay <= lastDayOf(season) &&
			season.firstDay <= lastDayOf({ firstDay, weeks })
	);
	if (!other) return null;
	return { path: ['firstDay'], message: say(texts.overlapsSeason, { name: other.name }) };
}

/** Phases in order of time, with the places that they came from. */
function inOrder({ phases = [] }: SeasonParts) {
	const order = phases
		.map((phase, index) => ({ phase, index }))
		.sort((a, b) => (a.phase.firstDay < b.phase.firstDay ? -1 : 1));
	return { phases: order.map(({ phase }) => phase), from: order.map(({ index }) => index) };
}

/** Targets of phases that there are; those of a phase that was removed go with it. */
const heldTargets = ({ targets = [], phases = [] }: Season) =>
	targets.filter((target) => phases.some(({ id }) => id === target.phase));

/** Seeds of games that there are; those of a game that was removed go with it, and a fix forgets where it was seen. */
function heldScenes({ seeds, fixes, games = [] }: Season): Partial<Season> {
	const isThere = (id: string | undefined) => games.some((game) => game.id === id);
	return {
		...(seeds && { seeds: seeds.filter(({ game }) => isThere(game)) }),
		...(fixes && {
			fixes: fixes.map(({ game, ...fix }) => (isThere(game) ? { ...fix, game } : fix))
		})
	};
}

/** The key of a row that is new on a form begins so. */
const isNew = (id: string) => id.startsWith('new-');

/** Rows that are new on a form get ids that no other has. */
const withIds = <Item extends { id: string }>(items: readonly Item[]): Item[] =>
	items.map((item) => (isNew(item.id) ? { ...item, id: nanoid(8) } : item));

/** Games with how often each was changed: calendars that have it are told by that number. */
const withChanges = (games: readonly Game[], stored: readonly Game[]): Game[] =>
	games.map((game) => {
		const before = stored.find(({ id }) => id === game.id);
		const { changes = 0 } = before ?? game;
		const isSame = !before || sameValue({ ...before, changes }, { ...game, changes });
		return isSame && changes === 0 ? game : { ...game, changes: isSame ? changes : changes + 1 };
	});

/** The season with what a page has changed of it. */
function merged(season: Season, wanted: SeasonParts): Season {
	const next: Season = {
		...season,
		...wanted,
		...(wanted.phases && { phases: withIds(inOrder(wanted).phases) }),
		...(wanted.patterns && { patterns: withIds(wanted.patterns) }),
		...(wanted.courses && { courses: withIds(wanted.courses) }),
		...(wanted.games && { games: withIds(withChanges(wanted.games, season.games ?? [])) }),
		...(wanted.seeds && { seeds: withIds(wanted.seeds) }),
		...(wanted.fixes && { fixes: withIds(wanted.fixes) })
	};
	return {
		...next,
		...(wanted.phases && { targets: heldTargets(next) }),
		...(wanted.games && heldScenes(next))
	};
}

/** Stores a season as it is to be from now on, where it makes sense among the seasons of its team. */
export async function putSeason(
	tx: Queryable,
	teamId: string,
	next: Season,
	seasons: readonly Season[]
): Promise<Result<Season, Misfit>> {
	const misfit = (await seasonMisfit(tx, teamId, next)) ?? overlapOf(next, seasons);
	if (misfit) return fail(misfit);
	await saveSeason(tx, teamId, next);
	return ok(next);
}

/** Moves a game of a season to another day. */
export async function moveGame(
	db: Db,
	{ teamId, seasonId, id, date }: { teamId: string; seasonId: string; id: string; date: string }
): Promise<Result<Season, Refused>> {
	const season = (await listSeasons(db, teamId)).find((each) => each.id === seasonId);
	const games = season?.games ?? [];
	if (!season || !games.some((game) => game.id === id))
		return fail({ path: [], message: say(texts.noGame) });
	return changeSeason(db, {
		teamId,
		seasonId,
		parts: { games: games.map((game) => (game.id === id ? { ...game, date } : game)) },
		base: stampOfParts(season, ['games'])
	});
}

/**
 * Puts parts of a season in the place of those that it has. A misfit names the list, the row and the field at
 * fault, or has `newest` where these parts are not what they were changed from (`base`); nothing is stored then.
 */
export async function changeSeason(
	db: Db,
	{
		teamId,
		seasonId,
		parts,
		base,
		submission
	}: { teamId: string; seasonId: string; parts: unknown } & Submission
): Promise<Result<Season, Refused>> {
	const shape = readShape(SeasonParts, parts);
	if (!shape.ok) return shape;
	const wanted = shape.value;
	return changeTeam(db, { teamId, submission }, async (tx): Promise<Result<Season, Refused>> => {
		const seasons = await listSeasons(tx, teamId);
		const season = seasons.find(({ id }) => id === seasonId);
		if (!season) return fail({ path: [], message: say(texts.noSeason) });
		const stale = staleness(base, partsOf(season, Object.keys(wanted) as (keyof SeasonParts)[]));
		if (stale) return fail(stale);
		const next = merged(season, wanted);
		const put = await putSeason(tx, teamId, next, seasons);
		if (put.ok) return put;
		const [list, index, ...rest] = put.failure.path;
		const isMoved = wanted.phases && list === 'phases' && typeof index === 'number';
		const path = isMoved ? [list, inOrder(wanted).from[index], ...rest] : put.failure.path;
		return fail({ ...put.failure, path });
	});
}
