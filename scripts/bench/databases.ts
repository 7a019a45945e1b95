// What both databases take at once: edits of 1, 10 and 50 clients, and 50 visitors of a board.
import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { startServer, type Server } from '../../e2e/server';
import { startPostgres } from '../../tests/support/postgresServer';
import { clubFile } from './clubFile';
import { report } from './report';

const SIZE = { practices: 50, drills: 100, players: 50 };
const CLIENTS = [1, 10, 50];
const EDITS = 200;
const VISITORS = 50;
const ROUNDS = 4;

/** Edits one practice so many times; milliseconds of each. */
async function client(server: Server, k: number, times: number): Promise<number[]> {
	const url = `${server.url}/saltmarsh/practices/club-${k}/edits`;
	let { revision } = (await (await fetch(url)).json()) as { revision: number };
	const taken: number[] = [];
	for (let n = 0; n < times; n += 1) {
		const edit = { type: 'set-practice', set: { minutes: 80 + (n % 5) } };
		const start = performance.now();
		const answer = await fetch(url, {
			method: 'POST',
			headers: { 'content-type': 'application/json', origin: server.url },
			body: JSON.stringify({ revision, edits: [{ id: `${k}-${revision}`, edit }] })
		});
		if (!answer.ok) throw new Error(await answer.text());
		({ revision } = (await answer.json()) as { revision: number });
		taken.push(performance.now() - start);
	}
	return taken;
}

async function visits(server: Server, count: number): Promise<number[]> {
	const visit = async () => {
		const start = performance.now();
		await (await fetch(`${server.url}/saltmarsh/practices/2027-04-06`)).arrayBuffer();
		return performance.now() - start;
	};
	return Promise.all(Array.from({ length: count }, visit));
}

async function alone(server: Server): Promise<number[]> {
	const taken: number[] = [];
	for (let k = 0; k < 30; k += 1) taken.push(...(await visits(server, 1)));
	return taken.slice(5);
}

async function measure(name: string, server: Server, isClub: boolean): Promise<void> {
	if (!isClub) {
		report({
			name: `${name}: a board`,
			milliseconds: await alone(server),
			bound: 25,
			of: 'median'
		});
		const taken: number[] = [];
		for (let round = 0; round < ROUNDS; round += 1) taken.push(...(await visits(server, VISITORS)));
		report({
			name: `${name}: a board, ${VISITORS} visitors at once`,
			milliseconds: taken,
			bound: 1000,
			of: '95th'
		});
		return;
	}
	for (const clients of CLIENTS) {
		const times = Math.ceil(EDITS / clients);
		await Promise.all(Array.from({ length: clients }, (_, k) => client(server, k, 1)));
		const start = performance.now();
		const taken = await Promise.all(
			Array.from({ length: clients }, (_, k) => client(server, k, times))
		);
		const seconds = (performance.now() - start) / 1000;
		const rate = ((clients * times) / seconds).toFixed(0);
		report({
			name: `${name}: ${rate} edits a second from ${clients} ${clients === 1 ? 'client' : 'clients'}`,
			milliseconds: taken.flat(),
			bound: 50 * clients,
			of: '95th'
		});
	}
}

const folder = mkdtempSync(join(tmpdir(), 'fieldplan-bench-databases-'));
const postgres = await startPostgres({ isDurable: true });
if (!postgres) console.log('No PostgreSQL is installed: only the embedded database is measured.');
try {
	const demo = await startServer(join(folder, 'demo'));
	await measure('embedded', demo, false);
	const exported = await (await fetch(`${demo.url}/data/export`)).arrayBuffer();
	await demo.stop();
	const file = join(folder, 'club.zip');
	writeFileSync(file, clubFile(new Uint8Array(exported), SIZE));
	const places: { name: string; env: Record<string, string> }[] = [
		{ name: 'embedded', env: { FIELDPLAN_DATA: join(folder, 'club') } },
		...(postgres
			? [{ name: 'server', env: { FIELDPLAN_DATABASE_URL: postgres.urlOf('postgres') } }]
			: [])
	];
	for (const { name, env } of places) {
		const imported = spawnSync('npm', ['run', '-s', 'fieldplan', '--', 'import', file], {
			encoding: 'utf8',
			env: { ...process.env, ...env }
		});
		if (imported.status !== 0) throw new Error(imported.stdout + imported.stderr);
		const server = await startServer(join(folder, 'club'), undefined, env);
		await measure(name, server, true);
		await server.stop();
	}
} finally {
	await postgres?.stop();
	rmSync(folder, { recursive: true, force: true });
}
