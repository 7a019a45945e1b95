import Type, { type Static } from 'typebox';
import { Clock, closed, Day, Id, Minutes, Name } from '$core/model/fields';
import type { Practice, Template } from '$core/model/practice';
import { fail, ok, type Result } from '$core/base';
import { readShape, type Misfit } from '../../../../doors';
import type { Db, Queryable } from '../../database';
import { findPractice, insertPractice } from '../../repositories/practices';
import { findTemplate } from '../../repositories/templates';
import { listGrounds } from '../../repositories/places';
import { loadSurroundings } from '../../repositories/teamHistory';
import { changeTeam } from '../refusable';
import { storeChanged } from './summaries';
import type { Submission } from '../submission';
import { say } from '../../say';
import texts from '$texts/refusals';

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

/** A practice to create. */
interface Creation {
	teamId: string;
	id: string;
	wanted: NewPractice;
}

/** The first of the people who is nobody of these, or comes twice. */
function peopleFault(
	key: string,
	wanted: readonly string[],
	people: readonly { id: string }[]
): Misfit | null {
	const known = new Set(people.map(({ id }) => id));
	const stranger = wanted.findIndex((id) => !known.has(id));
	if (stranger >= 0) return { path: [key, stranger], message: say(texts.notInTeam) };
	const isDouble = new Set(wanted).size < wanted.length;
	return isDouble ? { path: [key], message: say(texts.somebodyTwice) } : null;
}

/** Stores a new practice within a transaction of the caller; a misfit names the field at fault. */
export async function addPractice(
	tx: Queryable,
	{ teamId, id, wanted }: Creation
): Promise<Result<Practice, Misfit>> {
	const surroundings = await loadSurroundings(tx, teamId, { day: wanted.date });
	if (!surroundings) return fail({ path: [], message: say(texts.noTeam) });
	const { team, season, players, adults } = surroundings;
	const fault =
		peopleFault('expected', wanted.expected, players) ??
		peopleFault('adults', wanted.adults, adults);
	if (fault) return fail(fault);
	const grounds = await listGrounds(tx, teamId);
	if (wanted.groundId !== undefined && !grounds.some((ground) => ground.id === wanted.groundId))
		return fail({ path: ['groundId'], message: say(texts.notATeamsGround) });
	const { from, template, ...facts } = wanted;
	const model = await findModel(tx, teamId, { from, template });
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
	await insertPractice(tx, practice);
	await storeChanged(tx, practice);
	return ok(practice);
}

/** Stores a new practice of a team, empty or with the periods of another; a misfit names the field at fault. */
export async function createPractice(
	db: Db,
	{ submission, wanted, ...at }: Omit<Creation, 'wanted'> & { wanted: unknown } & Submission
): Promise<Result<Practice, Misfit>> {
	const shape = readShape(NewPractice, wanted);
	if (!shape.ok) return shape;
	return changeTeam(db, { teamId: at.teamId, submission }, (tx) =>
		addPractice(tx, { ...at, wanted: shape.value })
	);
}

/** The practice or the template that a new practice starts with; null where it starts empty. */
export async function findModel(
	db: Queryable,
	teamId: string,
	{ from, template }: Pick<NewPractice, 'from' | 'template'>
): Promise<Result<Practice | Template | null, Misfit>> {
	if (template !== undefined) {
		const model = await findTemplate(db, teamId, template);
		return model ? ok(model) : fail({ path: ['template'], message: say(texts.notATemplate) });
	}
	if (from === undefined) return ok(null);
	const stored = await findPractice(db, teamId, from);
	return stored ? ok(stored.practice) : fail({ path: ['from'], message: say(texts.notAPractice) });
}
