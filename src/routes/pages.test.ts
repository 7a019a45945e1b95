import type { Component } from 'svelte';
import { render } from 'svelte/server';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { demoDb } from '../../tests/support/database';
import { demoPractices, demoTeams } from '../../tests/support/demo';
import type { Player } from '$core/model/team';
import { clockOf } from '$lib/server/clock';
import type { Db } from '$lib/server/database';
import { listDrills } from '$lib/server/repositories/drills';
import { loadSurroundings } from '$lib/server/repositories/teamHistory';
import { createTeam } from '$lib/server/usecases/team/createTeam';
import { load as loadLayout } from './[team]/+layout.server';

type Handler = (event: unknown) => Promise<unknown>;
interface Server {
	load?: Handler;
	actions?: Readonly<Record<string, Handler>>;
}
const servers = import.meta.glob<Server>('./**/+page.server.ts', { eager: true });
const pages = import.meta.glob<{ default: Component<Record<string, unknown>> }>(
	'./**/+page.svelte',
	{ eager: true }
);
const endpoints = import.meta.glob('./**/+server.ts');
const routes = Object.keys(pages).map((file) => file.replace('+page.svelte', '').slice(1));
const holder = globalThis as { fieldplan?: unknown };
const TODAY = '2027-04-06';
const NEWCOMERS = 'newcomers';
const TEAMS = [...demoTeams(), NEWCOMERS];

let db: Db;
beforeAll(async () => {
	db = await demoDb(demoTeams());
	const config = { dataDirectory: '' };
	holder.fieldplan = Promise.resolve({ config, database: { db }, clock: clockOf(TODAY) });
	const made = await createTeam(db, {
		today: TODAY,
		wanted: {
			name: 'Newcomers',
			sport: 'field-hockey',
			timeZone: 'Europe/Amsterdam',
			from: 10,
			to: 12,
			players: '',
			coach: 'Ona Pell'
		}
	});
	if (!made.ok) throw new Error(JSON.stringify(made.failure));
});
afterAll(() => void delete holder.fieldplan);

/** What stands for the variable parts of the addresses of a team: the first of each that it has. */
async function paramsOf(team: string): Promise<Record<string, string>> {
	const around = await loadSurroundings(db, team, { day: TODAY });
	const { rows } = await db.query<{ id: string }>(
		'select id from practice where team_id = $1 order by id desc limit 1',
		[team]
	);
	const [drill] = await listDrills(db, team);
	return {
		team,
		practice: rows[0].id,
		drill: drill?.id ?? '',
		person: around?.players[0]?.id ?? '',
		ground: around?.ground.id ?? '',
		scene: 'new'
	};
}

/** A request for a page or one of its actions, as its handlers see it. */
function eventFor(route: string, params: Record<string, string>, form?: Record<string, string>) {
	const path = route.replace(/\[(\w+)\]/g, (_, name: string) => params[name]);
	const url = new URL(path, 'http://fieldplan.test');
	const body = new URLSearchParams(form);
	const request = new Request(url, form && { method: 'POST', body });
	return {
		params,
		url,
		request,
		route: { id: route },
		depends() {},
		setHeaders() {},
		isDataRequest: false
	};
}
type Event = ReturnType<typeof eventFor>;

/** The markup of a page with what its handlers give. Throws what they throw where there is no such page. */
async function markupOf(route: string, event: Event): Promise<string> {
	const own = await servers[`.${route}+page.server.ts`]?.load?.(event);
	const layout = route.startsWith('/[team]') ? await loadLayout(event as never) : {};
	const data = { ...(layout as object), ...(own as object) };
	const page = { ...event, data, form: null, status: 200, error: null, state: {} };
	return render(pages[`.${route}+page.svelte`].default, {
		props: { data, form: null, params: event.params },
		context: new Map([['__request__', { page }]])
	}).body;
}

/** Values of an attribute, in the order of the markup. */
const valuesOf = (html: string, attribute: string) =>
	[...html.matchAll(new RegExp(`\\s${attribute}="([^"]*)"`, 'g'))].map(([, value]) => value);

const asPattern = (route: string) =>
	new RegExp(`^${route.replace(/\/$/, '').replace(/\[\w+\]/g, '[^/]+')}/?$`);
/** The route of a page by its address. */
const routeOf = (path: string) =>
	Object.keys(servers)
		.map((file) => file.replace('+page.server.ts', '').slice(1))
		.find((route) => asPattern(route).test(path)) ?? '';
const addresses = Object.keys({ ...pages, ...endpoints, ...servers }).map((file) =>
	asPattern(file.replace(/\+(page|server).*/, '').slice(1))
);

/** Pages that are drawn in the browser alone, or of somebody where a new team has nobody yet. */
const BOARD = '/[team]/practices/[practice]/';
const OF_SOMEBODY = /\[person\]/;

