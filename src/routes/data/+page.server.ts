import { fail } from '@sveltejs/kit';
import { useDb } from '$lib/server/app';
import { listTeams } from '$lib/server/repositories/surroundings';
import { importAll } from '$lib/server/usecases/transfer';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async () => ({ teams: await listTeams(await useDb()) });

export const actions: Actions = {
	default: async ({ request }) => {
		const file = (await request.formData()).get('file');
		if (!(file instanceof File) || file.size === 0)
			return fail(400, { misfit: { path: 'file', message: 'is missing: choose a zip first' } });
		const outcome = await importAll(await useDb(), new Uint8Array(await file.arrayBuffer()));
		return outcome.ok ? { imported: outcome.value } : fail(400, { misfit: outcome.failure });
	}
};
