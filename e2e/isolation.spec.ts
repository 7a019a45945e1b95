import { readFileSync } from 'node:fs';
import { ACCESS } from '../src/lib/server/access';
import { expect, test } from './fixtures';

const team = JSON.parse(readFileSync('demo/saltmarsh/team.json', 'utf8'));
/** What is Saltmarsh's alone: names of people, zones' ground, a drill, a practice. */
const OWN: readonly string[] = [
	...[...team.players, ...team.adults].map(({ name }: { name: string }) => name),
	'Estuary Ground',
	'Channel duel',
	'saltmarsh/practices'
];
/** Ids of Saltmarsh for the parts of a route. */
const IDS: Readonly<Record<string, string>> = {
	practice: '2027-04-06',
	person: 'p06',
	ground: team.grounds[0].id,
	drill: 'channel-duel'
};
const OTHER = 'skerryside';

const routes = Object.keys(ACCESS).filter((route) => route.startsWith('/[team]'));
const pathOf = (route: string) =>
	route.replace('[team]', OTHER).replace(/\[(\w+)\]/g, (_, part: string) => IDS[part]);

test('nothing of one team is seen under another, on any route', async ({ server }) => {
	expect(routes.length).toBeGreaterThan(15);
	for (const route of routes) {
		const hasId = /\/\[(practice|person|ground|drill)\]/.test(route);
		const response = await fetch(`${server.url}${pathOf(route)}`);
		// Routes that only take changes answer 405 to a look.
		if (hasId) expect([route, [404, 405].includes(response.status)]).toEqual([route, true]);
		const body = await response.text();
		expect([route, OWN.filter((own) => body.includes(own))]).toEqual([route, []]);
	}
});

test('nothing of one team is changed through another', async ({ server }) => {
	const post = (path: string, fields: Record<string, string>) =>
		fetch(`${server.url}${path}`, {
			method: 'POST',
			headers: { origin: server.url, accept: 'application/json' },
			body: new URLSearchParams(fields)
		}).then((response) => response.text());
	const exported = async () =>
		Buffer.from(await (await fetch(`${server.url}/data/export`)).arrayBuffer());
	const before = await exported();
	const rows = JSON.stringify([
		{ id: 'p06', name: 'X', positions: [], ratings: {}, usuallyLate: false }
	]);
	const sent = JSON.stringify([{ practice: '2027-04-06', rows: [] }]);
	const attempts: [string, Record<string, string>][] = [
		[`/${OTHER}/squad?/save`, { rows }],
		[`/${OTHER}/squad?/remove`, { player: 'p06' }],
		[`/${OTHER}/squad/p06?/save`, { facts: '{"note":"X","restrictions":[]}' }],
		[`/${OTHER}/squad/p06?/remove`, {}],
		[`/${OTHER}/adults?/remove`, { adult: 'backs-coach' }],
		[`/${OTHER}/attendance`, { sent }],
		[`/${OTHER}/ground/${IDS.ground}?/save`, { ground: JSON.stringify(team.grounds[0]) }],
		[`/${OTHER}/ground/${IDS.ground}?/remove`, {}],
		[`/${OTHER}/practices?/archive`, { practice: '2027-04-06' }],
		[`/${OTHER}/practices/templates?/keep`, { practice: '2027-04-06', name: 'X' }]
	];
	for (const [path, fields] of attempts)
		expect([path, await post(path, fields)]).toEqual([
			path,
			expect.stringMatching(/"status":(400|404)|"type":"(failure|error)"|no such|not found/i)
		]);
	expect((await exported()).equals(before)).toBe(true);
});
