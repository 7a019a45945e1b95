import Type from 'typebox';
import { assertNever, fail, ok, type Result } from '$core/base';
import { Clock, closed, Day, Name } from '$core/model/fields';
import type { Game, Season } from '$core/model/season';
import { lastDayOf } from '$core/season';
import {
	MOST_CALENDAR_BYTES,
	readCalendar,
	readShape,
	type CalendarFault,
	type ReadEvent
} from '../../../../doors';
import type { Db, Queryable } from '../../database';
import { findTeam, listSeasons } from '../../repositories/teams';
import { say } from '../../say';
import { changeSeason, stampOfParts } from './changeSeason';
import type { Refused, Submission } from '../submission';
import texts from '$texts/refusals';

/** A game as a calendar file says it, and how it stands to those of the season. */
export interface FoundGame {
	uid: string;
	date: string;
	start?: string;
	opponent: string;
	place?: string;
	isCancelled: boolean;
	/** The game of the season that came from the same event; null where there is none. */
	same: { date: string; start?: string; opponent: string; isChanged: boolean } | null;
	/** Another game of the season on that day, by opponent; null where there is none. */
	onThatDay: string | null;
}

/** What a calendar file holds of games. */
export interface FoundGames {
	games: FoundGame[];
	/** Events that have no day that can be read. */
	skipped: number;
	/** Events that lie outside the season. */
	outside: number;
	/** The stamp of the games that it was held against. */
	stamp: string;
}

/** Why a file cannot be read, in words. */
function faultWords(fault: CalendarFault): string {
	switch (fault) {
		case 'too-large':
			return say(texts.fileTooLarge, { megabytes: MOST_CALENDAR_BYTES / 1_000_000 });
		case 'no-calendar':
			return say(texts.notACalendar);
		case 'broken':
			return say(texts.brokenCalendar);
		case 'no-events':
			return say(texts.noEvents);
		case 'too-many':
			return say(texts.tooManyEvents);
		default:
			return assertNever(fault);
	}
}

/** Words between the two teams of a title: "Saltmarsh v Orrin Quay". */
const BETWEEN = /\s+(?:v|vs|vs\.|versus|against|@|at)\s+|\s+[-–—:]\s+/i;

/** The opponent in the title of an event: the side of it that is not the team's own. */
export function opponentIn(title: string, team: string): string {
	const sides = title
		.split(BETWEEN)
		.map((side) => side.trim())
		.filter(Boolean);
	if (sides.length < 2)
		return title.replace(/^(?:game|match|away|home)\b[\s:,-]*/i, '').trim() || title;
	const words = (text: string) => new Set(text.toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? []);
	const own = words(team);
	const shared = (side: string) => [...words(side)].filter((word) => own.has(word)).length;
	return sides.toSorted((a, b) => shared(a) - shared(b))[0];
}

function foundGame(event: ReadEvent, { games = [] }: Season, team: string): FoundGame {
	const { uid, date, start, title, place, isCancelled } = event;
	const opponent = opponentIn(title, team).slice(0, 200);
	const same = uid === '' ? undefined : games.find((game) => game.uid === uid);
	const other = games.find((game) => game.date === date && game !== same);
	const isChanged =
		same !== undefined &&
		(same.date !== date ||
			same.start !== start ||
			same.opponent !== opponent ||
			(same.cancelled !== undefined) !== isCancelled);
	return {
		...{ uid, date, opponent, isCancelled },
		...(start !== undefined && { start }),
		...(place !== undefined && { place }),
		same: same
			? {
					date: same.date,
					opponent: same.opponent,
					isChanged,
					...(same.start !== undefined && { start: same.start })
				}
			: null,
		onThatDay: other?.opponent ?? null
	};
}

/** What a calendar file holds of games of a season; nothing is stored. A failure says what is wrong with the file. */
export async function lookAtGames(
	db: Queryable,
	{ teamId, seasonId, text }: { teamId: string; seasonId: string; text: string }
): Promise<Result<FoundGames, string>> {
	const team = await findTeam(db, teamId);
	const season = (await listSeasons(db, teamId)).find(({ id }) => id === seasonId);
	if (!team || !season) return fail(say(texts.noSeason));
	const { timeZone } = team;
	const last = lastDayOf(season);
	const read = readCalendar(text, { timeZone, first: season.firstDay, last });
	if (!read.ok) return fail(faultWords(read.failure));
	const { events, skipped } = read.value;
	const within = events.filter(({ date }) => season.firstDay <= date && date <= last);
	return ok({
		games: within.map((event) => foundGame(event, season, team.name)),
		skipped,
		outside: events.length - within.length,
		stamp: stampOfParts(season, ['games'])
	});
}

const Taken = Type.Array(
	Type.Object(
		{
			uid: Type.String({ maxLength: 200 }),
			date: Day,
			start: Type.Optional(Clock),
			opponent: Name,
			place: Type.Optional(Name),
			isCancelled: Type.Boolean()
		},
		closed
	),
	{ maxItems: 200 }
);

/** Games of a file put into a season: one with a UID that is there takes the place of that game. */
function withTaken(games: readonly Game[], taken: Type.Static<typeof Taken>): Game[] {
	const next = [...games];
	for (const [index, { uid, isCancelled, ...facts }] of taken.entries()) {
		const at = uid === '' ? -1 : next.findIndex((game) => game.uid === uid);
		const game: Game = {
			...(at < 0 ? { id: `new-${index}` } : { id: next[at].id, changes: next[at].changes }),
			...facts,
			...(uid !== '' && { uid }),
			...(isCancelled && { cancelled: say(texts.cancelledInFile) })
		};
		if (at < 0) next.push(game);
		else next[at] = JSON.parse(JSON.stringify(game)) as Game;
	}
	return next.sort((a, b) => (a.date < b.date ? -1 : 1));
}

/** Takes games of a file that was looked at into a season. Gives how many; a misfit names the row at fault. */
export async function importGames(
	db: Db,
	{
		teamId,
		seasonId,
		taken,
		...submission
	}: { teamId: string; seasonId: string; taken: unknown } & Submission
): Promise<Result<number, Refused>> {
	const shape = readShape(Taken, taken);
	if (!shape.ok) return shape;
	const season = (await listSeasons(db, teamId)).find(({ id }) => id === seasonId);
	if (!season) return fail({ path: [], message: say(texts.noSeason) });
	const games = withTaken(season.games ?? [], shape.value);
	const changed = await changeSeason(db, { teamId, seasonId, parts: { games }, ...submission });
	return changed.ok ? ok(shape.value.length) : changed;
}
