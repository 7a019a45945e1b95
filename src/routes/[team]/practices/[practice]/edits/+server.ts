import { error, json } from '@sveltejs/kit';
import Type from 'typebox';
import { closed, Id } from '$core/model/fields';
import { SentEdit } from '$core/practice';
import { useDb } from '$lib/server/app';
import { describeSaveFailure, findKnown, saveEdits } from '$lib/server/usecases/saveEdits';
import { readJson, readShape } from '../../../../../doors';
import type { RequestHandler } from './$types';

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
	if (!ids.ok) error(400, `ids${ids.failure.path} ${ids.failure.message}`);
	const { team: teamId, practice: practiceId } = params;
	const found = await findKnown(await useDb(), { teamId, practiceId, edits: ids.value });
	if (!found) error(404, 'There is no such practice.');
	return json({ ...found.current, known: found.known });
};

/** The edit of a request that a misfit at `edits[3].edit.period` is about. */
function editAt(path: string, sent: unknown): string | undefined {
	const index = /^edits\[(\d+)\]/.exec(path)?.[1];
	const edit = index && (sent as { edits?: { id?: unknown }[] }).edits?.[Number(index)];
	return edit && typeof edit.id === 'string' ? edit.id : undefined;
}

export const POST: RequestHandler = async ({ params, request }) => {
	const text = await request.text();
	const read = readJson(Request, text);
	if (!read.ok) {
		const { path } = read.failure;
		const edit = path === '' ? undefined : editAt(path, JSON.parse(text));
		return json({ error: read.failure, edit }, { status: 400 });
	}
	const { team: teamId, practice: practiceId } = params;
	const saved = await saveEdits(await useDb(), { teamId, practiceId, ...read.value });
	if (saved.ok) return json(saved.value);
	const { failure } = saved;
	if (failure.reason === 'stale')
		return json({ ...failure.current, known: failure.known }, { status: 409 });
	const status = failure.reason === 'not-found' ? 404 : 400;
	const edit = 'edit' in failure ? failure.edit : undefined;
	return json({ error: describeSaveFailure(failure), edit }, { status });
};
