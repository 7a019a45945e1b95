import { error } from '@sveltejs/kit';
import { reading, useClock } from '$lib/server/app';
import { practiceCalendar } from '$lib/server/usecases/season/calendarFile';
import { say } from '$lib/server/say';
import type { RequestHandler } from './$types';
import texts from '$texts/refusals';

/** A practice as a calendar file. */
export const GET: RequestHandler = ({ params }) =>
	reading(async (db) => {
		const text = await practiceCalendar(db, params.team, {
			id: params.practice,
			now: (await useClock()).now()
		});
		if (text === undefined) error(404, say(texts.noPractice));
		return new Response(text, {
			headers: {
				'content-type': 'text/calendar; charset=utf-8',
				'content-disposition': 'attachment; filename="practice.ics"'
			}
		});
	});
