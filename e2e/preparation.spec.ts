import { readFileSync } from 'node:fs';
import { expect, figure, open, saved, test, TUESDAY } from './fixtures';

test('zones are drawn, pulled, typed and divided, and the board plans on them', async ({
	page,
	server
}) => {
	await open(page, `${server.url}/saltmarsh/ground`);
	await expect(page.getByText('The sun is in the west, 10° high at 18:30.')).toBeVisible();
	const strip = page.getByRole('button', { name: /^Zone Strip,/ });
	const box = await strip.boundingBox();
	if (!box) throw new Error('the strip is not drawn');
	await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
	await page.mouse.down();
	await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2 + 12, { steps: 4 });
	await expect(page.getByText('12 m × 40 m · 480 m²')).toBeVisible();
	await page.keyboard.press('Escape');
	await page.mouse.up();
	await expect(page.getByLabel('From the top')).toHaveValue('2.85');
	await strip.focus();
	await page.keyboard.press('ArrowDown');
	await page.keyboard.press('Shift+ArrowUp');
	await expect(page.getByLabel('From the top')).toHaveValue('4');
	await expect(page.getByText('12 m × 39 m · 468 m²')).toBeVisible();
	await page.getByRole('textbox', { name: 'Zone' }).fill('A');
	await page.getByRole('textbox', { name: 'Zone' }).press('Enter');
	await page.getByRole('button', { name: 'Save the ground' }).click();
	await expect(page.getByText('Zone A, name: “A” is there twice')).toBeVisible();
	await page.getByRole('textbox', { name: 'Zone' }).fill('Grass');
	await page.getByRole('textbox', { name: 'Zone' }).press('Enter');
	await page.getByLabel('Goal, hoop, net or wall to put here').fill('wall');
	await page.getByRole('button', { name: 'Add here' }).click();
	await page.getByRole('button', { name: 'Divide into 2' }).click();
	await expect(page.getByRole('heading', { name: '14 zones' })).toBeVisible();
	await page.getByRole('button', { name: 'Undo' }).click();
	await page.getByRole('button', { name: 'Save the ground' }).click();
	await expect(page.getByText('Saved.', { exact: true })).toBeVisible();
	await open(page, `${server.url}${TUESDAY}`);
	await expect(page.getByTitle('Grass, 12×39 m')).toBeVisible();
});

test('who is late or absent is planned with, and who is usually late is named', async ({
	page,
	server
}) => {
	await open(page, `${server.url}/saltmarsh/attendance`);
	await expect(page.getByText(/^Usually late: Bettany Orrell, Wen Larkspur/)).toBeVisible();
	await page
		.getByLabel('Odile Brantwick on Tuesday 6 April', { exact: true })
		.selectOption('absent');
	await page.getByLabel('Why Odile Brantwick is absent').fill('exam');
	await page.getByLabel('Thandi Morwick on Tuesday 6 April', { exact: true }).selectOption('late');
	await page.getByRole('button', { name: 'Save attendance' }).click();
	await expect(page.getByText('Thandi Morwick How many minutes late?')).toBeVisible();
	await page.getByLabel('Minutes Thandi Morwick is late').fill('15');
	await page.getByRole('button', { name: 'Save attendance' }).click();
	await expect(page.getByText('Saved.', { exact: true })).toBeVisible();
	await open(page, `${server.url}${TUESDAY}`);
	expect(await figure(page, 'players here')).toBe('21 of 24');

	await open(page, `${server.url}/saltmarsh/together`);
	await expect(page.getByText(/^Least met: \d+ of 276 pairs never/)).toBeVisible();
	await page.getByRole('img', { name: /Who has worked with whom/ }).focus();
	await page.keyboard.press('ArrowRight');
	await expect(page.getByText(/ and .*: (never yet|\d+ times?, \d+ min)/)).toBeVisible();
	await page.getByRole('link', { name: 'All 276 pairs as a table' }).click();
	await expect(page.getByRole('row')).toHaveCount(277);
});

