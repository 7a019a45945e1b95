import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import type { Surroundings } from '../../src/core/model/bundle';
import type { ExportLedger, ExportPractice, ExportTeam } from '../../src/core/model/exportFiles';
import type { Practice } from '../../src/core/model/practice';

const FOLDER = 'teams/saltmarsh';

/** An export of the demo's team with one made-up practice, its ground and its players in the place of its own. */
export function largeFile(
	exported: Uint8Array,
	{ practice, surroundings }: { practice: Practice; surroundings: Surroundings }
): Uint8Array {
	const files = unzipSync(exported);
	const read = <Value>(name: string): Value => JSON.parse(strFromU8(files[name]));
	const write = (name: string, value: unknown) =>
		[name, strToU8(JSON.stringify(value))] as [string, Uint8Array];
	const team = read<ExportTeam>(`${FOLDER}/team.json`);
	const players: ExportTeam['people'] = surroundings.players.map(({ id, name }) => ({
		id,
		kind: 'player',
		name,
		units: [],
		ratings: []
	}));
	const people = [...team.people.filter(({ kind }) => kind === 'adult'), ...players];
	const stored: ExportPractice = {
		format: 'fieldplan/stored-practice@1',
		revision: 1,
		archived: false,
		state: 'planned',
		practice
	};
	const ledger = read<ExportLedger>(`${FOLDER}/ledger.json`);
	const drills = Object.entries(files).filter(([name]) => name.startsWith(`${FOLDER}/drills/`));
	return zipSync(
		Object.fromEntries([
			['fieldplan.json', files['fieldplan.json']],
			...drills,
			write(`${FOLDER}/team.json`, { ...team, people, grounds: [surroundings.ground] }),
			write(`${FOLDER}/practices/large.json`, stored),
			write(`${FOLDER}/ledger.json`, { ...ledger, rows: [] }),
			write(`${FOLDER}/attendance.json`, { format: 'fieldplan/attendance@1', rows: [] })
		])
	);
}
