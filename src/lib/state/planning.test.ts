import { expect, test } from 'vitest';
import { ok, type Outcome } from '$core/base';
import type { PlannerClient } from '$lib/workers/planner.client';
import type { Question, Questions } from '$lib/workers/planner.protocol';
import { Planning } from './planning.svelte';
import { speaker } from '$words';

const say = speaker(undefined);

type Output = Questions['lineup']['output'];
type Report = (report: { best: Output; share: number }) => void;

/** A planner that answers when it is told to. */
function slowPlanner() {
	const asked: { report: Report; answer: (outcome: Outcome<Output>) => void }[] = [];
	const client = {
		ask: (_question: unknown, report: Report) =>
			new Promise((resolve) => asked.push({ report, answer: resolve })),
		stop() {},
		close() {}
	} as unknown as PlannerClient;
	return { client, asked };
}

const question = (positions: string[]): Question<'lineup'> => ({
	kind: 'lineup',
	input: { players: [], positions, shifts: 1 },
	seconds: 1
});
const output = (shifts: number) => ({ shifts: Array(shifts).fill({ at: {}, sit: [] }) }) as never;

test('an answer stands with the question that it answers, whatever is asked since', async () => {
	const { client, asked } = slowPlanner();
	const planning = new Planning<'lineup'>(say, client);
	const [first, second] = [question(['keeper', 'back']), question(['back'])];
	const one = planning.ask(first);
	asked[0].report({ best: output(1), share: 0.5 });
	expect([planning.answers, planning.best]).toEqual([first, output(1)]);
	const two = planning.ask(second);
	// What the first search still says is of the first question: what is shown stays as it was.
	asked[0].report({ best: output(3), share: 0.9 });
	expect([planning.answers, planning.best]).toEqual([first, output(1)]);
	asked[1].answer(ok(output(2)));
	await two;
	expect([planning.answers, planning.best]).toEqual([second, output(2)]);
	asked[0].answer(ok(output(4)));
	await one;
	expect([planning.answers, planning.best]).toEqual([second, output(2)]);
	planning.close();
});
