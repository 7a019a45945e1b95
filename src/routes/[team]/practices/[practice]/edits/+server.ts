import { json } from '@sveltejs/kit';
import Type from 'typebox';
import { SentEdit } from '$core/practice';
import { useDb } from '$lib/server/app';
import { describeSaveFailure, saveEdits } from '$lib/server/usecases/saveEdits';
import { readJson } from '../../../../../doors';
import type { RequestHandler } from './$types';

const Request = Type.Object(
	{
		revision: Type.Integer({ minimum: 1 }),
		edits: Type.Array(SentEdit, { minItems: 1, maxItems: 500 })
	},
	{ additionalProperties: false }
);

export const POST: RequestHandler = async ({ params, request }) => {
	const read = readJson(Request, await request.text());
	if (!read.ok) return json({ error: read.failure }, { status: 400 });
	const { team: teamId, practice: practiceId } = params;
	const saved = await saveEdits(await useDb(), { teamId, practiceId, ...read.value });
	if (saved.ok) return json(saved.value);
	const { failure } = saved;
	if (failure.reason === 'stale')
		return json({ ...failure.current, known: failure.known }, { status: 409 });
	const status = failure.reason === 'not-found' ? 404 : 400;
	return json({ error: describeSaveFailure(failure) }, { status });
};
