import { error, fail, redirect } from '@sveltejs/kit';
import Type from 'typebox';
import { fail as notRead, ok, type Result, misfitText } from '$core/base';
import { reading as onSnapshot, todayOf, useDb } from '$lib/server/app';
import { findTeam } from '$lib/server/repositories/teams';
import { loadSurroundings } from '$lib/server/repositories/teamHistory';
import { saveSquad } from '$lib/server/usecases/people/saveSquad';
import {
	parseCsv,
	readSquadTable,
	type CsvReading,
	type CsvTable
} from '$lib/server/usecases/people/squadCsv';
import { readShape } from '../../../../doors';
import type { Actions, PageServerLoad } from './$types';
import { say } from '$lib/server/say';
import texts from '$texts/refusals';

/** Rows and lines that are shown; the counts are of all. */
const MOST_SHOWN = 20;

const DELIMITERS = ['', ',', ';', '\t'];
const ENCODINGS = ['auto', 'utf-8', 'windows-1252', 'utf-16le'];

export const load: PageServerLoad = ({ params }) =>
	onSnapshot(async (db) => {
		const team = await findTeam(db, params.team);
		if (!team) error(404, say(texts.noTeam));
		return { team };
	});

/** The most bytes that a table of players has. */
const MOST_BYTES = 1_000_000;

const Cells = Type.Array(Type.String({ maxLength: 2000 }), { maxItems: 200 });
/** Lines that were put right on the page, in place of a file. */
const Corrected = Type.Object(
	{
		headings: Cells,
		lines: Type.Array(
			Type.Object({ line: Type.Integer(), cells: Cells }, { additionalProperties: false }),
			{ maxItems: 1000 }
		)
	},
	{ additionalProperties: false }
);
/** What columns are taken for, by their place. */
const Chosen = Type.Array(Type.String({ maxLength: 200 }), { maxItems: 200 });

function json(form: FormData, field: string): unknown {
	try {
		return JSON.parse(String(form.get(field) ?? 'null'));
	} catch {
		return null;
	}
}

/** The table of the form: the lines that were put right, else the file. */
async function tableOf(form: FormData): Promise<Result<CsvTable, string>> {
	const corrected = readShape(Corrected, json(form, 'corrected'));
	if (corrected.ok) return ok({ ...corrected.value, delimiter: '', encoding: '' });
	const file = form.get('file');
	if (!(file instanceof File) || file.size === 0) return notRead(say(texts.chooseAFile));
	if (file.size > MOST_BYTES)
		return notRead(
			`${file.name} has ${(file.size / 1e6).toFixed(1)} MB; a table of players has 1 MB at most.`
		);
	const chosen = (key: string, of: readonly string[]) =>
		of.find((each) => each === form.get(key)) ?? of[0];
	return ok(
		parseCsv(new Uint8Array(await file.arrayBuffer()), {
			delimiter: chosen('delimiter', DELIMITERS),
			encoding: chosen('encoding', ENCODINGS)
		})
	);
}

/** A table as it was read; `isCorrected` where its lines come from the page, not from a file. */
type Read = { table: CsvTable; reading: CsvReading; isCorrected: boolean };

/** What the form holds for the squad of a team, or why it is not looked at. */
async function readForm(teamId: string, form: FormData): Promise<Result<Read, string>> {
	const surroundings = await onSnapshot(async (db) =>
		loadSurroundings(db, teamId, { day: await todayOf(db, teamId) })
	);
	if (!surroundings) return notRead(say(texts.noTeam));
	const table = await tableOf(form);
	if (!table.ok) return table;
	const { team, players } = surroundings;
	const chosen = readShape(Chosen, json(form, 'columns'));
	const isSame = chosen.ok && chosen.value.length === table.value.headings.length;
	const reading = readSquadTable(table.value, {
		team,
		known: new Map(players.map((player) => [player.id, player])),
		...(isSame && { chosen: chosen.value })
	});
	return ok({ table: table.value, reading, isCorrected: table.value.delimiter === '' });
}

const shown = ({
	table: { delimiter, encoding, headings, lines },
	reading,
	isCorrected
}: Read) => ({
	...reading,
	isCorrected,
	/** The lines on the page: all that were put right there, of a file the bad ones. */
	lines: isCorrected ? lines : reading.bad.map(({ line, cells }) => ({ line, cells })),
	...{ delimiter, encoding, headings },
	rows: reading.rows.slice(0, MOST_SHOWN),
	notes: reading.notes.slice(0, MOST_SHOWN),
	players: reading.rows.length,
	added: reading.rows.filter(({ id }) => id === undefined).length
});

export const actions: Actions = {
	look: async ({ params, request }) => {
		const read = await readForm(params.team as string, await request.formData());
		return read.ok ? { reading: shown(read.value) } : fail(400, { message: read.failure });
	},
	/** Stores the good lines; those that are not good stay on the page to be put right. */
	store: async ({ params, request }) => {
		const teamId = params.team as string;
		const read = await readForm(teamId, await request.formData());
		if (!read.ok) return fail(400, { message: read.failure });
		const { rows, bad, trouble } = read.value.reading;
		if (trouble || rows.length === 0) return fail(400, { reading: shown(read.value) });
		const db = await useDb();
		const today = await todayOf(db, teamId);
		const saved = await saveSquad(db, { teamId, day: today, rows });
		if (!saved.ok) return fail(400, { message: misfitText(saved.failure) });
		if (bad.length === 0) redirect(303, `/${encodeURIComponent(teamId)}/squad`);
		const left = { ...read.value.reading, rows: [], notes: [] };
		const { table } = read.value;
		const rest = { ...table, lines: bad.map(({ line, cells }) => ({ line, cells })) };
		return {
			stored: rows.length,
			reading: shown({ table: rest, reading: left, isCorrected: true })
		};
	}
};
