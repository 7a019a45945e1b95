import { addDays } from '../src/core/conditions';
import { expect, figure, open, saved, test, TUESDAY } from './fixtures';

/** A calendar file with events. */
const calendarFile = (...events: string[][]) => ({
	name: 'games.ics',
	mimeType: 'text/calendar',
	buffer: Buffer.from(
		[
			'BEGIN:VCALENDAR',
			'VERSION:2.0',
			'PRODID:-//League//EN',
			...events.flatMap((lines) => ['BEGIN:VEVENT', ...lines, 'END:VEVENT']),
			'END:VCALENDAR'
		].join('\r\n')
	)
});

test('a season is made from nothing in at most 40 actions: usual days, phases, targets, a game from a file', async ({
	page,
	server
}) => {
	let actions = 0;
	/** One click, key or filled field. */
	const act = async (...deeds: (() => Promise<unknown>)[]) => {
		for (const deed of deeds) {
			actions += 1;
			await deed();
		}
	};
	const press = (name: string | RegExp) => () => page.getByRole('button', { name }).click();
	const follow = (name: string) => () =>
		page.getByRole('link', { name, exact: true }).first().click();
	const type = (words: string) => () => page.keyboard.type(words);
	const fill = (id: string, value: string) => () => page.locator(`#${id}`).fill(value);

	await open(page, `${server.url}/teams/new`);
	await act(
		() => page.getByLabel('Name', { exact: true }).fill('Gullwing Lane'),
		() => page.getByLabel('Sport', { exact: true }).selectOption({ label: 'Field hockey' }),
		() => page.getByLabel('Head coach').fill('Ines Marlow'),
		() => page.getByLabel(/^Players, one per line/).fill('Ada Fenn\nBo Quill\nCy Marsh\nDot Reef'),
		press('Create team')
	);
	await act(follow('Season'), follow('Dates'));
	const first = await page.getByLabel('First day', { exact: true }).first().inputValue();
	const last = addDays(first, 7 * Number(await page.getByLabel('Weeks').first().inputValue()) - 1);
	await act(press('Add a phase'), type('Start'));
	await act(fill('new-phases-1-firstDay', first), fill('new-phases-1-lastDay', addDays(first, 27)));
	await act(press('Add a phase'), type('Games'));
	await act(fill('new-phases-2-firstDay', addDays(first, 28)), fill('new-phases-2-lastDay', last));
	await act(
		press('Add a usual time'),
		() => page.getByLabel('Tuesday').check(),
		() => page.getByLabel('Thursday').check(),
		fill('new-patterns-1-place', 'Lane Field')
	);
	await act(press('Save'));
	await act(press(/^Make \d+ practices$/));
	await expect(page.getByRole('button', { name: /^Practice, / }).first()).toBeVisible();

	const game = addDays(first, 33);
	await act(follow('Import games'));
	const event = ['UID:g1', 'SUMMARY:Gullwing Lane v Orrin Quay'];
	await act(() =>
		page
			.getByLabel('Calendar file')
			.setInputFiles(calendarFile([...event, `DTSTART:${game.replaceAll('-', '')}T103000`]))
	);
	await act(press('Look at the file'));
	await expect(page.getByLabel(/^Opponent on/)).toHaveValue('Orrin Quay');
	await act(press('Import 1 game'));
	await expect(page.getByText('1 game was imported.')).toBeVisible();

	await act(follow('Targets'), press('Fill from the usual shares'), press('Save targets'));
	await expect(page.getByText('Saved.', { exact: true })).toBeVisible();
	await expect(page.getByText(/^asks \d+ of \d+ min$/)).toHaveCount(2);

	await act(follow('Season'), () => page.locator('nav.pages a', { hasText: 'Season' }).click());
	await expect(page.getByRole('link', { name: /^Game: Orrin Quay/ })).toBeVisible();
	await expect(page.getByRole('link', { name: /^Nothing planned yet:/ }).first()).toBeVisible();
	console.log(`A season from nothing took ${actions} actions`);
	expect(actions).toBeLessThanOrEqual(40);
});

