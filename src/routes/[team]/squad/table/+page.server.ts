import { error, fail, redirect } from '@sveltejs/kit';
import { fail as notRead, ok, type Result } from '$core/base';
import { useDb } from '$lib/server/app';
import { findTeam, loadSurroundings } from '$lib/server/repositories/surroundings';
import { saveSquad } from '$lib/server/usecases/saveSquad';
import { readSquadCsv, type CsvReading } from '$lib/server/usecases/squadCsv';
import { todayOf } from '$lib/server/today';
import type { Actions, PageServerLoad } from './$types';

/** Rows and faults that are shown; the counts are of all. */
const MOST_SHOWN = 20;

const DELIMITERS = ['', ',', ';', '\t'];
const ENCODINGS = ['auto', 'utf-8', 'windows-1252', 'utf-16le'];

export const load: PageServerLoad = async ({ params }) => {
	const team = await findTeam(await useDb(), params.team);
	if (!team) error(404, 'There is no such team.');
	return { team };
};

/** The most bytes that a table of players has. */
const MOST_BYTES = 1_000_000;

/** What the file of the form holds, or why it is not looked at. */
async function readFile(teamId: string, form: FormData): Promise<Result<CsvReading, string>> {
	const today = await todayOf(teamId);
	const surroundings = await loadSurroundings(await useDb(), teamId, today);
	const file = form.get('file');
	if (!surroundings || !(file instanceof File) || file.size === 0)
		return notRead('Choose a file first.');
	if (file.size > MOST_BYTES)
		return notRead(
			`${file.name} has ${(file.size / 1e6).toFixed(1)} MB; a table of players has 1 MB at most.`
		);
	const { team, players } = surroundings;
	const chosen = (key: string, of: readonly string[]) =>
		of.find((each) => each === form.get(key)) ?? of[0];
	return ok(
		readSquadCsv(new Uint8Array(await file.arrayBuffer()), {
			team,
			known: new Map(players.map((player) => [player.id, player])),
			delimiter: chosen('delimiter', DELIMITERS),
			encoding: chosen('encoding', ENCODINGS)
		})
	);
}

const shown = (reading: CsvReading) => ({
	...reading,
	rows: reading.rows.slice(0, MOST_SHOWN),
	faults: reading.faults.slice(0, MOST_SHOWN),
	players: reading.rows.length,
	added: reading.rows.filter(({ id }) => id === undefined).length,
	wrong: reading.faults.length
});

export const actions: Actions = {
	look: async ({ params, request }) => {
		const reading = await readFile(params.team as string, await request.formData());
		return reading.ok ? { reading: shown(reading.value) } : fail(400, { message: reading.failure });
	},
	store: async ({ params, request }) => {
		const teamId = params.team as string;
		const reading = await readFile(teamId, await request.formData());
		if (!reading.ok) return fail(400, { message: reading.failure });
		const { rows, faults } = reading.value;
		if (faults.length > 0) return fail(400, { reading: shown(reading.value) });
		const today = await todayOf(teamId);
		const saved = await saveSquad(await useDb(), { teamId, day: today, rows });
		if (!saved.ok)
			return fail(400, { message: `${saved.failure.path} ${saved.failure.message}`.trim() });
		redirect(303, `/${encodeURIComponent(teamId)}/squad`);
	}
};
