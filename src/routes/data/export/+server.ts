import { useDb } from '$lib/server/app';
import { exportAll } from '$lib/server/usecases/transfer/exportAll';
import type { RequestHandler } from './$types';

/** Everything as one zip, sent while it is made. */
export const GET: RequestHandler = async () => {
	const db = await useDb();
	const body = new ReadableStream<Uint8Array>({
		// Not held up by a slow reader: what it has not taken yet waits packed, and the database is soon free.
		start(controller) {
			let isWanted = true;
			exportAll(db, (bytes) => {
				try {
					if (isWanted && bytes.length > 0) controller.enqueue(bytes);
				} catch {
					isWanted = false;
				}
			}).then(
				() => isWanted && controller.close(),
				(error) => controller.error(error)
			);
		}
	});
	return new Response(body, {
		headers: {
			'content-type': 'application/zip',
			'content-disposition': 'attachment; filename="fieldplan.zip"'
		}
	});
};
