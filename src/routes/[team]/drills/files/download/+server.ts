import { reading } from '$lib/server/app';
import { requireTeam } from '$lib/server/pages';
import { zipDrills } from '$lib/server/usecases/drills/drillFiles';
import type { RequestHandler } from './$types';

/** The whole shelf as open-format files. */
export const GET: RequestHandler = ({ params }) =>
	reading(async (db) => {
		await requireTeam(db, params.team);
		const zip = await zipDrills(db, params.team);
		return new Response(new Uint8Array(zip), {
			headers: {
				'content-type': 'application/zip',
				'content-disposition': 'attachment; filename="drills.zip"'
			}
		});
	});
