import Type, { type Static } from 'typebox';
import { Clock, closed, Day, Id, Minutes, Name, isDay } from '$core/model/fields';
import type { Practice, Template } from '$core/model/practice';
import { fail, ok, type Result } from '$core/base';
import type { Misfit } from '../../../doors';
import type { Db, Queryable } from '../database';
import { findPractice, insertPractice, replaceLedger } from '../repositories/practices';
import { findTemplate } from '../repositories/templates';
import { listGrounds } from '../repositories/places';
import { loadSurroundings } from '../repositories/surroundings';
import { rowsOf } from './saveEdits';

/** What a coach says of a new practice. */
export const NewPractice = Type.Object(
	{
		date: Day,
		start: Clock,
		minutes: Minutes,
		place: Name,
		/** The ground that it is planned on; the team's first where it is not said. */
		groundId: Type.Optional(Id),
		expected: Type.Array(Id),
		adults: Type.Array(Id),
		/** The practice whose periods it starts with. */
		from: Type.Optional(Id),
		/** The template whose periods it starts with. */
		template: Type.Optional(Id)
	},
	closed
);
export type NewPractice = Static<typeof NewPractice>;

/** Stores a new practice of a team, empty or with the periods of another; a misfit names the field at fault. */
export async function createPractice(
	db: Db,
	{ teamId, id, wanted }: { teamId: string; id: string; wanted: NewPractice }
): Promise<Result<Practice, Misfit>> {
	if (!isDay(wanted.date)) return fail({ path: 'date', message: 'is not a day of the calendar' });
	const surroundings = await loadSurroundings(db, teamId, wanted.date);
	if (!surroundings) return fail({ path: '', message: 'There is no such team.' });
	const { team, season, players, adults } = surroundings;
	for (const [key, people] of [
		['expected', players],
		['adults', adults]
	] as const) {
		const known = new Set(people.map((person) => person.id));
		const stranger = wanted[key].findIndex((person) => !known.has(person));
		if (stranger >= 0)
			return fail({ path: `${key}[${stranger}]`, message: 'is nobody of this team' });
		if (new Set(wanted[key]).size < wanted[key].length)
			return fail({ path: key, message: 'names somebody twice' });
	}
	const grounds = await listGrounds(db, teamId);
	if (wanted.groundId !== undefined && !grounds.some(({ id }) => id === wanted.groundId))
		return fail({ path: 'groundId', message: 'is no ground of this team' });
	const { from, template, ...facts } = wanted;
	const model = await findModel(db, teamId, { from, template });
	if (!model.ok) return model;
	const practice: Practice = {
		format: 'fieldplan/practice@1',
		id,
		teamId,
		seasonId: season.id,
		timeZone: team.timeZone,
		...facts,
		periods: model.value?.periods ?? []
	};
	await db.transaction(async (tx) => {
		await insertPractice(tx, practice);
		await replaceLedger(tx, practice, 'planned', await rowsOf(tx, practice));
	});
	return ok(practice);
}

/** The practice or the template that a new practice starts with; null where it starts empty. */
export async function findModel(
	db: Queryable,
	teamId: string,
	{ from, template }: Pick<NewPractice, 'from' | 'template'>
): Promise<Result<Practice | Template | null, Misfit>> {
	if (template !== undefined) {
		const model = await findTemplate(db, teamId, template);
		return model ? ok(model) : fail({ path: 'template', message: 'is no template of this team' });
	}
	if (from === undefined) return ok(null);
	const stored = await findPractice(db, teamId, from);
	return stored
		? ok(stored.practice)
		: fail({ path: 'from', message: 'is no practice of this team' });
}
