import { expect, test } from 'vitest';
import { demoContext, demoPractice } from '../../../../tests/support/demo';
import { plainPeriod, sizeHere } from '$core/building';
import type { Context } from '$core/practice';
import { blockWordsOf } from './blocks';
import { speaker } from '$words';

const say = speaker({ kit: 'gear' });
const context = demoContext();
const practice = demoPractice();
const period = plainPeriod('water', { id: 'ask', name: 'Ask', minutes: 10 });

/** What blocks a drill in so many copies for 22 players, in words. */
function blocks(id: string, copies: number, around: Partial<Context> = {}): string[] {
	const drill = context.shelf.find((each) => each.id === id);
	if (!drill) throw new Error(id);
	const plan = { practice, context: { ...context, ...around } };
	const sized = sizeHere(plan, { period, drill, players: 22, minutes: 10, beside: [] });
	if (!sized.ok) throw new Error(sized.failure.message);
	const { output, room } = sized.value;
	const option = output.options.find((each) => each.copies === copies);
	if (!option) throw new Error(`${id} has no option of ${copies}`);
	return option.blockedBy.map((block) => blockWordsOf(block, option, { drill, room, say }));
}

test('what blocks a size is said with how much of it is short', () => {
	expect(blocks('rebound-rally', 8)).toEqual([]);
	expect(blocks('rebound-rally', 11)).toEqual(['rebound boards for 8 of 11 copies']);
	const bare = context.ground.zones.map(({ fixtures: _fixtures, ...zone }) => zone);
	expect(blocks('rebound-rally', 11, { ground: { ...context.ground, zones: bare } })).toEqual([
		'no rebound boards in its zones'
	]);
	expect(blocks('two-touch-squares', 1)).toEqual(['groups of 22, the drill takes 4 to 8']);
	expect(blocks('shooting-arc', 3)).toEqual(['no zone left for 3 of 18 × 20 m']);
	expect(blocks('two-touch-squares', 5, { kit: {} })[0]).toBe('10 balls, 20 cones short');
	expect(blocks('keepers-corner', 6)[0]).toBe('1 adult short');
	// What the team calls its things is its own.
	expect(blocks('keepers-corner', 6).join()).toMatch(/4 keeper kits short/);
});