describe.each(TEAMS)('pages of %s', (team) => {
	test.each(routes)('%s', async (route) => {
		const event = eventFor(route, await paramsOf(team));
		if (team === NEWCOMERS && OF_SOMEBODY.test(route)) {
			await expect(markupOf(route, event)).rejects.toMatchObject({ status: 404 });
			return;
		}
		const html = await markupOf(route, event);
		const text = html.replace(/<(style|script)[^]*?<\/\1>|<[^>]*>/g, ' ');
		expect(text).not.toMatch(/undefined|\bNaN\b|\[object|Infinity|\{\w+\}/);
		expect(html.match(/<h1/g) ?? []).toHaveLength(route === BOARD ? 0 : 1);

		const ids = valuesOf(html, 'id');
		expect(ids.filter((id, index) => ids.indexOf(id) !== index)).toEqual([]);
		const named = ['for', 'aria-labelledby', 'aria-describedby', 'aria-controls']
			.flatMap((attribute) => valuesOf(html, attribute))
			.flatMap((value) => value.split(' '));
		expect(named.filter((id) => id !== '' && !ids.includes(id))).toEqual([]);

		const links = valuesOf(html, 'href').filter((href) => href.startsWith('/'));
		const lost = links.filter(
			(href) => !addresses.some((each) => each.test(href.split(/[?#]/)[0]))
		);
		expect(lost).toEqual([]);
		for (const action of valuesOf(html, 'action')) {
			const [path, name] = action.split('?/');
			const at = path === '' ? route : routeOf(path);
			expect(Object.keys(servers[`.${at}+page.server.ts`]?.actions ?? {}), action).toContain(name);
		}
	});
});

const actions = Object.entries(servers).flatMap(([file, server]) =>
	Object.entries(server.actions ?? {}).map(([name, act]) => ({
		route: file.replace('+page.server.ts', '').slice(1),
		name,
		act
	}))
);

/** What a handler answers: a status, also where it throws one. Other errors are the application's own fault. */
async function statusOf(answer: Promise<unknown>): Promise<number> {
	try {
		const given = (await answer) as { status?: number } | undefined;
		return given?.status ?? 200;
	} catch (error) {
		const { status } = error as { status?: number };
		if (status === undefined) throw error;
		return status;
	}
}

test.each(demoTeams())(
	'every sheet of %s names nobody who does not come, and everybody who does where there are groups',
	async (team) => {
		const route = '/[team]/practices/[practice]/paper/';
		const around = await loadSurroundings(db, team, { day: TODAY });
		if (!around) throw new Error(team);
		for (const practice of demoPractices(team)) {
			const params = { ...(await paramsOf(team)), practice: practice.id };
			const html = (await markupOf(route, eventFor(route, params))).replaceAll('&#39;', "'");
			// A brief sheet lists players by their numbers alone.
			const isBrief = /<article[^>]* brief/.test(html);
			const listed = [...html.matchAll(/<li[^>]*>(.*?)<\/li>/gs)].map(([, text]) => text);
			const numbers = new Set(
				listed.flatMap((text) => text.replace(/<[^>]*>/g, ' ').match(/\d+/g) ?? [])
			);
			const says = ({ number, name }: Player) =>
				isBrief
					? numbers.has(String(number))
					: new RegExp(`\\b${number ?? ''} ?${name.split(' ')[0]}\\b`).test(html);
			const comes = ({ id }: Player) => practice.expected.includes(id);
			expect(around.players.filter((each) => !comes(each) && says(each))).toEqual([]);
			if (practice.periods.some(({ groups = [] }) => groups.length > 1))
				expect([practice.id, around.players.filter((each) => comes(each) && !says(each))]).toEqual([
					practice.id,
					[]
				]);
		}
	}
);

/** Every field that a form of the application has. */
const FIELDS =
	'playersUnder secondsUnder seconds sportName length width indoors ball rows from to template players name groundId drill timeZone start sport sent practice place minutes ground facts expected date corrected columns coach adults person player adult base submission'.split(
		' '
	);

describe('a form that makes no sense', () => {
	const FORMS: Record<string, string>[] = [
		{},
		...['', '{', 'null', '[]', '{"id":{}}', '[{"id":"p1"}]', '\u{1f3d1}'.repeat(500)].map((value) =>
			Object.fromEntries(FIELDS.map((key) => [key, value]))
		)
	];

	test.each(actions)('$route $name is answered, not broken by', async ({ route, act }) => {
		const params = await paramsOf('saltmarsh');
		for (const form of FORMS) {
			const status = await statusOf(act(eventFor(route, params, form)));
			expect(status, JSON.stringify(form).slice(0, 80)).toBeLessThan(500);
		}
	});
});
