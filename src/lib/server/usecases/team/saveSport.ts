import { fail, ok, sameValue, type Result } from '$core/base';
import { TeamSport } from '$core/model/teamSport';
import type { Team } from '$core/model/team';
import { readShape, type Misfit } from '../../../../doors';
import type { Db, Queryable } from '../../database';
import { usersOfArea, usersOfUnit } from '../../repositories/sportParts';
import { findTeam, updateTeam } from '../../repositories/teams';
import { say } from '../../say';
import texts from '$texts/refusals';
import { changeTeam } from '../refusable';
import { staleness, type Refused, type Submission } from '../submission';
import { slugOf } from './slug';
import { kitOf } from './sports';

interface Part {
	key: string;
	name: string;
}

/**
 * What a team plays, as its page shows and sends it. What it has never said itself is as in the kit of its
 * sport, where one ships.
 */
export function teamSportOf(stored: Team): TeamSport {
	const team = { ...ofKit(stored), ...stored };
	return {
		name: team.sportName ?? team.sport,
		units: team.units.map(({ id, name }) => ({ key: id, name })),
		positions: positionsOf(team).map(({ id, name, unit }) => ({
			key: id,
			name,
			...(unit !== undefined && { unit })
		})),
		lineUp: (team.positions ?? []).map((position, index) => {
			const [x, y] = team.places?.[index] ?? [0, 0];
			return { position, x, y };
		}),
		areas: team.skillAreas.map(({ id, name, stages = [], after = [], retired }) => ({
			key: id,
			name,
			stages,
			...(after.length > 0 && { after: after[0] }),
			...(retired && { retired })
		})),
		loads: team.loads ?? [],
		cautions: team.cautions ?? []
	};
}

/** What the kit of a team's sport says that a team may have said itself; places only of the same line-up. */
function ofKit({ sport, positions }: Team): Partial<Team> {
	const kit = kitOf(sport);
	if (!kit) return {};
	return {
		sportName: kit.name,
		positionList: kit.positions,
		loads: kit.loads,
		cautions: kit.cautions,
		...(sameValue(positions, kit.team) && { places: kit.places })
	};
}

/** The positions of a team: those in its list, and those of its line-up that are in none. */
function positionsOf({ positionList = [], positions = [] }: Team) {
	const listed = new Set(positionList.map(({ id }) => id));
	const others = [...new Set(positions)].filter((id) => !listed.has(id));
	return [...positionList, ...others.map((id) => ({ id, name: id, unit: undefined }))];
}

/** The ids of parts by their keys: stored ones keep theirs, new ones get one made of their name. */
function idsOf(parts: readonly Part[], stored: ReadonlySet<string>): Map<string, string> {
	const ids = new Map(parts.flatMap(({ key }) => (stored.has(key) ? [[key, key]] : [])));
	const taken = new Set(stored);
	for (const { key, name } of parts.filter((part) => !ids.has(part.key))) {
		const stem = slugOf(name, 'part');
		let id = stem;
		for (let number = 2; taken.has(id); number += 1) id = `${stem}-${number}`;
		taken.add(id);
		ids.set(key, id);
	}
	return ids;
}

/** Names that are empty or there twice. */
function nameFault(list: keyof TeamSport, parts: readonly Pick<Part, 'name'>[]): Misfit | null {
	const seen = new Set<string>();
	for (const [index, { name }] of parts.entries()) {
		const word = name.trim().toLowerCase();
		const path = [list, index, 'name'];
		if (word === '') return { path, message: say(texts.isEmpty) };
		if (seen.has(word)) return { path, message: say(texts.namedTwice, { name: name.trim() }) };
		seen.add(word);
	}
	return null;
}

/** The first area that must come after itself, by way of others or not. */
function circleIn(areas: TeamSport['areas']): Misfit | null {
	const afterOf = new Map(areas.map(({ key, after }) => [key, after]));
	for (const [index, { key }] of areas.entries()) {
		const seen = new Set<string>();
		for (let at = afterOf.get(key); at !== undefined && !seen.has(at); at = afterOf.get(at)) {
			if (at === key)
				return { path: ['areas', index, 'after'], message: say(texts.comesAfterItself) };
			seen.add(at);
		}
	}
	return null;
}

