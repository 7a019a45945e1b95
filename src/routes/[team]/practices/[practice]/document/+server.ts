import { error, json } from '@sveltejs/kit';
import { useDb } from '$lib/server/app';
import { findPractice } from '$lib/server/repositories/practices';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ params }) => {
	const stored = await findPractice(await useDb(), params.team, params.practice);
	if (!stored) error(404, 'There is no such practice.');
	return json(stored.practice);
};
