import { describe, expect, test } from 'vitest';
import { ACCESS } from './access';
import { readConfig } from './config';
import { refusalOf } from './doors';

const { allowedHosts } = readConfig({ PORT: '4170', FIELDPLAN_HOSTS: 'plan.example:80' });
const EDITS = '/[team]/practices/[practice]/edits';

function refusal(
	routeId: string | null,
	method: string,
	headers: Record<string, string>,
	{ params = {}, search = '' }: { params?: Record<string, string>; search?: string } = {}
) {
	const request = new Request('http://localhost:4170/', { method });
	const own = { host: 'localhost:4170', origin: 'http://localhost:4170', ...headers };
	const withHeaders = new Proxy(request, {
		get: (target, key) =>
			key === 'headers' ? new Map(Object.entries(own)) : Reflect.get(target, key)
	});
	return (
		refusalOf({ request: withHeaders, routeId, params, search }, allowedHosts)?.status ?? 'let in'
	);
}

describe('the doors', () => {
	test('answer only for hosts in the list', () => {
		expect(refusal('/', 'GET', {})).toBe('let in');
		expect(refusal('/', 'GET', { host: '127.0.0.1:4170' })).toBe('let in');
		expect(refusal('/', 'GET', { host: 'plan.example:80' })).toBe('let in');
		for (const host of [
			'',
			'localhost',
			'localhost:4171',
			'evil.example',
			'localhost:4170.evil.example'
		])
			expect(refusal('/', 'GET', { host })).toBe(421);
	});

	test('take changes from their own origin alone', () => {
		expect(refusal(EDITS, 'POST', {})).toBe('let in');
		expect(refusal(EDITS, 'POST', { origin: 'http://127.0.0.1:4170' })).toBe('let in');
		for (const origin of [
			'',
			'null',
			'http://evil.example',
			'http://localhost:80',
			'file://localhost:4170'
		])
			for (const method of ['POST', 'PUT', 'PATCH', 'DELETE'])
				expect(refusal(EDITS, method, { origin })).toBe(403);
	});

	test('refuse a route that nobody was given access to, and more than a route takes', () => {
		expect(refusal('/[team]/secrets', 'GET', {})).toBe(403);
		expect(refusal('constructor', 'GET', {})).toBe(403);
		expect(refusal(EDITS, 'POST', { 'content-length': '500001' })).toBe(413);
		expect(refusal('/health', 'POST', { 'content-length': '1' })).toBe(413);
		expect(refusal(EDITS, 'POST', { 'transfer-encoding': 'chunked' })).toBe(413);
	});

	test('find nothing where an address holds no id, or names no action', () => {
		const at = (team: string) => refusal('/[team]/squad', 'GET', {}, { params: { team } });
		expect(at('saltmarsh')).toBe('let in');
		for (const team of ['a\0b', '__proto__', 'constructor', 'a/b', 'a.b', 'ä', ''])
			expect(at(team)).toBe(404);
		const act = (search: string) => refusal('/[team]/squad', 'POST', {}, { search });
		expect(act('?/save')).toBe('let in');
		expect(act('')).toBe('let in');
		expect(refusal('/[team]/drills', 'GET', {}, { search: '?words=a%00b' })).toBe(404);
		for (const name of ['constructor', '__proto__', 'toString', 'a%00', ''])
			expect(act(`?/${name}`)).toBe(404);
	});

	test('leave what is no route to the page that says so', () => {
		expect(refusal(null, 'GET', {})).toBe('let in');
		expect(refusal(null, 'POST', { origin: 'http://evil.example' })).toBe(403);
	});
});

test('every route has its access, and every access its route', () => {
	const files = Object.keys(
		import.meta.glob('/src/routes/**/+{page,page.server,server}.{ts,svelte}')
	);
	const routes = files.map((file) => file.replace('/src/routes', '').replace(/\/\+.*$/, '') || '/');
	expect([...new Set(routes)].sort()).toEqual(Object.keys(ACCESS).sort());
});
