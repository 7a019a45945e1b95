import type { Attendance } from '$core/model/attendance';
import type { ExportPerson } from '$core/model/exportFiles';
import { comingTo, type DatedTally } from '$core/season';
import type { Queryable } from '../../database';
import { listAttendance } from '../../repositories/attendance';
import { listPractices } from '../../repositories/practices';
import { countedFor, type Counted } from '../../repositories/people';
import { readPeople } from '../../repositories/people';
import { listTallies } from '../../repositories/ladders';

/** All that is kept of a player: what was ever said of them, dated, and what was counted. */
export interface KeptPerson {
	person: ExportPerson;
	/** Where they were late or absent. */
	attendance: (Omit<Attendance, 'person' | 'practice'> & { date: string })[];
	/** Days of the practices that they were planned for. */
	expected: string[];
	/** What they were given of each skill in the practices that were held. */
	counted: Counted[];
	/** Their tries, where they were counted by themselves. */
	tallies: DatedTally[];
}

/** All that is kept of a player of a team; undefined where there is none of this id. */
export async function loadPerson(
	db: Queryable,
	teamId: string,
	id: string
): Promise<KeptPerson | undefined> {
	const people = await readPeople(db, teamId);
	const person = people.find((each) => each.id === id && each.kind === 'player');
	if (!person) return undefined;
	const practices = (await listPractices(db, teamId)).filter(({ isArchived }) => !isArchived);
	const rows = (await listAttendance(db, teamId)).filter((row) => row.person === id);
	const rowAt = new Map(rows.map((row) => [row.practice, row]));
	return {
		person,
		attendance: practices.flatMap(({ practice, isDone }) => {
			const row = rowAt.get(practice.id);
			if (!row) return [];
			const own = new Map([[id, row]]);
			const said = comingTo([id], { practice, isHeld: isDone }, own).get(id);
			return said && said.state !== 'here' ? [{ date: practice.date, ...said }] : [];
		}),
		expected: practices
			.filter(({ practice }) => practice.expected.includes(id))
			.map(({ practice }) => practice.date),
		counted: await countedFor(db, teamId, id),
		tallies: (await listTallies(db, teamId)).filter(
			({ whom, whomId }) => whom === 'player' && whomId === id
		)
	};
}
