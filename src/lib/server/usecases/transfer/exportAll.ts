import type { Practice, Template } from '$core/model/practice';
import { peopleIn } from '$core/practice';
import type { Db, Queryable } from '../../database';
import { listAttendance } from '../../repositories/attendance';
import { eachDrill } from '../../repositories/drills';
import { listTemplates } from '../../repositories/templates';
import { listTeams } from '../../repositories/teams';
import { GrowingZip } from './growingZip';
import {
	eachPractice,
	ledgerText,
	readExportTeam,
	readLadders
} from '../../repositories/wholeTeam';

const safe = (id: string) => encodeURIComponent(id);

/** Lets others go on: what was handed over is sent meanwhile. */
const breathe = () => new Promise<void>((resolve) => setImmediate(resolve));

/** Writes the ledger of a team, a row a line, practice by practice. */
async function exportLedger(
	tx: Queryable,
	{ zip, teamId, practices }: { zip: GrowingZip; teamId: string; practices: readonly string[] }
): Promise<void> {
	const write = zip.begin(`teams/${safe(teamId)}/ledger.json`);
	write('{"format":"fieldplan/ledger@1","rows":[', false);
	let comma = '\n';
	for (const practice of practices) {
		await breathe();
		const text = await ledgerText(tx, teamId, practice);
		if (text === '') continue;
		write(comma + text, false);
		comma = ',\n';
	}
	write('\n]}\n', true);
}

async function exportTeam(tx: Queryable, zip: GrowingZip, teamId: string): Promise<void> {
	const folder = `teams/${safe(teamId)}`;
	const team = await readExportTeam(tx, teamId);
	const here = new Set(team.people.map(({ id }) => id));
	const gone = new Set<string>();
	const note = (document: Practice | Template) => {
		for (const id of peopleIn(document)) if (!here.has(id)) gone.add(id);
	};
	const practices: string[] = [];
	for await (const stored of eachPractice(tx, teamId)) {
		await breathe();
		const { practice } = stored;
		practices.push(practice.id);
		note(practice);
		zip.add(`${folder}/practices/${safe(practice.id)}.json`, stored);
	}
	for (const template of await listTemplates(tx, teamId)) {
		note(template);
		zip.add(`${folder}/templates/${safe(template.id)}.json`, template);
	}
	for await (const drill of eachDrill(tx, teamId)) {
		await breathe();
		zip.add(`${folder}/drills/${safe(drill.id)}@${drill.revision ?? 1}.json`, drill);
	}
	await exportLedger(tx, { zip, teamId, practices });
	const rows = await listAttendance(tx, teamId);
	zip.add(`${folder}/attendance.json`, { format: 'fieldplan/attendance@1', rows });
	zip.add(`${folder}/ladders.json`, await readLadders(tx, teamId));
	const left = [...gone].sort();
	zip.add(`${folder}/team.json`, { ...team, ...(left.length > 0 && { gone: left }) });
}

/**
 * Hands over everything that is stored, on one state of it, as one zip of open-format JSON, piece by piece.
 * The same data gives the same bytes.
 */
export async function exportAll(db: Db, take: (bytes: Uint8Array) => void): Promise<void> {
	const zip = new GrowingZip(take);
	zip.add('fieldplan.json', { format: 'fieldplan/export@1' });
	await db.snapshot(async (tx) => {
		for (const { id } of await listTeams(tx)) await exportTeam(tx, zip, id);
	});
	zip.end();
}
