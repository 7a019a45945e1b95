import { nanoid } from 'nanoid';
import { fail, ok, type Result } from '$core/base';
import { Ground } from '$core/model/team';
import { readShape, type Misfit } from '../../../../doors';
import type { Db } from '../../database';
import { deleteGround, insertGround, listGrounds, updateGround } from '../../repositories/places';
import { countOnGround } from '../../repositories/practices';
import { findTeam } from '../../repositories/teams';
import { changeTeam } from '../refusable';
import { kitOf } from './sports';
import { staleness, type Refused, type Submission } from '../submission';
import { say } from '../../say';
import texts from '$texts/refusals';

/** What the shape of a ground does not say: names that cannot be told apart, ids that come twice. */
function groundFault({ zones, place, name }: Ground): Misfit | null {
	if (name.trim() === '') return { path: ['name'], message: say(texts.isEmpty) };
	if (place && !(Number.isFinite(place.latitude) && Number.isFinite(place.longitude)))
		return { path: ['place'], message: say(texts.bothNumbers) };
	const ids = new Set<string>();
	const names = new Set<string>();
	for (const [index, zone] of zones.entries()) {
		const key = zone.name.trim().toLowerCase();
		const at = ['zones', index];
		if (key === '') return { path: [...at, 'name'], message: say(texts.isEmpty) };
		if (names.has(key))
			return { path: [...at, 'name'], message: say(texts.namedTwice, { name: zone.name }) };
		if (ids.has(zone.id)) return { path: [...at, 'id'], message: say(texts.isTwice) };
		names.add(key);
		ids.add(zone.id);
	}
	return null;
}

/**
 * Saves a ground in the place of the one with its id. A misfit names the place at fault; it has `newest`
 * where the ground is not what it was changed from (`base`).
 */
export async function saveGround(
	db: Db,
	{ teamId, ground, base }: { teamId: string; ground: unknown } & Submission
): Promise<Result<null, Refused>> {
	const shape = readShape(Ground, ground);
	if (!shape.ok) return shape;
	const fault = groundFault(shape.value);
	if (fault) return fail(fault);
	return changeTeam(db, { teamId }, async (tx): Promise<Result<null, Refused>> => {
		const stored = (await listGrounds(tx, teamId)).find(({ id }) => id === shape.value.id);
		if (!stored) return fail({ path: ['id'], message: say(texts.notATeamsGround) });
		const stale = staleness(base, stored);
		if (stale) return fail(stale);
		await updateGround(tx, teamId, shape.value);
		return ok(null);
	});
}

/** Adds a ground as the team's sport has one, behind the others; gives its id. */
export async function addGround(db: Db, teamId: string): Promise<Result<string, Misfit>> {
	return changeTeam(db, { teamId }, async (tx): Promise<Result<string, Misfit>> => {
		const team = await findTeam(tx, teamId);
		if (!team) return fail({ path: [], message: say(texts.noTeam) });
		const grounds = await listGrounds(tx, teamId);
		// Of a sport of one's own the team's first ground is the model.
		const model = kitOf(team.sport)?.ground ?? grounds[0];
		const taken = new Set(grounds.map(({ name }) => name));
		let name = model.name;
		for (let number = 2; taken.has(name); number += 1) name = `${model.name} ${number}`;
		const ground = { ...model, id: `g-${nanoid(8)}`, name };
		await insertGround(tx, teamId, ground);
		return ok(ground.id);
	});
}

/** Takes a ground away that no practice is planned on; the last one stays. */
export async function removeGround(
	db: Db,
	{ teamId, id }: { teamId: string; id: string }
): Promise<Result<null, Misfit>> {
	return changeTeam(db, { teamId }, async (tx): Promise<Result<null, Misfit>> => {
		const grounds = await listGrounds(tx, teamId);
		if (!grounds.some((ground) => ground.id === id))
			return fail({ path: [], message: say(texts.noGround) });
		if (grounds.length === 1) return fail({ path: [], message: say(texts.lastGround) });
		const users = await countOnGround(tx, teamId, { id, isFirst: grounds[0].id === id });
		if (users > 0)
			return fail({
				path: [],
				message: say(texts.groundInUse, { users })
			});
		await deleteGround(tx, teamId, id);
		return ok(null);
	});
}
