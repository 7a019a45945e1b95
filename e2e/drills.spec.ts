import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { expect, open, test } from './fixtures';

/** The text of a file that pressing something saves. */
async function savedBy(page: Page, press: () => Promise<void>): Promise<string> {
	const [download] = await Promise.all([page.waitForEvent('download'), press()]);
	return readFileSync(await download.path(), 'utf8');
}

test('a drill is found by words and filters, and its page runs it', async ({ page, server }) => {
	await open(page, `${server.url}/saltmarsh/drills`);
	await expect(page.getByText('21 of 25 drills can run on Tuesday 6 April')).toBeVisible();
	// The choice says how many it leaves.
	const receiving = page.getByLabel('Skill and stage').getByRole('option', { name: /^Receiving/ });
	const count = /\((\d+)\)/.exec(await receiving.innerText())?.[1];
	await page.getByLabel('Skill and stage').selectOption('receiving');
	await expect(page.getByText(new RegExp(`\\d+ of ${count} drills can run`))).toBeVisible();
	await page.getByLabel('Words').fill('rebound');
	await expect(page.getByRole('main').getByRole('listitem').first()).toContainText('Rebound rally');
	await expect(
		page.getByText(/11 copies would give \d+ turns: rebound boards for 8 of 11/)
	).toBeVisible();
	await page.getByLabel('Words').fill('zebra');
	await expect(page.getByText('No drills match.')).toBeVisible();
	await page.getByRole('link', { name: 'Show all drills' }).click();
	await expect(page.getByText('21 of 25 drills can run')).toBeVisible();
	await page.getByLabel('Players here').fill('9');
	await page.getByLabel('Minutes').fill('8');
	await page.getByLabel('Ground free').selectOption('A');
	await expect(page.getByText(/\d+ of 25 drills can run on .* with 9 players/)).toBeVisible();
	await expect(page.getByText(/turns in 8 min/).first()).toBeVisible();
	await expect(page.getByText('9 players make no groups of 5 to 8').first()).toBeVisible();
	await page.getByLabel('only what can run').check();
	await expect(page.getByText('9 players make no groups')).toBeHidden();
	await open(page, `${server.url}/saltmarsh/drills`);
	await page.getByRole('link', { name: 'Channel duel' }).click();

	await expect(page.getByRole('heading', { name: 'Channel duel', level: 1 })).toBeVisible();
	await expect(page.getByText(/For 22 players here: 4 copies of 6 or 5/)).toBeVisible();
	const clock = page.getByRole('slider', { name: 'Second of the run' });
	const before = await clock.inputValue();
	await page.getByRole('button', { name: 'On a turn' }).click();
	expect(Number(await clock.inputValue())).toBeGreaterThan(Number(before));
	await page.getByRole('button', { name: 'Play' }).click();
	await expect
		.poll(async () => Number(await clock.inputValue()))
		.toBeGreaterThan(Number(before) + 16);
	await page.getByRole('button', { name: 'Stop' }).click();
	await page.getByRole('slider', { name: 'Players of a copy' }).press('ArrowRight');
	await expect(page.getByRole('img', { name: /^Channel duel, 7 players/ })).toBeVisible();
	await page.getByText('As a table').click();
	await expect(page.getByRole('row').filter({ hasText: 'here today' })).toHaveCount(2);
	await page.getByLabel('Rung').first().selectOption({ label: 'Climb through all rungs' });
	await expect(page.getByText('It does not run')).toBeHidden();
	await page.getByRole('link', { name: 'Tuesday 30 March' }).click();
	await expect(page.getByRole('heading', { name: 'Tuesday 30 March' })).toBeVisible();

	await open(page, `${server.url}/saltmarsh/drills/shooting-arc`);
	await expect(page.getByText('Side now: from the left')).toBeVisible();
	await clock.press('End');
	await expect(page.getByText('Side now: from the right')).toBeVisible();
});

test('a drill is archived: it leaves the shelf, and is found again to be restored', async ({
	page,
	server
}) => {
	await open(page, `${server.url}/saltmarsh/drills/long-and-lift`);
	await page.getByRole('button', { name: 'Archive' }).click();
	await expect(page.getByText('This drill is archived')).toBeVisible();
	await open(page, `${server.url}/saltmarsh/drills?words=long+lift`);
	await expect(page.getByText('Archived: Long and lift')).toBeVisible();
	await page.getByRole('link', { name: 'Long and lift' }).click();
	await page.getByRole('button', { name: 'Restore' }).click();
	await expect(page.getByRole('button', { name: 'Archive' })).toBeVisible();
});

