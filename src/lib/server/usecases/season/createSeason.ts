import { nanoid } from 'nanoid';
import { fail, ok, type Result } from '$core/base';
import { rolledOn, usualDays } from '$core/season';
import type { Misfit } from '../../../../doors';
import type { Db } from '../../database';
import { listSeasons } from '../../repositories/teams';
import { say } from '../../say';
import { changeTeam } from '../refusable';
import type { Submission } from '../submission';
import { overlapOf, putSeason, seasonMisfit } from './changeSeason';
import texts from '$texts/refusals';

/**
 * Adds a season that follows another: where that one stands, or with its usual days alone. Gives its id; a misfit
 * names the field at fault. Two seasons of a team do not overlap: a day is of one of them.
 */
export async function createSeason(
	db: Db,
	{
		teamId,
		after,
		wanted,
		rollsOn,
		submission
	}: {
		teamId: string;
		after: string;
		wanted: { name: string; firstDay: string; weeks: number };
		/** Whether it goes on where the other one stands, or begins with the usual days alone. */
		rollsOn: boolean;
	} & Submission
): Promise<Result<string, Misfit>> {
	return changeTeam(db, { teamId, submission }, async (tx): Promise<Result<string, Misfit>> => {
		const seasons = await listSeasons(tx, teamId);
		const before = seasons.find(({ id }) => id === after);
		if (!before) return fail({ path: [], message: say(texts.noSeason) });
		const next = { id: nanoid(8), ...wanted, name: wanted.name.trim() };
		// Phases cannot be stretched to days that are none: what is wrong with these is said first.
		const bare = { ...next, patterns: usualDays(before) };
		const misfit = (await seasonMisfit(tx, teamId, bare)) ?? overlapOf(bare, seasons);
		if (misfit) return fail(misfit);
		const put = await putSeason(tx, teamId, rollsOn ? rolledOn(before, next) : bare, seasons);
		return put.ok ? ok(next.id) : put;
	});
}
