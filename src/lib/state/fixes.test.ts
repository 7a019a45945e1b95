import * as Comlink from 'comlink';
import { afterEach, expect, test, vi } from 'vitest';
import { demoPractice, demoSurroundings } from '../../../tests/support/demo';
import type { Practice } from '$core/model/practice';
import type { Edit } from '$core/practice';
import type { FixerApi } from '$lib/workers/fixer';
import { Fixes } from './fixes.svelte';

const EDIT: Edit = { type: 'remove-period', period: 'close' };

/** A worker that tells what it is asked, finds one fix each time, and dies with practices of its choice. */
class FakeWorker {
	looked: Practice[] = [];
	learnt = 0;
	ended = 0;
	readonly #open: MessagePort[] = [];

	constructor(private readonly diesWith: (practice: Practice) => boolean = () => false) {}

	start = () => {
		const { port1, port2 } = new MessageChannel();
		this.#open.push(port1, port2);
		const api: FixerApi = {
			open: () => {},
			learn: () => void (this.learnt += 1),
			look: async (practice, onfixes) => {
				if (this.diesWith(practice)) throw new Error('dead');
				this.looked.push(practice);
				await onfixes(this.looked.length, [EDIT]);
			}
		};
		Comlink.expose(api, port2 as unknown as Comlink.Endpoint);
		return Object.assign(port1, { terminate: () => (this.ended += 1) }) as never;
	};

	close(): void {
		for (const port of this.#open) port.close();
	}
}

let worker = new FakeWorker();
afterEach(() => worker.close());
const { drills, ...rest } = demoSurroundings();
const surroundings = { ...rest, drills };

test('of changes in quick succession only the last is looked at, and what was found for others is gone', async () => {
	worker = new FakeWorker();
	const fixes = new Fixes(surroundings, worker.start);
	await fixes.look(demoPractice(), drills);
	await vi.waitFor(() => expect(fixes.found).toEqual({ 1: [EDIT] }));
	const lengths = [70, 80, 90].map((minutes) => ({ ...demoPractice(), minutes }));
	const looks = lengths.map((practice) => fixes.look(practice, drills));
	expect(fixes.found).toEqual({});
	await Promise.all(looks);
	await vi.waitFor(() => expect(fixes.found).toEqual({ 2: [EDIT] }));
	expect(worker.looked.map(({ minutes }) => minutes)).toEqual([demoPractice().minutes, 90]);
});

test('drills that were looked up are told once', async () => {
	worker = new FakeWorker();
	const fixes = new Fixes(surroundings, worker.start);
	const more = [...drills, { ...drills[0], id: 'new' }];
	await fixes.look(demoPractice(), more);
	await fixes.look({ ...demoPractice(), minutes: 80 }, more);
	expect(worker.learnt).toBe(1);
});

test('a worker that breaks off is started anew with the next practice, and a closed one finds nothing more', async () => {
	worker = new FakeWorker(({ minutes }) => minutes === 80);
	const fixes = new Fixes(surroundings, worker.start);
	await fixes.look({ ...demoPractice(), minutes: 80 }, drills);
	expect(worker.ended).toBe(1);
	await fixes.look(demoPractice(), drills);
	expect(worker.looked).toHaveLength(1);
	const late = fixes.look({ ...demoPractice(), minutes: 70 }, drills);
	fixes.close();
	await late;
	expect(worker.looked).toHaveLength(1);
	expect(fixes.found).toEqual({});
});
