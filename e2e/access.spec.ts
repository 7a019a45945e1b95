import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { expect, open, test, TUESDAY } from './fixtures';

/** No violation that axe calls serious or critical; colours are the same on a phone and looked at once. */
async function expectAccessible(page: Page, { colours }: { colours: boolean } = { colours: true }) {
	const axe = new AxeBuilder({ page }).options({
		resultTypes: ['violations'],
		...(!colours && { rules: { 'color-contrast': { enabled: false } } })
	});
	const { violations } = await axe.analyze();
	const grave = violations.filter(({ impact }) => impact === 'serious' || impact === 'critical');
	expect(grave.map(({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html).join(' ')}`)).toEqual(
		[]
	);
}

/** Selects a block and opens a dialog of its period. */
async function openFor(page: Page, block: string, button: string) {
	await page.locator('.block').filter({ hasText: block }).first().click();
	await page.getByRole('button', { name: button, exact: true }).click();
	await expect(page.getByRole('dialog')).toBeVisible();
}

/** Opens a state of a screen that axe is to look at. */
const screens: [string, string, (page: Page) => Promise<void>][] = [
	['season', '/saltmarsh/season', async () => {}],
	[
		'a cell of the season',
		'/skerryside/season?unit=rucks',
		async (page) =>
			page
				.getByRole('button', { name: /week 5: \d/ })
				.first()
				.click()
	],
	[
		'a plan of the season',
		'/skerryside/plan',
		async (page) => {
			await page.getByRole('button', { name: /^Plan the/ }).click();
			await page.getByRole('button', { name: 'Stop here' }).click();
			await expect(page.getByRole('button', { name: 'Use this plan' })).toBeVisible();
		}
	],
	['calendar', '/saltmarsh/calendar', async () => {}],
	[
		'a practice of the calendar',
		'/saltmarsh/calendar?week=6',
		async (page) =>
			page
				.getByRole('button', { name: /^Practice, Tuesday 6/ })
				.first()
				.click()
	],
	['games from a file', '/saltmarsh/calendar/games', async () => {}],
	['fix list', '/saltmarsh/fixes', async (page) => page.getByText('Fixed, 1').click()],
	['game week', '/saltmarsh/game-week', async () => {}],
	['a scene', '/saltmarsh/scenes/late-runner?list=fixes', async () => {}],
	[
		'starts on the board',
		'/saltmarsh/practices/2027-04-15',
		async (page) => {
			await page.getByRole('button', { name: 'Next: Orrin Quay' }).click();
			await expect(page.getByRole('button', { name: 'Add the talk' })).toBeVisible();
		}
	],
	['dates', '/saltmarsh/dates', async () => {}],
	['targets', '/saltmarsh/targets', async () => {}],
	['ladders', '/skerryside/ladders', async () => {}],
	['practices', '/saltmarsh/practices', async () => {}],
	['new practice', '/saltmarsh/practices/new', async () => {}],
	['templates', '/saltmarsh/practices/templates', async () => {}],
	['squad', '/saltmarsh/squad', async () => {}],
	['squad as a table file', '/saltmarsh/squad/table', async () => {}],
	['a player', '/saltmarsh/squad/p15', async () => {}],
	['attendance', '/saltmarsh/attendance?week=5', async () => {}],
	[
		'who worked with whom',
		'/saltmarsh/together',
		async (page) => page.getByRole('img', { name: /Who has worked/ }).focus()
	],
	['adults', '/saltmarsh/adults', async () => {}],
	['ground', '/saltmarsh/ground', async () => {}],
	[
		'a zone',
		'/saltmarsh/ground',
		async (page) => page.getByRole('button', { name: /^Zone Strip,/ }).click()
	],
	['shelf', '/saltmarsh/drills', async () => {}],
	['a drill', '/saltmarsh/drills/channel-duel', async () => {}],
	['a new drill', '/saltmarsh/drills/new', async () => {}],
	['a drill that is edited', '/saltmarsh/drills/channel-duel/edit', async () => {}],
	[
		'a rung that is edited',
		'/saltmarsh/drills/channel-duel/edit',
		async (page) => {
			await page.getByRole('button', { name: 'Recover behind' }).click();
			await page.getByRole('button', { name: 'Moves after a turn' }).click();
			await page.getByRole('button', { name: /^Spot left/ }).click();
		}
	],
	['drills as files', '/saltmarsh/drills/files', async () => {}],
	['a drill of many', '/skerryside/drills/bag-and-chase', async () => {}],
	['kit', '/saltmarsh/kit', async () => {}],
	['words', '/saltmarsh/words', async () => {}],
	['limits', '/saltmarsh/limits', async () => {}],
	['teams', '/teams', async () => {}],
	['new team', '/teams/new', async () => {}],
	[
		'removing a team',
		'/teams',
		async (page) =>
			page
				.getByRole('button', { name: /^Remove/ })
				.first()
				.click()
	],
	['data', '/data', async () => {}],
	['board', TUESDAY, async () => {}],
	['board with a period', TUESDAY, async (page) => page.locator('.block').nth(2).click()],
	[
		'board as a table',
		TUESDAY,
		async (page) => page.getByRole('button', { name: 'As a table' }).click()
	],
	[
		'stations',
		TUESDAY,
		async (page) => {
			await page.locator('.block').nth(2).click();
			await page.keyboard.press('s');
			await expect(page.getByRole('dialog')).toBeVisible();
		}
	],
	['groups', TUESDAY, (page) => openFor(page, 'Channel duel', 'Groups')],
	['rotation', TUESDAY, (page) => openFor(page, 'Channel duel', 'Rotation')],
	['line-up', TUESDAY, (page) => openFor(page, 'Eight a side', 'Line-up')],
	['people', TUESDAY, async (page) => page.getByRole('button', { name: 'players here' }).click()],
	[
		'another practice',
		TUESDAY,
		async (page) => page.getByRole('button', { name: '+ Borrow' }).click()
	],
	['keys', TUESDAY, async (page) => page.getByRole('button', { name: 'Keys' }).click()],
	['board by player', TUESDAY, async (page) => page.keyboard.press('4')],
	['sheet', `${TUESDAY}/paper`, async () => {}],
	[
		'sheet with drawings',
		`${TUESDAY}/paper`,
		async (page) => page.getByText('with drawings').click()
	]
];

const WIDTHS = [1280, 390];
/** The screens are dealt out to so many tests, which run beside one another. */
const TESTS = 4;

test.describe('every screen passes axe and does not scroll sideways', () => {
	test.describe.configure({ mode: 'parallel' });
	for (let first = 0; first < TESTS; first += 1) {
		const some = screens.filter((_, index) => index % TESTS === first);
		test(`${some[0][0]} and ${some.length - 1} more`, async ({ page, server }) => {
			test.setTimeout(600_000);
			for (const [name, path, reach] of some)
				for (const width of WIDTHS)
					await test.step(`${name} at ${width}`, async () => {
						await page.setViewportSize({ width, height: 844 });
						await open(page, `${server.url}${path}`);
						await reach(page);
						// Carbon's dialogs fade in: colours are not theirs before.
						await page.waitForTimeout(300);
						// The board is laid out anew on a phone; elsewhere the same things stand in another order.
						const isWide = width === WIDTHS[0];
						if (isWide || path === TUESDAY) await expectAccessible(page, { colours: isWide });
						const isWider = await page.evaluate(
							() => document.documentElement.scrollWidth > innerWidth + 1
						);
						expect(isWider, `${name} scrolls sideways at ${width}`).toBe(false);
					});
		});
	}
});

test('the board works by keyboard alone', async ({ page, server }) => {
	await open(page, `${server.url}${TUESDAY}`);
	await page.keyboard.press('/');
	await page.keyboard.type('rebound');
	await expect(page.getByRole('region', { name: 'Shelf' }).getByRole('listitem')).toHaveCount(1);
	await page
		.getByRole('region', { name: 'Shelf' })
		.getByRole('button', { name: /^Rebound rally/ })
		.focus();
	await page.keyboard.press('Enter');
	await expect(page.getByRole('button', { name: 'Rebound rally, 10 minutes' })).toBeVisible();
	await page.keyboard.press('Escape');
	await page.keyboard.press('j');
	await expect(page.getByRole('heading', { name: 'Warm-up' })).toBeVisible();
	await page.keyboard.press('Alt+ArrowDown');
	await expect(page.getByText(/is hard work|To fix/).first()).toBeVisible();
	await page.keyboard.press('Control+z');
	await page.keyboard.press('Control+z');
	await page.keyboard.press('Escape');
	for (let k = 0; k < 4; k += 1) await page.keyboard.press('j');
	await page.keyboard.press('Alt+ArrowLeft');
	await expect(page.getByRole('alert')).toHaveText('Move Channel duel to zone Strip');
	await page.keyboard.press('Control+z');
	await page.keyboard.press('d');
	await page.keyboard.press('l');
	await expect(page.getByRole('button', { name: 'Unlock minutes' })).toBeVisible();
	await page.keyboard.press('Control+z');
	await page.keyboard.press('Control+z');
	await expect(page.getByText('To fix: 9')).toBeVisible();
	await page.keyboard.press('?');
	await expect(page.getByRole('dialog')).toContainText('now-line a minute back, forward');
	await page.keyboard.press('Escape');
	await expect(page.getByRole('dialog')).toBeHidden();
});
