import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type Page } from '@playwright/test';
import { freePort, startServer } from '../../e2e/server';
import { killWhileEditing } from '../../e2e/killing';
import { report } from './report';

const BOARD = '/saltmarsh/practices/2027-04-06';
const COLD_STARTS = 5;
const KILLS = 50;
const DRAG_MOVES = 100;

/** Milliseconds from the start command to the first answer of the board's page, on data that is there. */
async function coldStart(directory: string): Promise<number> {
	const port = await freePort();
	const start = performance.now();
	const child = spawn(process.execPath, ['scripts/start.mjs'], {
		env: { ...process.env, FIELDPLAN_DATA: directory, PORT: String(port) },
		stdio: 'ignore'
	});
	for (;;) {
		const answer = await fetch(`http://localhost:${port}${BOARD}`).catch(() => null);
		if (answer?.ok) break;
		await new Promise((resolve) => setTimeout(resolve, 10));
	}
	const milliseconds = performance.now() - start;
	child.kill('SIGTERM');
	await new Promise((resolve) => child.once('exit', resolve));
	return milliseconds;
}

/** Milliseconds between frames while a block is dragged over the tape. */
async function dragFrames(page: Page): Promise<number[]> {
	const box = await page.locator('.block').filter({ hasText: 'Channel duel' }).boundingBox();
	if (!box) throw new Error('nothing to drag');
	// As text: a function would be sent with helpers of the compiler that the page does not have.
	await page.evaluate(`{
		window.frames = [];
		let last = performance.now();
		requestAnimationFrame(function tick(now) {
			window.frames.push(now - last);
			last = now;
			requestAnimationFrame(tick);
		});
	}`);
	await page.mouse.move(box.x + 40, box.y + 80);
	await page.mouse.down();
	for (let k = 0; k < DRAG_MOVES; k += 1)
		await page.mouse.move(box.x + 40 + k * 5, box.y + 80 + 60 * Math.sin(k / 6));
	await page.keyboard.press('Escape');
	await page.mouse.up();
	return page.evaluate(() => (window as unknown as { frames: number[] }).frames.slice(2));
}

const directory = mkdtempSync(join(tmpdir(), 'fieldplan-bench-'));
try {
	const server = await startServer(directory);
	const browser = await chromium.launch({
		executablePath: process.env.CHROMIUM || '/usr/bin/chromium',
		args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking']
	});
	const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
	await page.goto(`${server.url}${BOARD}`);
	await page.locator('html[data-ready]').waitFor({ state: 'attached' });
	report({
		name: 'frames while a block is dragged over the tape (demo)',
		milliseconds: await dragFrames(page),
		bound: 20,
		of: '95th'
	});
	await browser.close();
	await server.stop();
	const starts: number[] = [];
	for (let k = 0; k < COLD_STARTS; k += 1) starts.push(await coldStart(directory));
	report({
		name: 'cold start on existing data until the board answers',
		milliseconds: starts,
		bound: 3000,
		of: 'median'
	});
	const killed = await killWhileEditing(directory, { kills: KILLS, seed: 50 });
	const verdict = killed.isWhole ? 'every edit is there once, MET' : 'the practice differs, MISSED';
	console.log(
		`${killed.kills} kills during ${killed.edits} edits, ${killed.inFlight} on their way: ${verdict}`
	);
} finally {
	rmSync(directory, { recursive: true, force: true });
}
