// What one change on the board takes until all of it is drawn, for practices of four sizes.
import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type Browser, type Page } from '@playwright/test';
import { startServer } from '../../e2e/server';
import { largePractice } from '../../tests/support/largePractice';
import { largeFile } from './largeFile';
import { report } from './report';

const CHANGES = 40;
/** Practices beside the demo's, with the milliseconds that a change may take. */
const SIZES = [
	{ name: '46 players in five lanes', players: 46, lanes: 5, minutes: 115, bound: 33 },
	{ name: 'twelve pairs', players: 24, lanes: 12, minutes: 90, bound: 50 },
	{ name: '21 threes', players: 63, lanes: 21, minutes: 90, bound: 100 }
];

/** Milliseconds from a key that changes the first period's minutes until everything is drawn and laid out anew. */
async function changes(page: Page): Promise<number[]> {
	await page.keyboard.press('j');
	return page.evaluate(async (times) => {
		const taken: number[] = [];
		for (let k = 0; k < times; k += 1) {
			const start = performance.now();
			const key = k % 2 === 0 ? ']' : '[';
			window.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }));
			// Everything is drawn in a microtask after the change; reading a size lays the page out.
			await Promise.resolve();
			await new Promise((resolve) => queueMicrotask(() => resolve(null)));
			document.body.getBoundingClientRect();
			taken.push(performance.now() - start);
			// Long enough for the fixes of the last change, which a worker looks for, to be out of the way.
			await new Promise((resolve) => setTimeout(resolve, 150));
		}
		return taken.slice(4);
	}, CHANGES);
}

async function measure(
	browser: Browser,
	{ name, bound, data, board }: { name: string; bound: number; data: string; board: string }
): Promise<void> {
	const server = await startServer(data);
	const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
	await page.goto(`${server.url}${board}`);
	await page.locator('html[data-ready]').waitFor({ state: 'attached' });
	report({
		name: `one change on the board until all of it is drawn, ${name}`,
		milliseconds: await changes(page),
		bound,
		of: 'median'
	});
	await page.close();
	await server.stop();
}

const folder = mkdtempSync(join(tmpdir(), 'fieldplan-bench-boards-'));
try {
	const browser = await chromium.launch({
		executablePath: process.env.CHROMIUM || '/usr/bin/chromium',
		args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking']
	});
	const demo = join(folder, 'demo');
	await measure(browser, {
		name: 'the demo practice',
		bound: 16.7,
		data: demo,
		board: '/saltmarsh/practices/2027-04-06'
	});
	const server = await startServer(demo);
	const exported = new Uint8Array(await (await fetch(`${server.url}/data/export`)).arrayBuffer());
	await server.stop();
	for (const { name, bound, ...size } of SIZES) {
		const file = join(folder, 'large.zip');
		const data = join(folder, String(size.lanes));
		writeFileSync(file, largeFile(exported, largePractice(size)));
		const imported = spawnSync('npm', ['run', '-s', 'fieldplan', '--', 'import', file], {
			encoding: 'utf8',
			env: { ...process.env, FIELDPLAN_DATA: data }
		});
		if (imported.status !== 0) throw new Error(imported.stdout + imported.stderr);
		await measure(browser, { name, bound, data, board: '/saltmarsh/practices/large' });
	}
	await browser.close();
} finally {
	rmSync(folder, { recursive: true, force: true });
}
