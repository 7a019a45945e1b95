import { request as send } from 'node:http';
import { cpSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, test, TUESDAY } from './fixtures';
import { startServer } from './server';
import { scratchFolder } from '../tests/support/scratch';

interface Answer {
	status: number;
	body: string;
	headers: Record<string, unknown>;
}

/** A request with headers just as given: a browser would not send them so. */
function ask(
	port: number,
	path: string,
	{
		method = 'GET',
		headers = {},
		body = ''
	}: { method?: string; headers?: Record<string, string>; body?: string } = {}
): Promise<Answer> {
	return new Promise((resolve, reject) => {
		const request = send(
			{ host: '127.0.0.1', port, path, method, headers: { host: `localhost:${port}`, ...headers } },
			(response) => {
				let text = '';
				response.on('data', (data) => (text += data));
				response.on('end', () =>
					resolve({ status: response.statusCode ?? 0, body: text, headers: response.headers })
				);
			}
		);
		request.on('error', reject);
		request.end(body);
	});
}

const edit = (set: object) =>
	JSON.stringify({ revision: 1, edits: [{ id: 'e1', edit: { type: 'set-practice', set } }] });

test('doors: hosts, origins, shapes and sizes', async ({ server }) => {
	const { port } = server;
	const origin = { origin: server.url };
	const post = (
		body: string,
		headers: Record<string, string> = origin,
		path = `${TUESDAY}/edits`
	) =>
		ask(port, path, {
			method: 'POST',
			headers: {
				'content-type': 'application/json',
				'content-length': String(Buffer.byteLength(body)),
				...headers
			},
			body
		});

	expect((await ask(port, TUESDAY, { headers: { host: 'evil.example' } })).status).toBe(421);
	const page = await ask(port, TUESDAY);
	expect(page.status).toBe(200);
	const policy = String(page.headers['content-security-policy']);
	for (const rule of [
		"default-src 'self'",
		"frame-ancestors 'none'",
		"object-src 'none'",
		"form-action 'self'"
	])
		expect(policy).toContain(rule);
	expect(policy).not.toMatch(/script-src[^;]*unsafe/);
	expect(page.headers).toMatchObject({
		'x-content-type-options': 'nosniff',
		'x-frame-options': 'DENY'
	});

	expect((await post(edit({ minutes: 80 }), {})).status).toBe(403);
	expect((await post(edit({ minutes: 80 }), { origin: 'http://evil.example' })).status).toBe(403);
	const form = 'date=2027-04-08&start=18:30&minutes=60&place=Here';
	const asForm = {
		'content-type': 'application/x-www-form-urlencoded',
		origin: 'http://evil.example'
	};
	expect(
		(await ask(port, '/saltmarsh/practices/new', { method: 'POST', headers: asForm, body: form }))
			.status
	).toBe(403);

	const wrong: [string, string][] = [
		['{', ''],
		[JSON.stringify({ revision: 1 }), 'edits'],
		[edit({ minutes: 'ninety' }), 'edits[0].edit.set.minutes'],
		[edit({ minutes: 90, colour: 'red' }), 'edits[0].edit.set.colour'],
		[edit({ start: '25:00' }), 'edits[0].edit.set.start'],
		[
			JSON.stringify({
				revision: 1,
				edits: [{ id: 'x', edit: { type: 'remove-period', period: 'nowhere' } }]
			}),
			''
		]
	];
	for (const [body, path] of wrong) {
		const answer = await post(body);
		expect(answer.status, body).toBe(400);
		expect(JSON.parse(answer.body).error.path).toBe(path);
		expect(answer.body).not.toMatch(/\bat .*\.js/);
	}
	expect((await post(edit({ date: '2027-02-30' }))).status).toBe(400);
	expect((await post(`"${'x'.repeat(600_000)}"`)).status).toBe(413);
	expect(
		(await post(edit({ minutes: 80 }), origin, '/saltmarsh/practices/none/edits')).status
	).toBe(404);
	expect(
		(await post(edit({ minutes: 80 }), origin, '/other/practices/2027-04-06/edits')).status
	).toBe(404);
	expect((await ask(port, '/other/practices/2027-04-06')).status).toBe(404);
	expect((await ask(port, '/no/such/place/at/all')).status).toBe(404);

	const good = await post(edit({ minutes: 80 }));
	expect([good.status, JSON.parse(good.body).revision]).toEqual([200, 2]);
	expect(JSON.parse((await post(edit({ minutes: 80 }))).body).revision).toBe(2);
	const late = JSON.stringify({
		revision: 1,
		edits: [{ id: 'e2', edit: { type: 'set-practice', set: { minutes: 70 } } }]
	});
	const stale = await post(late);
	expect([stale.status, JSON.parse(stale.body).practice.minutes]).toEqual([409, 80]);
});