function faultIn({ name, units, positions, areas, lineUp, loads, cautions }: TeamSport) {
	const keysOf = (parts: readonly Part[]) => new Set(parts.map(({ key }) => key));
	const positionKeys = keysOf(positions);
	const unplayed = lineUp.findIndex(({ position }) => !positionKeys.has(position));
	const words = (list: readonly string[]) => list.map((each) => ({ name: each }));
	return (
		(name.trim() === '' ? { path: ['name'], message: say(texts.isEmpty) } : null) ??
		nameFault('units', units) ??
		nameFault('positions', positions) ??
		nameFault('areas', areas) ??
		nameFault('loads', words(loads)) ??
		nameFault('cautions', words(cautions)) ??
		(areas.every(({ retired }) => retired)
			? { path: ['areas'], message: say(texts.needsAnArea) }
			: null) ??
		circleIn(areas) ??
		(unplayed < 0 ? null : { path: ['lineUp', unplayed, 'position'], message: say(texts.isGone) })
	);
}

/** What is left out of the lists though somebody or something still is of it. */
async function orphans(tx: Queryable, team: Team, sport: TeamSport): Promise<Misfit | null> {
	const isLeft = (parts: readonly Part[]) => {
		const kept = new Set(parts.map(({ key }) => key));
		return ({ id }: { id: string }) => !kept.has(id);
	};
	for (const { id, name } of team.units.filter(isLeft(sport.units))) {
		const people = await usersOfUnit(tx, team.id, id);
		if (people > 0) return { path: ['units'], message: say(texts.unitInUse, { name, people }) };
	}
	for (const { id, name } of team.skillAreas.filter(isLeft(sport.areas))) {
		const { drills, ratings } = await usersOfArea(tx, team.id, id);
		if (drills + ratings > 0)
			return {
				path: ['areas'],
				message: say(texts.areaInUse, {
					name,
					drillCount: drills,
					ratingCount: ratings,
					both: drills > 0 && ratings > 0
				})
			};
	}
	return null;
}

/** The team with what is played put in the place of what was. */
function withSport(team: Team, sport: TeamSport): Team {
	const stored = (list: readonly { id: string }[]) => new Set(list.map(({ id }) => id));
	const units = idsOf(sport.units, stored(team.units));
	const positions = idsOf(sport.positions, stored(positionsOf(team)));
	const areas = idsOf(sport.areas, stored(team.skillAreas));
	const of = (ids: Map<string, string>, key: string) => ids.get(key) ?? key;
	const stages = (list: readonly string[]) => list.map((each) => each.trim()).filter(Boolean);
	return {
		...team,
		sportName: sport.name.trim(),
		units: sport.units.map(({ key, name }) => ({ id: of(units, key), name: name.trim() })),
		positionList: sport.positions.map(({ key, name, unit }) => ({
			id: of(positions, key),
			name: name.trim(),
			// A position of a unit that was taken away is of none.
			...(unit !== undefined && units.has(unit) && { unit: of(units, unit) })
		})),
		positions: sport.lineUp.map(({ position }) => of(positions, position)),
		places: sport.lineUp.map(({ x, y }) => [x, y]),
		skillAreas: sport.areas.map(({ key, name, stages: list, after, retired }) => ({
			id: of(areas, key),
			name: name.trim(),
			stages: stages(list),
			// An area that was taken away need not come first.
			...(after !== undefined && areas.has(after) && { after: [of(areas, after)] }),
			...(retired && { retired })
		})),
		loads: sport.loads.map((load) => load.trim()),
		cautions: sport.cautions.map((caution) => caution.trim())
	};
}

/**
 * Saves what a team plays: units, positions, line-up, skill areas, loads, cautions. A misfit names the list,
 * the row and the field; it has `newest` where these are not what they were changed from (`base`). Nothing
 * is taken away that players, adults, drills or ratings are of.
 */
export async function saveSport(
	db: Db,
	{ teamId, sport, base, submission }: { teamId: string; sport: unknown } & Submission
): Promise<Result<null, Refused>> {
	const shape = readShape(TeamSport, sport);
	if (!shape.ok) return shape;
	const fault = faultIn(shape.value);
	if (fault) return fail(fault);
	return changeTeam(db, { teamId, submission }, async (tx): Promise<Result<null, Refused>> => {
		const team = await findTeam(tx, teamId);
		if (!team) return fail({ path: [], message: say(texts.noTeam) });
		const stale = staleness(base, teamSportOf(team));
		if (stale) return fail(stale);
		const orphan = await orphans(tx, team, shape.value);
		if (orphan) return fail(orphan);
		await updateTeam(tx, withSport(team, shape.value));
		return ok(null);
	});
}
