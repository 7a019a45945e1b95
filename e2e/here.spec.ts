import type { Page } from '@playwright/test';
import { expect, figure, open, saved, test } from './fixtures';

const PRACTICE = '/saltmarsh/practices/2027-04-13';
const tick = (page: Page, name: string) => page.locator('label', { hasText: name }).click();

test('a practice is arranged for who is here in one step, and its cards name nobody else', async ({
	page,
	server
}) => {
	await open(page, `${server.url}${PRACTICE}`);
	expect(await figure(page, 'players here')).toBe('23 of 24');
	await page.getByRole('button', { name: 'players here' }).click();
	const changes = page.getByRole('region', { name: 'What changes' });
	await expect(changes).toContainText('Nothing changes.');
	for (const name of ['Thandi Morwick', 'Keziah Stainmoor', 'Solveig Tarn', 'Dervla Ackerby'])
		await tick(page, name);
	await tick(page, 'Palle Greyson');
	await page.getByLabel('Minutes that it starts late').fill('15');
	await expect(changes).toContainText('Starts at 18:45');
	await expect(
		changes.getByRole('listitem').filter({ hasText: 'Four stations' }).first()
	).toContainText(/→ \d stations|changes? groups/);
	await page.getByLabel('Comes late').selectOption({ label: 'Elke Sandiford' });
	await page.getByLabel('Minutes late', { exact: true }).fill('20');
	await page.getByRole('button', { name: 'Add', exact: true }).click();
	await expect(page.getByText('Elke Sandiford: 20 min late')).toBeVisible();
	await page.getByRole('button', { name: 'Arrange for 19 players and 4 adults' }).click();
	expect(await figure(page, 'players here')).toBe('19 of 24');
	expect(await figure(page, 'minutes planned')).toBe('75 of 75');
	await saved(page);

	await open(page, `${server.url}${PRACTICE}/paper`);
	for (const kind of ['stations', 'groups', 'adults']) {
		await page.locator('#hand-out').selectOption(kind);
		const text = await page.locator('article').innerText();
		expect(text).not.toMatch(/Thandi|Keziah|Solveig|Dervla|Palle/);
	}

	await open(page, `${server.url}${PRACTICE}`);
	await page.getByRole('button', { name: 'players here' }).click();
	await tick(page, 'Thandi Morwick');
	await page.getByRole('button', { name: 'Arrange for 20 players and 4 adults' }).click();
	expect(await figure(page, 'players here')).toBe('20 of 24');
	await saved(page);
	await page.keyboard.press('Control+z');
	expect(await figure(page, 'players here')).toBe('19 of 24');
});

test('what an absence stops is one finding, and its fix shows what changes first', async ({
	page,
	server
}) => {
	await open(page, `${server.url}${PRACTICE}`);
	await page.getByRole('button', { name: 'players here' }).click();
	for (const name of ['Thandi Morwick', 'Keziah Stainmoor', 'Solveig Tarn', 'Dervla Ackerby'])
		await tick(page, name);
	await tick(page, 'Rukmini Salcote');
	await tick(page, 'Leave groups and stations as they are');
	await page.getByRole('button', { name: 'Plan with 18 players and 5 adults' }).click();
	const findings = page.getByRole('region', { name: 'To fix' });
	const absence = findings
		.getByRole('listitem')
		.filter({ hasText: 'who have a place here do not come' });
	await expect(absence).toHaveCount(1);
	await absence.getByRole('button', { name: 'Arrange for who is here' }).click();
	await page.getByRole('button', { name: 'Arrange for 18 players and 5 adults' }).click();
	await expect(absence).toHaveCount(0);
});
