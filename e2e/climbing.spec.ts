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
});
