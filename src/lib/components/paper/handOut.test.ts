import { expect, test } from 'vitest';
import { evaluate } from '$core/playing';
import { demoContext, demoPractice } from '../../../../tests/support/demo';
import { readMessage } from '../../../words/read';
import { speaker } from '$words';
import { callerOf, movesOf, rungCards, spanOf } from './handOut';

const say = speaker(undefined, readMessage);
const evaluation = evaluate(demoPractice(), demoContext());
const drillOf = (id: string) => {
	const drill = evaluation.context.shelf.find((each) => each.id === id);
	if (!drill) throw new Error(`no ${id}`);
	return drill;
};
const blockOf = (id: string) => {
	const run = evaluation.runs.find((each) => each.run.block.id === id);
	if (!run) throw new Error(`no ${id}`);
	return run.run.block;
};

test('people are called by number and first name, or by the number alone', () => {
	const [player] = evaluation.context.players;
	const [first] = player.name.split(' ');
	expect(callerOf(evaluation, false)(player.id)).toBe(`${player.number} ${first}`);
	expect(callerOf(evaluation, true)(player.id)).toBe(String(player.number));
	expect(callerOf(evaluation, true)('head')).toBe('Maren');
	expect(spanOf(evaluation, { fromSecond: 600, toSecond: 1200 }, say)).toBe('18:40 to 18:50');
});

test('it says of every spot where it leads after a turn', () => {
	for (const { spots, rotation, ...drill } of evaluation.context.shelf) {
		const moves = movesOf({ ...drill, spots, rotation }, say);
		expect(moves).toHaveLength(spots.length);
		for (const [index, { id }] of spots.entries()) {
			const to = rotation.moves[id] ?? id;
			expect(moves[index]).toBe(to === id ? `${id} stays` : `${id} → ${to}`);
		}
	}
});

test('each rung that a block runs has its own cues, cautions and what it counts', () => {
	const drill = drillOf('shooting-arc');
	const block = { ...blockOf('arc'), climb: [{ minutes: 3 }, { rung: 'chaser', minutes: 4 }] };
	const [itself, chaser] = rungCards(block, drill, say);
	const rung = drill.rungs.find(({ id }) => id === 'chaser');
	expect(itself.name).toBe('As it is');
	expect(chaser.name).toBe(`${rung?.name}: ${rung?.change}`);
	expect(itself.cues).toEqual([...new Set(drill.cues.map((cue) => cue.say))]);
	expect(itself.cautions).toEqual(drill.cautions);
	expect(itself.told[0]).toContain(drill.success?.counts ?? '');
	// What the other side is told stands apart.
	const press = drillOf('press-in-pairs');
	const [card] = rungCards(blockOf('press'), press, say);
	const against = press.spots.flatMap(({ id, role }) => (role === 'opponent' ? id : []));
	const theirs = press.cues.filter(({ spot }) => spot && against.includes(spot));
	expect(card.others).toEqual([...new Set(theirs.map((cue) => cue.say))]);
});
