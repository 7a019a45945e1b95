import { clockAt } from '$core/conditions';
import type { Drill } from '$core/model/drill';
import type { PracticeState } from '$core/model/exportFiles';
import type { Practice } from '$core/model/practice';
import type { Game, Season } from '$core/model/season';
import { drillsIn, plannedMinutes } from '$core/practice';
import { lastDayOf } from '$core/season';
import { writeCalendar, type CalendarEvent } from '../../../../doors';
import type { Queryable } from '../../database';
import { listRevisionsOf } from '../../repositories/drills';
import { readPeople } from '../../repositories/people';
import { listForCalendar, type CalendarRow } from '../../repositories/season';
import { findTeam } from '../../repositories/teams';
import { say } from '../../say';
import { keyOf } from '../practices/play';
import { findSeason } from './changeSeason';
import texts from '$texts/calendarFile';

/** Names of players have no place in a calendar that is passed on. */
function without(names: readonly string[], text: string): string {
	return names.reduce((left, name) => left.replaceAll(name, '…'), text);
}

/** The plan in a few lines: when each period starts, what it is, and its drills. */
function outlineOf(practice: Practice, drills: ReadonlyMap<string, Drill>): string {
	let minute = 0;
	return practice.periods
		.map(({ name, minutes, lanes }) => {
			const start = clockAt(practice.start, minute * 60);
			minute += minutes;
			const own = lanes.flatMap(({ blocks }) =>
				blocks.flatMap(({ drill }) => (drill ? (drills.get(keyOf(drill))?.name ?? []) : []))
			);
			const said = [...new Set(own)].filter((each) => each !== name).join(', ');
			return `${start} ${name}${said ? `: ${said}` : ''} (${say(texts.minutes, { minutes })})`;
		})
		.join('\n');
}

/** What a calendar is told of in each state. */
const titleOf = (state: PracticeState, team: string) =>
	say(state === 'cancelled' ? texts.practiceCancelled : texts.practiceOf, { team });

/** A calendar file of practices and games of a team; undefined where there is no such team. */
async function fileOf(
	db: Queryable,
	teamId: string,
	{ rows, games, name, now }: { rows: CalendarRow[]; games: Game[]; name: string; now: Date }
): Promise<string | undefined> {
	const team = await findTeam(db, teamId);
	if (!team) return undefined;
	const named = rows.flatMap(({ practice }) => drillsIn(practice));
	const drills = new Map(
		(await listRevisionsOf(db, teamId, named)).map((drill) => [keyOf(drill), drill])
	);
	const players = (await readPeople(db, teamId))
		.filter(({ kind }) => kind === 'player')
		.map((person) => person.name);
	const practices = rows.map(({ practice, revision, turnings, state }): CalendarEvent => {
		const outline = without(players, outlineOf(practice, drills));
		return {
			uid: `${practice.id}@${teamId}.practice`,
			sequence: revision - 1 + turnings,
			...{ date: practice.date, start: practice.start, minutes: practice.minutes },
			title: titleOf(state, team.name),
			place: without(players, practice.place),
			...(plannedMinutes(practice) > 0 && { says: outline }),
			isCancelled: state === 'cancelled'
		};
	});
	const matches = games.map((game): CalendarEvent => {
		const { id, date, start, opponent, place, changes = 0, cancelled } = game;
		return {
			uid: `${id}@${teamId}.game`,
			sequence: changes,
			date,
			...(start !== undefined && { start }),
			title: say(cancelled ? texts.gameCancelled : texts.game, {
				team: team.name,
				opponentName: opponent
			}),
			...(place !== undefined && { place }),
			isCancelled: cancelled !== undefined
		};
	});
	const events = [...practices, ...matches].sort((a, b) =>
		`${a.date} ${a.start ?? ''}` < `${b.date} ${b.start ?? ''}` ? -1 : 1
	);
	return writeCalendar(events, { name, timeZone: team.timeZone, stamp: now.getTime() });
}

const nameOf = (season: Season, team: string) => `${team}, ${season.name}`;

/** All practices and games of a season as a calendar file; undefined where there is no such season. */
export async function seasonCalendar(
	db: Queryable,
	teamId: string,
	{ id, today, now }: { id: string | null; today: string; now: Date }
): Promise<string | undefined> {
	const team = await findTeam(db, teamId);
	const season = await findSeason(db, teamId, { id, day: today });
	if (!team || !season) return undefined;
	const rows = await listForCalendar(db, teamId, {
		first: season.firstDay,
		last: lastDayOf(season)
	});
	return fileOf(db, teamId, {
		rows,
		games: season.games ?? [],
		name: nameOf(season, team.name),
		now
	});
}

/** One practice as a calendar file; undefined where there is none. */
export async function practiceCalendar(
	db: Queryable,
	teamId: string,
	{ id, now }: { id: string; now: Date }
): Promise<string | undefined> {
	const rows = await listForCalendar(db, teamId, { id });
	const team = await findTeam(db, teamId);
	if (rows.length === 0 || !team) return undefined;
	return fileOf(db, teamId, { rows, games: [], name: team.name, now });
}
