import { readFileSync } from 'node:fs';
import { expect, open, test, TUESDAY } from './fixtures';

const team = JSON.parse(readFileSync('demo/saltmarsh/team.json', 'utf8')) as {
	players: { id: string; name: string }[];
};
const practice = JSON.parse(readFileSync('demo/saltmarsh/practices/2027-04-06.json', 'utf8')) as {
	expected: string[];
};
const firstName = ({ name }: { name: string }) => name.split(' ')[0];
const away = team.players.filter(({ id }) => !practice.expected.includes(id)).map(firstName);
const here = team.players.filter(({ id }) => practice.expected.includes(id)).map(firstName);

test('cards of stations, groups and adults and what to carry are printed, without who is away', async ({
	page,
	server
}) => {
	await open(page, `${server.url}${TUESDAY}/paper`);
	expect(away.length).toBeGreaterThan(0);
	const counts: Record<string, number> = { stations: 11, groups: 4, adults: 5, carry: 1 };
	for (const [kind, count] of Object.entries(counts)) {
		await page.locator('#hand-out').selectOption(kind);
		const cards = page.locator(`article[data-kind="${kind}"] .card`);
		await expect(cards).toHaveCount(count);
		const text = await page.locator('article').innerText();
		for (const name of away) expect(text).not.toMatch(new RegExp(`\\b${name}\\b`));
		const pdf = await page.pdf({ preferCSSPageSize: true });
		const pages = pdf.toString('latin1').match(/\/Type\s*\/Page\b/g)?.length ?? 0;
		expect(pages).toBeGreaterThan(0);
		expect(pages).toBeLessThanOrEqual(kind === 'stations' ? 5 : 2);
	}
	await page.locator('#hand-out').selectOption('groups');
	await expect(page.locator('article')).toContainText(here[2]);
	await page.getByText('Numbers, no names').click();
	const text = await page.locator('article').innerText();
	for (const name of here) expect(text).not.toMatch(new RegExp(`\\b${name}\\b`));
	await page.locator('#hand-out-paper').selectOption('letter');
	const letter = (await page.pdf({ preferCSSPageSize: true })).toString('latin1');
	expect(letter).toMatch(/MediaBox\s*\[0 0 612 792\]/);
});
