import { strFromU8, strToU8, unzipSync, zipSync, type Zippable } from 'fflate';
import { fail, ok, sameValue, type Result } from '$core/base';
import { drillMisfit, withStandard } from '$core/drill';
import { Drill } from '$core/model/drill';
import { toShelf } from '$core/practice';
import { readJson, type Misfit } from '../../../../doors';
import type { Db, Queryable } from '../../database';
import { insertRevision, listDrills } from '../../repositories/drills';
import { lockTeam } from '../../repositories/teams';
import { say } from '../../say';
import texts from '$texts/refusals';

/** The most that a file may have, packed and unpacked, and the most drills in it. */
const MOST_BYTES = 5_000_000;
const MOST_UNPACKED = 20_000_000;
const MOST_DRILLS = 2000;

/** Zip files carry times; always the same one makes the same drills the same bytes. */
const SAME_TIME = new Date(1990, 0, 1);

const pretty = (drill: Drill) => strToU8(`${JSON.stringify(drill, null, '\t')}\n`);

/** The newest revisions of a team's drills as a zip of `fieldplan/drill@1` files. */
export async function zipDrills(db: Queryable, teamId: string): Promise<Uint8Array> {
	const files: Zippable = {};
	for (const drill of toShelf(await listDrills(db, teamId)))
		files[`${encodeURIComponent(drill.id)}.json`] = pretty(drill);
	return zipSync(files, { mtime: SAME_TIME, level: 6 });
}

/** A drill of a file, and how it stands to the shelf that it is to come to. */
export interface ReadDrill {
	/** The file's name within the zip, or its own. */
	file: string;
	/** `same`: is here already, to the letter. `clash`: another drill has its id here. */
	state: 'new' | 'same' | 'clash' | 'fault';
	id: string;
	name: string;
	/** Where and what is wrong, of a fault. */
	misfit?: Misfit;
	drill?: Drill;
}

/** The last part of a name in a zip: names are shown, never used as paths. */
const shownName = (name: string) => name.split(/[\\/]/).at(-1) ?? name;

/** The JSON files of a zip by name, or the file itself; refused where it is too large or no zip. */
function unpack(bytes: Uint8Array, name: string): Result<Map<string, Uint8Array>, Misfit> {
	if (bytes.length > MOST_BYTES)
		return fail({
			path: [],
			within: name,
			message: say(texts.fileTooLarge, { megabytes: MOST_BYTES / 1e6 })
		});
	const isZip = bytes[0] === 0x50 && bytes[1] === 0x4b;
	if (!isZip) return ok(new Map([[name, bytes]]));
	let total = 0;
	let count = 0;
	let isTooMuch = false;
	try {
		const files = unzipSync(bytes, {
			filter({ name: inside, originalSize }) {
				const isDrill = inside.endsWith('.json');
				total += isDrill ? originalSize : 0;
				count += isDrill ? 1 : 0;
				isTooMuch ||= total > MOST_UNPACKED || count > MOST_DRILLS;
				return isDrill && !isTooMuch;
			}
		});
		if (isTooMuch)
			return fail({
				path: [],
				within: name,
				message: say(texts.fileHoldsTooManyDrills, { most: MOST_DRILLS })
			});
		return ok(new Map(Object.entries(files)));
	} catch {
		return fail({ path: [], within: name, message: say(texts.notAZip) });
	}
}

function readOne(file: string, bytes: Uint8Array, shelf: ReadonlyMap<string, Drill>): ReadDrill {
	const misfitting = (misfit: Misfit, id = '', name = ''): ReadDrill => ({
		file,
		state: 'fault',
		id,
		name,
		misfit
	});
	const read = readJson(Drill, strFromU8(bytes));
	if (!read.ok) return misfitting(read.failure);
	const drill = withStandard({ ...read.value, revision: 1 });
	const { id, name } = drill;
	const misfit = drillMisfit(drill);
	if (misfit) return misfitting(misfit, id, name);
	const own = shelf.get(id);
	if (!own) return { file, state: 'new', id, name, drill };
	const isSame = sameValue(withStandard({ ...own, revision: 1 }), drill);
	return { file, state: isSame ? 'same' : 'clash', id, name, drill };
}

/**
 * Reads a file of drills, one or a zip of many, against the shelf of a team. Nothing is stored. A file as
 * a whole is refused with a misfit; what is wrong within it is said of each drill.
 */
export async function readDrillFile(
	db: Queryable,
	teamId: string,
	{ bytes, name }: { bytes: Uint8Array; name: string }
): Promise<Result<ReadDrill[], Misfit>> {
	const files = unpack(bytes, name);
	if (!files.ok) return files;
	if (files.value.size === 0)
		return fail({ path: [], within: name, message: say(texts.noJsonInZip) });
	const shelf = new Map(toShelf(await listDrills(db, teamId)).map((drill) => [drill.id, drill]));
	const drills = [...files.value].map(([file, content]) =>
		readOne(shownName(file), content, shelf)
	);
	// The second drill of an id within one file is a fault: which one is meant cannot be told.
	const seen = new Set<string>();
	return ok(
		drills.map((drill): ReadDrill => {
			if (drill.state === 'fault' || !seen.has(drill.id)) {
				seen.add(drill.id);
				return drill;
			}
			const misfit = { path: ['id'], message: say(texts.twiceInFile, { name: drill.id }) };
			return { file: drill.file, state: 'fault', id: drill.id, name: drill.name, misfit };
		})
	);
}

/** What is to become of a drill whose id is here already. */
export type Choice = 'revise' | 'copy' | 'leave';

/** An id that the shelf does not have, made of another. */
function freeId(id: string, taken: ReadonlySet<string>): string {
	let next = id;
	for (let number = 2; taken.has(next); number += 1) next = `${id}-${number}`;
	return next;
}

/**
 * Stores what was read: new drills, and those that clash as the coach chose, all or none. Drills with
 * faults are left out. Gives how many were stored.
 */
export async function storeDrills(
	db: Db,
	teamId: string,
	{ drills, choices }: { drills: readonly ReadDrill[]; choices: Readonly<Record<string, Choice>> }
): Promise<number> {
	return db.transaction(async (tx) => {
		await lockTeam(tx, teamId);
		const taken = new Set((await listDrills(tx, teamId)).map(({ id }) => id));
		let stored = 0;
		for (const { drill, state, id } of drills) {
			const choice = Object.hasOwn(choices, id) ? choices[id] : 'leave';
			if (!drill || state === 'same' || (state === 'clash' && choice === 'leave')) continue;
			const own =
				state === 'clash' && choice === 'copy' ? { ...drill, id: freeId(id, taken) } : drill;
			taken.add(own.id);
			await insertRevision(tx, teamId, own);
			stored += 1;
		}
		return stored;
	});
}
