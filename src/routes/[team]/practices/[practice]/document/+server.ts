import { error, json } from '@sveltejs/kit';
import { reading } from '$lib/server/app';
import { findPractice } from '$lib/server/repositories/practices';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = ({ params }) =>
	reading(async (db) => {
		const stored = await findPractice(db, params.team, params.practice);
		if (!stored) error(404, 'There is no such practice.');
		return json(stored.practice);
	});
