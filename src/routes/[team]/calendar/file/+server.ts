import { error } from '@sveltejs/kit';
import { reading, todayOf, useClock } from '$lib/server/app';
import { seasonCalendar } from '$lib/server/usecases/season/calendarFile';
import { say } from '$lib/server/say';
import type { RequestHandler } from './$types';
import texts from '$texts/refusals';

/** A season as a calendar file. */
export const GET: RequestHandler = ({ params, url }) =>
	reading(async (db) => {
		const text = await seasonCalendar(db, params.team, {
			id: url.searchParams.get('season'),
			today: await todayOf(db, params.team),
			now: (await useClock()).now()
		});
		if (text === undefined) error(404, say(texts.noSeason));
		return new Response(text, {
			headers: {
				'content-type': 'text/calendar; charset=utf-8',
				'content-disposition': 'attachment; filename="season.ics"'
			}
		});
	});
