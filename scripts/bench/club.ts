// What a club's size costs: every page, an edit, an export and the memory, at three sizes.
import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { startServer, type Server } from '../../e2e/server';
import { clubFile, type ClubSize } from './clubFile';
import { judge, median } from './report';

const SIZES: ClubSize[] = [
	{ practices: 50, drills: 100, players: 50 },
	{ practices: 100, drills: 500, players: 100 },
	{ practices: 200, drills: 2000, players: 200 }
];
const ROUNDS = 7;
const EDITS = 20;
/** Rounds in which a server that was just started reads all from the disk and compiles what it runs. */
const WARM = 2;

/** Pages that are opened, with their bounds in milliseconds and bytes. */
const PAGES = (board: string): [name: string, path: string, bound: number, bytes: number][] => [
	['list of practices', 'practices', 100, 500_000],
	['board', `practices/${board}`, 400, 400_000],
	['met before', `practices/${board}/met`, 300, 500_000],
	['paper', `practices/${board}/paper`, 300, 500_000],
	['new practice', 'practices/new', 300, 500_000],
	['templates', 'practices/templates', 300, 500_000],
	['shelf', 'drills', 300, 500_000],
	['drill', 'drills/channel-duel', 300, 500_000],
	['squad', 'squad', 300, 500_000],
	['player', 'squad/p01', 300, 500_000],
	['attendance', 'attendance', 300, 500_000],
	['who worked with whom', 'together', 300, 500_000],
	['adults', 'adults', 300, 500_000],
	['kit', 'kit', 300, 500_000],
	['limits', 'limits', 300, 500_000],
	['words', 'words', 300, 500_000]
];

/** Milliseconds of each opening of a page, and the bytes of the last answer. */
async function open(url: string): Promise<{ milliseconds: number[]; bytes: number }> {
	const milliseconds: number[] = [];
	let bytes = 0;
	for (let round = 0; round < ROUNDS + WARM; round += 1) {
		const start = performance.now();
		const answer = await fetch(url);
		bytes = (await answer.arrayBuffer()).byteLength;
		if (!answer.ok) throw new Error(`${url}: ${answer.status}`);
		if (round >= WARM) milliseconds.push(performance.now() - start);
	}
	return { milliseconds, bytes };
}

/** Milliseconds of each of some edits of a practice. */
async function edits(server: Server, practice: string): Promise<number[]> {
	const url = `${server.url}/saltmarsh/practices/${practice}/edits`;
	let revision = ((await (await fetch(url)).json()) as { revision: number }).revision;
	const milliseconds: number[] = [];
	for (let k = 0; k < EDITS + WARM; k += 1) {
		const edit = { type: 'set-practice', set: { minutes: 90 + (k % 2) } };
		const start = performance.now();
		const answer = await fetch(url, {
			method: 'POST',
			headers: { 'content-type': 'application/json', origin: server.url },
			body: JSON.stringify({ revision, edits: [{ id: `bench-${k}`, edit }] })
		});
		const saved = (await answer.json()) as { revision: number };
		if (!answer.ok) throw new Error(JSON.stringify(saved));
		revision = saved.revision;
		if (k >= WARM) milliseconds.push(performance.now() - start);
	}
	return milliseconds;
}

/** The most memory that a process has had, in MB. */
const peakOf = (pid: number): number =>
	Number(/VmHWM:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1]) / 1000;

async function measure(size: ClubSize, demo: Uint8Array, folder: string): Promise<void> {
	const name = `${size.practices}/${size.drills}/${size.players}`;
	const file = join(folder, 'club.zip');
	const data = join(folder, `data-${size.practices}`);
	writeFileSync(file, clubFile(demo, size));
	const imported = spawnSync('npm', ['run', '-s', 'fieldplan', '--', 'import', file], {
		encoding: 'utf8',
		env: { ...process.env, FIELDPLAN_DATA: data }
	});
	if (imported.status !== 0) throw new Error(imported.stdout + imported.stderr);
	const server = await startServer(data);
	const board = `club-${Math.floor(size.practices * 0.9)}`;
	const started = performance.now();
	await (await fetch(`${server.url}/saltmarsh/practices`)).text();
	judge(`${name}: first list after the import`, performance.now() - started, 5000, 'ms');
	// The summaries of the others are made beside other requests.
	for (let last = ''; ;) {
		const now = await (await fetch(`${server.url}/saltmarsh/practices/__data.json?all`)).text();
		if (now === last) break;
		last = now;
		await new Promise((resolve) => setTimeout(resolve, 1500));
	}
	for (const [page, path, bound, bytes] of PAGES(board)) {
		const opened = await open(`${server.url}/saltmarsh/${path}`);
		judge(`${name}: ${page}`, median(opened.milliseconds), bound, 'ms');
		judge(`${name}: ${page}, size`, opened.bytes / 1000, bytes / 1000, 'KB', false);
	}
	judge(`${name}: an edit`, median(await edits(server, board)), 50, 'ms');
	judge(
		`${name}: memory without an export`,
		peakOf(server.process.pid as number),
		600,
		'MB',
		false
	);
	const start = performance.now();
	const exported = await fetch(`${server.url}/data/export`);
	const reader = exported.body?.getReader();
	await reader?.read();
	judge(`${name}: first byte of an export`, performance.now() - start, 1000, 'ms');
	while (!(await reader?.read())?.done);
	judge(`${name}: export`, performance.now() - start, 10_000, 'ms');
	judge(`${name}: memory`, peakOf(server.process.pid as number), 600, 'MB', false);
	await server.stop();
}

const folder = mkdtempSync(join(tmpdir(), 'fieldplan-bench-club-'));
try {
	const server = await startServer(join(folder, 'demo'));
	const demo = new Uint8Array(await (await fetch(`${server.url}/data/export`)).arrayBuffer());
	await server.stop();
	const only = process.argv[2];
	for (const size of SIZES)
		if (only === undefined || String(size.practices) === only) await measure(size, demo, folder);
} finally {
	rmSync(folder, { recursive: true, force: true });
}
