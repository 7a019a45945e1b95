import type { Page } from '@playwright/test';
import { expect, figure, open, saved, test, TUESDAY } from './fixtures';

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
	await page.getByRole('spinbutton', { name: 'under', exact: true }).nth(1).fill('3');
	await page.getByRole('button', { name: 'Save the limits' }).click();
	await expect(page.getByText('each age must be higher than the one before')).toBeVisible();
	await page.getByRole('button', { name: 'Back to the defaults' }).click();
	await expect(page.getByText('Saved.', { exact: true })).toBeVisible();
	await open(page, `${server.url}${TUESDAY}`);
	await expect(page.getByText('To fix: 9')).toBeVisible();
});

test('a team for a sport of its own goes from nothing to a printed practice in at most 60 actions', async ({
	page,
	server
}) => {
	let actions = 0;
	async function act(...steps: (() => Promise<unknown>)[]) {
		for (const step of steps) {
			actions += 1;
			await step();
		}
	}
	const fill =
		(label: string | RegExp, value: string, nth = 0) =>
		() =>
			page.getByLabel(label, { exact: true }).nth(nth).fill(value);
	const press = (name: string | RegExp) => () => page.getByRole('button', { name }).first().click();
	const choose = (label: string, option: string) => () =>
		page.getByLabel(label, { exact: true }).last().selectOption({ label: option });
	const players = Array.from({ length: 12 }, (_, k) => `${k + 1} Rope Player ${'ABCDEFGHIJKL'[k]}`);

	await open(page, `${server.url}/teams/new`);
	await act(
		fill('Name', 'Anchor Lane'),
		choose('Sport', 'A sport of your own'),
		fill('What it is called', 'Rope ball'),
		fill('Played with', 'knot'),
		fill('Length of the ground, m', '36'),
		fill('Width of the ground, m', '20'),
		fill('Head coach', 'Ines Marlow'),
		fill(/^Players, one per line/, players.join('\n')),
		press('Create team')
	);
	await expect(page.getByText('This practice is empty. Put a warm-up')).toBeVisible();
	const board = page.url();

	await act(
		() => page.getByRole('link', { name: 'Settings' }).click(),
		() => page.getByRole('link', { name: 'Sport', exact: true }).click()
	);
	await act(press('Add a unit'));
	await act(
		() => page.keyboard.type('Haulers'),
		press('Add a unit'),
		() => page.keyboard.type('Anchors')
	);
	await act(press('Add a position'), () => page.keyboard.type('Puller'));
	await act(choose('Unit of Puller', 'Haulers'));
	await act(press('Add a position'), () => page.keyboard.type('Stay'));
	await act(choose('Unit of Stay', 'Anchors'));
	await act(press('Add a place'), choose('Position of a new one', 'Puller'));
	await act(fill('From own end, m of Puller', '20'), fill('From the top, m of Puller', '10'));
	await act(press('Add a caution'), () => page.keyboard.type('Gloves on.'));
	await act(press('Save the sport'));
	await expect(page.getByText('Saved.', { exact: true })).toBeVisible();

	await act(() => page.goto(board));
	const shelf = page.getByRole('region', { name: 'Shelf' });
	const put = (name: RegExp | string) => () => shelf.getByRole('button', { name }).first().click();
	await act(put(/^First laps/), put(/^Ring of four/), put('+ Water'));
	await act(
		put(/^Two to the line/),
		put('+ Water'),
		put(/^Harbour to harbour/),
		put(/^Calm water/)
	);
	const stops = page.getByRole('img', { name: 'must be fixed' });
	for (let tries = 0; (await stops.count()) > 0 && tries < 10; tries += 1) {
		const before = await stops.count();
		const first = page.getByRole('listitem').filter({ has: stops }).first();
		await act(() => first.getByRole('button').nth(1).click());
		await expect.poll(() => stops.count()).toBeLessThan(before);
	}
	await saved(page);
	await act(() => page.getByRole('link', { name: 'Print' }).click());
	const sheet = page.getByRole('article');
	await expect(sheet).toContainText('Anchor Lane');
	await expect(sheet).toContainText('Ring of four');
	await expect(sheet).not.toContainText(/\bball\b/);
	console.log(`A team for a sport of its own took ${actions} actions`);
	expect(actions).toBeLessThanOrEqual(60);

	// The drills speak of what it is played with, and the limits of what is looked after.
	await open(page, `${server.url}/anchor-lane/drills/ring-of-four`);
	await expect(page.getByText('Four keep the knot from one in the middle')).toBeVisible();
	await open(page, `${server.url}/anchor-lane/limits`);
	await expect(page.getByText('Gloves on.')).toBeVisible();
});
