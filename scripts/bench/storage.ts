// What the stored data is held to: power cuts, kills, growth over thousands of edits, the start after a kill.
import { cpSync, mkdtempSync, readdirSync, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { randomLcg } from 'd3-random';
import { killInStorm } from '../../e2e/killing';
import { canMount, cutPower, type Moment } from '../../e2e/power';
import { startServer } from '../../e2e/server';
import { lostFrom, nothingYet } from '../../e2e/storm';
import { calm, median, verdict } from './report';

const CUTS = 20;
const KILLS = 30;
const EDITS = 5000;
const MOST_GROWTH_MB = 150;
const MOST_START_MILLISECONDS = 3000;
/** The last edits may take so much longer than the first: what a machine varies by itself. */
const MOST_SLOWER = 1.3;
const BOARD = '/saltmarsh/practices/2027-04-06';

/** Moments of every kind, at seeded times. */
function momentsOf(count: number, random: () => number): Moment[] {
	const kinds: [Moment['at'], number][] = [
		['work', 3000],
		['import', 6000],
		['migration', 2500],
		['clean stop', 300],
		['first start', 1000],
		['making', 9000],
		['work', 6000]
	];
	return Array.from({ length: count }, (_, k) => {
		const [at, most] = kinds[k % kinds.length];
		return { at, milliseconds: Math.round(random() * most) };
	});
}

async function cuts(template: string, folder: string): Promise<void> {
	if (!canMount(folder)) {
		console.log('power cuts: skipped, this machine mounts no disk in a file');
		return;
	}
	let acknowledged = 0;
	const lost: string[] = [];
	for (const [k, moment] of momentsOf(CUTS, randomLcg(20)).entries()) {
		const outcome = await cutPower(folder, { moment, template, run: `cut${k}` });
		acknowledged += outcome.acknowledged;
		lost.push(...outcome.lost.map((what) => `${moment.at}: ${what}`));
	}
	console.log(
		`${CUTS} power cuts amid work, imports, migrations, first starts and clean stops, ${acknowledged} things acknowledged: ${lost.length === 0 ? 'all opened, nothing lost' : lost.join('; ')}, ${verdict(lost.length === 0)}`
	);
}

async function kills(template: string, folder: string): Promise<void> {
	const data = join(folder, 'kills');
	cpSync(template, data, { recursive: true });
	const { acknowledged, lost } = await killInStorm(data, { kills: KILLS, seed: 30 });
	console.log(
		`${KILLS} kills amid edits, drills, attendance and imports, ${acknowledged} things acknowledged: ${lost.length === 0 ? 'nothing lost' : lost.join('; ')}, ${verdict(lost.length === 0)}`
	);
	rmSync(data, { recursive: true, force: true });
}

const megabytes = (folder: string): number =>
	readdirSync(folder, { recursive: true, withFileTypes: true })
		.filter((entry) => entry.isFile())
		.reduce((sum, entry) => sum + statSync(join(entry.parentPath, entry.name)).size, 0) / 1e6;

async function growth(template: string, folder: string): Promise<void> {
	const data = join(folder, 'growth');
	cpSync(template, data, { recursive: true });
	let server = await startServer(data);
	const { url, port } = server;
	const before = megabytes(data);
	const seen = nothingYet();
	const taken: number[] = [];
	let revision = ((await (await fetch(`${url}${BOARD}/edits`)).json()) as { revision: number })
		.revision;
	for (let k = 0; k < EDITS; k += 1) {
		const id = `grow-${k}`;
		const edit = { type: 'set-practice', set: { minutes: 60 + (k % 60) } };
		const start = performance.now();
		const answer = await fetch(`${url}${BOARD}/edits`, {
			method: 'POST',
			headers: { 'content-type': 'application/json', origin: url },
			body: JSON.stringify({ revision, edits: [{ id, edit }] })
		});
		({ revision } = (await answer.json()) as { revision: number });
		taken.push(performance.now() - start);
		seen.edits.push(id);
	}
	const grown = megabytes(data) - before;
	console.log(
		`${EDITS} edits grow the folder by ${grown.toFixed(0)} MB; bound ${MOST_GROWTH_MB} MB, ${verdict(grown <= MOST_GROWTH_MB)}`
	);
	// The first hundred warm the process up.
	const [first, last] = [median(taken.slice(100, 600)), median(taken.slice(-500))];
	console.log(
		`an edit: ${first.toFixed(1)} ms at first, ${last.toFixed(1)} ms after ${EDITS}; bound ${MOST_SLOWER} times, ${verdict(last <= first * MOST_SLOWER)}`
	);
	await server.stop('SIGKILL');
	const start = performance.now();
	server = await startServer(data, port);
	const milliseconds = performance.now() - start;
	const lost = await lostFrom(server.url, seen);
	console.log(
		`start after a kill with ${EDITS} edits: ${milliseconds.toFixed(0)} ms (${calm(milliseconds).toFixed(0)} calm); bound ${MOST_START_MILLISECONDS} ms, ${verdict(calm(milliseconds) <= MOST_START_MILLISECONDS)}; ${lost.length} edits lost, ${verdict(lost.length === 0)}`
	);
	await server.stop();
	rmSync(data, { recursive: true, force: true });
}

async function main(): Promise<void> {
	const folder = mkdtempSync(join(tmpdir(), 'fieldplan-storage-'));
	try {
		const template = join(folder, 'template');
		const server = await startServer(template);
		await server.stop();
		await growth(template, folder);
		await kills(template, folder);
		await cuts(template, folder);
	} finally {
		rmSync(folder, { recursive: true, force: true });
	}
}

await main();