test('drills go out as files and a drawing, and come in after what clashes is decided', async ({
	page,
	server
}) => {
	await open(page, `${server.url}/saltmarsh/drills/channel-duel`);
	const svg = await savedBy(page, () =>
		page.getByRole('button', { name: 'Save the drawing as SVG' }).click()
	);
	expect(svg).toContain('xmlns="http://www.w3.org/2000/svg"');
	expect(svg).not.toContain('var(--');
	const text = await savedBy(page, () =>
		page.getByRole('link', { name: 'The drill as a file' }).click()
	);
	const drill = JSON.parse(text);
	const file = (value: unknown) => ({
		name: 'drill.json',
		mimeType: 'application/json',
		buffer: Buffer.from(JSON.stringify(value))
	});
	await open(page, `${server.url}/saltmarsh/drills/files`);
	const input = page.getByLabel('A drill, or a zip of drills');
	const look = page.getByRole('button', { name: 'Look at the file' });
	await input.setInputFiles(file({ ...drill, effort: 99 }));
	await look.click();
	await expect(page.getByText('drill.json: effort expected 10 or less')).toBeVisible();
	await input.setInputFiles(file(drill));
	await look.click();
	await expect(page.getByText('channel-duel already here, unchanged')).toBeVisible();
	await expect(page.getByRole('button', { name: 'Import the drills' })).toBeHidden();
	await input.setInputFiles(file({ ...drill, name: 'Channel duel, wider' }));
	await look.click();
	await page
		.getByLabel('What becomes of Channel duel, wider')
		.selectOption('import it as a new revision');
	await page.getByRole('button', { name: 'Import the drills' }).click();
	await page.getByRole('link', { name: 'Channel duel, wider' }).click();
	await page.getByRole('link', { name: '1', exact: true }).click();
	await expect(page.getByRole('heading', { name: 'Channel duel', exact: true })).toBeVisible();
	await page.getByRole('link', { name: 'Restore this revision' }).click();
	await page.getByRole('button', { name: 'Save the drill' }).click();
	await expect(page.getByRole('heading', { name: 'Channel duel', exact: true })).toBeVisible();
	await expect(page.getByRole('link', { name: '3', exact: true })).toBeVisible();
});

