import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { expect, open, saved, test } from './fixtures';

const { season } = JSON.parse(readFileSync('demo/saltmarsh/team.json', 'utf8')) as {
	season: { games: { opponent: string }[]; seeds: { name: string; call: string }[] };
};

/** Drags on the map of a scene from a place to another, in shares of its width and height. */
async function drag(page: Page, [ax, ay]: [number, number], [bx, by]: [number, number]) {
	const map = page.getByRole('group', { name: 'Spots on a grid of metres' });
	await map.scrollIntoViewIfNeeded();
	const box = await map.boundingBox();
	if (!box) throw new Error('there is no map');
	await page.mouse.move(box.x + ax * box.width, box.y + ay * box.height);
	await page.mouse.down();
	await page.mouse.move(box.x + bx * box.width, box.y + by * box.height, { steps: 6 });
	await page.mouse.up();
}
const press = async (page: Page, x: number, y: number) => {
	const map = page.getByRole('group', { name: 'Spots on a grid of metres' });
	const box = await map.boundingBox();
	await map.click({ position: { x: x * (box?.width ?? 0), y: y * (box?.height ?? 0) } });
};

test('what went wrong is drawn in a few drags and by keys, set up, played as drawn, ticked and opened again', async ({
	page,
	server
}) => {
	await open(page, `${server.url}/saltmarsh/fixes`);
	await page.getByRole('link', { name: 'Draw a scene' }).click();
	await expect(page.getByRole('button', { name: 'Save', exact: true })).toBeDisabled();
	await page.getByLabel('Name', { exact: true }).fill('Tessel Mill came through');
	await page.getByLabel('What you decided').fill('The nearest link closes the middle first.');
	await page.getByText('Defending', { exact: true }).click();
	await page.getByRole('button', { name: 'Add ours', exact: true }).click();
	await press(page, 0.3, 0.5);
	await press(page, 0.4, 0.6);
	await page.getByRole('button', { name: 'Add theirs', exact: true }).click();
	await press(page, 0.55, 0.5);
	await page.getByRole('button', { name: 'Ball carried', exact: true }).click();
	await drag(page, [0.55, 0.5], [0.35, 0.2]);
	// By keys: another token, moved with the arrows, and the ball.
	await page.getByRole('button', { name: 'Move', exact: true }).click();
	await page.getByRole('button', { name: 'Add one of theirs' }).press('Enter');
	const token = page.locator('[data-spot]').last();
	const before = await token.getAttribute('aria-label');
	await token.press('ArrowRight');
	await expect(token).not.toHaveAttribute('aria-label', before ?? '');
	await page.getByRole('button', { name: 'Add the ball' }).press('Enter');
	await expect(page.getByText('2 of ours, 2 of theirs.')).toBeVisible();
	await expect(page.getByRole('img', { name: /4 players|Tessel/ }).last()).toBeVisible();
	// Players read the name: it leaves the opponent out, and nothing that was drawn is lost.
	await page.getByRole('button', { name: 'Save', exact: true }).click();
	await expect(page.getByRole('alert')).toContainText('leave the opponent out');
	await page.getByLabel('Name', { exact: true }).fill('They came through the middle');
	await page.getByRole('button', { name: 'Save', exact: true }).click();
	await page.waitForURL(/fixes/);

	const card = page.getByRole('article', { name: 'They came through the middle' });
	await expect(card).toContainText('Not set up yet');
	await card.getByLabel('In').selectOption('2027-04-13');
	await card.getByRole('button', { name: 'Set it up' }).click();
	await page.waitForURL(/practices\/2027-04-13$/);
	await saved(page);
	const blocks = page.getByRole('button', { name: /They came through the middle/ });
	await expect(blocks.first()).toBeVisible();
	await open(page, `${server.url}/saltmarsh/practices/2027-04-13/paper`);
	await page.locator('#hand-out').selectOption('stations');
	await expect(
		page.getByRole('region', { name: 'They came through the middle' }).first()
	).toContainText('The nearest link closes the middle first.');

	await open(page, `${server.url}/saltmarsh/fixes`);
	await expect(card.getByRole('link', { name: 'Tuesday 13 April' })).toBeVisible();
	await card.getByRole('button', { name: 'Tick as fixed' }).click();
	await expect(page.getByText('To fix, 2')).toBeVisible();
	await page.getByText('Fixed, 2').click();
	await card.getByRole('button', { name: 'Open again' }).click();
	await expect(page.getByText('To fix, 3')).toBeVisible();
});

