import { error, fail } from '@sveltejs/kit';
import { reading, todayOf, troubleToStore, useDb } from '$lib/server/app';
import { textField } from '$lib/server/forms';
import { archivePractice } from '$lib/server/usecases/practices/archivePractice';
import { freshenSummaries } from '$lib/server/usecases/practices/summaries';
import { loadPracticeList } from '$lib/server/usecases/views';
import type { Actions, PageServerLoad } from './$types';
import { say } from '$lib/server/say';
import texts from '$texts/refusals';

export const load: PageServerLoad = async ({ params, url }) => {
	const canStore = async () => (await troubleToStore()) === null;
	await freshenSummaries(await useDb(), params.team, canStore);
	return reading(async (db) => {
		const today = await todayOf(db, params.team);
		const list = await loadPracticeList(db, params.team, {
			today,
			isAll: url.searchParams.has('all')
		});
		if (!list) error(404, say(texts.noTeam));
		const { team, ...shown } = list;
		return { team: { id: team.id, name: team.name }, today, ...shown };
	});
};

const archive =
	(archived: boolean): Actions[string] =>
	async ({ params, request }) => {
		const id = textField(await request.formData(), 'practice');
		const isDone = await archivePractice(await useDb(), {
			teamId: params.team as string,
			id,
			archived
		});
		if (!isDone) return fail(400, { message: say(texts.noPractice) });
	};

export const actions: Actions = { archive: archive(true), restore: archive(false) };
