import { readFileSync } from 'node:fs';
import { expect, open, saved, test, TUESDAY } from './fixtures';

test('a block climbs by turns with the end that changes, and a copy goes its own way; the sheet says both', async ({
	page,
	server
}) => {
	await open(page, `${server.url}${TUESDAY}`);
	await page.locator('.block').filter({ hasText: 'Two-touch squares' }).first().click();
	const panel = page.getByRole('region', { name: 'Selected period' });
	await panel.getByLabel('Steps end by').selectOption('turns');
	await panel.getByLabel('Turns of step 2').fill('2');
	await panel.getByLabel('Turns of step 2').press('Enter');
	await panel.getByLabel('Side of step 1').selectOption('clockwise');
	await panel.getByLabel('Side of step 2').selectOption('anticlockwise');
	await panel.getByText('Copy 2 has steps of its own').click();
	const own = panel.locator('fieldset').filter({ hasText: 'Steps of the climb' }).nth(1);
	await own.getByRole('button', { name: 'Remove step 2' }).click();
	await saved(page);
	const url = `${server.url}/saltmarsh/practices/2027-04-06/document`;
	const practice = await (await page.request.get(url)).json();
	const squares = practice.periods.find(({ id }: { id: string }) => id === 'squares');
	const [block] = squares.lanes[0].blocks;
	expect(block.climb).toEqual([
		{ turns: 4, side: 'clockwise' },
		{ rung: 'one-touch', turns: 2, side: 'anticlockwise' }
	]);
	expect(block.copies[1].climb).toEqual([{ turns: 4, side: 'clockwise' }]);
	await page.getByRole('button', { name: 'Undo' }).click();
	await page.getByRole('button', { name: 'Redo' }).click();
	await open(page, `${server.url}/saltmarsh/practices/2027-04-06/paper`);
	await expect(page.getByText(/for 4 turns, clockwise, then One touch/).first()).toBeVisible();
	await expect(page.getByText(/copy 2: as it is for 4 turns/).first()).toBeVisible();
});

test('three units work side by side, one with a second drill behind the first, and all come back to a talk', async ({
	page,
	server
}) => {
	await open(page, `${server.url}${TUESDAY}`);
	await page.getByRole('button', { name: '+ Units' }).click();
	const panel = page.getByRole('region', { name: 'Selected period' });
	for (const [unit, drill] of [
		['Backs', 'Tackle gate'],
		['Midfield', 'Mooring line'],
		['Forwards', 'Shooting arc']
	]) {
		await panel.getByLabel('Unit', { exact: true }).selectOption({ label: unit });
		await panel.getByLabel('Drill to run beside it').selectOption({ label: drill });
		await panel.getByRole('button', { name: 'Add beside' }).click();
	}
	await page.locator('.block').filter({ hasText: 'Shooting arc' }).last().click();
	await panel.getByLabel('Drill after this one').selectOption({ label: 'Rebound rally' });
	await panel.getByLabel('Unit of this lane').selectOption({ label: 'Forwards' });
	await panel.getByRole('button', { name: 'Shelf' }).click();
	await page.getByRole('button', { name: '+ Talk' }).click();
	await page.locator('.period').filter({ hasText: 'Talk' }).last().click();
	await panel.getByLabel('Where it is held').selectOption({ label: 'E' });
	await panel.getByLabel('Players look to').selectOption({ label: 'north' });
	await panel.getByText('Kind and limits of its minutes').click();
	await panel.getByLabel('When time is short').selectOption({ label: 'could go' });
	await saved(page);
	const url = `${server.url}/saltmarsh/practices/2027-04-06/document`;
	const practice = await (await page.request.get(url)).json();
	const [units, talk] = practice.periods.slice(-2);
	expect(units.kind).toBe('units');
	expect(units.lanes.map(({ unit }: { unit: string }) => unit)).toEqual([
		'backs',
		'midfield',
		'forwards'
	]);
	expect(units.lanes[2].blocks.map(({ minutes }: { minutes: number }) => minutes)).toEqual([
		10, 10
	]);
	expect(talk).toMatchObject({ kind: 'talk', zoneId: 'e', facing: 0, rank: 'could' });
	await open(page, `${server.url}${TUESDAY}/paper`);
	await expect(page.getByText('in E, players look north')).toBeVisible();
});

