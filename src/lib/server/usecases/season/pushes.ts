import Type from 'typebox';
import { fail, ok, type Result } from '$core/base';
import { closed } from '$core/model/fields';
import { Push } from '$core/model/ladders';
import { skillsOf } from '$core/model/skill';
import { readShape, type Misfit } from '../../../../doors';
import type { Db } from '../../database';
import { removePush, savePush } from '../../repositories/ladders';
import { findTeam, listSeasons } from '../../repositories/teams';
import { say } from '../../say';
import { changeTeam } from '../refusable';
import texts from '$texts/refusals';

/** What a coach says of a skill that is due; `none` takes back what was said. */
const Sent = Type.Object(
	{
		...Type.Omit(Push, ['push', 'since']).properties,
		push: Type.Enum(['up', 'off', 'day', 'none'])
	},
	closed
);

/** Keeps what a coach says of a skill that is due, or takes it back. A misfit names the field at fault. */
export async function changePush(
	db: Db,
	{ teamId, today, push }: { teamId: string; today: string; push: unknown }
): Promise<Result<null, Misfit>> {
	const shape = readShape(Sent, push);
	if (!shape.ok) return shape;
	const { push: kind, ...said } = shape.value;
	if (kind === 'day' && (said.day === undefined || said.day <= today))
		return fail({ path: ['day'], message: say(texts.notALaterDay) });
	return changeTeam(db, { teamId }, async (tx): Promise<Result<null, Misfit>> => {
		const team = await findTeam(tx, teamId);
		const seasons = await listSeasons(tx, teamId);
		if (!team || !seasons.some(({ id }) => id === said.season))
			return fail({ path: ['season'], message: say(texts.noSeason) });
		if (!skillsOf(team.skillAreas).includes(said.skill))
			return fail({ path: ['skill'], message: say(texts.isNotASkill) });
		if (kind === 'none') await removePush(tx, teamId, said);
		else await savePush(tx, teamId, { ...said, push: kind, since: today });
		return ok(null);
	});
}
