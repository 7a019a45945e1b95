import Type from 'typebox';
import { fail, ok, type Result } from '$core/base';
import { closed } from '$core/model/fields';
import { Ruling, Tally } from '$core/model/ladders';
import { readShape, type Misfit } from '../../../../doors';
import type { Db, Queryable } from '../../database';
import { listNewest } from '../../repositories/drills';
import { findPractice, isHeld } from '../../repositories/practices';
import {
	insertTallies,
	listTalliesIn,
	removeRuling,
	removeTallies,
	saveRulings
} from '../../repositories/ladders';
import { loadSurroundings } from '../../repositories/teamHistory';
import { say } from '../../say';
import { changeTeam } from '../refusable';
import { staleness, type Refused, type Submission } from '../submission';
import texts from '$texts/refusals';

const Typed = Type.Array(Type.Omit(Tally, ['practice']), { maxItems: 500 });
type Typed = Type.Static<typeof Typed>[number];

/** Ids of those whose tries may be counted in a practice, by what they are. */
async function whomKnown(tx: Queryable, teamId: string, practiceId: string) {
	const stored = await findPractice(tx, teamId, practiceId);
	const around = stored && (await loadSurroundings(tx, teamId, { day: stored.practice.date }));
	if (!stored || !around) return null;
	const groups = stored.practice.periods.flatMap((period) => period.groups ?? []);
	return {
		practice: stored.practice,
		ids: {
			squad: new Set<string>(),
			unit: new Set(around.team.units.map(({ id }) => id)),
			group: new Set(groups.map(({ id }) => id)),
			player: new Set(around.players.map(({ id }) => id))
		}
	};
}

/** Whether somebody is named where somebody is meant, and is in the team. */
const isKnown = (
	{ whom, whomId }: Pick<Tally, 'whom' | 'whomId'>,
	ids: Partial<Record<Tally['whom'], ReadonlySet<string>>>
): boolean =>
	whom === 'squad' ? whomId === undefined : whomId !== undefined && !!ids[whom]?.has(whomId);

/** What is wrong with what was counted in a practice; null where nothing is. */
async function talliesFault(
	tx: Queryable,
	teamId: string,
	typed: readonly Typed[],
	ids: Record<Tally['whom'], ReadonlySet<string>>
): Promise<Misfit | null> {
	const drills = new Map(
		(await listNewest(tx, teamId, [...new Set(typed.map(({ drill }) => drill))])).map((drill) => [
			drill.id,
			drill
		])
	);
	const seen = new Set<string>();
	for (const [index, { drill, rung, judge, whom, whomId, clean, tries }] of typed.entries()) {
		const at = (field: string) => [index, field];
		const own = drills.get(drill);
		if (!own) return { path: at('drill'), message: say(texts.notADrill) };
		if (rung !== null && !own.rungs.some(({ id }) => id === rung))
			return { path: at('rung'), message: say(texts.notARung) };
		if (!isKnown({ whom, whomId }, ids)) return { path: at('whom'), message: say(texts.notInTeam) };
		if (clean > tries)
			return { path: at('clean'), message: say(texts.moreCleanThanTries, { tries }) };
		const key = JSON.stringify([drill, rung, judge, whom, whomId]);
		if (seen.has(key)) return { path: at('drill'), message: say(texts.isTwice) };
		seen.add(key);
	}
	return null;
}

/**
 * Puts what was counted in a practice that was held in the place of what was there. A misfit names the row and
 * the field at fault, or has `newest` where somebody else has counted since (`base`).
 */
export async function saveTallies(
	db: Db,
	{
		teamId,
		practiceId,
		tallies,
		base,
		submission
	}: { teamId: string; practiceId: string; tallies: unknown } & Submission
): Promise<Result<null, Refused>> {
	const shape = readShape(Typed, tallies);
	if (!shape.ok) return shape;
	return changeTeam(db, { teamId, submission }, async (tx): Promise<Result<null, Refused>> => {
		const known = await whomKnown(tx, teamId, practiceId);
		if (!known) return fail({ path: [], message: say(texts.noPractice) });
		if (!(await isHeld(tx, teamId, practiceId)))
			return fail({ path: [], message: say(texts.countedOnlyWhereHeld) });
		const stale = staleness(base, await listTalliesIn(tx, teamId, practiceId));
		if (stale) return fail(stale);
		const fault = await talliesFault(tx, teamId, shape.value, known.ids);
		if (fault) return fail(fault);
		await removeTallies(tx, teamId, practiceId);
		await insertTallies(
			tx,
			teamId,
			shape.value.map((tally) => ({ ...tally, practice: practiceId }))
		);
		return ok(null);
	});
}

const Sent = Type.Omit(Ruling, ['date']);

/** Keeps that a coach decides otherwise than the tries advise, with the reason. A misfit names the field at fault. */
export async function rule(
	db: Db,
	{ teamId, today, ruling }: { teamId: string; today: string; ruling: unknown }
): Promise<Result<null, Misfit>> {
	const shape = readShape(Sent, ruling);
	if (!shape.ok) return shape;
	const { reason, drill } = shape.value;
	if (reason.trim() === '') return fail({ path: ['reason'], message: say(texts.isEmpty) });
	return changeTeam(db, { teamId }, async (tx): Promise<Result<null, Misfit>> => {
		const [own] = await listNewest(tx, teamId, [drill]);
		if (!own) return fail({ path: ['drill'], message: say(texts.notADrill) });
		const around = await loadSurroundings(tx, teamId, { day: today });
		const ids = {
			unit: new Set(around?.team.units.map(({ id }) => id)),
			player: new Set(around?.players.map(({ id }) => id))
		};
		if (!isKnown(shape.value, ids)) return fail({ path: ['whom'], message: say(texts.notInTeam) });
		await saveRulings(tx, teamId, [{ ...shape.value, reason: reason.trim(), date: today }]);
		return ok(null);
	});
}

/** Takes a decision back: the tries advise again. */
export async function unrule(
	db: Db,
	{ teamId, ruling }: { teamId: string; ruling: unknown }
): Promise<Result<null, Misfit>> {
	const shape = readShape(Type.Pick(Ruling, ['drill', 'date', 'whom', 'whomId'], closed), ruling);
	if (!shape.ok) return shape;
	return changeTeam(db, { teamId }, async (tx) => {
		await removeRuling(tx, teamId, shape.value);
		return ok(null);
	});
}
