import { nanoid } from 'nanoid';
import Type, { type Static } from 'typebox';
import { fail, ok, type Result } from '$core/base';
import { Attendance } from '$core/model/attendance';
import { closed, Id } from '$core/model/fields';
import type { Practice } from '$core/model/practice';
import type { Adult, Player } from '$core/model/team';
import { arrivesAt } from '$core/practice';
import { habitsOf, type Habit } from '$core/season';
import { readShape, type Misfit } from '../../../doors';
import type { Db, Queryable } from '../database';
import { clearAttendance, insertAttendance, listAttendance } from '../repositories/attendance';
import {
	findPractice,
	isHeld,
	listPractices,
	replaceLedger,
	type ListedPractice
} from '../repositories/practices';
import { loadSurroundings } from '../repositories/surroundings';
import { applyStored, rowsOf } from './saveEdits';
import { weekOf } from './views';

/** Who is late or absent at each practice of some days; who is not named comes on time. */
const Sent = Type.Array(
	Type.Object(
		{
			practice: Id,
			rows: Type.Array(Type.Omit(Attendance, ['practice']), { maxItems: 1000 })
		},
		closed
	),
	{ maxItems: 50 }
);
type Sent = Static<typeof Sent>;

/** A practice with who was, or will be, late or absent. */
export interface AttendedPractice {
	id: string;
	date: string;
	start: string;
	isHeld: boolean;
	/** By person; whoever is not here comes on time. */
	said: Record<string, Omit<Attendance, 'practice' | 'person'>>;
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

/** What is said of everyone at a practice: of whom nothing is kept, what the practice itself plans with. */
function saidOf(
	{ practice, isDone }: ListedPractice,
	rows: readonly Attendance[],
	people: { players: readonly Player[]; adults: readonly Adult[] }
): AttendedPractice {
	const said: AttendedPractice['said'] = {};
	const absent = (ids: readonly string[], there: readonly string[]) => {
		for (const id of ids) if (!there.includes(id)) said[id] = { state: 'absent' };
	};
	absent(
		people.players.map(({ id }) => id),
		practice.expected
	);
	absent(
		people.adults.map(({ id }) => id),
		practice.adults
	);
	for (const [id, minutes] of Object.entries(practice.late ?? {}))
		if (!said[id]) said[id] = { state: 'late', minutes };
	for (const { practice: at, person, ...row } of rows) if (at === practice.id) said[person] = row;
	const { id, date, start } = practice;
	return { id, date, start, isHeld: isDone, said };
}

/** The attendance of a week of the season, counted from 1; the week of `today` where it is not said. */
export async function loadAttendance(
	db: Queryable,
	teamId: string,
	{ today, week }: { today: string; week?: number }
): Promise<AttendanceWeek | undefined> {
	const surroundings = await loadSurroundings(db, teamId, today);
	if (!surroundings) return undefined;
	const { season, players, adults, team } = surroundings;
	const rows = await listAttendance(db, teamId);
	const listed = (await listPractices(db, teamId)).filter(({ isArchived }) => !isArchived);
	const shown = week ?? weekOf(season, today);
	const held = listed.filter(({ isDone }) => isDone).map(({ practice }) => practice);
	const people = [...players, ...adults].map(({ id }) => id);
	return {
		week: shown,
		weeks: season.weeks,
		practices: listed
			.filter(({ practice }) => weekOf(season, practice.date) === shown)
			.map((each) => saidOf(each, rows, { players, adults })),
		players,
		adults,
		units: team.units,
		habits: Object.fromEntries(habitsOf(people, held, rows))
	};
}

/** What is wrong with rows of one practice. */
function rowsFault(rows: Sent[number]['rows'], known: ReadonlySet<string>): Misfit | null {
	const seen = new Set<string>();
	for (const [index, { person, state, minutes }] of rows.entries()) {
		const path = `rows[${index}]`;
		if (!known.has(person)) return { path: `${path}.person`, message: 'is nobody of this team' };
		if (seen.has(person)) return { path: `${path}.person`, message: 'comes twice' };
		seen.add(person);
		if (state === 'late' && minutes === undefined)
			return { path: `${path}.minutes`, message: 'How many minutes late?' };
	}
	return null;
}

/** The practice with those who come, and when, as the rows say. */
function attended(
	practice: Practice,
	rows: Sent[number]['rows'],
	{ players, adults }: { players: readonly Player[]; adults: readonly Adult[] }
): Practice {
	const said = new Map(rows.map((row) => [row.person, row]));
	const there = (people: readonly { id: string }[]) =>
		people.map(({ id }) => id).filter((id) => said.get(id)?.state !== 'absent');
	const expected = there(players);
	const late = Object.fromEntries(
		expected.flatMap((id) => {
			const { state, minutes } = said.get(id) ?? {};
			return state === 'late' && minutes !== undefined ? [[id, minutes]] : [];
		})
	);
	const { late: _before, ...rest } = practice;
	const isAnyLate = Object.keys(late).length > 0;
	return { ...rest, expected, adults: there(adults), ...(isAnyLate && { late }) };
}

const sameSet = (a: readonly string[], b: readonly string[]) =>
	a.length === b.length && a.every((id) => b.includes(id));

/** Whether two states of a practice expect the same people at the same minutes. */
const sameComing = (a: Practice, b: Practice) =>
	sameSet(a.expected, b.expected) &&
	sameSet(a.adults, b.adults) &&
	a.expected.every((id) => arrivesAt(a, id) === arrivesAt(b, id));

/**
 * Stores who is late or absent, of all practices or none. A practice that is to come is planned with it;
 * of one that was held, what was done is counted anew. A misfit names the practice and the row at fault.
 */
export async function saveAttendance(
	db: Db,
	{ teamId, today, sent }: { teamId: string; today: string; sent: unknown }
): Promise<Result<null, Misfit>> {
	const shape = readShape(Sent, sent);
	if (!shape.ok) return shape;
	const surroundings = await loadSurroundings(db, teamId, today);
	if (!surroundings) return fail({ path: '', message: 'There is no such team.' });
	const { players, adults } = surroundings;
	const known = new Set([...players, ...adults].map(({ id }) => id));
	for (const [index, { practice: id, rows }] of shape.value.entries()) {
		if (!(await findPractice(db, teamId, id)))
			return fail({ path: `[${index}].practice`, message: 'is no practice of this team' });
		const fault = rowsFault(rows, known);
		if (fault) return fail({ ...fault, path: `[${index}].${fault.path}` });
	}
	await db.transaction(async (tx) => {
		for (const { practice: id, rows } of shape.value) {
			const stored = await findPractice(tx, teamId, id);
			if (!stored) continue;
			await clearAttendance(tx, teamId, id);
			await insertAttendance(
				tx,
				teamId,
				rows.map((row) => ({ practice: id, ...row }))
			);
			const next = attended(stored.practice, rows, { players, adults });
			if (await isHeld(tx, teamId, id))
				await replaceLedger(tx, { teamId, id }, 'done', await rowsOf(tx, next));
			else if (!sameComing(stored.practice, next)) {
				const { expected, adults: there, late = null } = next;
				const edit = { type: 'set-practice' as const, set: { expected, adults: there, late } };
				await applyStored(tx, stored, { id: nanoid(), edit });
			}
		}
	});
	return ok(null);
}
