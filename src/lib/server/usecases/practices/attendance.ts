import { group } from 'd3-array';
import { nanoid } from 'nanoid';
import Type, { type Static } from 'typebox';
import { fail, ok, sameValue, type Result } from '$core/base';
import { Attendance } from '$core/model/attendance';
import { closed, Id } from '$core/model/fields';
import type { Practice } from '$core/model/practice';
import type { Adult, Player } from '$core/model/team';
import { comingTo, habitsOf, weekOf, withComing, type Coming, type Habit } from '$core/season';
import { readShape, type Misfit } from '../../../../doors';
import type { Db, Queryable } from '../../database';
import { insertAttendance, listAttendance, removeAttendance } from '../../repositories/attendance';
import { listAdultIds } from '../../repositories/people';
import {
	findPractice,
	isHeld,
	listComing,
	listPractices,
	lockPractice,
	type ListedPractice
} from '../../repositories/practices';
import { loadSurroundings } from '../../repositories/teamHistory';
import { lockTeam } from '../../repositories/teams';
import { applyStored } from './saveEdits';
import { forgetLater, storeDone } from './summaries';
import { once, type Submission } from '../submission';
import { say } from '../../say';
import texts from '$texts/refusals';

const Coming = Type.Pick(Attendance, ['state', 'minutes', 'reason'], closed);

/** Changes of how somebody comes to practices: who, how now, and how it was when it was changed. */
const Sent = Type.Array(
	Type.Object(
		{
			practice: Id,
			rows: Type.Array(Type.Object({ person: Id, is: Coming, was: Coming }, closed), {
				maxItems: 1000
			})
		},
		closed
	),
	{ maxItems: 50 }
);
type Sent = Static<typeof Sent>;
type Row = Sent[number]['rows'][number];

/** A practice with how everyone comes, or came. */
export interface AttendedPractice {
	id: string;
	date: string;
	start: string;
	isHeld: boolean;
	/** By person. */
	said: Record<string, Coming>;
}

/** A week of attendance, and how everyone has come so far. */
export interface AttendanceWeek {
	week: number;
	weeks: number;
	practices: AttendedPractice[];
	players: Player[];
	adults: Adult[];
	units: { id: string; name: string }[];
	habits: Record<string, Habit>;
}

/** Rows of a team by practice and person. */
type Rows = ReadonlyMap<string, ReadonlyMap<string, Attendance>>;

const byPractice = (rows: readonly Attendance[]): Rows =>
	new Map(
		[...group(rows, ({ practice }) => practice)].map(([id, own]) => [
			id,
			new Map(own.map((row) => [row.person, row]))
		])
	);

const NO_ROWS: ReadonlyMap<string, Attendance> = new Map();

/**
 * The practices of a team that are not archived, in order of time: those that were held with the people
 * who came, those to come with the people they are planned with.
 */
export async function listAttended(db: Queryable, teamId: string): Promise<ListedPractice[]> {
	const rows = byPractice(await listAttendance(db, teamId));
	const adults = new Set(await listAdultIds(db, teamId));
	return (await listPractices(db, teamId))
		.filter(({ isArchived }) => !isArchived)
		.map((listed) => {
			const own = rows.get(listed.practice.id);
			if (!listed.isDone || !own) return listed;
			return { ...listed, practice: withComing(listed.practice, own, adults) };
		});
}

/** The attendance of a week of the season, counted from 1; the week of `today` where it is not said. */
export async function loadAttendance(
	db: Queryable,
	teamId: string,
	{ today, week }: { today: string; week?: number }
): Promise<AttendanceWeek | undefined> {
	const surroundings = await loadSurroundings(db, teamId, { day: today });
	if (!surroundings) return undefined;
	const { season, players, adults, team } = surroundings;
	const rows = await listAttendance(db, teamId);
	const of = byPractice(rows);
	const listed = await listComing(db, teamId);
	const shown = week ?? weekOf(season, today);
	const held = listed.filter(({ isDone }) => isDone);
	const people = [...players, ...adults].map(({ id }) => id);
	return {
		week: shown,
		weeks: season.weeks,
		practices: listed
			.filter(({ date }) => weekOf(season, date) === shown)
			.map(({ isDone, ...practice }) => {
				const { id, date, start } = practice;
				const coming = comingTo(people, { practice, isHeld: isDone }, of.get(id) ?? NO_ROWS);
				return { id, date, start, isHeld: isDone, said: Object.fromEntries(coming) };
			}),
		players,
		adults,
		units: team.units,
		habits: Object.fromEntries(habitsOf(people, held, rows))
	};
}

