import { spawnSync } from 'node:child_process';
import type { Page } from '@playwright/test';
import { expect, figure, open, saved, test, TUESDAY } from './fixtures';
import { startServer } from './server';

test('what is typed into a form is asked about before it is left, and back on the next visit', async ({
	page,
	server
}) => {
	await open(page, `${server.url}/saltmarsh/kit`);
	const thing = page.getByLabel('How many of ball', { exact: true });
	await thing.fill('41');
	await page.getByRole('link', { name: 'Drills', exact: true }).click();
	const dialog = page.getByRole('dialog', { name: /You have unsaved changes/ });
	await dialog.getByRole('button', { name: 'Stay' }).click();
	await expect(thing).toHaveValue('41');
	await page.getByRole('link', { name: 'Drills', exact: true }).click();
	await dialog.getByRole('button', { name: 'Leave' }).click();
	await expect(page).toHaveURL(/drills$/);
	await page.goBack();
	await expect(page.getByText('Your unsaved changes are back.')).toBeVisible();
	await expect(thing).toHaveValue('41');
	// A reload: the browser asks by itself.
	page.on('dialog', (each) => each.accept());
	await open(page);
	await expect(thing).toHaveValue('41');
	await page.getByRole('button', { name: 'Discard them' }).click();
	await expect(thing).toHaveValue('40');
	await open(page);
	await expect(thing).toHaveValue('40');
	await expect(page.getByText('Your unsaved changes are back.')).toBeHidden();
});

test('a form is kept by the back button, and a drill half written comes back', async ({
	page,
	server
}) => {
	await open(page, `${server.url}/saltmarsh/drills`);
	await page.getByRole('link', { name: 'New drill' }).click();
	const field = page.getByLabel('Name', { exact: true });
	await field.fill('Half written');
	await page.goBack();
	const dialog = page.getByRole('dialog', { name: /You have unsaved changes/ });
	await dialog.getByRole('button', { name: 'Leave' }).click();
	await expect(page).toHaveURL(/drills$/);
	await page.goForward();
	await expect(field).toHaveValue('Half written');
});

test('a save while the server is away stays on the page and is made once it is back', async ({
	page,
	server
}) => {
	await open(page, `${server.url}/saltmarsh/squad`);
	await page.getByLabel('Passing of Odile Brantwick').fill('5');
	await server.stop('SIGKILL');
	await page.getByRole('button', { name: 'Save the squad' }).click();
	await expect(page.getByRole('alert')).toContainText('Trying again by itself');
	const again = await startServer(server.directory, server.port);
	await expect(page.getByText('Saved.', { exact: true })).toBeVisible({ timeout: 20_000 });
	await open(page);
	await expect(page.getByLabel('Passing of Odile Brantwick')).toHaveValue('5');
	await again.stop();
});

test('two coaches who save the same are asked which holds', async ({ page, server, browser }) => {
	const other = await (await browser.newContext()).newPage();
	for (const each of [page, other]) await open(each, `${server.url}/saltmarsh/words`);
	const word = (at: Page) => at.getByLabel('squad', { exact: true });
	const save = (at: Page) => at.getByRole('button', { name: 'Save the words' }).click();
	await word(page).fill('crew');
	await save(page);
	await expect(page.getByText('Saved.', { exact: true })).toBeVisible();
	await word(other).fill('gang');
	await save(other);
	await expect(other.getByText('Somebody else has saved this in the meantime.')).toBeVisible();
	await other.getByRole('button', { name: 'Take theirs' }).click();
	await expect(word(other)).toHaveValue('crew');
	await word(other).fill('gang');
	await word(page).fill('bunch');
	await save(page);
	await expect(page.getByText('Saved.', { exact: true })).toBeVisible();
	await save(other);
	await other.getByRole('button', { name: 'Keep mine' }).click();
	await expect(other.getByText('Saved.', { exact: true })).toBeVisible();
	await open(page);
	await expect(word(page)).toHaveValue('gang');
});

test('a form that is sent without script is let in: another ground', async ({ page, server }) => {
	await open(page, `${server.url}/saltmarsh/ground`);
	const before = page.url();
	await page.getByRole('button', { name: 'Another ground' }).click();
	await expect(page).not.toHaveURL(before);
	await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
	await expect(page.getByRole('button', { name: 'Remove this ground' })).toBeVisible();
});

