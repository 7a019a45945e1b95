import { json } from '@sveltejs/kit';
import { useDb } from '$lib/server/app';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async () => {
	await (await useDb()).query('select 1');
	return json({ ok: true });
};
