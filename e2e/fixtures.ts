import { cpSync, rmSync } from 'node:fs';
import { test as base, type Page } from '@playwright/test';
import { startServer, type Server } from './server';
import { scratchFolder } from '../tests/support/scratch';

export const TUESDAY = '/saltmarsh/practices/2027-04-06';

interface Fixtures {
	/** A server on a fresh copy of the demo. */
	server: Server;
	/** A page that fails the test where something leaves the machine or the console shows an error. */
	page: Page;
}

export const test = base.extend<Fixtures>({
	// eslint-disable-next-line no-empty-pattern -- Playwright reads the fixtures that are asked for from it
	server: async ({}, use) => {
		const directory = scratchFolder('fieldplan-e2e');
		cpSync(process.env.FIELDPLAN_TEMPLATE as string, directory, { recursive: true });
		const server = await startServer(directory);
		await use(server);
		await server.stop('SIGKILL');
		rmSync(directory, { recursive: true, force: true });
	},
	page: async ({ page }, use) => {
		const faults: string[] = [];
		page.on('request', (request) => {
			const { hostname, protocol } = new URL(request.url());
			if (protocol !== 'data:' && hostname !== 'localhost')
				faults.push(`left the machine: ${request.url()}`);
		});
		// A page that is left or loaded anew breaks off what it was still fetching: that is no fault of it.
		let brokenOff = 0;
		page.on('requestfailed', (request) => {
			if (request.failure()?.errorText === 'net::ERR_ABORTED') brokenOff += 1;
		});
		const broken: string[] = [];
		page.on('pageerror', (error) => faults.push(error.message));
		page.on('console', (message) => {
			const isExpected = /Failed to load resource/.test(message.text());
			if (message.type() !== 'error' || isExpected) return;
			const isBroken = /^TypeError: Failed to fetch/.test(message.text());
			(isBroken ? broken : faults).push(message.text());
		});
		await use(page);
		test.expect([...faults, ...broken.slice(brokenOff)]).toEqual([]);
	}
});

export const { expect } = test;

/** Opens a page, or loads the one that is open anew, and waits until it answers to keys and clicks. */
export async function open(page: Page, url?: string): Promise<void> {
	await (url === undefined ? page.reload() : page.goto(url));
	await page.locator('html[data-ready]').waitFor({ state: 'attached' });
}

/** Waits until everything on the board is stored. */
export async function saved(page: Page): Promise<void> {
	await expect(page.locator('[data-save="saved"]')).toBeVisible();
}

/** A number over the board, by the words under it. */
export async function figure(page: Page, under: string): Promise<string> {
	const group = page
		.getByRole('region', { name: 'Practice', exact: true })
		.locator('dl > div', { hasText: under });
	return (await group.locator('dd').innerText()).trim();
}
