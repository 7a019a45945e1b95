import type { Page } from '@playwright/test';
import { expect, figure, open, test, TUESDAY } from './fixtures';

test('a new team starts from a sport kit and lands on an empty practice; the demo is removed', async ({
	page,
	server
}) => {
	await open(page, `${server.url}/teams`);
	await page.getByRole('link', { name: 'New team' }).click();
	await page.getByLabel('Name', { exact: true }).fill('Tern Point Juniors');
	await page.getByLabel('Sport').selectOption({ label: 'Team handball' });
	await page.getByLabel('Head coach').fill('Ines Marlow');
	await page.getByLabel('Oldest, years').fill('3');
	await page.getByLabel(/^Players, one per line/).fill('7 Ada Lind\n8 Bo Farrow\nCy Ötker');
	await page.getByLabel('Oldest, years').fill('11');
	await page.getByRole('button', { name: 'Create team' }).click();
	await expect(page.getByText('must be at least').first()).toBeVisible();
	await page.getByLabel('Oldest, years').fill('13');
	await page.getByRole('button', { name: 'Create team' }).click();
	await expect(page.getByText('This practice is empty. Put a warm-up')).toBeVisible();
	expect(await figure(page, 'players here')).toBe('3 of 3');
	await expect(page.getByRole('img', { name: /The ground with 3 players/ })).toBeVisible();

	await page.getByRole('link', { name: 'Teams' }).click();
	const remove = async (on: Page, team: string) => {
		await on.getByRole('button', { name: `Remove ${team}` }).click();
		await on.getByRole('button', { name: 'Remove the team and all of it' }).click();
	};
	// What another window has removed is said, not passed over.
	const other = await page.context().newPage();
	await open(other, `${server.url}/teams`);
	await remove(other, 'Harbour Minis');
	await expect(other.getByRole('link', { name: /Harbour/ })).toBeHidden();
	await remove(page, 'Harbour Minis');
	await expect(page.getByRole('alert')).toHaveText('There is no such team.');
	await page.getByRole('button', { name: 'Keep' }).click();
	await page.getByRole('button', { name: 'Remove Saltmarsh Hockey, under 16' }).click();
	await page.getByRole('button', { name: 'Remove the team and all of it' }).click();
	await expect(page.getByRole('link', { name: /Saltmarsh/ })).toBeHidden();
	await open(page, server.url);
	await expect(page.getByRole('heading', { name: 'Teams' })).toBeVisible();
	await expect(page.getByRole('link', { name: /Skerryside Seniors/ })).toBeVisible();
	expect((await page.request.get(`${server.url}/saltmarsh/practices`)).status()).toBe(404);
});

test('limits are set for a team, checked against, and taken back', async ({ page, server }) => {
	await open(page, `${server.url}/saltmarsh/limits`);
	await page.getByLabel('Between two drinks, min').fill('40');
	await page.getByRole('button', { name: 'Save the limits' }).click();
	await expect(page.getByText('Saved.', { exact: true })).toBeVisible();
	await expect(page.getByText('otherwise 20 min')).toBeVisible();
	await open(page, `${server.url}${TUESDAY}`);
	await expect(page.getByText('To fix: 7')).toBeVisible();
	await expect(page.getByText(/without water/)).toBeHidden();

	await open(page, `${server.url}/saltmarsh/limits`);
	await page.getByRole('spinbutton', { name: 'under' }).nth(1).fill('3');
	await page.getByRole('button', { name: 'Save the limits' }).click();
	await expect(page.getByText('each age must be higher than the one before')).toBeVisible();
	await page.getByRole('button', { name: 'Back to the defaults' }).click();
	await expect(page.getByText('Saved.', { exact: true })).toBeVisible();
	await open(page, `${server.url}${TUESDAY}`);
	await expect(page.getByText('To fix: 9')).toBeVisible();
});
