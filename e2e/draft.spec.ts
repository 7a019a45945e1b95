import type { Period } from '../src/core/model/practice';
import { expect, figure, open, saved, test } from './fixtures';

/** What a press of the button, a key or a field counts. */
function counter() {
	let actions = 0;
	return {
		act: async (...deeds: (() => Promise<unknown>)[]) => {
			for (const deed of deeds) {
				actions += 1;
				await deed();
			}
		},
		count: () => actions
	};
}

/** Stations that a whole squad goes through. */
const STATIONS: Record<string, number> = { saltmarsh: 4, 'harbour-minis': 3 };

const TEAMS = [
	{ team: 'saltmarsh', stations: true, unitTime: false },
	{ team: 'harbour-minis', stations: true, unitTime: false },
	{ team: 'skerryside', stations: false, unitTime: true }
];

for (const { team, stations, unitTime } of TEAMS)
	test(`a new practice of ${team} is drafted and printed in at most 15 actions`, async ({
		page,
		server
	}) => {
		const { act, count } = counter();
		await open(page, `${server.url}/${team}/practices/new`);
		await act(
			() => page.getByLabel('Date').fill('2027-06-24'),
			() => page.getByRole('button', { name: 'Create practice' }).click()
		);
		await expect(page.getByRole('heading', { name: 'Thursday 24 June' })).toBeVisible();
		const practiceUrl = page.url();
		await act(() => page.getByRole('button', { name: 'Draft', exact: true }).click());
		const dialog = page.getByRole('dialog', { name: 'Draft this practice' });
		await expect(dialog.getByRole('article').first()).toBeVisible();
		if (unitTime) await act(() => dialog.getByText('Time by unit').click());
		if (stations)
			await act(() => dialog.getByLabel('Stations', { exact: true }).selectOption('with'));
		await act(() => dialog.getByRole('button', { name: 'Draft again' }).click());
		await expect(dialog.locator('.drafts')).toHaveAttribute('aria-busy', 'false', {
			timeout: 60_000
		});
		if (unitTime) await expect(dialog.getByText('by themselves').first()).toBeVisible();
		await act(() => dialog.getByRole('button', { name: 'Use draft 1' }).click());
		await expect(dialog).toBeHidden();
		await saved(page);
		const [planned, minutes] = (await figure(page, 'minutes planned')).split(' of ').map(Number);
		expect(planned).toBe(minutes);
		expect(await figure(page, 'to fix')).toMatch(/^0 /);
		await act(() => page.getByRole('link', { name: 'Print', exact: true }).click());
		await expect(page.getByRole('heading', { name: /Thursday 24 June/ })).toBeVisible();
		const { periods } = await (await page.request.get(`${practiceUrl}/document`)).json();
		expect(periods.some((period: Period) => period.kind === 'scrimmage')).toBe(true);
		if (stations) {
			const round = periods.find((period: Period) => period.kind === 'stations') as Period;
			// Those that groups go through; a keeper may have a lane beside them.
			expect(round.groups?.length).toBe(STATIONS[team]);
			// The youngest have an adult at each.
			if (team === 'harbour-minis')
				for (const { blocks } of round.lanes)
					for (const { copies } of blocks)
						for (const copy of copies) expect(copy.adults.length).toBeGreaterThan(0);
		}
		console.log(`A practice of ${team} was drafted and printed with ${count()} actions`);
		expect(count()).toBeLessThanOrEqual(15);
	});

test('what is ticked stays while the rest is drafted again, and a draft is one step of undo', async ({
	page,
	server
}) => {
	await open(page, `${server.url}/saltmarsh/practices/2027-04-27`);
	await page.getByRole('button', { name: 'Draft', exact: true }).click();
	const dialog = page.getByRole('dialog', { name: 'Draft this practice' });
	await expect(dialog.getByRole('article')).toHaveCount(3);
	await expect(dialog.locator('.drafts')).toHaveAttribute('aria-busy', 'false', {
		timeout: 60_000
	});
	// Where play comes first the kept game is the last of them.
	const game = dialog
		.getByRole('article')
		.first()
		.getByRole('checkbox', { name: 'Keep Eight a side' })
		.last();
	await game.check();
	await dialog.getByLabel('Built as').selectOption('play-first');
	await dialog.getByRole('button', { name: 'Draft the rest again' }).click();
	await expect(dialog.locator('.drafts')).toHaveAttribute('aria-busy', 'false', {
		timeout: 60_000
	});
	await expect(game).toBeChecked();
	await dialog.getByRole('button', { name: 'Use draft 1' }).click();
	await saved(page);
	expect(await figure(page, 'minutes planned')).toMatch(/^90 of 90$/);
	await page.getByRole('button', { name: 'Undo', exact: true }).click();
	await saved(page);
	expect(await figure(page, 'minutes planned')).toMatch(/^0 of 90$/);
});