test('a drill is made from nothing in few actions, and runs as it is drawn; it is edited and copied', async ({
	page,
	server
}) => {
	let actions = 0;
	const act = async (what: Promise<unknown>) => {
		actions += 1;
		await what;
	};
	await open(page, `${server.url}/saltmarsh/drills`);
	await act(page.getByRole('link', { name: 'New drill' }).click());
	await expect(page.getByText(/It balances\. With 4:/)).toBeVisible();
	await act(page.getByLabel('Name', { exact: true }).fill('Rope bridge'));
	await act(page.getByLabel('In a sentence').fill('Across, pass, and round to the back.'));
	await act(page.getByLabel('Skill', { exact: true }).selectOption('passing'));
	await act(page.getByRole('button', { name: 'Add a spot' }).click());
	await act(page.getByLabel('Spot', { exact: true }).nth(2).fill('guard'));
	await act(page.getByLabel('Role of guard').selectOption('opponent'));
	await expect(page.getByText(/It does not run yet/)).toBeVisible();
	await act(page.getByLabel('Fewest players').fill('3'));
	await act(page.getByLabel('Fewest players').press('Enter'));
	await expect(page.getByText(/It balances/)).toBeVisible();
	await act(page.getByLabel('Then goes to of work').selectOption('guard'));
	await expect(
		page.getByText(/does not run yet:\s+spot "feed" gives 1 a turn and gets back 0/)
	).toBeVisible();
	const spot = (name: string) => page.getByRole('button', { name: new RegExp(`^Spot ${name}`) });
	await act(page.getByRole('button', { name: 'Moves after a turn' }).click());
	await act(spot('guard').dragTo(spot('feed')));
	await expect(page.getByText(/It balances/)).toBeVisible();
	await act(page.getByRole('button', { name: 'Ball in flight' }).click());
	await act(spot('work').press('Enter'));
	await act(spot('feed').press('Enter'));
	await act(page.getByRole('button', { name: 'Place spots' }).click());
	await act(spot('guard').press('ArrowUp'));
	await expect(page.getByLabel('y, m of guard')).toHaveValue('4.5');
	await page.keyboard.press('Control+z');
	await expect(page.getByLabel('y, m of guard')).not.toHaveValue('4.5');
	await page.getByRole('button', { name: 'Redo' }).click();
	await expect(page.getByLabel('y, m of guard')).toHaveValue('4.5');
	await act(page.getByLabel('A turn lasts').fill('6'));
	await act(page.getByLabel('A turn lasts').press('Enter'));
	for (const [cue, spot] of [
		['eyes up', 'work'],
		['firm pass', 'feed']
	]) {
		await act(page.getByRole('button', { name: 'Add a cue' }).click());
		await act(page.getByLabel('Cue', { exact: true }).last().fill(cue));
		await act(page.getByLabel(`For of ${cue}`).selectOption(spot));
	}
	await act(page.getByLabel('Cautions').fill('room to swing\nroom to swing'));
	// A spot that is called otherwise takes its moves, ways and cues along.
	await act(page.getByLabel('Spot', { exact: true }).nth(1).fill('wall'));
	await act(page.getByRole('button', { name: 'Add a rung' }).click());
	await act(page.getByLabel('Name of the rung').fill('Quicker'));
	await act(page.getByLabel('Change something else on this rung').selectOption('A turn'));
	await act(page.getByLabel('Next starts after').fill('8'));
	await act(page.getByLabel('Next starts after').press('Enter'));
	await act(page.getByRole('button', { name: 'Save the drill' }).click());
	await expect(page.getByRole('heading', { name: 'Rope bridge', level: 1 })).toBeVisible();
	expect(actions).toBeLessThanOrEqual(60);
	await expect(page.getByText('“eyes up”')).toBeVisible();
	await expect(page.getByText('room to swing')).toHaveCount(2);
	const answer = await page.request.get(`${server.url}/saltmarsh/drills/rope-bridge/file`);
	const drill = await answer.json();
	expect(drill).toMatchObject({
		rotation: { moves: { work: 'guard', guard: 'wall', wall: 'work' } },
		paths: [{ from: 'work', to: 'wall', kind: 'flight', step: 1 }],
		cues: [
			{ say: 'eyes up', spot: 'work' },
			{ say: 'firm pass', spot: 'wall' }
		],
		turn: { workSeconds: 6, headwaySeconds: 10 },
		rungs: [{ name: 'Quicker', set: { turn: { workSeconds: 6, headwaySeconds: 8 } } }]
	});
	expect(Object.keys(drill.rungs[0].set)).toEqual(['turn']);

	await page.getByRole('link', { name: 'Edit' }).click();
	await page.getByLabel('Name', { exact: true }).fill('Rope bridge, wet');
	await page.getByText('Time real tries by tapping').click();
	await page.getByRole('button', { name: 'A turn starts' }).click();
	await page.getByRole('button', { name: 'A turn ends' }).click();
	await expect(page.getByText(/^1 try: \d/)).toBeVisible();
	await page.getByRole('button', { name: 'Use these seconds' }).click();
	await expect(page.getByLabel('Shortest')).not.toHaveValue('');
	await page.getByRole('button', { name: 'Save the drill' }).click();
	await expect(page.getByRole('heading', { name: 'Revisions' })).toBeVisible();
	await page.getByRole('link', { name: 'Copy', exact: true }).click();
	await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Rope bridge, wet, copy');

	await open(page, `${server.url}/saltmarsh/drills/channel-duel/edit`);
	await page.getByRole('button', { name: 'Add a way' }).click();
	await page.getByRole('button', { name: 'Add a skill' }).click();
	await expect(page.getByLabel('Skill', { exact: true })).toHaveCount(4);
	await page.getByLabel('Spot', { exact: true }).first().fill('wing');
	const last = 'the way from ? to ?';
	await page.getByLabel(`From, ${last}`).fill('feed');
	await page.getByLabel('To, the way from feed to ?').fill('12; 3');
	await expect(page.getByLabel(/^From, the way from wing/)).toHaveValue('wing');
	await expect(page.getByText(/It balances/)).toBeVisible();

	await open(page, `${server.url}/saltmarsh/drills/channel-duel`);
	await page.getByRole('link', { name: 'Copy as a drill: Recover behind' }).click();
	await page.getByRole('button', { name: 'Save the drill' }).click();
	await expect(page.getByRole('heading', { name: 'Channel duel: Recover behind' })).toBeVisible();
});
