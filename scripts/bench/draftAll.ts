// A whole season in one go: the next one is rolled on, planned, and all its practices are drafted in the browser.
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { sum } from 'd3-array';
import { startServer } from '../../e2e/server';
import { faultsIn } from '../../src/core/checks';
import type { Surroundings } from '../../src/core/model/bundle';
import type { Practice } from '../../src/core/model/practice';
import { evaluate } from '../../src/core/playing';
import { toContext } from '../../src/core/practice';
import { judge, verdict } from './report';

const PRACTICES = 27;
const SECONDS = 60;

const folder = mkdtempSync(join(tmpdir(), 'fieldplan-bench-draft-all-'));
try {
	process.env.FIELDPLAN_TODAY = '2027-06-07';
	const server = await startServer(folder);
	const browser = await chromium.launch({
		executablePath: process.env.CHROMIUM || '/usr/bin/chromium',
		args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking']
	});
	const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
	page.setDefaultTimeout(300_000);
	const open = async (path: string) => {
		await page.goto(`${server.url}/saltmarsh/${path}`);
		await page.locator('html[data-ready]').waitFor({ state: 'attached' });
	};
	await open('dates?season=spring-2027');
	await page.getByText('Roll on to the next season').click();
	await page.locator('#new-name').fill('Summer 2027');
	await page.locator('#new-weeks').fill('14');
	await page.getByRole('button', { name: 'Create season' }).click();
	await page.waitForURL(/season=(?!spring)/);
	await page.getByRole('button', { name: /^Make \d+ practices/ }).click();
	await page.waitForURL(/calendar/);
	await open('plan');
	await page.getByRole('button', { name: /^Plan the/ }).click();
	await page.getByRole('button', { name: 'Use this plan' }).click();
	const all = page.getByRole('button', { name: /^Draft \d+ practices from this plan$/ });
	const count = Number(/\d+/.exec(await all.innerText()));
	const links = page.locator('.briefs a[href*="/practices/"]');
	const ids = await links.evaluateAll((found) => [
		...new Set(found.map((link) => link.getAttribute('href')?.split('/').at(-1) ?? ''))
	]);
	const start = performance.now();
	await all.click();
	const told = page.getByText(/practices? (is|are) drafted\.$/);
	await told.waitFor();
	const taken = (performance.now() - start) / 1000;
	const done = Number(/\d+/.exec(await told.innerText()));
	judge(
		`${count} practices drafted in one go, for ${PRACTICES}`,
		(taken / count) * PRACTICES,
		SECONDS,
		's'
	);
	console.log(`  drafted: ${done} of ${count}, ${verdict(done === count)}`);
	const faults: ReturnType<typeof faultsIn>[] = [];
	for (const id of ids) {
		const { stored, surroundings }: { stored: { practice: Practice }; surroundings: Surroundings } =
			await (await fetch(`${server.url}/saltmarsh/plan/${id}`)).json();
		faults.push(faultsIn(evaluate(stored.practice, toContext(surroundings))));
	}
	const per = (severity: string) =>
		sum(faults, (own) => own.filter((each) => each.severity === severity).length) / ids.length;
	judge('  stops of one, mean', per('stop'), 0, '', false);
	judge('  warnings of one, mean', per('warn'), 1, '', false);
	await browser.close();
	await server.stop();
} finally {
	rmSync(folder, { recursive: true, force: true });
}
