import { afterEach, expect, test, vi } from 'vitest';
import { demoPractice, demoSurroundings } from '../../../tests/support/demo';
import { learning, toContext } from '$core/practice';
import type { Drill } from '$core/model/drill';
import { DrillLookup } from './drillLookup.svelte';

const surroundings = demoSurroundings();
const answers = (drills: Drill[] | null) => {
	const asked = vi.fn(async () => (drills ? Response.json(drills) : Response.error()));
	vi.stubGlobal('fetch', asked);
	return asked;
};
afterEach(() => void vi.unstubAllGlobals());

function learner(drills: Drill[]) {
	return {
		practice: demoPractice(),
		context: toContext({ ...surroundings, drills }),
		learn(news: readonly Drill[]) {
			this.context = learning(this.context, news);
		}
	};
}

test('asks for just the drills that the practice names and nobody knows here, once', async () => {
	const [first, ...others] = surroundings.drills.filter(({ id }) =>
		['channel-duel', 'rebound-rally'].includes(id)
	);
	const known = learner(surroundings.drills.filter(({ id }) => id !== first.id));
	const asked = answers([first]);
	const lookup = new DrillLookup('/t/drills/lookup', known);
	await lookup.fetchUnknown();
	await lookup.fetchUnknown();
	expect(others).toHaveLength(1);
	expect(asked.mock.calls).toEqual([[`/t/drills/lookup?named=${first.id}%401`]]);
	expect(known.context.shelf).toContainEqual(first);
});

test('says that the server does not answer, and asks again then', async () => {
	const lookup = new DrillLookup('/t/drills/lookup', learner([]));
	answers(null);
	await lookup.find('pass');
	expect(lookup.isAway).toBe(true);
	const asked = answers([]);
	await lookup.find('pass ');
	expect(lookup.isAway).toBe(false);
	expect(asked).toHaveBeenCalledOnce();
});