test('the loser of a drill stays, a pitch counts, and a practice stops at the cap until it is mended', async ({
	page,
	server
}) => {
	// A turn of the drill costs two pitches, and after four turns in ten the thrower plays on.
	await open(page, `${server.url}/saltmarsh/drills/rebound-rally/edit`);
	await page.getByLabel('Turns that end otherwise').fill('40');
	await page.getByLabel('Turns that end otherwise').press('Enter');
	await page.getByLabel('Otherwise (none: plays on) of trap').selectOption('trap');
	await page.getByRole('button', { name: 'Add what a turn costs a body' }).click();
	await page.getByLabel('Costs a body').fill('pitches');
	await page.getByLabel('A turn of pitches').fill('2');
	await page.getByLabel('On spots of pitches').fill('strike');
	await page.getByRole('button', { name: 'Save the drill' }).click();
	await expect(
		page.getByText(
			'About 40% of the turns end otherwise: trap goes to the back of the line, strike plays on.'
		)
	).toBeVisible();
	await expect(page.getByText('2 pitches (strike)')).toBeVisible();

	await open(page, `${server.url}/saltmarsh/limits`);
	await page.getByRole('button', { name: 'Add a cap' }).click();
	await page.getByLabel('What is counted').fill('pitches');
	await page.getByLabel('Most a day').fill('30');
	await page.getByRole('button', { name: 'Save the limits' }).click();
	await expect(page.getByText('Saved.', { exact: true })).toBeVisible();

	await open(page, `${server.url}${TUESDAY}`);
	await page.getByRole('searchbox', { name: 'Find a drill' }).fill('rebound');
	await page
		.getByRole('button', { name: /^Rebound rally/ })
		.first()
		.click();
	const finding = page
		.getByRole('region', { name: 'To fix' })
		.getByRole('listitem')
		.filter({ hasText: /up to \d+ pitches today; the limit is 30/ });
	await expect(finding).toContainText('Rebound rally');
	await finding
		.getByRole('button', { name: /minutes/ })
		.first()
		.click();
	await expect(finding).toHaveCount(0);
	await saved(page);
});

test('on a phone all of the panel can be reached', async ({ page, server }) => {
	await page.setViewportSize({ width: 390, height: 844 });
	await open(page, `${server.url}${TUESDAY}`);
	await page.locator('.block').filter({ hasText: 'Eight a side' }).first().click();
	await page.getByText('Lead, talk and notes').click();
	const note = page.getByLabel('Note on this block');
	await note.click();
	await expect(note).toBeInViewport();
	await note.fill('two touches in midfield');
	await note.blur();
	await saved(page);
});

test('the sheet of each next practice is one page, and goes on a second one where there is more', async ({
	page,
	server
}, info) => {
	const pagesOf = async (path: string) => {
		await page.goto(`${server.url}${path}/paper`);
		await expect(page.getByRole('article')).toBeVisible();
		const file = info.outputPath('sheet.pdf');
		await page.pdf({ path: file, preferCSSPageSize: true });
		return readFileSync(file, 'latin1').match(/\/Type\s*\/Page[^s]/g)?.length;
	};
	for (const path of [
		TUESDAY,
		'/harbour-minis/practices/harbour-minis-2027-04-07',
		'/skerryside/practices/skerryside-2027-04-06'
	])
		expect([path, await pagesOf(path)]).toEqual([path, 1]);
	await expect(page.getByText('everyone but').first()).toBeVisible();

	await open(page, `${server.url}${TUESDAY}`);
	for (const block of ['Eight a side', 'Two-touch squares', 'Tide lines']) {
		await page.locator('.block').filter({ hasText: block }).first().click();
		const note = page.getByLabel('Note on this block');
		if (!(await note.isVisible())) await page.getByText('Lead, talk and notes').click();
		await note.fill('the far side sees it before the near side does '.repeat(14));
		await note.blur();
		await saved(page);
	}
	expect(await pagesOf(TUESDAY)).toBe(2);
});

test('a build-up grows from two against one to six against five, four turns each, from alternating ends', async ({
	page,
	server
}) => {
	await open(page, `${server.url}/teams/new`);
	await page.getByLabel('Name', { exact: true }).fill('Heron Bay');
	await page.getByLabel('Sport').selectOption({ label: 'Field hockey' });
	await page.getByLabel('Head coach').fill('Ines Marlow');
	const players = Array.from({ length: 12 }, (_, k) => `${k + 1} Player ${'ABCDEFGHIJKL'[k]}`);
	await page.getByLabel(/^Players, one per line/).fill(players.join('\n'));
	await page.getByRole('button', { name: 'Create team' }).click();
	await page.getByRole('searchbox').fill('growing tide');
	await page
		.getByRole('region', { name: 'Shelf' })
		.getByRole('button', { name: /^Growing tide/ })
		.click();
	await page.locator('.block').filter({ hasText: 'Growing tide' }).first().click();
	const panel = page.getByRole('region', { name: 'Selected period' });
	await panel.getByLabel('Steps end by').selectOption('turns');
	await panel.getByRole('button', { name: 'Whole ladder' }).click();
	await saved(page);
	const document = await page.request.get(`${page.url()}/document`);
	const { periods } = await document.json();
	const [{ lanes }] = periods;
	expect(lanes[0].blocks[0].climb).toEqual([
		{ turns: 4 },
		...['3-2', '4-3', '5-4', '6-5'].map((rung) => ({ rung, turns: 4 }))
	]);
	await page.getByRole('link', { name: 'Print' }).click();
	const sheet = page.getByRole('article');
	await expect(sheet).toContainText(/as it is for 4 turns, then Three against two/);
	await expect(sheet).toContainText(/Six against five \(one more on either side\) for 4 turns/);
	await expect(sheet).toContainText('sides: from the west / from the east');
});
