import { nanoid } from 'nanoid';
import { fail, ok, type Result } from '$core/base';
import { Fix, Seed } from '$core/model/scene';
import type { Season } from '$core/model/season';
import { readShape, type Misfit } from '../../../../doors';
import { namedIn } from '$core/scene';
import type { Db, Queryable } from '../../database';
import { readPeople } from '../../repositories/people';
import { listSeasons } from '../../repositories/teams';
import { say } from '../../say';
import { changeTeam } from '../refusable';
import { staleness, type Refused, type Submission } from '../submission';
import { putSeason } from './changeSeason';
import texts from '$texts/refusals';

/** The lists of a season that hold scenes. */
export const SCENE_LISTS = ['fixes', 'seeds'] as const;
export type SceneList = (typeof SCENE_LISTS)[number];

/** The id of a scene that is not stored yet. */
export const NEW_SCENE = 'new';

/** A scene as it is stored; null where it is not. */
export const sceneStored = (season: Season, list: SceneList, id: string): Fix | Seed | null =>
	season[list]?.find((scene) => scene.id === id) ?? null;

/** A season and one of its scenes. */
interface SceneAsked {
	teamId: string;
	seasonId: string;
	list: SceneList;
}

/** Whom a scene names that it should not, as a misfit; null where it names nobody. */
async function naming(
	tx: Queryable,
	teamId: string,
	{ season, scene, list }: { season: Season; scene: Fix | Seed; list: SceneList }
): Promise<Misfit | null> {
	const people = await readPeople(tx, teamId);
	const named = namedIn(scene, {
		opponents: (season.games ?? []).map(({ opponent }) => opponent),
		players: people.filter(({ kind }) => kind === 'player').map(({ name }) => name),
		isRead: list === 'fixes'
	});
	if (!named) return null;
	const { path, who, name } = named;
	return {
		path,
		message:
			who === 'opponent' ? say(texts.namesOpponent, { name }) : say(texts.namesPlayer, { name })
	};
}

/** Runs a change of a season of a team; gives what the change gives. */
async function inSeason<Value>(
	db: Db,
	{ teamId, seasonId, submission }: { teamId: string; seasonId: string } & Submission,
	change: (
		season: Season,
		tx: Queryable
	) =>
		| Result<{ next: Season; value: Value }, Refused>
		| Promise<Result<{ next: Season; value: Value }, Refused>>
): Promise<Result<Value, Refused>> {
	return changeTeam(db, { teamId, submission }, async (tx): Promise<Result<Value, Refused>> => {
		const seasons = await listSeasons(tx, teamId);
		const season = seasons.find(({ id }) => id === seasonId);
		if (!season) return fail({ path: [], message: say(texts.noSeason) });
		const changed = await change(season, tx);
		if (!changed.ok) return changed;
		const put = await putSeason(tx, teamId, changed.value.next, seasons);
		return put.ok ? ok(changed.value.value) : put;
	});
}

/** A misfit of a season as one of a scene of it: its path begins at the scene. */
const inScene = (misfit: Refused, list: SceneList): Refused =>
	misfit.path[0] === list ? { ...misfit, path: misfit.path.slice(2) } : misfit;

/**
 * Stores a scene of a season, a new one under an id of its own; gives its id. A misfit names the field at fault;
 * it has `newest` where somebody else has saved the scene since it was read.
 */
export async function saveScene(
	db: Db,
	{
		scene,
		base,
		list,
		...of
	}: SceneAsked & {
		scene: unknown;
	} & Submission
): Promise<Result<string, Refused>> {
	const shape: Result<Fix | Seed, Misfit> = readShape(list === 'fixes' ? Fix : Seed, scene);
	if (!shape.ok) return shape;
	const sent = shape.value;
	if (sent.name.trim() === '') return fail({ path: ['name'], message: say(texts.isEmpty) });
	const saved = await inSeason(db, of, async (season, tx) => {
		const stored = sceneStored(season, list, sent.id);
		if (!stored && sent.id !== NEW_SCENE) return fail({ path: [], message: say(texts.noScene) });
		const stale = staleness(base, stored);
		if (stale) return fail(stale);
		const named = await naming(tx, of.teamId, { season, scene: sent, list });
		if (named) return fail(named);
		const kept = { ...sent, id: stored ? sent.id : nanoid(8) };
		const others: (Fix | Seed)[] = season[list] ?? [];
		const scenes = stored
			? others.map((other) => (other.id === kept.id ? kept : other))
			: [...others, kept];
		return ok({ next: { ...season, [list]: scenes }, value: kept.id });
	});
	return saved.ok ? saved : fail(inScene(saved.failure, list));
}

/** Takes a scene out of a season; nothing happens where it is not there. */
export const removeScene = (
	db: Db,
	{ id, list, ...of }: SceneAsked & { id: string } & Submission
): Promise<Result<null, Refused>> =>
	inSeason(db, of, (season) => {
		const others: (Fix | Seed)[] = season[list] ?? [];
		const scenes = others.filter((scene) => scene.id !== id);
		return ok({ next: { ...season, [list]: scenes }, value: null });
	});

/** Ticks what was fixed on a day, or opens it again. */
export const tickFix = (
	db: Db,
	{
		id,
		on,
		...of
	}: { teamId: string; seasonId: string; id: string; on: string | null } & Submission
): Promise<Result<null, Refused>> =>
	inSeason(db, of, (season) => {
		if (!sceneStored(season, 'fixes', id)) return fail({ path: [], message: say(texts.noScene) });
		const fixes = (season.fixes ?? []).map(({ closed, ...fix }): Fix => {
			if (fix.id !== id) return { ...fix, ...(closed !== undefined && { closed }) };
			return { ...fix, ...(on !== null && { closed: on }) };
		});
		return ok({ next: { ...season, fixes }, value: null });
	});

/** How a team gets ready for its opponents: by seeds, a talk or both. */
export const setPrepares = (
	db: Db,
	{ prepares, ...of }: { teamId: string; seasonId: string; prepares: unknown } & Submission
): Promise<Result<null, Refused>> =>
	inSeason(db, of, (season) => {
		const wanted = (['both', 'seeds', 'talk'] as const).find((each) => each === prepares);
		if (!wanted) return fail({ path: ['prepares'], message: say(texts.isEmpty) });
		return ok({ next: { ...season, prepares: wanted }, value: null });
	});
