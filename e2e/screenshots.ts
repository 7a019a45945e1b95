import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type Page } from '@playwright/test';
import { startServer } from './server';

const BOARD = '/saltmarsh/practices/2027-04-06';

interface Shot {
	file: string;
	path: string;
	width: number;
	height: number;
	/** Brings the page into the state that is to be seen. */
	reach?: (page: Page) => Promise<void>;
}

const atMinute = (minute: number) => (page: Page) =>
	page.getByRole('slider', { name: 'Now-line' }).fill(String(minute * 60));

/** Selects a block and opens a dialog of its period. */
async function openFor(page: Page, block: string, button: string): Promise<void> {
	await page.locator('.block').filter({ hasText: block }).first().click();
	await page.getByRole('button', { name: button, exact: true }).click();
	await page.getByRole('dialog').waitFor();
	await page.waitForTimeout(400);
}

/** One current picture of each main view. */
const SHOTS: readonly Shot[] = [
	{ file: 'board', path: BOARD, width: 1280, height: 800, reach: atMinute(39) },
	{ file: 'board-phone', path: BOARD, width: 390, height: 844 },
	{
		file: 'stations',
		path: BOARD,
		width: 1280,
		height: 800,
		reach: async (page) => {
			await page.locator('.block').filter({ hasText: 'Channel duel' }).click();
			await page.keyboard.press('s');
			await page.getByRole('dialog').waitFor();
			await page.waitForTimeout(400);
		}
	},
	{
		file: 'groups',
		path: BOARD,
		width: 1280,
		height: 800,
		reach: async (page) => {
			await openFor(page, 'Channel duel', 'Groups');
			await page.getByRole('button', { name: 'Make groups' }).click();
			await page.getByText('Largest less smallest').waitFor();
		}
	},
	{
		file: 'cards',
		path: `${BOARD}/paper`,
		width: 900,
		height: 1100,
		reach: async (page) => {
			await page.locator('#hand-out').selectOption('stations');
			await page.waitForTimeout(400);
		}
	},
	{
		file: 'draft',
		path: '/saltmarsh/practices/2027-04-27',
		width: 1280,
		height: 800,
		reach: async (page) => {
			await page.getByRole('button', { name: 'Draft', exact: true }).click();
			await page.locator('.drafts[aria-busy="false"] article').nth(2).waitFor();
		}
	},
	{
		file: 'season',
		path: '/saltmarsh/season',
		width: 1280,
		height: 800,
		reach: (page) => page.getByText('Who lacks what the others had').waitFor()
	},
	{
		file: 'calendar',
		path: '/saltmarsh/calendar',
		width: 1280,
		height: 800,
		reach: (page) => page.getByRole('button', { name: /, Thursday 8 April, / }).click()
	},
	{ file: 'targets', path: '/saltmarsh/targets', width: 1280, height: 800 },
	{ file: 'ladders', path: '/saltmarsh/ladders', width: 1280, height: 800 },
	{ file: 'shelf', path: '/saltmarsh/drills', width: 1280, height: 800 },
	{ file: 'drill', path: '/saltmarsh/drills/channel-duel', width: 1280, height: 800 },
	{
		file: 'plan',
		path: '/saltmarsh/plan',
		width: 1280,
		height: 800,
		reach: async (page) => {
			await page.getByRole('button', { name: 'Plan the season' }).click();
			await page.getByRole('button', { name: 'Use this plan' }).waitFor({ timeout: 60_000 });
		}
	},
	{
		file: 'scene',
		path: '/saltmarsh/scenes/late-runner?list=fixes',
		width: 1280,
		height: 800,
		reach: async (page) => {
			await page
				.getByRole('group', { name: 'Spots on a grid of metres' })
				.evaluate((map) => map.scrollIntoView({ block: 'center' }));
		}
	},
	{
		file: 'fix-block',
		path: '/saltmarsh/fixes',
		width: 1280,
		height: 800,
		reach: async (page) => {
			const card = page.getByRole('article', { name: 'Nobody went with the late runner' });
			await card.getByLabel('In').selectOption('2027-04-13');
			await card.getByRole('button', { name: 'Set it up' }).click();
			await page.waitForURL(/practices\/2027-04-13$/);
			await page.locator('.block', { hasText: 'Nobody went' }).first().click();
			await atMinute(52)(page);
		}
	},
	{ file: 'practices', path: '/saltmarsh/practices', width: 1280, height: 800 },
	{ file: 'squad', path: '/saltmarsh/squad', width: 1280, height: 800 },
	{
		file: 'ground',
		path: '/saltmarsh/ground',
		width: 1280,
		height: 800,
		reach: async (page) => {
			await page.getByLabel('Copies of a drill').selectOption({ label: 'Channel duel' });
			await page.getByRole('button', { name: /^Zone D,/ }).click();
		}
	},
	{ file: 'sheet', path: `${BOARD}/paper`, width: 900, height: 1100 }
];

const directory = mkdtempSync(join(tmpdir(), 'fieldplan-pictures-'));
const server = await startServer(directory);
const browser = await chromium.launch({
	executablePath: process.env.CHROMIUM || '/usr/bin/chromium',
	args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking']
});
try {
	for (const { file, path, width, height, reach } of SHOTS) {
		const page = await browser.newPage({ viewport: { width, height }, reducedMotion: 'reduce' });
		await page.goto(`${server.url}${path}`);
		await page.locator('html[data-ready]').waitFor({ state: 'attached' });
		// Fixes are looked for beside the page: the last finding has its own when all are there.
		if (path === BOARD) await page.getByText(/ watches .* too/).waitFor();
		await reach?.(page);
		await page.screenshot({ path: `docs/screenshots/${file}.png` });
		await page.close();
		console.log(`docs/screenshots/${file}.png`);
	}
} finally {
	await browser.close();
	await server.stop();
	rmSync(directory, { recursive: true, force: true });
}
