import Type from 'typebox';
import { fail, ok, type Result } from '$core/base';
import { GLOSSARY, type OwnWords } from '$core/words';
import { readShape, type Misfit } from '../../../doors';
import type { Queryable } from '../database';
import { findTeam, updateTeam } from '../repositories/surroundings';

const Words = Type.Record(Type.String(), Type.String({ maxLength: 60 }));

/** Saves a team's own words, empty ones left out; a misfit names the word that is none of the glossary. */
export async function saveWords(
	db: Queryable,
	{ teamId, words }: { teamId: string; words: unknown }
): Promise<Result<OwnWords, Misfit>> {
	const shape = readShape(Words, words);
	if (!shape.ok) return shape;
	const team = await findTeam(db, teamId);
	if (!team) return fail({ path: '', message: 'There is no such team.' });
	const stranger = Object.keys(shape.value).find(
		(key) => !GLOSSARY.some(({ word }) => word === key)
	);
	if (stranger !== undefined)
		return fail({ path: stranger, message: 'is no word of the glossary' });
	const own = Object.fromEntries(
		Object.entries(shape.value).flatMap(([word, text]) =>
			text.trim() === '' || text.trim() === word ? [] : [[word, text.trim()]]
		)
	);
	const { words: _before, ...rest } = team;
	await updateTeam(db, Object.keys(own).length > 0 ? { ...rest, words: own } : rest);
	return ok(own);
}
