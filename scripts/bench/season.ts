// What a long season costs: its pages on the server, and a change of what is looked at in the browser.
import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type Page } from '@playwright/test';
import { startServer, type Server } from '../../e2e/server';
import { clubFile } from './clubFile';
import { judge, median, report } from './report';

const PRACTICES = 120;
const PLAYERS = 60;
const ROUNDS = 15;
const WARM = 3;
const CHANGES = 40;

/** Waits until nothing of a season is being worked out any more. */
async function settled(server: Server): Promise<void> {
	for (let last = ''; ;) {
		const now = await (await fetch(`${server.url}/saltmarsh/season/__data.json`)).text();
		if (now === last) return;
		last = now;
		await new Promise((resolve) => setTimeout(resolve, 1500));
	}
}

async function opened(url: string): Promise<number[]> {
	const milliseconds: number[] = [];
	for (let round = 0; round < ROUNDS + WARM; round += 1) {
		const start = performance.now();
		const answer = await fetch(url);
		await answer.arrayBuffer();
		if (!answer.ok) throw new Error(`${url}: ${answer.status}`);
		if (round >= WARM) milliseconds.push(performance.now() - start);
	}
	return milliseconds;
}

/** Milliseconds from another choice of whose season it is until everything is drawn and laid out anew. */
const changes = (page: Page): Promise<number[]> =>
	page.evaluate(async (times) => {
		const select = document.querySelector<HTMLSelectElement>('#whose');
		if (!select) throw new Error('no choice');
		const units = [...select.options]
			.map(({ value }) => value)
			.filter((each) => /^unit|^$/.test(each));
		const taken: number[] = [];
		for (let k = 0; k < times; k += 1) {
			const start = performance.now();
			select.value = units[k % units.length];
			select.dispatchEvent(new Event('change', { bubbles: true }));
			await Promise.resolve();
			await new Promise((resolve) => queueMicrotask(() => resolve(null)));
			document.body.getBoundingClientRect();
			taken.push(performance.now() - start);
			await new Promise((resolve) => setTimeout(resolve, 50));
		}
		return taken.slice(4);
	}, CHANGES);

const folder = mkdtempSync(join(tmpdir(), 'fieldplan-bench-season-'));
try {
	const demo = await startServer(join(folder, 'demo'));
	const exported = new Uint8Array(await (await fetch(`${demo.url}/data/export`)).arrayBuffer());
	await demo.stop();
	const file = join(folder, 'season.zip');
	const data = join(folder, 'season');
	const club = { practices: PRACTICES, drills: 100, players: PLAYERS };
	writeFileSync(file, clubFile(exported, club));
	const run = (command: string, ...args: string[]) => {
		const ended = spawnSync(command, args, {
			encoding: 'utf8',
			env: { ...process.env, FIELDPLAN_DATA: data }
		});
		if (ended.status !== 0) throw new Error(ended.stdout + ended.stderr);
		return ended.stdout.trim();
	};
	run('npm', 'run', '-s', 'fieldplan', '--', 'import', file);
	const tsx = ['tsx', '--tsconfig', 'src/cli/tsconfig.json'];
	console.log(run('npx', ...tsx, 'scripts/bench/wholeSquad.ts', data));
	const server = await startServer(data);
	await settled(server);
	const name = `${PRACTICES} practices, ${PLAYERS} players`;
	for (const [page, path] of [
		['season', 'season'],
		['season of one player', 'season?player=p01'],
		['calendar', 'calendar'],
		['targets', 'targets'],
		['ladders', 'ladders']
	])
		judge(`${name}: ${page}`, median(await opened(`${server.url}/saltmarsh/${path}`)), 300, 'ms');
	const browser = await chromium.launch({
		executablePath: process.env.CHROMIUM || '/usr/bin/chromium',
		args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking']
	});
	const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
	await page.goto(`${server.url}/saltmarsh/season`);
	await page.locator('html[data-ready]').waitFor({ state: 'attached' });
	report({
		name: `${name}: another unit is looked at, until all of it is drawn`,
		milliseconds: await changes(page),
		bound: 100,
		of: 'median'
	});
	await browser.close();
	await server.stop();
} finally {
	rmSync(folder, { recursive: true, force: true });
}
