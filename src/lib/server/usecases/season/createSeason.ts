import { nanoid } from 'nanoid';
import { fail, ok, type Result } from '$core/base';
import type { Season } from '$core/model/season';
import type { Misfit } from '../../../../doors';
import type { Db } from '../../database';
import { saveSeason } from '../../repositories/season';
import { listSeasons } from '../../repositories/teams';
import { say } from '../../say';
import { changeTeam } from '../refusable';
import type { Submission } from '../submission';
import { overlapOf, seasonMisfit } from './changeSeason';
import texts from '$texts/refusals';

/**
 * Adds a season that follows another: with its usual days, without days of their own. Gives its id; a misfit
 * names the field at fault. Two seasons of a team do not overlap: a day is of one of them.
 */
export async function createSeason(
	db: Db,
	{
		teamId,
		after,
		wanted,
		submission
	}: {
		teamId: string;
		after: string;
		wanted: { name: string; firstDay: string; weeks: number };
	} & Submission
): Promise<Result<string, Misfit>> {
	return changeTeam(db, { teamId, submission }, async (tx): Promise<Result<string, Misfit>> => {
		const seasons = await listSeasons(tx, teamId);
		const before = seasons.find(({ id }) => id === after);
		if (!before) return fail({ path: [], message: say(texts.noSeason) });
		const patterns = (before.patterns ?? []).map(
			({ firstDay: _firstDay, lastDay: _lastDay, ...pattern }) => pattern
		);
		const season: Season = { id: nanoid(8), ...wanted, name: wanted.name.trim(), patterns };
		const misfit = (await seasonMisfit(tx, teamId, season)) ?? overlapOf(season, seasons);
		if (misfit) return fail(misfit);
		await saveSeason(tx, teamId, season);
		return ok(season.id);
	});
}
