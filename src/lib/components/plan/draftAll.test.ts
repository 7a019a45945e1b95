import { afterEach, expect, test, vi } from 'vitest';
import { demoPractices, demoSurroundings } from '../../../../tests/support/demo';
import { draft, type DraftOutput } from '$core/draft';
import { Planning } from '$lib/state/planning.svelte';
import { Unanswered, type PlannerClient } from '$lib/workers/planner.client';
import type { Question } from '$lib/workers/planner.protocol';
import { speaker } from '$words';
import { readMessage } from '../../../words/read';
import { DraftAll } from './draftAll.svelte';

const say = speaker(undefined, readMessage);
const team = 'saltmarsh';
const [first, second, third] = demoPractices(team).slice(-3);
const days = [first, second, third].map(({ id, date }) => ({ id, date }));

afterEach(() => vi.unstubAllGlobals());

/** A planner that answers every question but those of these practices, on which its worker dies, at times half way. */
function dyingOn(date: string, isHalfWay: boolean): PlannerClient {
	const drafted = ({ input }: Question<'draft'>) => {
		const outcome = draft({ ...input.of, alternatives: 1 }, input.names);
		if (!outcome.ok) throw new Error(outcome.failure.message);
		return outcome;
	};
	return {
		ask: async (
			question: Question<'draft'>,
			onreport: (report: { best: DraftOutput; share: number }) => void
		) => {
			if (question.input.of.frame.date !== date) return drafted(question);
			if (isHalfWay) onreport({ best: drafted(question).value, share: 0.5 });
			throw new Unanswered('worker-died');
		},
		stop: () => {},
		close: () => {}
	} as unknown as PlannerClient;
}

test.each([false, true])(
	'a worker that dies on a practice stores no draft for it, nor that of another: half way %s',
	async (isHalfWay) => {
		const stored: string[] = [];
		vi.stubGlobal('fetch', async (path: string, init?: RequestInit) => {
			const practice = [first, second, third].find(({ id }) => path.includes(id));
			if (!practice) throw new Error(path);
			if (init?.method === 'POST') stored.push(practice.id);
			const { drills, ...surroundings } = demoSurroundings(team);
			return new Response(
				JSON.stringify({
					stored: { revision: 1, practice: { ...practice, periods: [], minutes: 45 } },
					surroundings: { ...surroundings, drills },
					due: { due: [], rungs: {}, recent: [], met: [] }
				})
			);
		});
		const all = new DraftAll(say, new Planning<'draft'>(say, dyingOn(second.date, isHalfWay)));
		await all.run(team, days);
		expect(stored).toEqual([first.id, third.id]);
		expect(all.done).toBe(2);
		expect(all.failed.days).toEqual([second.date]);
	}
);
