import { execFileSync, spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { expect, figure, open, saved, test, TUESDAY } from './fixtures';
import { startServer } from './server';

test.describe('Tuesday of week 6', () => {
	test.beforeEach(async ({ page, server }) => {
		await open(page, `${server.url}/saltmarsh/practices`);
		await page.getByRole('link', { name: 'Tuesday 6 April', exact: true }).click();
		await expect(page.getByRole('heading', { name: 'Tuesday 6 April' })).toBeVisible();
	});

	test('shows tape, field, strip, findings and figures on one screen without scrolling', async ({
		page
	}) => {
		for (const name of ['Tape', 'Who does what', 'To fix', 'Shelf'])
			await expect(page.getByRole('region', { name, exact: true })).toBeInViewport({ ratio: 0.95 });
		await expect(page.getByRole('img', { name: /The ground with 22 players/ })).toBeInViewport({
			ratio: 1
		});
		expect(await figure(page, 'busy:')).toMatch(/^\d+%$/);
		expect(await figure(page, 'turns each')).toMatch(/^\d+$/);
		const scrolls = await page.evaluate(() => document.documentElement.scrollHeight > innerHeight);
		expect(scrolls).toBe(false);
	});

	test('moves the now-line: the field shows the players on the spots of their drills', async ({
		page
	}) => {
		await page.getByRole('slider', { name: 'Now-line' }).fill('2320');
		await expect(page.getByRole('heading', { name: 'Ground at 19:08' })).toBeVisible();
		const states = await page.locator('.token title').allTextContents();
		expect(states).toHaveLength(22);
		expect(
			states.filter((state) => /: (active|helps|waits), \w+/.test(state)).length
		).toBeGreaterThan(10);
		const places = () =>
			page
				.locator('.token')
				.evaluateAll((list) => list.map((token) => token.getAttribute('style')));
		const before = await places();
		await page.keyboard.press('Tab');
		await page.keyboard.press('.');
		await expect(page.getByRole('heading', { name: 'Ground at 19:09' })).toBeVisible();
		expect(await places()).not.toEqual(before);
	});

	test('fixes what is found with one press, and takes it back', async ({ page }) => {
		await expect(page.getByRole('heading', { name: 'To fix: 9' })).toBeVisible();
		await page.getByRole('button', { name: 'Move Turn and switch to zone E' }).click();
		await expect(page.getByText('Zone D holds Three-lane break')).toBeHidden();
		await expect(page.getByRole('heading', { name: 'To fix: 8' })).toBeVisible();
		await page.keyboard.press('u');
		await expect(page.getByText('Zone D holds Three-lane break')).toBeVisible();
		await page.keyboard.press('Shift+U');
		await expect(page.getByText('Zone D holds Three-lane break')).toBeHidden();
	});

	test('puts in the first drill that a search finds with Enter, goes back with Escape, keeps notes', async ({
		page
	}) => {
		const keys = page.getByRole('button', { name: 'Keys' });
		await keys.focus();
		await page.keyboard.press('/');
		const search = page.getByRole('searchbox', { name: 'Find a drill' });
		await expect(search).toBeFocused();
		await search.fill('slalom');
		await search.press('Enter');
		const added = page.getByRole('button', { name: /^Buoy slalom: / }).first();
		await expect(added).toBeVisible();
		await search.press('Escape');
		await search.press('Escape');
		await expect(keys).toBeFocused();
		await keys.press('Enter');
		await expect(page.getByRole('dialog')).toBeVisible();
		await page.keyboard.press('Escape');
		await expect(keys).toBeFocused();

		await added.click();
		await page.getByLabel('Notes').fill('Left-handers first');
		await page.getByLabel('Notes').blur();
		await saved(page);
		await page.reload();
		await added.click();
		await expect(page.getByLabel('Notes')).toHaveValue('Left-handers first');
	});

	test('says what a station lacks before it is taken', async ({ page }) => {
		await page.getByRole('button', { name: /^Channel duel: / }).click();
		await page.getByRole('button', { name: 'Change the stations' }).click();
		const dialog = page.getByRole('dialog');
		await expect(dialog.getByText(/players of this|takes \d+ to \d+ players/)).toBeHidden();
		await dialog.getByLabel('Station 1').selectOption('eight-a-side');
		await expect(
			dialog.getByText(/Eight a side takes 16 to 24 players; a group has/)
		).toBeVisible();
	});

	test('shows its panel and what is to fix within reach on a phone', async ({ page }) => {
		await page.setViewportSize({ width: 390, height: 844 });
		await page.getByRole('link', { name: 'to fix' }).click();
		await expect(page.getByRole('region', { name: 'To fix' })).toBeInViewport();
		await page.getByRole('button', { name: /^Channel duel: / }).click();
		const panel = page.getByRole('region', { name: 'Selected period' });
		await expect(panel.getByLabel('Minutes')).toBeInViewport({ ratio: 1 });
		await panel.getByRole('button', { name: 'Close' }).click();
		await expect(panel).toBeHidden();
	});

	test('says the strip as a table too', async ({ page }) => {
		await page.getByRole('button', { name: 'As a table' }).click();
		const table = page.getByRole('region', { name: 'Players in numbers' });
		await expect(table.getByRole('row')).toHaveCount(23);
		await expect(table.getByRole('row', { name: /Keziah Stainmoor/ })).toContainText('%');
	});

	test('prints on one page of A4', async ({ page }, info) => {
		await page.getByRole('link', { name: 'Print' }).click();
		const sheet = page.getByRole('article');
		for (const words of [
			'Channel duel',
			'Go past on the side',
			'Groups in Four stations',
			'whistle at 18:59'
		])
			await expect(sheet).toContainText(words);
		const file = info.outputPath('sheet.pdf');
		await page.pdf({ path: file, preferCSSPageSize: true });
		const pages = readFileSync(file, 'latin1').match(/\/Type\s*\/Page[^s]/g) ?? [];
		expect(pages).toHaveLength(1);
		await page.getByText('with drawings').click();
		const drawings = page.getByRole('article', { name: 'Drawings of the drills' });
		await expect(drawings.getByRole('img', { name: /^Channel duel, / })).toBeVisible();
		await expect(drawings.getByRole('list', { name: 'Marks' })).toBeVisible();
	});
});

test('a coach builds a practice from nothing, and finds it again after a reload and a kill', async ({
	page,
	server
}) => {
	await open(page, `${server.url}/saltmarsh/practices`);
	await page.getByRole('link', { name: 'New practice' }).click();
	await page.getByLabel('Date').fill('2027-04-08');
	await page.getByLabel('Minutes', { exact: true }).fill('60');
	// The keeper coach comes on Thursdays: proposed by itself.
	await page.getByText('15 Pia Hessle').click();
	await page.getByRole('button', { name: 'Create practice' }).click();

	await expect(page.getByRole('heading', { name: 'Thursday 8 April' })).toBeVisible();
	expect(await figure(page, 'players here')).toBe('23 of 24');
	expect(await figure(page, 'adults')).toBe('6');
	await expect(page.getByText('This practice is empty')).toBeVisible();
	const shelf = page.getByRole('region', { name: 'Shelf' });
	const tape = page.getByRole('region', { name: 'Tape' });
	await expect(shelf.getByRole('listitem')).toHaveCount(25);

	// A hard drill alone is warned about; the fix puts a warm-up in front.
	await shelf.getByRole('button', { name: /^Channel duel/ }).click();
	await expect(page.getByText(/is hard work .* after 0 minutes of warm-up/)).toBeVisible();
	await page
		.getByRole('button', { name: /^Add Tide lines|^Add Buoy tag/ })
		.first()
		.click();
	await expect(page.getByText(/is hard work/)).toBeHidden();

	// Minutes by keys, the order by buttons, and taking a period out again.
	await tape
		.getByRole('button', { name: /^Channel duel:/ })
		.first()
		.click();
	for (let k = 0; k < 20; k += 1) await page.keyboard.press(']');
	expect(await figure(page, 'minutes planned')).toBe('38 of 60');
	await page
		.getByRole('region', { name: 'Selected period' })
		.getByRole('button', { name: 'Earlier' })
		.click();
	await expect(page.getByText(/is hard work/)).toBeVisible();
	await page
		.getByRole('region', { name: 'Selected period' })
		.getByRole('button', { name: 'Later' })
		.click();
	await expect(page.getByText(/is hard work/)).toBeHidden();

	// Sizes with their reasons, then stations.
	const sizes = page
		.getByRole('region', { name: 'Selected period' })
		.getByRole('listitem')
		.filter({ hasText: '×' });
	await expect(sizes.first()).toContainText(/groups of 22, the drill takes 4 to 9/);
	await page.getByRole('button', { name: 'Split into stations' }).click();
	const dialog = page.getByRole('dialog');
	await dialog.getByLabel('Stations', { exact: true }).fill('4');
	await expect(dialog.getByRole('combobox', { name: 'Station 4' })).toBeVisible();
	await dialog.getByRole('button', { name: 'Split into 4 stations' }).click();
	await expect(dialog).toBeHidden();
	const bibs = tape
		.locator('.block')
		.filter({ hasText: 'Channel duel' })
		.getByRole('img', { name: /^bib/, includeHidden: true });
	await expect(bibs).toHaveCount(4);
	const letters = await bibs.evaluateAll((list) =>
		list.map((bib) => bib.getAttribute('aria-label'))
	);
	expect(new Set(letters).size).toBe(4);

	// Water, a game that is too long for the time, and the fit.
	await page.keyboard.press('Escape');
	await shelf.getByRole('button', { name: '+ Water' }).click();
	await shelf.getByRole('button', { name: /^Eight a side/ }).click();
	for (let k = 0; k < 15; k += 1) await page.keyboard.press(']');
	await expect(page.getByText(/over the 60 there are/)).toBeVisible();
	await page.getByRole('button', { name: /^Fit / }).click();
	expect(await figure(page, 'minutes planned')).toBe('60 of 60');
	await page.keyboard.press('k');
	await page.keyboard.press('Delete');
	await expect(page.getByRole('button', { name: 'Water, 2 minutes' })).toBeHidden();

	// Move a station to another zone by its list.
	await tape.getByRole('button', { name: /^Channel duel:/ }).click();
	await page.getByLabel('Zone', { exact: true }).selectOption({ label: 'F: holds 1' });
	await saved(page);

	const blocks = () =>
		tape
			.locator('.block')
			.evaluateAll((list) => list.map((block) => block.getAttribute('aria-label')));
	const built = await blocks();
	const planned = await figure(page, 'minutes planned');
	await open(page);
	expect(await blocks()).toEqual(built);
	await server.stop('SIGKILL');
	const again = await startServer(server.directory, server.port);
	try {
		await open(page);
		expect(await blocks()).toEqual(built);
		expect(await figure(page, 'minutes planned')).toBe(planned);
	} finally {
		await again.stop('SIGKILL');
	}
});

test('a new coach builds 90 minutes with four stations from nothing in at most 40 actions', async ({
	page,
	server
}) => {
	await open(page, `${server.url}/saltmarsh/practices`);
	let actions = 0;
	/** One click, key or filled field. */
	const act = async (action: Promise<unknown>) => {
		actions += 1;
		await action;
	};
	const shelf = page.getByRole('region', { name: 'Shelf' });
	const put = (name: RegExp | string) => act(shelf.getByRole('button', { name }).click());

	await act(page.getByRole('link', { name: 'New practice' }).click());
	await act(page.getByLabel('Date').fill('2027-04-15'));
	await act(page.getByRole('button', { name: 'Create practice' }).click());
	await expect(page.getByText('This practice is empty')).toBeVisible();
	await put(/^Tide lines/);
	await put(/^Two-touch squares/);
	await put('+ Water');
	await put(/^Press in pairs/);
	await act(shelf.getByRole('button', { name: 'Open Press in pairs' }).click());
	await act(page.getByLabel('Minutes [ ]').fill('30'));
	await act(page.getByRole('button', { name: 'Split into stations' }).click());
	await act(page.getByRole('button', { name: 'Split into 4 stations' }).click());
	await expect(page.getByRole('dialog')).toBeHidden();
	await act(page.keyboard.press('Escape'));
	await put('+ Water');
	await put(/^Eight a side/);
	await put(/^Closing circle/);
	await act(page.keyboard.press('f'));
	const stops = page.getByRole('img', { name: 'must be fixed' });
	while ((await stops.count()) > 0) {
		const before = await stops.count();
		await act(
			page.getByRole('listitem').filter({ has: stops }).first().getByRole('button').nth(1).click()
		);
		await expect.poll(() => stops.count()).toBeLessThan(before);
	}
	await act(page.keyboard.press('f'));
	expect(await figure(page, 'minutes planned')).toBe('90 of 90');
	await expect(
		page.locator('.block.selected, .block').filter({ has: page.locator('.slice.cut') })
	).toHaveCount(4);
	console.log(`A practice of 90 minutes with four stations took ${actions} actions`);
	expect(actions).toBeLessThanOrEqual(40);
	await saved(page);
});

test('what is being typed stays while an earlier change is saved', async ({ page, server }) => {
	await open(page, `${server.url}${TUESDAY}`);
	await page.locator('.block').filter({ hasText: 'Two-touch squares' }).first().click();
	await page.keyboard.press(']');
	await page.getByLabel('Minutes [ ]').fill('17');
	await saved(page);
	await expect(page.getByLabel('Minutes [ ]')).toHaveValue('17');
	await page.keyboard.press('Tab');
	expect(await figure(page, 'minutes planned')).toBe('97 of 90');
});

test('edits made while the server is away are kept over a reload and sent when it is back', async ({
	page,
	server
}) => {
	await open(page, `${server.url}${TUESDAY}`);
	await page.keyboard.press('j');
	await server.stop('SIGKILL');
	await page.keyboard.press(']');
	await expect(page.getByRole('status')).toContainText('the server does not answer');
	expect(await figure(page, 'minutes planned')).toBe('91 of 90');
	const again = await startServer(server.directory, server.port);
	try {
		await open(page);
		await saved(page);
		await open(page);
		expect(await figure(page, 'minutes planned')).toBe('91 of 90');
	} finally {
		await again.stop('SIGKILL');
	}
});

test('everything goes out as a file and comes back, by the interface and by the command line', async ({
	page,
	server
}, info) => {
	await open(page, `${server.url}/data`);
	const download = page.waitForEvent('download');
	await page.getByRole('link', { name: 'Download everything' }).click();
	const file = info.outputPath('all.zip');
	await (await download).saveAs(file);
	await page.locator('input[type=file]').setInputFiles(file);
	await page.getByRole('button', { name: 'Import' }).click();
	await expect(page.getByText(/the team “.*” is here already; nothing was imported/)).toBeVisible();

	const cli = (args: string[], data: string) =>
		spawnSync('npm', ['run', '-s', 'fieldplan', '--', ...args], {
			encoding: 'utf8',
			env: { ...process.env, FIELDPLAN_DATA: data }
		});
	const busy = cli(['export', file], server.directory);
	expect([busy.status, JSON.parse(busy.stdout).error.message]).toEqual([
		2,
		expect.stringContaining('in use by process')
	]);
	await server.stop();
	const again = info.outputPath('again.zip');
	expect(cli(['export', again], server.directory).status).toBe(0);
	expect(readFileSync(again).equals(readFileSync(file))).toBe(true);
	const fresh = info.outputPath('fresh');
	expect(JSON.parse(cli(['import', again], fresh).stdout)).toEqual({
		imported: { teams: 3, practices: 68 }
	});
	expect(cli(['import', again], fresh).status).toBe(2);
});

test('the command line answers on the built data formats', () => {
	const input = JSON.stringify({
		minutes: 20,
		periods: [{ id: 'a', min: 5, ideal: 10, max: 15, rank: 'must' }]
	});
	const printed = execFileSync('npm', ['run', '-s', 'fieldplan', '--', 'fit', '-'], {
		input,
		encoding: 'utf8'
	});
	expect(JSON.parse(printed)).toEqual({ minutes: { a: 15 }, dropped: [], spare: 5 });
});
