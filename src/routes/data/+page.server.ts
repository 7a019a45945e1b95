import { type Path } from '$core/base';
import { fail } from '@sveltejs/kit';
import { useDatabase, restoreApp } from '$lib/server/app';
import { textField } from '$lib/server/forms';
import { listBackups, StartRefusal } from '$lib/server/database';
import { listTeams } from '$lib/server/repositories/teams';
import { importSafely } from '$lib/server/usecases/transfer/importSafely';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async () => {
	const { db, folder } = await useDatabase();
	return { teams: await listTeams(db), backups: folder && listBackups(folder.root) };
};
import { say } from '$lib/server/say';
import texts from '$texts/refusals';

const misfit = (path: Path, message: string) => fail(400, { misfit: { path, message } });

export const actions: Actions = {
	import: async ({ request }) => {
		const file = (await request.formData()).get('file');
		if (!(file instanceof File) || file.size === 0) return misfit(['file'], say(texts.chooseAZip));
		const bytes = new Uint8Array(await file.arrayBuffer());
		const outcome = await importSafely(await useDatabase(), bytes);
		return outcome.ok ? { imported: outcome.value } : fail(400, { misfit: outcome.failure });
	},
	copy: async () => {
		const { folder } = await useDatabase();
		if (!folder) return misfit([], say(texts.dataOnServer));
		return { copied: await folder.backUp('asked') };
	},
	restore: async ({ request }) => {
		const name = textField(await request.formData(), 'copy');
		try {
			await restoreApp(name);
			return { restored: name };
		} catch (error) {
			if (error instanceof StartRefusal) return misfit([], error.message);
			throw error;
		}
	}
};
