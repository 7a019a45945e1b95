import { error, fail, redirect } from '@sveltejs/kit';
import { useConfig, useDb } from '$lib/server/app';
import { findTeam, loadSurroundings } from '$lib/server/repositories/surroundings';
import { saveSquad } from '$lib/server/usecases/saveSquad';
import { readSquadCsv, type CsvReading } from '$lib/server/usecases/squadCsv';
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

async function readFile(teamId: string, form: FormData): Promise<CsvReading | null> {
	const { today } = await useConfig();
	const surroundings = await loadSurroundings(await useDb(), teamId, today);
	const file = form.get('file');
	if (!surroundings || !(file instanceof File) || file.size === 0) return null;
	const { team, players } = surroundings;
	const chosen = (key: string, of: readonly string[]) =>
		of.find((each) => each === form.get(key)) ?? of[0];
	return readSquadCsv(new Uint8Array(await file.arrayBuffer()), {
		team,
		known: new Set(players.map(({ id }) => id)),
		delimiter: chosen('delimiter', DELIMITERS),
		encoding: chosen('encoding', ENCODINGS)
	});
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
		return reading ? { reading: shown(reading) } : fail(400, { message: 'Choose a file first.' });
	},
	store: async ({ params, request }) => {
		const teamId = params.team as string;
		const reading = await readFile(teamId, await request.formData());
		if (!reading) return fail(400, { message: 'Choose a file first.' });
		if (reading.faults.length > 0) return fail(400, { reading: shown(reading) });
		const { today } = await useConfig();
		const saved = await saveSquad(await useDb(), { teamId, day: today, rows: reading.rows });
		if (!saved.ok)
			return fail(400, { message: `${saved.failure.path} ${saved.failure.message}`.trim() });
		redirect(303, `/${encodeURIComponent(teamId)}/squad`);
	}
};
