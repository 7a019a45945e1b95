import Type from 'typebox';
import { fail, ok, sameValue, type Result } from '$core/base';
import { closed } from '$core/model/fields';
import { Limits } from '$core/model/limits';
import { DEFAULT_LIMITS, LIMIT_FACTS } from '$core/practice';
import { readShape } from '../../../../doors';
import type { Db } from '../../database';
import { findLimits, saveSetting } from '../../repositories/settings';
import { findTeam } from '../../repositories/teams';
import { changeTeam } from '../refusable';
import { staleness, type Refused, type Submission } from '../submission';
import { say } from '../../say';
import texts from '$texts/refusals';

const PartialLimits = Type.Partial(Limits, closed);

/**
 * Stores the limits of a team from a day on: only those that are not the defaults. A misfit names the limit at fault, and
 * has `newest` where the limits are not what they were changed from (`base`); nothing is stored then.
 */
export async function setLimits(
	db: Db,
	teamId: string,
	{ day, wanted, base }: { day: string; wanted: Record<string, unknown> } & Submission
): Promise<Result<Partial<Limits>, Refused>> {
	const shape = readShape(PartialLimits, wanted);
	if (!shape.ok) return shape;
	for (const { key, least, most, unit } of LIMIT_FACTS) {
		const value = shape.value[key];
		const shown = unit === '%' ? (value ?? 0) * 100 : value;
		if (
			value !== undefined &&
			shown !== undefined &&
			!(shown >= least - 1e-9 && shown <= most + 1e-9)
		)
			return fail({ path: [key], message: say(texts.outOfRange, { least, most, measure: unit }) });
	}
	for (const key of [
		'playersAnAdult',
		'standSeconds',
		'effortCaps',
		'contactCaps',
		'drillMinutes'
	] as const) {
		const ages = shape.value[key]?.map(({ under }) => under) ?? [];
		if (ages.some((age, index) => index > 0 && age <= ages[index - 1]))
			return fail({ path: [key], message: say(texts.agesMustGoUp) });
	}
	const own = Object.fromEntries(
		Object.entries(shape.value).filter(
			([key, value]) => !sameValue(value, DEFAULT_LIMITS[key as keyof Limits])
		)
	);
	return changeTeam(db, { teamId }, async (tx): Promise<Result<Partial<Limits>, Refused>> => {
		if (!(await findTeam(tx, teamId))) return fail({ path: [], message: say(texts.noTeam) });
		const stale = staleness(base, await findLimits(tx, teamId, day));
		if (stale) return fail(stale);
		await saveSetting(tx, teamId, { what: 'limits', value: own, since: day });
		return ok(own);
	});
}
