import Type, { type Static } from 'typebox';
import { fail, ok, type Result } from '$core/base';
import { closed, Id, Name } from '$core/model/fields';
import type { Template } from '$core/model/practice';
import type { Misfit } from '../../../../doors';
import type { Db } from '../../database';
import { findPractice } from '../../repositories/practices';
import { insertTemplate } from '../../repositories/templates';
import { say } from '../../say';
import texts from '$texts/refusals';

/** A practice to keep as a template, and what to call it. */
export const NewTemplate = Type.Object({ practice: Id, name: Name }, closed);
export type NewTemplate = Static<typeof NewTemplate>;

/** Keeps the periods of a practice under a name of their own; a misfit names the field at fault. */
export async function keepTemplate(
	db: Db,
	{ teamId, id, wanted }: { teamId: string; id: string; wanted: NewTemplate }
): Promise<Result<Template, Misfit>> {
	const name = wanted.name.trim();
	if (name === '') return fail({ path: ['name'], message: say(texts.isEmpty) });
	const stored = await findPractice(db, teamId, wanted.practice);
	if (!stored) return fail({ path: ['practice'], message: say(texts.notAPractice) });
	const { minutes, periods } = stored.practice;
	const template: Template = { format: 'fieldplan/template@1', id, name, minutes, periods };
	const isNew = await insertTemplate(db, teamId, template);
	return isNew ? ok(template) : fail({ path: ['name'], message: say(texts.templateNameTaken) });
}