test('when and where a practice is can be changed on its board and taken back', async ({
	page,
	server
}) => {
	await open(page, `${server.url}${TUESDAY}`);
	await page.getByRole('button', { name: '18:30 to 20:00, Estuary Ground' }).click();
	const dialog = page.getByRole('dialog', { name: 'When and where' });
	await dialog.getByLabel('Date').fill('2027-04-01');
	await expect(dialog.getByText('Thursday 1 April has another practice already.')).toBeVisible();
	await dialog.getByLabel('Date').fill('2027-04-07');
	await dialog.getByLabel('Starts').fill('18:45');
	await dialog.getByLabel('Minutes', { exact: true }).fill('75');
	await dialog.getByRole('button', { name: 'Save' }).click();
	await expect(page.getByRole('heading', { level: 1 })).toHaveText('Wednesday 7 April');
	await expect(page.getByRole('button', { name: '18:45 to 20:00, Estuary Ground' })).toBeVisible();
	expect(await figure(page, 'minutes planned')).toMatch(/of 75$/);
	await saved(page);
	await open(page);
	await page.getByRole('button', { name: 'Undo', exact: true }).click();
	await expect(page.getByRole('heading', { level: 1 })).toHaveText('Tuesday 6 April');
	await saved(page);
});

test('a change that the server does not take is named, and tried again or given up', async ({
	page,
	server
}) => {
	await open(page, `${server.url}${TUESDAY}`);
	// A server of another version that knows nothing of this place.
	await page.route('**/edits', async (route) => {
		const { edits } = route.request().postDataJSON() ?? {};
		const bad = edits?.find(({ edit }: { edit: object }) => JSON.stringify(edit).includes('Moon'));
		if (!bad) return route.continue();
		return route.fulfill({
			status: 400,
			json: { error: { path: '', message: 'There is no such place.' }, edit: bad.id }
		});
	});
	await page.getByRole('button', { name: '18:30 to 20:00, Estuary Ground' }).click();
	await page.getByRole('textbox', { name: 'Where' }).fill('Moon');
	await page.getByRole('button', { name: 'Save', exact: true }).click();
	await expect(page.getByRole('alert')).toContainText('There is no such place.');
	await expect(page.getByRole('button', { name: '18:30 to 20:00, Estuary Ground' })).toBeVisible();
	// Kept over a reload, and given up only when the coach says so.
	page.on('dialog', (each) => each.accept());
	await open(page);
	await expect(page.getByRole('alert')).toContainText('There is no such place.');
	await page.getByRole('button', { name: 'Discard' }).click();
	await expect(page.getByText('There is no such place.')).toBeHidden();
});

test('a new practice is proposed on the next usual day, as it usually is, and says when a day is taken', async ({
	page,
	server
}) => {
	await open(page, `${server.url}/saltmarsh/practices/new`);
	// Every usual day of the season has its practice, but for the exams.
	await expect(page.getByLabel('Date')).toHaveValue('2027-06-08');
	await expect(page.getByLabel('Starts')).toHaveValue('18:30');
	await expect(page.getByLabel('Minutes', { exact: true })).toHaveValue('90');
	await page.getByLabel('Date').fill('2027-04-06');
	await expect(
		page.getByText('Tuesday 6 April: there is a practice already, at 18:30')
	).toBeVisible();
	await page.getByLabel('Starts').fill('17:15');
	page.on('dialog', (each) => each.accept());
	await open(page);
	await expect(page.getByLabel('Starts')).toHaveValue('17:15');
});

test('everything is backed up and restored from the page and by the command line', async ({
	page,
	server
}) => {
	await open(page, `${server.url}/data`);
	await page.getByRole('button', { name: 'Back up now' }).click();
	await expect(page.getByText('Backed up.')).toBeVisible();
	await open(page, `${server.url}/saltmarsh/kit`);
	await page.getByLabel('How many of ball', { exact: true }).fill('12');
	await page.getByRole('button', { name: 'Save the kit' }).click();
	await expect(page.getByText('Saved.', { exact: true })).toBeVisible();
	await open(page, `${server.url}/data`);
	await page.getByRole('button', { name: 'Restore' }).click();
	await page.getByRole('dialog').getByRole('button', { name: 'Restore' }).click();
	await expect(page.getByText('Restored: everything is as it was in that backup.')).toBeVisible({
		timeout: 30_000
	});
	await expect(page.getByRole('row')).toHaveCount(3);
	await open(page, `${server.url}/saltmarsh/kit`);
	await expect(page.getByLabel('How many of ball', { exact: true })).toHaveValue('40');
	// The same by the command line, with the application stopped: back to before the restore.
	await server.stop();
	const restored = spawnSync('npm', ['run', '-s', 'fieldplan', '--', 'restore', 'newest'], {
		encoding: 'utf8',
		env: { ...process.env, FIELDPLAN_DATA: server.directory }
	});
	expect(JSON.parse(restored.stdout).restored).toMatch(/-restore\.tar\.gz$/);
	const again = await startServer(server.directory, server.port);
	await open(page);
	await expect(page.getByLabel('How many of ball', { exact: true })).toHaveValue('12');
	await again.stop();
});
