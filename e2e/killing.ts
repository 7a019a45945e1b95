import { randomLcg } from 'd3-random';
import { plainPeriod } from '../src/core/building';
import { applyEdit, type Edit, type SentEdit } from '../src/core/practice';
import type { Practice } from '../src/core/model/practice';
import { startServer, type Server } from './server';
import { acknowledging, comesNow, countOf, lostFrom, nothingYet, storm, type Deed } from './storm';

const EDITS = '/saltmarsh/practices/2027-04-06/edits';

interface State {
	revision: number;
	practice: Practice;
}

/** What came of a run of kills. */
export interface Killed {
	kills: number;
	/** Edits that the client made; each was sent until it was answered. */
	edits: number;
	/** Edits that were on their way when the server was killed. */
	inFlight: number;
	/** Whether the stored practice is just what the edits, once each and in order, make of the first. */
	isWhole: boolean;
}

async function send(url: string, revision: number, edits: SentEdit[]): Promise<State> {
	const response = await fetch(`${url}${EDITS}`, {
		method: 'POST',
		headers: { 'content-type': 'application/json', origin: url },
		body: JSON.stringify({ revision, edits })
	});
	const state = (await response.json()) as State;
	if (response.ok) return state;
	// Another revision: the edit is sent again on the one that is there.
	if (response.status === 409) return send(url, state.revision, edits);
	throw new Error(`${response.status} ${JSON.stringify(state)}`);
}

/**
 * Kills the server at seeded random moments while a client edits, starts it again, and compares the
 * practice with an oracle: every edit that was answered is there, none twice.
 */
export async function killWhileEditing(
	directory: string,
	{ kills, seed }: { kills: number; seed: number }
): Promise<Killed> {
	const random = randomLcg(seed);
	let server: Server = await startServer(directory);
	const { port } = server;
	let made = 0;
	let inFlight = 0;
	const first: SentEdit = { id: 'first', edit: { type: 'set-practice', set: { minutes: 90 } } };
	let state = await send(server.url, 1, [first]);
	let oracle = state.practice;

	function nextEdit(): SentEdit {
		made += 1;
		const own = oracle.periods.filter(({ id }) => id.startsWith('kill-'));
		const edit: Edit =
			own.length > 6
				? { type: 'remove-period', period: own[Math.floor(random() * own.length)].id }
				: {
						type: 'add-period',
						after: null,
						period: plainPeriod('water', { id: `kill-${made}`, name: 'Water', minutes: 1 })
					};
		return { id: `edit-${made}`, edit };
	}

	for (let kill = 0; kill < kills; kill += 1) {
		const timer = setTimeout(() => server.process.kill('SIGKILL'), 40 + random() * 400);
		for (let isUp = true; isUp;) {
			const sent = nextEdit();
			const applied = applyEdit(oracle, sent.edit);
			if (!applied.ok) throw new Error(applied.failure);
			oracle = applied.value.practice;
			try {
				state = await send(server.url, state.revision, [sent]);
			} catch {
				isUp = false;
				inFlight += 1;
				clearTimeout(timer);
				await server.stop('SIGKILL');
				server = await startServer(directory, port);
				state = await send(server.url, state.revision, [sent]);
			}
		}
	}
	await server.stop();
	const isWhole = JSON.stringify(state.practice) === JSON.stringify(sorted(oracle, state.practice));
	return { kills, edits: made, inFlight, isWhole };
}

/** The oracle with its keys in the order in which the database gives them back. */
function sorted<Value>(value: Value, like: unknown): Value {
	if (Array.isArray(value))
		return value.map((each, k) => sorted(each, (like as unknown[] | undefined)?.[k])) as Value;
	if (value === null || typeof value !== 'object') return value;
	const order = Object.keys((like ?? {}) as object);
	const keys = Object.keys(value).sort((a, b) => order.indexOf(a) - order.indexOf(b));
	return Object.fromEntries(
		keys.map((key) => [
			key,
			sorted(
				(value as Record<string, unknown>)[key],
				(like as Record<string, unknown> | undefined)?.[key]
			)
		])
	) as Value;
}

/** What came of kills amid all that a coach and a club do at once. */
export interface Stormed {
	kills: number;
	acknowledged: number;
	/** Empty where nothing was lost. */
	lost: string[];
}

/**
 * Kills the server at seeded random moments while edits, new drills, attendance and imports come in at
 * once, and starts it again each time. Everything that it ever acknowledged must be there at the end.
 */
export async function killInStorm(
	directory: string,
	{ kills, seed }: { kills: number; seed: number }
): Promise<Stormed> {
	const random = randomLcg(seed);
	const seen = nothingYet();
	let server: Server = await startServer(directory);
	const { port } = server;
	const lost: string[] = [];
	for (let kill = 0; kill < kills; kill += 1) {
		let isOver = false;
		// An import takes seconds: with one a third of the kills, amid or after it.
		const deeds: Deed[] = [
			'edits',
			'drills',
			'attendance',
			...(kill % 3 ? [] : ['imports' as const])
		];
		const storming = storm(server.url, `s${kill}`, { deeds, isOver: () => isOver, seen });
		await acknowledging(seen, 2);
		await new Promise((resolve) => setTimeout(resolve, random() * (kill % 3 ? 700 : 4000)));
		server.process.kill('SIGKILL');
		isOver = true;
		await storming;
		await server.stop('SIGKILL');
		server = await startServer(directory, port);
		lost.push(...(await lostFrom(server.url, seen)));
		seen.attendance.isHere = await comesNow(server.url, seen);
		seen.attendance.sent = null;
	}
	await server.stop();
	return { kills, acknowledged: countOf(seen), lost };
}
