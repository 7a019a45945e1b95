import { max } from 'd3-array';
import { nanoid } from 'nanoid';
import { fail, ok, sameValue, type Result } from '$core/base';
import type { Fix } from '$core/model/scene';
import { onRung } from '$core/playing';
import { toContext, type Context } from '$core/practice';
import { sceneDrill, type SceneDrillOptions } from '$core/scene';
import { setUpScene } from '$core/staging';
import { filledWith } from '$words';
import type { Misfit } from '../../../../doors';
import type { Db, Queryable } from '../../database';
import { findDrill, insertDrill, insertRevision } from '../../repositories/drills';
import { lockPractice } from '../../repositories/practices';
import { listSeasons } from '../../repositories/teams';
import { say } from '../../say';
import { applyStored } from '../practices/saveEdits';
import { changeTeam } from '../refusable';
import type { Submission } from '../submission';
import { slugOf } from '../team/slug';
import { kitOf } from '../team/sports';
import { loadBoard } from '../views';
import { putSeason } from './changeSeason';
import { sceneStored } from './scenes';
import texts from '$texts/refusals';

/** Effort and contact of live play where the shelf has none. */
const USUAL_LIVE = { contact: 1, effort: 6 };

/** How hard the team plays live: the most contact that a live drill of its shelf has, so that no cap is passed unseen. */
function liveOf({ shelf }: Context): { contact: number; effort: number } {
	const live = shelf.flatMap((drill) =>
		[undefined, ...drill.rungs.map(({ id }) => id)]
			.map((rung) => onRung(drill, rung))
			.filter((each) => each.live)
	);
	return {
		contact: max(live, ({ contact }) => contact) ?? USUAL_LIVE.contact,
		effort: max(live, ({ effort }) => effort) ?? USUAL_LIVE.effort
	};
}

/** What the drill of a fix is made with in a practice, but its id and its ground. */
function optionsFor(
	context: Context,
	fix: Fix,
	expected: readonly string[]
): Omit<SceneDrillOptions, 'id' | 'revision' | 'most'> {
	const units: Record<string, number> = {};
	for (const id of expected) {
		const { unit } = context.playerById.get(id) ?? {};
		if (unit !== undefined) units[unit] = (units[unit] ?? 0) + 1;
	}
	const { sport, words, cautions = [] } = context.team;
	return {
		...{ sport, players: expected.length, units, cautions },
		ball: filledWith({ ...kitOf(sport)?.words, ...words })('{ball}'),
		...liveOf(context),
		words: {
			summary: fix.decided ?? say(texts.sceneSummary),
			live: say(texts.sceneLive),
			liveChange: say(texts.sceneLiveChange),
			counts: fix.decided ?? say(texts.sceneCounts)
		}
	};
}

/** The id of the drill of a fix: the one that it has, else one made of its name that the shelf does not have. */
async function idFor(tx: Queryable, teamId: string, { drill, name }: Fix): Promise<string> {
	if (drill !== undefined) return drill;
	const stem = slugOf(name, 'scene');
	let id = stem;
	for (let number = 2; await findDrill(tx, teamId, id); number += 1) id = `${stem}-${number}`;
	return id;
}

/**
 * Sets up what is on the fix list in a practice: a block that walks through it and plays it live, its drill on
 * the shelf, all in one step. Gives the id of the practice; refused where it is not to come, or where no zone
 * holds the scene.
 */
export async function setUpFix(
	db: Db,
	{
		teamId,
		seasonId,
		fixId,
		practiceId,
		submission
	}: { teamId: string; seasonId: string; fixId: string; practiceId: string } & Submission
): Promise<Result<string, Misfit>> {
	const refuse = (message: string) => fail({ path: [], message });
	return changeTeam(db, { teamId, submission }, async (tx): Promise<Result<string, Misfit>> => {
		const seasons = await listSeasons(tx, teamId);
		const season = seasons.find(({ id }) => id === seasonId);
		const fix = season && (sceneStored(season, 'fixes', fixId) as Fix | null);
		if (!fix) return refuse(say(texts.noScene));
		const stored = await lockPractice(tx, teamId, practiceId);
		const board = stored && (await loadBoard(tx, teamId, practiceId));
		if (!stored || !board) return refuse(say(texts.noPractice));
		const { practice } = stored;
		const context = toContext(board.surroundings);
		const options = optionsFor(context, fix, practice.expected);
		const id = await idFor(tx, teamId, fix);
		const before = await findDrill(tx, teamId, id);
		const { revision = 0 } = before ?? {};
		const setUp = setUpScene({ practice, context }, (most) => {
			const drill = sceneDrill(fix, { ...options, id, revision: revision + 1, most });
			return before && sameValue({ ...drill, revision }, before) ? before : drill;
		});
		if (!setUp) return refuse(say(texts.noRoomForScene));
		if (!before) await insertDrill(tx, teamId, setUp.drill);
		else if (setUp.drill !== before) await insertRevision(tx, teamId, setUp.drill);
		await applyStored(tx, stored, { id: nanoid(), edit: setUp.edit });
		const fixes = (season.fixes ?? []).map((each) =>
			each.id === fixId ? { ...each, drill: id } : each
		);
		const put = await putSeason(tx, teamId, { ...season, fixes }, seasons);
		return put.ok ? ok(practiceId) : put;
	});
}
