import { error, json } from '@sveltejs/kit';
import { reading } from '$lib/server/app';
import { findPractice } from '$lib/server/repositories/practices';
import type { RequestHandler } from './$types';
import { say } from '$lib/server/say';
import texts from '$texts/refusals';

export const GET: RequestHandler = ({ params }) =>
	reading(async (db) => {
		const stored = await findPractice(db, params.team, params.practice);
		if (!stored) error(404, say(texts.noPractice));
		return json(stored.practice);
	});
