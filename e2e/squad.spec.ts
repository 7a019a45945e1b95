import { readFileSync } from 'node:fs';
import { expect, open, test } from './fixtures';

test('players are typed in by keyboard, pasted, saved, refused with their place, and removed', async ({
	page,
	server
}) => {
	await open(page, `${server.url}/saltmarsh/squad`);
	await page.getByLabel('Passing of Odile Brantwick').fill('9');
	await page.getByLabel('Passing of Odile Brantwick').press('Enter');
	await expect(page.getByLabel('Passing of Mirja Tolhurst')).toBeFocused();
	await page.getByRole('button', { name: 'Save the squad' }).click();
	await expect(page.getByText(/Odile Brantwick, ratings.passing:/)).toBeVisible();
	await page.getByLabel('Passing of Odile Brantwick').fill('5');
	await page.getByRole('button', { name: 'Paste players' }).click();
	await page.getByLabel('One per line').fill('31 Neva Holm\nPetra Ouse');
	await page.getByRole('button', { name: 'Add', exact: true }).click();
	await page.getByLabel('Unit of Neva Holm').selectOption('backs');
	await page.getByRole('button', { name: 'Save the squad' }).click();
	await expect(page.getByText('Saved.', { exact: true })).toBeVisible();
	await open(page);
	await expect(page.getByText('26 players.')).toBeVisible();
	await expect(page.getByLabel('Passing of Odile Brantwick')).toHaveValue('5');
	await expect(page.getByLabel('Unit of Neva Holm')).toHaveValue('backs');

	await page.getByRole('button', { name: 'Remove Petra Ouse' }).click();
	await page.getByRole('button', { name: 'Remove for good' }).click();
	await expect(page.getByText('25 players.')).toBeVisible();
});

test('the squad goes out as a table file and comes back after a look at it', async ({
	page,
	server
}) => {
	await open(page, `${server.url}/saltmarsh/squad/table`);
	const [download] = await Promise.all([
		page.waitForEvent('download'),
		page.getByRole('link', { name: 'Download CSV' }).click()
	]);
	const text = readFileSync(await download.path(), 'utf8');
	const file = (content: string) => ({
		name: 'squad.csv',
		mimeType: 'text/csv',
		buffer: Buffer.from(content)
	});
	await page
		.getByLabel('CSV file')
		.setInputFiles(file(text.replace('Rukmini Salcote', '').replace('Ferriby', 'Ferriby-Lund')));
	await page.getByRole('button', { name: 'Check the file' }).click();
	await expect(page.getByText('name: enter a name')).toBeVisible();
	// The good lines are taken, the bad one stays to be corrected.
	await page.getByRole('button', { name: 'Import 23 players' }).click();
	await expect(page.getByText('23 players imported.')).toBeVisible();
	await page.getByLabel('name, line 4').fill('Rukmini Salcote-Vane');
	await page.getByRole('button', { name: 'Check again' }).click();
	await page.getByRole('button', { name: 'Import 1 player' }).click();
	await expect(page.getByRole('heading', { name: 'Squad' })).toBeVisible();
	await expect(page.getByLabel('Passing of Anouk Ferriby-Lund')).toBeVisible();
	await expect(page.getByLabel('Passing of Rukmini Salcote-Vane')).toBeVisible();

	// A heading that nothing is known of is told by hand what it stands for.
	await open(page, `${server.url}/saltmarsh/squad/table`);
	await page.getByLabel('CSV file').setInputFiles(file('who,No.\nAda Corr,41\n'));
	await page.getByRole('button', { name: 'Check the file' }).click();
	await expect(page.getByText('No column has the names')).toBeVisible();
	await page.getByLabel('“who” is').selectOption('name');
	await page.getByRole('button', { name: 'Check again' }).click();
	await page.getByRole('button', { name: 'Import 1 player' }).click();
	await expect(page.getByLabel('Passing of Ada Corr')).toBeVisible();

	const large = `name\n${'Ada\n'.repeat(400_000)}`;
	await open(page, `${server.url}/saltmarsh/squad/table`);
	await page.getByLabel('CSV file').setInputFiles(file(large));
	await page.getByRole('button', { name: 'Check the file' }).click();
	await expect(page.getByText('has 1.6 MB; a table of players has 1 MB at most')).toBeVisible();
});
