import { strFromU8, unzipSync } from 'fflate';
import type { Static, TSchema } from 'typebox';
import { AttendanceFile } from '$core/model/attendance';
import { LaddersFile } from '$core/model/ladders';
import { Drill } from '$core/model/drill';
import { ExportHead, ExportLedger, ExportPractice, ExportTeam } from '$core/model/exportFiles';
import { Template, type Practice } from '$core/model/practice';
import { isTimeZone } from '$core/conditions';
import { drillMisfit } from '$core/drill';
import { type Named, periodsFault, practiceFault } from '$core/practice';
import { fail, ok, type Result, type Path } from '$core/base';
import { readJson, type Misfit } from '../../../../doors';
import type { Db, Queryable } from '../../database';
import { listTeams } from '../../repositories/teams';
import { writeWholeTeam, type WholeTeam } from '../../repositories/wholeTeam';
import { seasonMisfit } from '../season/changeSeason';
import { PAGES } from '../team/slug';
import { say } from '../../say';
import texts from '$texts/refusals';

/** The most that a file to import may hold once it is unpacked. */
const MOST_BYTES = 64_000_000;
const MOST_FILES = 20_000;

/** A file that was refused; thrown to leave everything as it was. */
class Refused extends Error {
	constructor(readonly misfit: Misfit) {
		super(misfit.message);
	}
}

/** Refuses a file for what is at a path within one of its parts. */
const refuse = (within: string, path: Path, message: string): never => {
	throw new Refused({ path, message, ...(within !== '' && { within }) });
};

/** Unpacks a zip in memory. Names are never used as paths on disk; sizes are looked at before unpacking. */
function unpack(bytes: Uint8Array): Map<string, Uint8Array> {
	let total = 0;
	let count = 0;
	try {
		const files = unzipSync(bytes, {
			filter({ name, originalSize }) {
				total += originalSize;
				count += 1;
				if (total > MOST_BYTES || count > MOST_FILES) refuse(name, [], say(texts.holdsTooMuch));
				return name.endsWith('.json');
			}
		});
		return new Map(Object.entries(files));
	} catch (error) {
		if (error instanceof Refused) throw error;
		return refuse('', [], say(texts.notAZip));
	}
}

function read<Schema extends TSchema>(
	files: ReadonlyMap<string, Uint8Array>,
	name: string,
	schema: Schema
): Static<Schema> {
	const bytes = files.get(name) ?? refuse(name, [], say(texts.isMissing));
	const value = readJson(schema, strFromU8(bytes));
	if (value.ok) return value.value;
	return refuse(name, value.failure.path, value.failure.message);
}

/** Refuses a file for what makes no sense in it, with the place. */
function refuseFault(fault: Misfit | null, name: string): void {
	if (!fault) return;
	const within = [name, fault.within].filter(Boolean).join(': ');
	refuse(within, fault.path, fault.message);
}

/** What the shape of a team does not say. */
function checkTeam({ team, seasons, kit, kitFrom = [] }: ExportTeam, folder: string): void {
	const name = `${folder}/team.json`;
	if (PAGES.includes(team.id))
		refuse(name, ['team', 'id'], say(texts.reservedId, { name: team.id }));
	if (!isTimeZone(team.timeZone))
		refuse(name, ['team', 'timeZone'], say(texts.namedNotATimeZone, { name: team.timeZone }));
	if (team.ages.to < team.ages.from) refuse(name, ['team', 'ages'], say(texts.endBeforeBegin));
	const ids = seasons.map(({ id }) => id);
	if (new Set(ids).size < ids.length) refuse(name, ['seasons'], say(texts.seasonTwice));
	for (const list of [kit, ...kitFrom.map(({ value }) => value)]) {
		const items = list.map(({ item }) => item);
		const twice = items.find((item, index) => items.indexOf(item) < index);
		if (twice !== undefined) refuse(name, ['kit'], say(texts.namedTwice, { name: twice }));
	}
}

/** What the shape of a drill does not say: it must be able to run. */
function checkDrill(drill: Drill, name: string): void {
	refuseFault(drillMisfit(drill), name);
}

function checkPractice(
	practice: Practice,
	{ name, team, known }: { name: string; team: ExportTeam; known: Named }
): void {
	if (practice.teamId !== team.team.id) refuse(name, [], say(texts.ofAnotherTeam));
	if (!team.seasons.some(({ id }) => id === practice.seasonId))
		refuse(name, ['practice', 'seasonId'], say(texts.ofNoSeason));
	const { groundId, timeZone } = practice;
	if (groundId !== undefined && !team.grounds.some(({ id }) => id === groundId))
		refuse(name, ['practice', 'groundId'], say(texts.namedNotATeamsGround, { name: groundId }));
	if (!isTimeZone(timeZone))
		refuse(name, ['practice', 'timeZone'], say(texts.namedNotATimeZone, { name: timeZone }));
	const fault = practiceFault(practice, known);
	refuseFault(fault && { ...fault, path: ['practice', ...fault.path] }, name);
}

