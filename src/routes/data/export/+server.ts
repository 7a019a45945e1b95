import { useDb } from '$lib/server/app';
import { exportAll } from '$lib/server/usecases/transfer';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async () =>
	new Response(new Blob([(await exportAll(await useDb())).slice()]), {
		headers: {
			'content-type': 'application/zip',
			'content-disposition': 'attachment; filename="fieldplan.zip"'
		}
	});
