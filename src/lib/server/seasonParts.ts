import { fail, type RequestEvent } from '@sveltejs/kit';
import { useDb } from './app';
import { jsonField, textField } from './forms';
import { changeSeason } from './usecases/season/changeSeason';
import { submissionOf } from './usecases/submission';

/** The action of a page that types in parts of a season: stores them, or fails with the misfit and its place. */
export async function saveSeasonParts({
	params,
	request
}: Pick<RequestEvent<{ team: string }>, 'params' | 'request'>) {
	const form = await request.formData();
	const changed = await changeSeason(await useDb(), {
		teamId: params.team,
		seasonId: textField(form, 'season'),
		parts: jsonField(form, 'parts'),
		...submissionOf(form)
	});
	return changed.ok ? { saved: true } : fail(400, { misfit: changed.failure });
}
