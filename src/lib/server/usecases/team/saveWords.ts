import Type from 'typebox';
import { fail, ok, type Result } from '$core/base';
import { byKey, Key } from '$core/model/fields';
import { GLOSSARY, type OwnWords } from '$words';
import { readShape } from '../../../../doors';
import type { Db } from '../../database';
import { findTeam, updateTeam } from '../../repositories/teams';
import { changeTeam } from '../refusable';
import { staleness, type Refused, type Submission } from '../submission';
import { say } from '../../say';
import texts from '$texts/refusals';

const Words = byKey(Key, Type.String({ maxLength: 60, pattern: '^[^\\u0000]*$' }));

/**
 * Saves a team's own words, empty ones left out. A misfit names the word that is none of the glossary; it
 * has `newest` where the words are not what they were changed from (`base`).
 */
export async function saveWords(
	db: Db,
	{ teamId, words, base }: { teamId: string; words: unknown } & Submission
): Promise<Result<OwnWords, Refused>> {
	const shape = readShape(Words, words);
	if (!shape.ok) return shape;
	const stranger = Object.keys(shape.value).find(
		(key) => !GLOSSARY.some(({ word }) => word === key)
	);
	if (stranger !== undefined) return fail({ path: [stranger], message: say(texts.notInGlossary) });
	const own = Object.fromEntries(
		Object.entries(shape.value).flatMap(([word, text]) =>
			text.trim() === '' || text.trim() === word ? [] : [[word, text.trim()]]
		)
	);
	return changeTeam(db, { teamId }, async (tx): Promise<Result<OwnWords, Refused>> => {
		const team = await findTeam(tx, teamId);
		if (!team) return fail({ path: [], message: say(texts.noTeam) });
		const stale = staleness(base, team.words ?? {});
		if (stale) return fail(stale);
		const { words: _before, ...rest } = team;
		await updateTeam(tx, Object.keys(own).length > 0 ? { ...rest, words: own } : rest);
		return ok(own);
	});
}
