import { misfitText, placeText, type Misfit, type Path } from '$core/base';
import { error, json } from '@sveltejs/kit';
import Type from 'typebox';
import { closed, Id } from '$core/model/fields';
import { SentEdit } from '$core/practice';
import { useDb } from '$lib/server/app';
import {
	describeSaveFailure,
	findKnown,
	saveEdits
} from '$lib/server/usecases/practices/saveEdits';
import { readJson, readShape } from '../../../../../doors';
import type { RequestHandler } from './$types';
import { say } from '$lib/server/say';
import texts from '$texts/refusals';

const MOST_EDITS = 500;

const Request = Type.Object(
	{
		revision: Type.Integer({ minimum: 1 }),
		edits: Type.Array(SentEdit, { minItems: 1, maxItems: MOST_EDITS })
	},
	closed
);
const Ids = Type.Array(Id, { maxItems: MOST_EDITS });

/** The state of a practice, and which of the edits `ids` it holds already. */
export const GET: RequestHandler = async ({ params, url }) => {
	const ids = readShape(Ids, (url.searchParams.get('ids') ?? '').split(',').filter(Boolean));
	if (!ids.ok) error(400, misfitText({ ...ids.failure, path: ['ids', ...ids.failure.path] }));
	const { team: teamId, practice: practiceId } = params;
	const found = await findKnown(await useDb(), { teamId, practiceId, edits: ids.value });
	if (!found) error(404, say(texts.noPractice));
	return json({ ...found.current, known: found.known });
};

/** The edit of a request that a misfit is about: its path begins with `edits` and a number. */
function editAt([list, index]: Path, sent: unknown): string | undefined {
	if (list !== 'edits' || typeof index !== 'number') return undefined;
	const edit = (sent as { edits?: { id?: unknown }[] }).edits?.[index];
	return edit && typeof edit.id === 'string' ? edit.id : undefined;
}

/** A misfit as it is answered: its place in words. */
const answered = (misfit: Misfit) => ({ path: placeText(misfit), message: misfit.message });

export const POST: RequestHandler = async ({ params, request }) => {
	const text = await request.text();
	const read = readJson(Request, text);
	if (!read.ok) {
		const { path } = read.failure;
		const edit = path.length === 0 ? undefined : editAt(path, JSON.parse(text));
		return json({ error: answered(read.failure), edit }, { status: 400 });
	}
	const { team: teamId, practice: practiceId } = params;
	const saved = await saveEdits(await useDb(), { teamId, practiceId, ...read.value });
	if (saved.ok) return json(saved.value);
	const { failure } = saved;
	if (failure.reason === 'stale')
		return json({ ...failure.current, known: failure.known }, { status: 409 });
	const status = failure.reason === 'not-found' ? 404 : 400;
	const edit = 'edit' in failure ? failure.edit : undefined;
	return json({ error: answered(describeSaveFailure(failure)), edit }, { status });
};
