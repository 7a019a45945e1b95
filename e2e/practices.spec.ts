import { expect, figure, open, saved, test, TUESDAY } from './fixtures';

test('a practice is copied to another date, and one is archived', async ({ page, server }) => {
	await open(page, `${server.url}/saltmarsh/practices`);
	await page.getByRole('link', { name: 'Copy Tuesday 6 April' }).click();
	await expect(page.getByRole('heading', { name: 'Tuesday 6 April again' })).toBeVisible();
	await page.getByLabel('Date').fill('2027-06-15');
	await page.getByRole('button', { name: 'Create practice' }).click();
	await expect(page.getByRole('heading', { name: 'Tuesday 15 June' })).toBeVisible();
	expect(await figure(page, 'minutes planned')).toBe('90 of 90');
	expect(await figure(page, 'players here')).toBe('22 of 24');

	await page.getByRole('link', { name: 'Practices' }).first().click();
	await expect(page.getByRole('link', { name: 'Tuesday 15 June', exact: true })).toBeVisible();
	await page.getByRole('button', { name: 'Archive Tuesday 2 March' }).click();
	await expect(page.getByRole('link', { name: 'Tuesday 2 March', exact: true })).toBeHidden();
	await page.getByRole('button', { name: 'Show 1 archived' }).click();
	await page.getByRole('button', { name: 'Restore Tuesday 2 March' }).click();
	await expect(page.getByRole('button', { name: /archived$/ })).toBeHidden();
	await expect(page.getByRole('link', { name: 'Tuesday 2 March', exact: true })).toBeVisible();
});

test('a period is taken over from another practice', async ({ page, server }) => {
	await open(page, `${server.url}${TUESDAY}`);
	await page.getByRole('button', { name: '+ Borrow' }).click();
	const dialog = page.getByRole('dialog');
	await dialog.getByLabel('Practice', { exact: true }).selectOption({ label: 'Thursday 25 March' });
	await dialog.getByRole('button', { name: 'Outlet ladder' }).click();
	await expect(dialog).toBeHidden();
	expect(await figure(page, 'minutes planned')).toBe('104 of 90');
	await expect(page.getByRole('button', { name: 'Outlet ladder, 14 minutes' })).toHaveCount(1);
	await page.keyboard.press('u');
	expect(await figure(page, 'minutes planned')).toBe('90 of 90');
});

test('a practice is kept as a template, and a new one starts with it', async ({ page, server }) => {
	await open(page, `${server.url}/saltmarsh/practices`);
	await page.getByRole('link', { name: 'Save Tuesday 6 April as a template' }).click();
	await page.getByLabel('Called').fill('Stations and a game');
	await page.getByRole('button', { name: 'Save as a template' }).click();
	await expect(page.getByRole('listitem')).toContainText('Stations and a game');
	await page.getByLabel('Called').fill('Stations and a game');
	await page.getByRole('button', { name: 'Save as a template' }).click();
	await expect(page.getByText('is already the name of another template')).toBeVisible();

	await page.getByRole('link', { name: 'Practices' }).first().click();
	await page.getByRole('link', { name: 'New practice' }).click();
	await page.getByRole('link', { name: 'Stations and a game' }).click();
	await expect(page.getByRole('heading', { name: 'Stations and a game' })).toBeVisible();
	await page.getByLabel('Date').fill('2027-04-15');
	await page.getByRole('button', { name: 'Create practice' }).click();
	await expect(page.getByRole('heading', { name: 'Thursday 15 April' })).toBeVisible();
	expect(await figure(page, 'minutes planned')).toBe('90 of 90');

	await open(page, `${server.url}/saltmarsh/practices/templates`);
	await page.getByRole('button', { name: 'Remove Stations and a game' }).click();
	await expect(page.getByText('No templates yet.')).toBeVisible();
});

test('two browsers on one practice keep both changes, and ask where both changed the same', async ({
	page,
	server,
	browser
}) => {
	const other = await (await browser.newContext()).newPage();
	for (const each of [page, other]) await open(each, `${server.url}${TUESDAY}`);
	const squares = page.locator('.block').filter({ hasText: 'Two-touch squares' }).first();
	await other.locator('.block').filter({ hasText: 'Two-touch squares' }).first().click();
	await other.getByLabel('Minutes [ ]').fill('8');
	await other.keyboard.press('Tab');
	await saved(other);

	await page.getByRole('button', { name: '+ Water' }).click();
	await expect(page.getByText('Both changes are kept')).toBeVisible();
	await saved(page);
	expect(await figure(page, 'minutes planned')).toBe('90 of 90');

	await squares.click();
	await page.keyboard.press('}');
	await saved(page);
	await other.keyboard.press('[');
	const asked = other.getByRole('region', { name: 'Two changes of the same thing' });
	await expect(asked).toContainText('You: Give Two-touch squares 7 minutes');
	await expect(asked).toContainText('They: Give Two-touch squares 13 minutes');
	await asked.getByRole('button', { name: 'Take theirs' }).click();
	await expect(asked).toBeHidden();
	await saved(other);
	await open(page);
	expect(await figure(page, 'minutes planned')).toBe('95 of 90');
	await other.context().close();
});