test('an opponent is seeded for coaches alone: no sheet, card, calendar or drill tells of it', async ({
	page,
	request,
	server
}) => {
	const url = `${server.url}/saltmarsh`;
	const secrets = [
		...season.seeds.flatMap(({ name, call }) => [name, call]),
		...season.games.map(({ opponent }) => opponent)
	];
	const holdsNone = (text: string, where: string) => {
		for (const secret of secrets) expect(text, where).not.toContain(secret);
	};
	await open(page, `${url}/game-week`);
	const last = page.getByRole('row', { name: /Thursday 15 April/ });
	await expect(last).toContainText('every second start');
	await expect(last).toContainText('talk, 8 min at most');
	await last.getByRole('link').click();
	await page.getByRole('button', { name: 'Next: Orrin Quay' }).click();
	await expect(page.getByText('Every second start is one of these, in turn.')).toBeVisible();
	await expect(page.getByText(/^Starts 2, 6, 10, /)).toBeVisible();
	await page.getByRole('button', { name: 'Add the talk' }).click();
	await saved(page);
	for (const practice of ['2027-04-13', '2027-04-15']) {
		const paper = `${url}/practices/${practice}/paper`;
		// All that is sent, not only what is seen.
		holdsNone(await (await request.get(paper)).text(), paper);
		await open(page, paper);
		for (const kind of ['plan', 'stations', 'groups', 'adults', 'carry']) {
			await page.locator('#hand-out').selectOption(kind);
			holdsNone(await page.locator('main').innerText(), `${kind} of ${practice}`);
		}
		holdsNone(await (await request.get(`${url}/practices/${practice}/calendar`)).text(), 'ics');
	}
	await page.locator('#hand-out').selectOption('starts');
	await expect(page.locator('main')).toContainText(season.seeds[0].name);
	// The calendar of the season has the games as such, and nothing of how they begin.
	const calendar = await (await request.get(`${url}/calendar/file`)).text();
	const events = calendar.replace(/\r\n /g, '').split('BEGIN:VEVENT').slice(1);
	expect(events.length).toBeGreaterThan(20);
	for (const event of events) {
		for (const { name } of season.seeds) expect(event).not.toContain(name);
		if (!/UID:game-/.test(event)) holdsNone(event, event);
	}
	await open(page, `${url}/drills`);
	holdsNone(await page.locator('main').innerText(), 'the shelf');

	// A talk alone: the starts are gone, and back with both.
	await open(page, `${url}/game-week`);
	await page.getByLabel('We get ready by').selectOption('talk');
	await expect(page.getByText('Starts are off')).toBeVisible();
	await expect(last).not.toContainText('start');
	await page.getByLabel('We get ready by').selectOption('seeds');
	await expect(last).toContainText('every second start');
	await expect(last).not.toContainText('talk');
	// Another way they begin, and one goes.
	await page.getByRole('link', { name: 'Draw how they begin' }).click();
	await page.getByLabel('Name', { exact: true }).fill('Quick tap');
	await page.getByRole('button', { name: 'Put out our line-up' }).click();
	await page.getByRole('button', { name: 'Save', exact: true }).click();
	await page.waitForURL(/game-week/);
	const quick = page.getByRole('article', { name: 'Quick tap' });
	await quick.getByRole('button', { name: 'Remove' }).click();
	await page.getByRole('button', { name: 'Remove for good' }).click();
	await expect(quick).toHaveCount(0);
});

test('the next season rolls on from this one', async ({ page, server }) => {
	await open(page, `${server.url}/saltmarsh/dates`);
	await page.getByText('Roll on to the next season').click();
	await page.locator('#new-name').fill('Summer 2027');
	await page.locator('#new-weeks').fill('7');
	await page.getByRole('button', { name: 'Create season' }).click();
	await page.waitForURL(/season=/);
	await expect(page.locator('#season-name')).toHaveValue('Summer 2027');
	await expect(page.locator('#first-day')).toHaveValue('2027-06-07');
	// What was open to fix came along, and what was fixed did not.
	const next = new URL(page.url()).searchParams.get('season') ?? '';
	await open(page, `${server.url}/saltmarsh/fixes?season=${next}`);
	await expect(page.getByText('To fix, 2')).toBeVisible();
	await expect(page.getByText(/^Fixed, /)).toHaveCount(0);
});