test('a player’s page holds what a practitioner said, and gives or removes all that is kept', async ({
	page,
	server
}) => {
	await open(page, `${server.url}/saltmarsh/squad`);
	await page.getByRole('link', { name: 'Page of Keziah Stainmoor' }).click();
	await page.getByRole('button', { name: 'Add a restriction' }).click();
	await page.getByRole('button', { name: 'Save', exact: true }).click();
	await expect(page.getByText('Who set it?')).toBeVisible();
	await page.getByLabel('Set by').fill('Dr Vale, physiotherapist');
	await page.getByLabel('Notes').fill('Left stick down.');
	await page.getByRole('button', { name: 'Save', exact: true }).click();
	await expect(page.getByText('Saved.', { exact: true })).toBeVisible();
	const [download] = await Promise.all([
		page.waitForEvent('download'),
		page.getByRole('link', { name: 'Download their data' }).click()
	]);
	const kept = JSON.parse(readFileSync(await download.path(), 'utf8'));
	expect(kept.person).toMatchObject({ name: 'Keziah Stainmoor', note: 'Left stick down.' });
	await open(page, `${server.url}${TUESDAY}`);
	await expect(
		page.getByText(/Keziah Stainmoor is kept out of contact and live play by Dr Vale/)
	).toBeVisible();

	await page.goBack();
	await page.getByRole('button', { name: 'Remove', exact: true }).click();
	await page.getByRole('button', { name: 'Remove for good' }).click();
	await expect(page.getByText('23 players.')).toBeVisible();
	await expect(page.getByText('Keziah Stainmoor')).toBeHidden();
});

test('kit that is broken is missed, adults are typed in, and own words are on the board and the sheet', async ({
	page,
	server
}) => {
	await open(page, `${server.url}/saltmarsh/kit`);
	await page.getByLabel('How many of ball are broken').fill('41');
	await page.getByRole('button', { name: 'Save the kit' }).click();
	await expect(page.getByText('ball, broken: are more than the 40')).toBeVisible();
	await page.getByLabel('How many of ball are broken').fill('35');
	await page.getByRole('button', { name: 'Save the kit' }).click();
	await expect(page.getByText('Saved.', { exact: true })).toBeVisible();

	await open(page, `${server.url}/saltmarsh/adults`);
	await page.getByRole('button', { name: 'Add an adult' }).click();
	await page.keyboard.type('Nell Varga');
	await page.getByLabel('Can lead of Nell Varga').fill('passing, juggling');
	await page.getByRole('button', { name: 'Save the adults' }).click();
	await expect(
		page.getByText('Nell Varga, skills: “juggling” is not one of this team’s skill areas')
	).toBeVisible();
	await page.getByLabel('Can lead of Nell Varga').fill('passing');
	await page.getByRole('button', { name: 'Save the adults' }).click();
	await expect(page.getByText('Saved.', { exact: true })).toBeVisible();

	await open(page, `${server.url}/saltmarsh/words`);
	await page.getByLabel('period', { exact: true }).fill('Segment');
	await page.getByLabel('squad', { exact: true }).fill('Kader / Kader');
	await page.getByLabel('turn', { exact: true }).fill('go / goes');
	await page.getByRole('button', { name: 'Save the words' }).click();
	await expect(page.getByText('Saved.', { exact: true })).toBeVisible();
	await expect(page.getByRole('link', { name: 'Kader' }).first()).toBeVisible();
	// What the coach has called a drill is not the application's to change.
	await open(page, `${server.url}/saltmarsh/drills/turn-and-switch`);
	await expect(page.getByRole('heading', { name: 'Turn and switch', exact: true })).toBeVisible();
	await expect(page.getByText(/\d+ goes each/).first()).toBeVisible();
	await open(page, `${server.url}${TUESDAY}`);
	await expect(page.getByText(/need \d+ × ball; there are 5/).first()).toBeVisible();
	await page.locator('.block').nth(2).click();
	await expect(page.getByRole('button', { name: 'Remove segment' })).toBeVisible();
	await saved(page);
});
