import { fail } from '@sveltejs/kit';
import { useDb } from '$lib/server/app';
import { requireTeam } from '$lib/server/pages';
import { saveWords } from '$lib/server/usecases/saveWords';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params }) => {
	const { id, name } = await requireTeam(await useDb(), params.team);
	return { team: { id, name } };
};

export const actions: Actions = {
	default: async ({ params, request }) => {
		const words = Object.fromEntries(
			[...(await request.formData())].map(([k, v]) => [k, String(v)])
		);
		const saved = await saveWords(await useDb(), { teamId: params.team, words });
		return saved.ok ? { saved: true } : fail(400, { misfit: saved.failure });
	}
};
