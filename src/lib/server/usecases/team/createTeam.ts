import { nanoid } from 'nanoid';
import Type, { type Static } from 'typebox';
import { fail, ok, type Result } from '$core/base';
import { addDays, isTimeZone, weekdayOf } from '$core/conditions';
import { closed, Id, Name } from '$core/model/fields';
import type { Sport } from '$core/model/sport';
import type { KitItem } from '$core/model/team';
import type { Misfit } from '../../../../doors';
import type { Db, Queryable } from '../../database';
import { writeWholeTeam, type WholeTeam } from '../../repositories/wholeTeam';
import { addPractice } from '../practices/createPractice';
import { refusable } from '../refusable';
import { PAGES, slugOf } from './slug';
import { kitOf } from './sports';
import { OwnSport, ownSport } from './ownSport';
import { drillsFor } from './starterDrills';
import { once, type Submission } from '../submission';
import { say } from '../../say';
import texts from '$texts/refusals';

/** What a coach says of a new team: enough to plan the first practice. */
export const NewTeam = Type.Object(
	{
		name: Name,
		/** Id of a kit that ships; one's own is said in `ownSport` instead. */
		sport: Type.Optional(Id),
		ownSport: Type.Optional(OwnSport),
		from: Type.Integer({ minimum: 4, maximum: 99 }),
		to: Type.Integer({ minimum: 4, maximum: 99 }),
		coach: Name,
		timeZone: Name,
		/** A player a line, a number before the name where there is one. */
		players: Type.String({ maxLength: 40_000, pattern: '^[^\\u0000]*$' })
	},
	closed
);
export type NewTeam = Static<typeof NewTeam>;

const MOST_PLAYERS = 300;
const FIRST_MINUTES = 60;

interface FirstPlayer {
	name: string;
	number?: number;
}

/** Players of pasted lines: `7 Ada Lind`, `Ada Lind`; a misfit names the line. */
export function readPlayers(text: string): Result<FirstPlayer[], Misfit> {
	const players: FirstPlayer[] = [];
	for (const [index, line] of text.split(/\r?\n/).entries()) {
		const match = /^\s*(?:(\d{1,3})[\s.,;:)]+)?(.*?)[\s,;]*$/.exec(line);
		const name = match?.[2] ?? '';
		if (name === '') continue;
		const at = { path: [], within: `players, line ${index + 1}` };
		if (name.length > 200) return fail({ ...at, message: say(texts.nameTooLong) });
		if (players.length === MOST_PLAYERS)
			return fail({ ...at, message: say(texts.oneTooMany, { most: MOST_PLAYERS }) });
		players.push({ name, ...(match?.[1] && { number: Number(match[1]) }) });
	}
	return ok(players);
}

/**
 * Stores a team under the first id made of its name that no other team has, and no page of the application;
 * gives the id.
 */
async function addTeam(
	tx: Queryable,
	name: string,
	wholeOf: (id: string) => WholeTeam
): Promise<string> {
	const stem = slugOf(name, 'team');
	let id = stem;
	const isTaken = async () => PAGES.includes(id) || !(await writeWholeTeam(tx, wholeOf(id)));
	for (let number = 2; await isTaken(); number += 1) id = `${stem}-${number}`;
	return id;
}

/** The Monday of the week of a day. */
const mondayOf = (day: string): string => addDays(day, 1 - weekdayOf(day));

/** Kit of which there is so much is counted for a squad of so many: larger squads have more of it. */
const COUNTED_FROM = 10;
const USUAL_SQUAD = 24;

/** What a team of an age and so many players has to begin with: soft balls for the young where the sport has hard ones. */
function kitFor({ kit, softBall, words }: Sport, age: number, players: number): KitItem[] {
	const ball = words?.ball ?? 'ball';
	const isSoft = softBall !== undefined && age < softBall.under;
	const times = Math.max(1, players / USUAL_SQUAD);
	return Object.entries(kit).map(([item, count]) => ({
		item: isSoft && item === ball ? softBall.item : item,
		count: count < COUNTED_FROM ? count : Math.ceil(count * times)
	}));
}

/** A new team of a sport as it is stored: its first players, a head coach, the kit's ground, and drills for its ages. */
export function wholeTeam(
	{ name, from, to, coach, timeZone }: NewTeam,
	{ id, sport, players, today }: { id: string; sport: Sport; players: FirstPlayer[]; today: string }
): WholeTeam {
	const nothing = { units: [], ratings: [] };
	return {
		team: {
			format: 'fieldplan/team@1',
			team: {
				id,
				name,
				sport: sport.id,
				sportName: sport.name,
				ages: { from, to },
				timeZone,
				skillAreas: sport.skillAreas,
				units: sport.units,
				positions: sport.team,
				...(sport.places && { places: sport.places }),
				positionList: sport.positions,
				...(sport.loads && { loads: sport.loads }),
				cautions: sport.cautions,
				...(sport.words && { words: sport.words })
			},
			seasons: [{ id: 'first', name: 'First season', firstDay: mondayOf(today), weeks: 12 }],
			people: [
				...players.map((player, index) => ({
					id: `p${index + 1}`,
					kind: 'player' as const,
					...player,
					...nothing
				})),
				{ id: 'head', kind: 'adult' as const, name: coach, role: 'head coach', ...nothing }
			],
			grounds: [sport.ground],
			kit: kitFor(sport, from, players.length)
		},
		drills: drillsFor(sport, { from, to }),
		practices: [],
		templates: [],
		ledger: { format: 'fieldplan/ledger@1', rows: [] },
		attendance: { format: 'fieldplan/attendance@1', rows: [] }
	};
}

/**
 * Stores a new team from a sport kit with its first players and an empty practice for `today`. Gives the
 * ids of both; a misfit names the field, or the line of a player, at fault.
 */
export async function createTeam(
	db: Db,
	{ wanted, today, submission }: { wanted: NewTeam; today: string } & Submission
): Promise<Result<{ team: string; practice: string }, Misfit>> {
	const sport = wanted.ownSport ? ownSport(wanted.ownSport) : kitOf(wanted.sport ?? '');
	if (!sport) return fail({ path: ['sport'], message: say(texts.unknownSport) });
	if (wanted.name.trim() === '') return fail({ path: ['name'], message: say(texts.isEmpty) });
	if (wanted.ownSport?.name.trim() === '')
		return fail({ path: ['ownSport', 'name'], message: say(texts.isEmpty) });
	if (wanted.to < wanted.from)
		return fail({ path: ['to'], message: say(texts.oldestIsYounger, { from: wanted.from }) });
	if (!isTimeZone(wanted.timeZone))
		return fail({ path: ['timeZone'], message: say(texts.notATimeZone) });
	const players = readPlayers(wanted.players);
	if (!players.ok) return players;
	return refusable(db, (tx) =>
		once(tx, submission, async () => {
			const id = await addTeam(tx, wanted.name, (id) =>
				wholeTeam(wanted, { id, sport, players: players.value, today })
			);
			const practice = await addPractice(tx, {
				teamId: id,
				id: nanoid(12),
				wanted: {
					date: today,
					start: '18:00',
					minutes: FIRST_MINUTES,
					place: sport.ground.name,
					expected: players.value.map((_, index) => `p${index + 1}`),
					adults: ['head']
				}
			});
			return practice.ok ? ok({ team: id, practice: practice.value.id }) : practice;
		})
	);
}
