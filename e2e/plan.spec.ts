import type { Page } from '@playwright/test';
import { expect, figure, open, test } from './fixtures';

/** Plans, and ends the search as soon as there is something. */
async function plan(page: Page) {
	await page.getByRole('button', { name: /^Plan the/ }).click();
	await page.getByRole('button', { name: 'Stop here' }).click();
	await expect(page.getByRole('button', { name: 'Use this plan' })).toBeVisible();
}

/** A number of the figures on top: the last one where two are shown. */
const shown = async (page: Page, name: string) =>
	Number(
		/(\d+)\D*$/.exec(
			(await page.locator('dl div', { hasText: name }).locator('dd').innerText()).replace(
				/of \d+$/,
				''
			)
		)?.[1]
	);

test('a season is planned, stored, changed and planned again, and its practices are drafted', async ({
	page,
	server
}) => {
	test.setTimeout(240_000);
	await open(page, `${server.url}/saltmarsh/plan`);
	const list = page.locator('.briefs');
	await expect(list.getByText('nothing planned').first()).toBeVisible();
	const before = await shown(page, 'weighted minutes under target');
	await plan(page);
	expect(await shown(page, 'weighted minutes under target')).toBeLessThan(before / 2);
	await expect(list.getByText('nothing planned')).toHaveCount(0);
	// What is locked is stored as such.
	const first = list.getByRole('checkbox', { name: /^Lock .+ on Tuesday 27 April$/ }).first();
	await first.check({ force: true });
	const kept = await first.getAttribute('id');
	expect(kept).not.toBeNull();
	await page.getByRole('button', { name: 'Use this plan' }).click();
	await expect(page.getByRole('button', { name: 'Use this plan' })).toHaveCount(0);
	await open(page);
	await expect(first).toBeChecked();
	const briefs = await list.locator('.name').allInnerTexts();

	// One practice is cancelled and a game is added.
	await open(page, `${server.url}/saltmarsh/calendar`);
	await page.getByRole('button', { name: /, Tuesday 4 May, / }).click();
	await page.getByLabel('Reason').fill('Pitch frozen');
	await page.getByRole('button', { name: 'Cancel practice' }).click();
	await expect(page.getByText('Cancelled: Pitch frozen')).toBeVisible();
	await open(page, `${server.url}/saltmarsh/calendar/games`);
	const lines = ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:-//League//EN', 'BEGIN:VEVENT'];
	const event = ['UID:g1', 'SUMMARY:Saltmarsh v Fennel Spit', 'DTSTART:20270519T183000Z'];
	await page.getByLabel('Calendar file').setInputFiles({
		...{ name: 'games.ics', mimeType: 'text/calendar' },
		buffer: Buffer.from([...lines, ...event, 'END:VEVENT', 'END:VCALENDAR'].join('\r\n'))
	});
	await page.getByRole('button', { name: 'Look at the file' }).click();
	await page.getByRole('button', { name: 'Import 1 game' }).click();
	await expect(page.getByText('1 game was imported.')).toBeVisible();
	// A ladder is stepped down.
	await open(page, `${server.url}/saltmarsh/ladders?practice=2027-04-01`);
	await page.getByLabel(/^Clean of Shrinking harbour$/).fill('1');
	await page.getByLabel(/^Tries of Shrinking harbour$/).fill('12');
	await page.getByRole('button', { name: 'Save tries' }).click();
	await expect(page.getByText(/1 of 12: step down/).first()).toBeVisible();

	await open(page, `${server.url}/saltmarsh/plan`);
	await expect(list.getByText('Tuesday 4 May')).toHaveCount(0);
	await plan(page);
	await expect(first).toBeChecked();
	const after = await list.locator('.name').allInnerTexts();
	const stayed = briefs.filter((name) => after.includes(name)).length;
	expect(stayed / briefs.length).toBeGreaterThan(0.6);
	await page.getByRole('button', { name: 'Use this plan' }).click();
	await expect(page.getByRole('button', { name: 'Use this plan' })).toHaveCount(0);

	// All at once, stopped on the way: what is done stays.
	await page.getByRole('button', { name: /^Draft \d+ practices from this plan$/ }).click();
	await expect(page.getByText(/^Drafting 2 of \d+$/)).toBeVisible({ timeout: 60_000 });
	await page.getByRole('button', { name: 'Stop', exact: true }).click();
	await expect(page.getByText(/^[1-9] practices? (is|are) drafted\.$/)).toBeVisible({
		timeout: 60_000
	});
	await open(page, `${server.url}/saltmarsh/practices/2027-04-27`);
	expect(await figure(page, 'minutes planned')).toMatch(/^90 of 90$/);
	expect(await figure(page, 'to fix')).toMatch(/^0 /);
});
