import * as Comlink from 'comlink';
import { afterEach, describe, expect, test } from 'vitest';
import { randomRequest } from '../../../tests/support/squads';
import { Planner } from './planner';
import { PlannerClient, type PlannerWorker } from './planner.client';

/** Workers that live in this process, behind a channel as real ones do. */
class Workers {
	readonly started: { dies: () => void; terminated: boolean }[] = [];
	private readonly channels: MessageChannel[] = [];

	readonly start = (): PlannerWorker => {
		const channel = new MessageChannel();
		this.channels.push(channel);
		Comlink.expose(new Planner(), channel.port1);
		const listeners: (() => void)[] = [];
		const entry = { dies: () => listeners.forEach((listener) => listener()), terminated: false };
		this.started.push(entry);
		channel.port2.start();
		return {
			postMessage: (message, transfer) => channel.port2.postMessage(message, transfer ?? []),
			removeEventListener: (type, listener) => channel.port2.removeEventListener(type, listener),
			addEventListener: (type, listener) => {
				if (type === 'error') listeners.push(listener as () => void);
				else channel.port2.addEventListener(type, listener);
			},
			terminate: () => {
				entry.terminated = true;
				channel.port1.close();
			}
		};
	};

	close(): void {
		for (const { port1, port2 } of this.channels) {
			port1.close();
			port2.close();
		}
	}
}

let workers = new Workers();
afterEach(() => {
	workers.close();
	workers = new Workers();
});
const long = {
	kind: 'group' as const,
	input: { ...randomRequest(new Array<number>(10).fill(10), 1) },
	seconds: 60
};
const short = {
	kind: 'rotate' as const,
	input: { groups: ['a', 'b'], stations: [{ id: 'x' }, { id: 'y' }] },
	seconds: 1
};

describe('the planner in its worker', () => {
	test('answers, and says why it cannot', async () => {
		const client = new PlannerClient(workers.start);
		expect(await client.ask(short)).toMatchObject({ ok: true, value: { repeatMeetings: 0 } });
		const refused = await client.ask({ ...short, input: { groups: [], stations: [] } });
		expect(refused).toMatchObject({ ok: false, failure: { code: 'bad-input', path: ['groups'] } });
		const shifts = { players: [{ id: 'a', positions: ['x'] }], positions: ['x'], shifts: 2 };
		expect(await client.ask({ kind: 'lineup', input: shifts, seconds: 1 })).toMatchObject({
			ok: true
		});
		expect(workers.started).toHaveLength(1);
	});

	test('reports how far it is, and stops with the best so far', async () => {
		const client = new PlannerClient(workers.start);
		let reports = 0;
		const answer = client.ask(long, ({ share, best }) => {
			expect(share).toBeLessThanOrEqual(1);
			expect(best.groups).toHaveLength(10);
			reports += 1;
			if (reports === 3) client.stop();
		});
		expect(await answer).toMatchObject({ ok: true });
		expect(reports).toBeGreaterThanOrEqual(3);
	});

	test('ends when its seconds are over', async () => {
		const client = new PlannerClient(workers.start);
		const shares: number[] = [];
		await client.ask({ ...long, seconds: 0.1 }, ({ share }) => void shares.push(share));
		expect(shares.at(-1)).toBe(1);
	});

	test('lets the newest request win', async () => {
		const client = new PlannerClient(workers.start);
		const first = client.ask(long);
		const rejected = expect(first).rejects.toMatchObject({ reason: 'superseded' });
		expect(await client.ask(short)).toMatchObject({ ok: true });
		await rejected;
	});

	test('rejects what is pending when it dies, and starts again', async () => {
		const client = new PlannerClient(workers.start);
		const first = client.ask(long);
		const rejected = expect(first).rejects.toMatchObject({ reason: 'worker-died' });
		workers.started[0].dies();
		await rejected;
		expect(workers.started[0].terminated).toBe(true);
		expect(await client.ask(short)).toMatchObject({ ok: true });
		expect(workers.started).toHaveLength(2);
	});
});