function readTeam(files: ReadonlyMap<string, Uint8Array>, folder: string): WholeTeam {
	const inside = (part: string) =>
		[...files.keys()].filter((name) => name.startsWith(`${folder}/${part}/`)).sort();
	const named = <Schema extends TSchema>(part: string, schema: Schema) =>
		inside(part).map((name) => [name, read(files, name, schema)] as const);
	const team = read(files, `${folder}/team.json`, ExportTeam);
	const [drills, practices] = [named('drills', Drill), named('practices', ExportPractice)];
	const templates = named('templates', Template);
	checkTeam(team, folder);
	for (const [name, drill] of drills) checkDrill(drill, name);
	const known = {
		people: new Set([...team.people.map(({ id }) => id), ...(team.gone ?? [])]),
		drills: new Set(drills.map(([, { id, revision = 1 }]) => `${id}@${revision}`))
	};
	for (const [name, { practice }] of practices) checkPractice(practice, { name, team, known });
	for (const [name, { periods }] of templates) refuseFault(periodsFault(periods, known), name);
	const values = <Value>(list: readonly (readonly [string, Value])[]) => list.map(([, v]) => v);
	return {
		team,
		drills: values(drills),
		practices: values(practices),
		templates: values(templates),
		ledger: read(files, `${folder}/ledger.json`, ExportLedger),
		attendance: read(files, `${folder}/attendance.json`, AttendanceFile),
		// Exports of before have none.
		...(files.has(`${folder}/ladders.json`) && {
			ladders: read(files, `${folder}/ladders.json`, LaddersFile)
		})
	};
}

/** Refuses teams that are here already, or come twice. */
function refuseKnown(teams: readonly WholeTeam[], known: readonly { id: string }[]): void {
	const here = new Set(known.map(({ id }) => id));
	for (const { team } of teams) {
		const { id, name } = team.team;
		if (here.has(id))
			refuse(`teams/${encodeURIComponent(id)}`, [], say(texts.teamIsHere, { name }));
		here.add(id);
	}
}

/** Refuses seasons that make no sense; the team must be stored. */
async function refuseSeasons(tx: Queryable, { team, seasons }: ExportTeam): Promise<void> {
	for (const [index, season] of seasons.entries()) {
		const misfit = await seasonMisfit(tx, team.id, season);
		const path = ['seasons', index, ...(misfit?.path ?? [])];
		if (misfit) refuse(`teams/${encodeURIComponent(team.id)}/team.json`, path, misfit.message);
	}
}

/** What an import brought. */
export interface Imported {
	teams: number;
	practices: number;
}

/**
 * Takes in an export, all of it or nothing. A team whose id is here already is refused, and so is
 * whatever does not have its shape; the misfit names the file and the place in it. `before` is done once
 * the file is known to be good, before anything is stored.
 */
export async function importAll(
	db: Db,
	bytes: Uint8Array,
	before: () => Promise<unknown> = async () => null
): Promise<Result<Imported, Misfit>> {
	try {
		const files = unpack(bytes);
		read(files, 'fieldplan.json', ExportHead);
		const folders = [...files.keys()].flatMap(
			(name) => /^(teams\/[^/]+)\/team\.json$/.exec(name)?.[1] ?? []
		);
		const teams = folders.sort().map((folder) => readTeam(files, folder));
		refuseKnown(teams, await listTeams(db));
		await before();
		await db.transaction(async (tx) => {
			refuseKnown(teams, await listTeams(tx));
			// A team that another process has stored since is found by its id alone.
			for (const whole of teams) {
				if (!(await writeWholeTeam(tx, whole))) refuseKnown([whole], [whole.team.team]);
				await refuseSeasons(tx, whole.team);
			}
		});
		const practices = teams.reduce((sum, team) => sum + team.practices.length, 0);
		return ok({ teams: teams.length, practices });
	} catch (error) {
		if (error instanceof Refused) return fail(error.misfit);
		// What the shapes do not say the database does: twice the same id, say.
		const { code } = error as { code?: string };
		if (code?.startsWith('23') || code?.startsWith('22'))
			return fail({
				path: [],
				message: say(texts.contradictsItself, { why: (error as Error).message })
			});
		throw error;
	}
}
