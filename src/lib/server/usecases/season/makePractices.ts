import { nanoid } from 'nanoid';
import { weekdayOf } from '$core/conditions';
import { ok, type Result } from '$core/base';
import type { Practice } from '$core/model/practice';
import { openSlots, lastDayOf, type PatternSlot } from '$core/season';
import type { Misfit } from '../../../../doors';
import type { Db, Queryable } from '../../database';
import { insertPractice } from '../../repositories/practices';
import { listSlots } from '../../repositories/season';
import { loadSurroundings } from '../../repositories/teamHistory';
import { changeTeam } from '../refusable';
import type { Submission } from '../submission';
import { forgetLater, storePlanned } from '../practices/summaries';
import { findSeason } from './changeSeason';

/** An empty practice for a slot: everybody is expected, and the adults who come on that weekday. */
async function practiceFor(
	tx: Queryable,
	teamId: string,
	{ date, start, minutes, place, groundId }: PatternSlot,
	id: string
): Promise<Practice | undefined> {
	const around = await loadSurroundings(tx, teamId, { day: date });
	return (
		around && {
			format: 'fieldplan/practice@1',
			id,
			teamId,
			seasonId: around.season.id,
			timeZone: around.team.timeZone,
			...{ date, start, minutes, place },
			...(groundId !== undefined && { groundId }),
			expected: around.players.map(({ id }) => id),
			adults: around.adults
				.filter(({ days }) => !days || days.includes(weekdayOf(date)))
				.map(({ id }) => id),
			periods: []
		}
	);
}

/** Slots of a season from a day on that no practice stands for yet; those of practices that are cancelled or archived are taken. */
export async function slotsLeft(
	db: Queryable,
	teamId: string,
	{ seasonId, from }: { seasonId: string; from: string }
): Promise<PatternSlot[]> {
	const season = await findSeason(db, teamId, { id: seasonId, day: from });
	if (!season) return [];
	const days = { first: season.firstDay, last: lastDayOf(season) };
	return openSlots(season, await listSlots(db, teamId, days), from);
}

/** What is made of a season's patterns: practices from a day on, with ids of their own where `idOf` gives none. */
interface Making {
	teamId: string;
	seasonId: string;
	from: string;
	idOf?: (slot: PatternSlot) => string;
}

/** Makes the empty practices that the patterns of a season ask for within a transaction of the caller. */
export async function addPractices(
	tx: Queryable,
	{ teamId, seasonId, from, idOf = () => nanoid(12) }: Making
): Promise<number> {
	const slots = await slotsLeft(tx, teamId, { seasonId, from });
	let first: Practice | undefined;
	for (const slot of slots) {
		const practice = await practiceFor(tx, teamId, slot, idOf(slot));
		if (!practice) continue;
		await insertPractice(tx, practice, slot.slot);
		await storePlanned(tx, practice);
		first ??= practice;
	}
	if (first) await forgetLater(tx, first);
	return slots.length;
}

/** Makes the empty practices that the patterns of a season ask for from a day on. Gives how many were made. */
export const makePractices = (
	db: Db,
	{ submission, ...making }: Omit<Making, 'idOf'> & Submission
): Promise<Result<number, Misfit>> =>
	changeTeam(db, { teamId: making.teamId, submission }, async (tx) =>
		ok(await addPractices(tx, making))
	);
