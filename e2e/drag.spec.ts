import type { Locator, Page } from '@playwright/test';
import { expect, figure, open, saved, test, TUESDAY } from './fixtures';

async function middle(of: Locator) {
	const box = await of.boundingBox();
	if (!box) throw new Error('nothing to take hold of');
	return { x: box.x + box.width / 2, y: box.y + box.height / 2, bottom: box.y + box.height };
}

/** Drags with a finger. */
async function swipe(page: Page, from: { x: number; y: number }, to: { x: number; y: number }) {
	const session = await page.context().newCDPSession(page);
	const touch = (type: 'touchStart' | 'touchMove' | 'touchEnd', at?: { x: number; y: number }) =>
		session.send('Input.dispatchTouchEvent', { type, touchPoints: at ? [at] : [] });
	await touch('touchStart', from);
	for (let step = 1; step <= 8; step += 1)
		await touch('touchMove', {
			x: from.x + ((to.x - from.x) * step) / 8,
			y: from.y + ((to.y - from.y) * step) / 8
		});
	await touch('touchEnd');
	await session.detach();
}

/** Takes hold at a place and moves in steps, as a hand does. */
async function pull(page: Page, from: { x: number; y: number }, to: { x: number; y: number }) {
	await page.mouse.move(from.x, from.y);
	await page.mouse.down();
	await page.mouse.move((from.x + to.x) / 2, (from.y + to.y) / 2, { steps: 4 });
	await page.mouse.move(to.x, to.y, { steps: 4 });
}

test.beforeEach(async ({ page, server }) => {
	await open(page, `${server.url}${TUESDAY}`);
});

test('a block is dragged to another lane, given up with Escape, and dropped', async ({ page }) => {
	const duel = page.getByRole('button', { name: /^Channel duel:/ });
	const from = await middle(duel);
	const free = await middle(page.locator('.head').filter({ hasText: /^\s*F/ }));
	await pull(page, from, { x: free.x, y: from.y });
	await expect(page.getByText('Move Channel duel to zone F')).toBeVisible();
	await page.keyboard.press('Escape');
	await expect(page.getByText('Move Channel duel to zone F')).toBeHidden();
	await page.mouse.up();
	expect((await middle(duel)).x).toBeCloseTo(from.x, 0);

	await pull(page, from, { x: free.x, y: from.y });
	await page.mouse.up();
	await expect.poll(async () => Math.round((await middle(duel)).x)).toBe(Math.round(free.x));
	await page.keyboard.press('u');
	await expect.poll(async () => Math.round((await middle(duel)).x)).toBe(Math.round(from.x));
});

test('a period is pulled longer by its lower edge, by fives with Shift', async ({ page }) => {
	const squares = page.locator('.block').filter({ hasText: 'Two-touch squares' }).first();
	const { x, bottom } = await middle(squares);
	await pull(page, { x, y: bottom - 3 }, { x, y: bottom + 8 });
	await expect(page.getByText(/Two-touch squares: 12 min \(\+2\)/)).toBeVisible();
	await page.mouse.up();
	expect(await figure(page, 'minutes planned')).toBe('92 of 90');
	const next = await middle(squares);
	await page.keyboard.down('Shift');
	await pull(page, { x, y: next.bottom - 3 }, { x, y: next.bottom + 14 });
	await expect(page.getByText(/Two-touch squares: 15 min/)).toBeVisible();
	await page.mouse.up();
	await page.keyboard.up('Shift');
	expect(await figure(page, 'minutes planned')).toBe('95 of 90');
	await saved(page);
});

test('a period is dragged to another place in the order', async ({ page }) => {
	const squares = page.locator('.block').filter({ hasText: 'Two-touch squares' }).first();
	const game = await middle(page.locator('.block').filter({ hasText: 'Eight a side' }));
	const from = await middle(squares);
	await pull(page, from, { x: from.x, y: game.bottom - 4 });
	await expect(page.getByText('Move Two-touch squares after Eight a side')).toBeVisible();
	await page.mouse.up();
	await expect.poll(async () => (await middle(squares)).y).toBeGreaterThan(game.bottom - 60);
});

test('a drill is dragged from the shelf onto a lane, and not dropped beside the tape', async ({
	page
}) => {
	// What is due comes above the shelf once the server has said it.
	await expect(page.getByRole('region', { name: 'Due' })).toBeVisible();
	const drill = page
		.getByRole('region', { name: 'Shelf' })
		.getByRole('button', { name: /^Shrinking harbour/ });
	await drill.scrollIntoViewIfNeeded();
	const from = await middle(drill);
	const water = await middle(page.getByRole('button', { name: /^Water at the cart, 2/ }).first());
	await pull(page, from, { x: from.x + 10, y: from.y + 60 });
	await page.mouse.up();
	await expect(page.getByRole('button', { name: /^Shrinking harbour:/ })).toHaveCount(0);
	const lane = await middle(page.locator('.head').filter({ hasText: /^\s*C/ }));
	await pull(page, from, { x: lane.x, y: water.y });
	await expect(page.locator('.ghost')).toContainText('Shrinking harbour: 10 min');
	await page.mouse.up();
	await expect(page.getByRole('button', { name: 'Shrinking harbour, 10 minutes' })).toBeVisible();
	expect(await figure(page, 'minutes planned')).toBe('100 of 90');
});

test.describe('with a finger', () => {
	test.use({ hasTouch: true });

	test('a block is dragged to another lane, and a period pulled longer', async ({ page }) => {
		const duel = page.getByRole('button', { name: /^Channel duel:/ });
		const from = await middle(duel);
		const free = await middle(page.locator('.head').filter({ hasText: /^\s*F/ }));
		await swipe(page, from, { x: free.x, y: from.y });
		await expect.poll(async () => Math.round((await middle(duel)).x)).toBe(Math.round(free.x));

		const squares = page.locator('.block').filter({ hasText: 'Two-touch squares' }).first();
		const { x, bottom } = await middle(squares);
		await swipe(page, { x, y: bottom - 3 }, { x, y: bottom + 8 });
		await expect.poll(() => figure(page, 'minutes planned')).toBe('92 of 90');
	});
});
