import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { addDays } from '../../src/core/conditions';
import type { ExportLedger, ExportPractice, ExportTeam } from '../../src/core/model/exportFiles';
import type { Drill } from '../../src/core/model/drill';

/** How much a club has. */
export interface ClubSize {
	practices: number;
	drills: number;
	players: number;
}

const FOLDER = 'teams/saltmarsh';
const TODAY = '2027-04-06';
/** Of so many practices, this share is still to come. */
const TO_COME = 0.15;

type Files = Record<string, Uint8Array>;
const read = <Value>(files: Files, name: string): Value => JSON.parse(strFromU8(files[name]));

/** A team of so many players: those of the demo, and copies of them under other names. */
function teamOf(demo: ExportTeam, players: number): ExportTeam {
	const own = demo.people.filter(({ kind }) => kind === 'player');
	const more = Array.from({ length: Math.max(0, players - own.length) }, (_, k) => ({
		...own[k % own.length],
		id: `m${k}`,
		name: `${own[k % own.length].name} ${k + 2}`
	}));
	const seasons = [{ ...demo.seasons[0], firstDay: addDays(TODAY, -300), weeks: 60 }];
	return {
		...demo,
		seasons,
		people: [...demo.people, ...more.map(({ number: _, ...one }) => one)]
	};
}

/** The document with other players in the place of its own, who are no fewer. */
function withPlayers<Document>(
	document: Document,
	own: readonly string[],
	others: readonly string[]
): Document {
	const by = new Map(own.map((id, k) => [id, others[k % others.length]]));
	const change = (value: unknown): unknown => {
		if (typeof value === 'string') return by.get(value) ?? value;
		if (Array.isArray(value)) return value.map(change);
		if (typeof value !== 'object' || value === null) return value;
		return Object.fromEntries(
			Object.entries(value).map(([key, each]) => [by.get(key) ?? key, change(each)])
		);
	};
	return change(document) as Document;
}

/**
 * An export of one team with so many practices, drills and players, made from an export of the demo: its
 * planned practices over and over, each a day later and with other players, the newest of them still to come.
 */
export function clubFile(
	exported: Uint8Array,
	{ practices, drills, players }: ClubSize
): Uint8Array {
	const demo: Files = unzipSync(exported);
	const team = teamOf(read<ExportTeam>(demo, `${FOLDER}/team.json`), players);
	const everyone = team.people.filter(({ kind }) => kind === 'player').map(({ id }) => id);
	const own = everyone.slice(0, 24);
	const ledger = read<ExportLedger>(demo, `${FOLDER}/ledger.json`);
	const models = Object.keys(demo)
		.filter((name) => name.startsWith(`${FOLDER}/practices/`))
		.map((name) => read<ExportPractice>(demo, name))
		.filter(({ practice }) => practice.periods.length > 0);
	const files: Files = { 'fieldplan.json': demo['fieldplan.json'] };
	const put = (name: string, value: unknown) =>
		(files[`${FOLDER}/${name}`] = strToU8(JSON.stringify(value)));
	const rows: ExportLedger['rows'] = [];
	for (let k = 0; k < practices; k += 1) {
		const { practice, ...stored } = models[k % models.length];
		const isDone = k < practices * (1 - TO_COME);
		const date = addDays(TODAY, k - Math.floor(practices * (1 - TO_COME)));
		const others = own.map((_, index) => everyone[(index + k * 7) % everyone.length]);
		const id = `club-${k}`;
		const state = isDone ? 'held' : 'planned';
		const copy = { ...practice, id, date, seasonId: team.seasons[0].id };
		put(`practices/${id}.json`, { ...stored, state, practice: withPlayers(copy, own, others) });
		const planned = ledger.rows.filter(
			(row) => row.practice === practice.id && row.state === 'planned'
		);
		for (const row of withPlayers(planned, own, others)) {
			rows.push({ ...row, practice: id, date });
			if (isDone) rows.push({ ...row, practice: id, date, state: 'done' });
		}
	}
	const shelf = Object.keys(demo).filter((name) => name.startsWith(`${FOLDER}/drills/`));
	for (const name of shelf) files[name] = demo[name];
	for (let k = 0; k < drills - shelf.length; k += 1) {
		const drill = read<Drill>(demo, shelf[k % shelf.length]);
		const frequency = drill.frequency === 'daily' ? 'regular' : drill.frequency;
		const named = { id: `${drill.id}-${k}`, name: `${drill.name} ${k}`, revision: 1 };
		const copy: Drill = { ...drill, ...named, frequency };
		put(`drills/${copy.id}@1.json`, copy);
	}
	put('team.json', team);
	put('ledger.json', { ...ledger, rows });
	put('attendance.json', { format: 'fieldplan/attendance@1', rows: [] });
	return zipSync(files, { level: 1 });
}
