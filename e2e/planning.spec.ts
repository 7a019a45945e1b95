import type { Page } from '@playwright/test';
import { expect, open, saved, test, TUESDAY } from './fixtures';

async function select(page: Page, block: string) {
	await page.locator('.block').filter({ hasText: block }).first().click();
}

test.beforeEach(async ({ page, server }) => {
	await open(page, `${server.url}${TUESDAY}`);
});

test('new groups keep who is pinned and who is apart, and are one step of undo', async ({
	page
}) => {
	await select(page, 'Channel duel');
	await page.keyboard.press('g');
	const dialog = page.getByRole('dialog');
	const first = dialog.getByRole('region', { name: 'Group K' });
	const pinned = first.getByRole('button').nth(1);
	const name = ((await pinned.textContent()) ?? '').replace(/[^\p{L}\s'-]/gu, '').trim();
	await pinned.click();
	const [one, other] = [0, 2].map((index) => first.getByRole('button').nth(index));
	const named = async (button: typeof one) =>
		((await button.textContent()) ?? '').replace(/[^\p{L}\s'-]/gu, '').trim();
	const apart = [await named(one), await named(other)];
	await dialog.getByLabel('One', { exact: true }).selectOption({ label: apart[0] });
	await dialog.getByLabel('The other').selectOption({ label: apart[1] });
	await dialog.getByRole('button', { name: 'Apart' }).click();
	await expect(dialog.getByText(`${apart.join(' and ')} apart`)).toBeVisible();
	await dialog.getByRole('button', { name: 'Make groups' }).click();
	await expect(dialog.getByText('As they are now.')).toHaveCount(0);
	await expect(first).toContainText(name);
	const groups = await dialog.getByRole('region', { name: /^Group/ }).allTextContents();
	for (const group of groups) expect(apart.every((each) => group.includes(each))).toBe(false);
	await dialog.getByRole('button', { name: 'Use these groups' }).click();
	await expect(dialog).toBeHidden();
	await expect(page.getByRole('button', { name: 'Undo' })).toHaveAttribute(
		'title',
		'Undo: Make new groups for Four stations'
	);
	await saved(page);
});

test('rules that clash are named, and nothing is lost', async ({ page }) => {
	await select(page, 'Channel duel');
	await page.keyboard.press('g');
	const dialog = page.getByRole('dialog');
	await dialog.getByLabel('One', { exact: true }).selectOption({ index: 1 });
	await dialog.getByLabel('The other').selectOption({ index: 2 });
	await dialog.getByRole('button', { name: 'Apart' }).click();
	await dialog.getByRole('button', { name: 'Together' }).click();
	await dialog.getByRole('button', { name: 'Make groups' }).click();
	await expect(
		dialog.getByText(
			/^These do not go together: (.+) and (.+) together; \1 and \2 apart\. Drop one of them\.$/
		)
	).toBeVisible();
	await dialog.getByRole('button', { name: 'Drop' }).first().click();
	await dialog.getByRole('button', { name: 'Make groups' }).click();
	await expect(dialog.getByText('As they are now.')).toHaveCount(0);
});

test('two players change places by keys and by drag, and what it does is said first', async ({
	page
}) => {
	await select(page, 'Channel duel');
	await page.keyboard.press('g');
	const dialog = page.getByRole('dialog');
	const [first, second] = ['Group K', 'Group L'].map((name) =>
		dialog.getByRole('region', { name })
	);
	const nameOf = async (region: typeof first, index: number) =>
		((await region.getByRole('button').nth(index).textContent()) ?? '')
			.replace(/[^\p{L}\s'-]/gu, '')
			.trim();
	const [one, other] = [await nameOf(first, 0), await nameOf(second, 1)];
	await first.getByRole('button').nth(0).focus();
	await page.keyboard.press('s');
	await expect(dialog.locator('.swap [role=status]')).toContainText(
		`whom ${one} changes places with`
	);
	await second.getByRole('button').nth(1).focus();
	await expect(dialog.locator('.swap [role=status]')).toHaveText(
		/: spread of ratings [\d.]+ → [\d.]+, together before \d+ → \d+\./
	);
	await page.keyboard.press('Enter');
	await expect(first).toContainText(other);
	await expect(second).toContainText(one);

	// Back again by drag: what it does stands there while the player is over the other.
	const from = await second.getByRole('button', { name: one }).boundingBox();
	const to = await first.getByRole('button', { name: other }).boundingBox();
	if (!from || !to) throw new Error('not on the screen');
	await page.mouse.move(from.x + 40, from.y + 10);
	await page.mouse.down();
	await page.mouse.move(to.x + 40, to.y + 10, { steps: 8 });
	await expect(dialog.locator('.swap [role=status]')).toContainText('spread of ratings');
	await page.mouse.up();
	await expect(first).toContainText(one);
	await dialog.getByRole('button', { name: 'Swap two players' }).click();
	await first.getByRole('button', { name: one }).click();
	await second.getByRole('button', { name: other }).click();
	await dialog.getByRole('button', { name: 'Swap them' }).click();
	await dialog.getByRole('button', { name: 'Use these groups' }).click();
	await saved(page);
	await page.keyboard.press('g');
	await expect(first).toContainText(other);
	await expect(second).toContainText(one);
});

test('halves of groups meet a new half at every station', async ({ page }) => {
	await select(page, 'Channel duel');
	await page.keyboard.press('r');
	const dialog = page.getByRole('dialog');
	await expect(dialog.getByText(/The longest way between two stations is\s+\d+ m/)).toBeVisible();
	await dialog.getByText('Halves of the groups meet').click();
	await expect(dialog.getByText('No two halves meet twice.')).toBeVisible();
	await expect(dialog.locator('tbody td').first().locator('svg')).toHaveCount(2);
	await dialog.getByRole('button', { name: 'Use this rotation' }).click();
	await expect(page.getByRole('button', { name: 'Undo' })).toHaveAttribute(
		'title',
		/Change the rotation/
	);
	await saved(page);
});

test('a game gets a line-up that is kept with it', async ({ page }) => {
	await select(page, 'Eight a side');
	await page.getByRole('button', { name: 'Line-up' }).click();
	const dialog = page.getByRole('dialog');
	await dialog.getByRole('button', { name: 'Make a line-up' }).click();
	await expect(dialog.getByRole('columnheader', { name: 'Shift 4' })).toBeVisible();
	await expect(dialog.getByText(/Nobody sits more than 1 in a row/)).toBeVisible();
	await dialog.getByRole('button', { name: 'Use this line-up' }).click();
	await saved(page);
	await open(page);
	await select(page, 'Eight a side');
	await page.getByText('Line-up of 4 shifts').click();
	await expect(page.getByRole('columnheader', { name: 'Shift 4' })).toBeVisible();
});

test('the groups of all practices to come are mixed at once, and stored together', async ({
	page,
	server
}) => {
	await open(page, `${server.url}/saltmarsh/together`);
	const mix = page.getByRole('region', { name: 'Mix the groups of practices to come' });
	await mix.getByLabel('One', { exact: true }).selectOption({ label: 'Thandi Morwick' });
	await mix.getByLabel('The other').selectOption({ label: 'Rukmini Salcote' });
	await mix.getByRole('button', { name: 'Apart' }).click();
	await expect(mix).toContainText('Thandi Morwick and Rukmini Salcote apart');
	await mix.getByRole('button', { name: 'Mix the groups' }).click();
	await expect(mix).toContainText('Pairs who never meet: 1 →');
	const groups = await mix.locator('ol > li').allInnerTexts();
	expect(groups.length).toBeGreaterThan(10);
	for (const group of groups) expect(group).not.toMatch(/Thandi.*Rukmini|Rukmini.*Thandi/);
	await mix.getByRole('button', { name: 'Use these groups in 5 practices' }).click();
	await expect(page.getByText('The groups of 5 practices are changed.')).toBeVisible();
	await open(page, `${server.url}/saltmarsh/practices/2027-04-22/paper`);
	await page.locator('#hand-out').selectOption('groups');
	const cards = await page.locator('article[data-kind="groups"] .card').allInnerTexts();
	const withThandi = cards.find((card) => card.includes('Thandi'));
	expect(withThandi).toBeDefined();
	expect(withThandi).not.toContain('Rukmini');
});