/** What is wrong with rows of one practice. */
function rowsFault(rows: readonly Row[], known: ReadonlySet<string>): Misfit | null {
	const seen = new Set<string>();
	for (const [index, { person, is }] of rows.entries()) {
		const path = ['rows', index];
		if (!known.has(person)) return { path: [...path, 'person'], message: say(texts.notInTeam) };
		if (seen.has(person)) return { path: [...path, 'person'], message: say(texts.isTwice) };
		seen.add(person);
		if (is.state === 'late' && is.minutes === undefined)
			return { path: [...path, 'minutes'], message: say(texts.howLate) };
	}
	return null;
}

/** Why attendance was not stored. */
export interface AttendanceRefused extends Misfit {
	/** Whether somebody else has said otherwise meanwhile. */
	isStale?: boolean;
}

/** Thrown to leave everything as it was. */
class Clash extends Error {
	constructor(readonly misfit: Misfit) {
		super(misfit.message);
	}
}

/** Who of the rows is said to come otherwise than when the row was changed. */
function clashIn(rows: readonly Row[], now: ReadonlyMap<string, Coming>): Misfit | null {
	for (const [index, { person, was, is }] of rows.entries()) {
		const current = now.get(person) ?? { state: 'absent' };
		const isOther = current.state !== was.state || current.minutes !== was.minutes;
		if (isOther && !sameValue(current, is))
			return {
				path: ['rows', index, 'person'],
				message: say(texts.attendanceChanged, {
					state: current.state,
					minutes: current.minutes ?? 0
				})
			};
	}
	return null;
}

/** Stores the rows of one practice; throws `Clash` where somebody else has said otherwise meanwhile. */
async function saveOne(
	tx: Queryable,
	{ teamId, id, rows }: { teamId: string; id: string; rows: readonly Row[] },
	people: { ids: readonly string[]; adults: ReadonlySet<string> }
): Promise<void> {
	const stored = await lockPractice(tx, teamId, id);
	if (!stored) return;
	const wasHeld = await isHeld(tx, teamId, id);
	const kept = byPractice(await listAttendance(tx, teamId)).get(id) ?? NO_ROWS;
	const now = comingTo(people.ids, { practice: stored.practice, isHeld: wasHeld }, kept);
	const clash = clashIn(rows, now);
	if (clash) throw new Clash(clash);
	await removeAttendance(
		tx,
		{ teamId, id },
		rows.map(({ person }) => person)
	);
	const changed = new Map(rows.map(({ person, is }) => [person, is]));
	const planned = new Set([...stored.practice.expected, ...stored.practice.adults]);
	const said = [...changed].filter(
		([person, { state }]) => state !== 'here' || (wasHeld && !planned.has(person))
	);
	await insertAttendance(
		tx,
		teamId,
		said.map(([person, is]) => ({ practice: id, person, ...is }))
	);
	if (wasHeld) {
		await storeDone(tx, stored.practice);
		await forgetLater(tx, stored.practice);
		return;
	}
	const next = withComing(stored.practice, changed, people.adults);
	if (!sameValue(comingSet(next), comingSet(stored.practice)))
		await applyStored(tx, stored, {
			id: nanoid(),
			edit: { type: 'set-practice', set: comingSet(next) }
		});
}

/** What an edit sets of those who come, and when. */
const comingSet = ({ expected, adults, late }: Practice) => ({
	expected,
	adults,
	late: late ?? null
});

/**
 * Stores how people come, of all practices or none. A practice that is to come is planned with it, as if
 * it had been said on its board; of one that was held, what was done is counted anew. A misfit names the
 * practice and the row at fault, or whom somebody else has marked otherwise since the row was changed.
 */
export async function saveAttendance(
	db: Db,
	{ teamId, today, sent, submission }: { teamId: string; today: string; sent: unknown } & Submission
): Promise<Result<null, AttendanceRefused>> {
	const shape = readShape(Sent, sent);
	if (!shape.ok) return shape;
	const surroundings = await loadSurroundings(db, teamId, { day: today });
	if (!surroundings) return fail({ path: [], message: say(texts.noTeam) });
	const ids = [...surroundings.players, ...surroundings.adults].map(({ id }) => id);
	const adults = new Set(surroundings.adults.map(({ id }) => id));
	for (const [index, { practice: id, rows }] of shape.value.entries()) {
		if (!(await findPractice(db, teamId, id)))
			return fail({ path: [index, 'practice'], message: say(texts.notAPractice) });
		const fault = rowsFault(rows, new Set(ids));
		if (fault) return fail({ ...fault, path: [index, ...fault.path] });
	}
	let at = 0;
	try {
		await db.transaction(async (tx) => {
			await lockTeam(tx, teamId);
			await once(tx, submission, async () => {
				for (const [index, { practice: id, rows }] of shape.value.entries()) {
					at = index;
					await saveOne(tx, { teamId, id, rows }, { ids, adults });
				}
			});
		});
		return ok(null);
	} catch (error) {
		if (!(error instanceof Clash)) throw error;
		return fail({ ...error.misfit, path: [at, ...error.misfit.path], isStale: true });
	}
}