test('the cloth is read by keyboard, by unit, by player and as a table; a cell opens its practices', async ({
	page,
	server
}) => {
	await open(page, `${server.url}/saltmarsh/season`);
	await expect(page.getByText('10 of 25')).toBeVisible();
	const cell = page.getByRole('button', { name: /^Passing, week 5: [1-9]\d* min done/ });
	const ofSquad = (await cell.getAttribute('aria-label')) ?? '';
	await page.getByRole('button', { name: /^Passing, week 1:/ }).focus();
	for (let k = 0; k < 4; k += 1) await page.keyboard.press('ArrowRight');
	await expect(cell).toBeFocused();
	await page.keyboard.press('Enter');
	const panel = page.getByRole('complementary', { name: 'Passing, week 5' });
	await expect(panel.getByRole('link')).toHaveText([
		'Tuesday 30 March, 18:30',
		'Thursday 1 April, 18:30'
	]);
	await page.keyboard.press('Escape');
	await expect(panel).toBeHidden();

	await page.getByLabel('Look at').selectOption('unit forwards');
	await expect(
		page.getByRole('button', { name: /^First touch into space, Forwards, week 2/ })
	).toBeVisible();
	await expect(page.getByRole('button', { name: /, Backs, week 2/ })).toHaveCount(0);
	await page.getByLabel('Look at').selectOption({ label: 'Mirja Tolhurst' });
	await expect(page).toHaveURL(/player=p13/);
	await expect(cell).toBeVisible();
	await expect(page.getByRole('button', { name: ofSquad, exact: true })).toHaveCount(0);
	await page.getByLabel('Look at').selectOption('');
	await page.getByLabel('Order').selectOption('owed');
	await expect(page.locator('tbody th').first()).toHaveText('Finishing');
	await page.getByRole('button', { name: 'As a table' }).click();
	await expect(page.getByRole('row', { name: /^Finishing/ }).first()).toContainText('(−');
});

test('what is due is pushed off, to a day and up, and stays so', async ({ page, server }) => {
	await open(page, `${server.url}/saltmarsh/season`);
	const due = page.locator('section', { hasText: 'Due on Tuesday 6 April' });
	await expect(due.locator('li').first()).toContainText(
		'owes 53 of 67 min · main skill 12 days ago'
	);
	await page.getByRole('button', { name: 'Change: Finishing', exact: true }).click();
	await page.getByRole('button', { name: 'Not now' }).click();
	await expect(due.locator('ol').last()).toContainText('Finishing');
	await page.getByRole('button', { name: 'Change: Carrying' }).click();
	await page.getByRole('button', { name: 'First of all' }).click();
	await expect(due.locator('li').first()).toContainText('Carrying');
	await open(page);
	await expect(due.locator('li').first()).toContainText('pushed up');
	await page.getByRole('button', { name: 'Change: Finishing', exact: true }).click();
	await page.getByRole('button', { name: 'Back to the order by numbers' }).click();
	await expect(due.locator('ol').first()).toContainText('Finishing');
});

test('the calendar moves by keys and by drag, takes it back, cancels and calls back', async ({
	page,
	server
}) => {
	await open(page, `${server.url}/saltmarsh/calendar`);
	const on = (day: string) => page.getByRole('button', { name: new RegExp(`, ${day}, `) });
	await on('Thursday 8 April').focus();
	await page.keyboard.press('Shift+ArrowRight');
	await expect(on('Friday 9 April')).toBeFocused();
	await page.getByRole('button', { name: 'Undo' }).click();
	await expect(on('Thursday 8 April')).toBeVisible();
	await expect(on('Friday 9 April')).toHaveCount(0);

	const from = await on('Tuesday 13 April').boundingBox();
	const to = await page.locator('[data-day="2027-04-14"]').boundingBox();
	if (!from || !to) throw new Error('no calendar');
	await page.mouse.move(from.x + 20, from.y + 10);
	await page.mouse.down();
	await page.mouse.move(to.x + 40, to.y + 30, { steps: 6 });
	await page.mouse.up();
	await expect(on('Wednesday 14 April')).toBeVisible();

	await on('Thursday 15 April').click();
	await page.getByLabel('Reason').fill('Pitch frozen');
	await page.getByRole('button', { name: 'Cancel practice' }).click();
	await expect(page.getByText('Cancelled: Pitch frozen')).toBeVisible();
	await page.getByRole('button', { name: 'Call it back' }).click();
	await expect(page.getByRole('button', { name: 'Cancel practice' })).toBeVisible();
	await page.getByRole('button', { name: 'Close' }).click();
	await on('Tuesday 6 April').click();
	await page.getByRole('button', { name: 'It was held as planned' }).click();
	await expect(page.getByRole('button', { name: 'It was not held' })).toBeVisible();
	await page.getByRole('link', { name: 'Season', exact: true }).nth(1).click();
	await expect(page.getByText('11 of 25')).toBeVisible();
	const file = await page.request.get(`${server.url}/saltmarsh/calendar/file`);
	expect(file.headers()['content-type']).toContain('text/calendar');
	expect(await file.text()).toContain('DTSTART;TZID=Europe/London:20270414T183000');
});

