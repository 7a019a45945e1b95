import type { Attendance } from '$core/model/attendance';
import type { ExportPerson } from '$core/model/exportFiles';
import type { Queryable } from '../database';
import { listAttendance } from '../repositories/attendance';
import { listPractices } from '../repositories/practices';
import { countedFor, type Counted } from '../repositories/people';
import { readPeople } from '../repositories/wholeTeam';

/** All that is kept of a player: what was ever said of them, dated, and what was counted. */
export interface KeptPerson {
	person: ExportPerson;
	/** Where they were late or absent. */
	attendance: (Omit<Attendance, 'person' | 'practice'> & { date: string })[];
	/** Days of the practices that they were planned for. */
	expected: string[];
	/** What they were given of each skill in the practices that were held. */
	counted: Counted[];
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
	const practices = (await listPractices(db, teamId)).map(({ practice }) => practice);
	const dayOf = new Map(practices.map((practice) => [practice.id, practice.date]));
	const rows = await listAttendance(db, teamId);
	return {
		person,
		attendance: rows
			.filter((row) => row.person === id)
			.map(({ practice, person: _person, ...said }) => ({
				date: dayOf.get(practice) ?? '',
				...said
			})),
		expected: practices.filter(({ expected }) => expected.includes(id)).map(({ date }) => date),
		counted: await countedFor(db, teamId, id)
	};
}