test('a new practice with a wrong value is refused with its place and nothing is stored', async ({
	server
}) => {
	const before = await ask(server.port, '/saltmarsh/practices');
	const body = 'date=2027-04-08&start=18:30&minutes=0&place=Here';
	const headers = {
		'content-type': 'application/x-www-form-urlencoded',
		origin: server.url,
		accept: 'text/html',
		'content-length': String(body.length)
	};
	const answer = await ask(server.port, '/saltmarsh/practices/new', {
		method: 'POST',
		headers,
		body
	});
	expect(answer.status).toBe(400);
	expect(answer.body).toContain('minutes expected 1 or more');
	const list = await ask(server.port, '/saltmarsh/practices');
	expect(list.body.match(/Tuesday|Thursday/g)?.length).toBe(
		before.body.match(/Tuesday|Thursday/g)?.length
	);
});

test('one process at a time on a data directory; a killed one is taken over; signals end it cleanly', async () => {
	const directory = scratchFolder('fieldplan-lock');
	cpSync(process.env.FIELDPLAN_TEMPLATE as string, directory, { recursive: true });
	try {
		const first = await startServer(directory);
		const second = await startServer(directory);
		expect(second.process.exitCode).toBe(1);
		expect(second.printed()).toContain(`in use by process ${first.process.pid}`);
		expect(second.printed()).not.toMatch(/\bat .*:\d+:\d+/);
		await first.stop('SIGKILL');

		for (const signal of ['SIGTERM', 'SIGINT'] as const) {
			const next = await startServer(directory);
			expect((await fetch(`${next.url}/health`)).status).toBe(200);
			expect(await next.stop(signal)).toBe(0);
		}

		writeFileSync(join(directory, 'postgres', 'PG_VERSION'), '15\n');
		const old = await startServer(directory);
		expect(old.process.exitCode).toBe(1);
		expect(old.printed()).toContain('is of PostgreSQL 15');
	} finally {
		rmSync(directory, { recursive: true, force: true });
	}
});

test('what makes no sense is refused and never breaks a page', async ({ server }) => {
	const { port, url } = server;
	const json = { origin: url, 'content-type': 'application/json' };
	const form = { origin: url, 'content-type': 'application/x-www-form-urlencoded' };
	const post = (path: string, headers: Record<string, string>, body: string) =>
		ask(port, path, {
			method: 'POST',
			headers: { ...headers, 'content-length': String(Buffer.byteLength(body)) },
			body
		});
	const twice = { id: 'e', edit: { type: 'set-practice', set: { minutes: 80 } } };
	const edits = (...list: object[]) => JSON.stringify({ revision: 1, edits: list });
	const withSet = (set: object) => edits({ id: 'x', edit: { type: 'set-practice', set } });
	const answers = await Promise.all([
		ask(port, '/saltmarsh%00/squad'),
		ask(port, '/__proto__/squad'),
		ask(port, '/saltmarsh/practices/constructor'),
		ask(port, '/saltmarsh/drills?words=a%00b'),
		ask(port, '/saltmarsh/practices/new?from=%00'),
		post('/saltmarsh/squad?/constructor', form, 'x=1'),
		post('/saltmarsh/squad?/__proto__', form, 'x=1'),
		post('/saltmarsh/squad?/remove', form, 'player=a%00b'),
		post('/saltmarsh/squad?/remove', form, 'player=__proto__'),
		post('/saltmarsh/words', form, 'squad=a%00b'),
		post('/teams?/remove', form, 'team=%00'),
		post(`${TUESDAY}/edits`, json, edits(twice, twice)),
		post(`${TUESDAY}/edits`, json, withSet({ place: 'a\0b' })),
		post(`${TUESDAY}/edits`, json, withSet({ date: '2027-02-30' })),
		post(`${TUESDAY}/edits`, json, withSet({ expected: ['__proto__'] })),
		post(`${TUESDAY}/edits`, json, withSet({ late: { constructor: 5 } }))
	]);
	expect(answers.map(({ status }) => status).filter((status) => status >= 500)).toEqual([]);
	const errors = answers.slice(11).map(({ status, body }) => [status, JSON.parse(body).error]);
	expect(errors).toEqual([
		[400, { path: 'edits[1].id', message: 'is there twice' }],
		[
			400,
			{ path: 'edits[0].edit.set.place', message: 'expected a name of 200 characters at most' }
		],
		[
			400,
			{
				path: 'edits[0].edit.set.date',
				message: 'expected a day of the calendar, such as 2027-04-06'
			}
		],
		[400, expect.objectContaining({ path: 'edits[0].edit.set.expected[0]' })],
		[400, { path: 'edits[0].edit.set.late.constructor', message: 'is not a known key' }]
	]);
});