test('a file that is no calendar is refused with a reason, one that is there is known', async ({
	page,
	server
}) => {
	await open(page, `${server.url}/saltmarsh/calendar/games`);
	const look = async (file: { name: string; mimeType: string; buffer: Buffer }) => {
		await page.getByLabel('Calendar file').setInputFiles(file);
		await page.getByRole('button', { name: 'Look at the file' }).click();
	};
	const plain = { name: 'games.ics', mimeType: 'text/plain' };
	await look({ ...plain, buffer: Buffer.from('hello') });
	await expect(page.getByText(/is not a calendar file/)).toBeVisible();
	await look({ ...plain, buffer: Buffer.alloc(10_000_000, 'BEGIN:VCALENDAR\n') });
	await expect(page.getByText(/is larger than 2 MB/)).toBeVisible();
	const game = ['UID:g1', 'SUMMARY:Saltmarsh v Fennel Spit', 'DTSTART:20270410T093000Z'];
	await look(calendarFile(game, ['UID:g2', 'SUMMARY:Next year', 'DTSTART:20280410T093000Z']));
	await expect(page.getByText('1 event lies outside the season and is left out.')).toBeVisible();
	await page.getByRole('button', { name: 'Import 1 game' }).click();
	await expect(page.getByText('1 game was imported.')).toBeVisible();
	await look(calendarFile(game));
	await expect(page.getByText('already there, the same')).toBeVisible();
	await expect(page.getByRole('button', { name: 'Import games' })).toBeDisabled();
});

test('tries that are counted move a ladder, and a coach decides otherwise', async ({
	page,
	server
}) => {
	await open(page, `${server.url}/saltmarsh/ladders?practice=2027-04-01`);
	const ladder = page.locator('li', { has: page.getByRole('link', { name: 'Shrinking harbour' }) });
	await expect(ladder.first()).toContainText('not counted yet');
	const row = (what: string) => page.getByLabel(new RegExp(`^${what} of Shrinking harbour$`));
	await row('Clean').fill('12');
	await row('Tries').fill('10');
	await page.getByRole('button', { name: 'Save tries' }).click();
	await expect(page.getByText('are more than the 10 tries')).toBeVisible();
	await row('Clean').fill('10');
	await page.getByRole('button', { name: 'Save tries' }).click();
	await expect(ladder.first()).toContainText('10 of 10: step up to Three hunt');
	await ladder.first().getByRole('button', { name: 'Decide otherwise' }).click();
	await ladder.first().getByLabel('Stay').check();
	await ladder.first().getByLabel('Why').fill('Half of them were missing');
	await ladder.first().getByRole('button', { name: 'Keep the decision' }).click();
	await expect(ladder.first()).toContainText('stay, though the tries advised to step up');
	await open(page);
	await ladder.first().getByRole('button', { name: 'Take it back' }).click();
	await expect(ladder.first()).not.toContainText('though the tries advised');
});

test('the board makes what is due with Enter, and starts late in one step', async ({
	page,
	server
}) => {
	await open(page, `${server.url}${TUESDAY}`);
	const due = page.getByRole('region', { name: 'Due' });
	await expect(due).toContainText('Passing: 18 of 8 min, from Two-touch squares');
	const finishing = due.getByRole('button', { name: /^Finishing: put Loose-ball hunters/ });
	await finishing.focus();
	await page.keyboard.press('Enter');
	await expect(page.getByRole('button', { name: 'Loose-ball hunters, 15 minutes' })).toBeVisible();
	await saved(page);
	await page.keyboard.press('Control+z');
	await expect(page.getByRole('button', { name: 'Loose-ball hunters, 15 minutes' })).toBeHidden();

	await page.getByRole('button', { name: '18:30 to 20:00, Estuary Ground' }).click();
	await page.getByRole('button', { name: 'Start late, keep the end' }).click();
	await page.getByLabel('Minutes that it starts late').fill('15');
	const changes = page.getByRole('region', { name: 'What changes' });
	await expect(changes).toContainText('Starts at 18:45, 75 minutes are left.');
	await expect(changes.getByRole('listitem').filter({ hasText: 'Unit time' })).toContainText(
		'16 → 12 min'
	);
	await page.getByRole('button', { name: 'Arrange for 22 players and 5 adults' }).click();
	await expect(page.getByRole('button', { name: '18:45 to 20:00, Estuary Ground' })).toBeVisible();
	expect(await figure(page, 'minutes planned')).toBe('75 of 75');
	await saved(page);
	await page.keyboard.press('Control+z');
	await expect(page.getByRole('button', { name: '18:30 to 20:00, Estuary Ground' })).toBeVisible();
	expect(await figure(page, 'minutes planned')).toBe('90 of 90');
});
