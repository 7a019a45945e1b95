import { expect, test } from 'vitest';
import { faultsIn } from '$core/checks';
import type { Scene } from '$core/model/scene';
import { evaluate, onRung } from '$core/playing';
import { blocksOf, toContext } from '$core/practice';
import { demoDb } from '../../../../../tests/support/database';
import { findDrill } from '../../repositories/drills';
import { listPlanned } from '../../repositories/practices';
import { listSeasons } from '../../repositories/teams';
import { todayOf } from '../../app';
import { loadBoard } from '../views';
import { saveScene } from './scenes';
import { setUpFix } from './setUpFix';

const SCENE: Scene = {
	...{ name: 'Two against the last one', ground: { length: 20, width: 15 }, ball: [5, 7] },
	tokens: [
		{ id: '1', side: 'ours', x: 5, y: 7 },
		{ id: '2', side: 'ours', x: 6, y: 12 },
		{ id: 'A', side: 'theirs', x: 12, y: 9 },
		{ id: 'B', side: 'theirs', x: 18, y: 4 }
	],
	ways: [{ from: '1', to: '2', kind: 'flight' }]
};

test.each([
	['harbour-minis', 'soft ball'],
	['saltmarsh', 'ball'],
	['skerryside', 'football']
])('a scene of %s is set up with its own %s, adults and contact', async (teamId, ball) => {
	const db = await demoDb([teamId]);
	const [season] = await listSeasons(db, teamId);
	const of = { teamId, seasonId: season.id };
	const fix = { ...SCENE, id: 'new', since: season.firstDay };
	const saved = await saveScene(db, { ...of, list: 'fixes', scene: fix });
	const fixId = saved.ok ? saved.value : '';
	const [{ practice: to }] = await listPlanned(db, teamId, await todayOf(db, teamId));
	const stopsIn = async () => {
		const board = await loadBoard(db, teamId, to.id);
		if (!board) throw new Error('there is no board');
		const context = toContext(board.surroundings);
		const evaluation = evaluate(board.stored.practice, context);
		const stops = faultsIn(evaluation).filter(({ severity }) => severity === 'stop');
		return { stops: stops.length, practice: board.stored.practice, context };
	};
	const before = await stopsIn();
	expect(await setUpFix(db, { ...of, fixId, practiceId: to.id })).toEqual({
		ok: true,
		value: to.id
	});
	const { stops, practice, context } = await stopsIn();
	expect(stops).toBe(before.stops);
	const [{ block }] = [...blocksOf(practice)].filter(
		({ block: each }) => each.drill?.id === 'two-against-the-last-one'
	);
	// Everybody who comes has a place, but those who are kept out of live play.
	const placed = block.copies.flatMap(({ players }) => players);
	const groups = practice.periods.flatMap((period) => period.groups ?? []);
	const inGroups = block.copies.flatMap(
		({ group }) => groups.find(({ id }) => id === group)?.players ?? []
	);
	const kept = practice.expected.filter((id) => context.playerById.get(id)?.restrictions?.length);
	expect(new Set([...placed, ...inGroups]).size).toBeGreaterThanOrEqual(
		practice.expected.length - kept.length
	);
	for (const { adults } of block.copies) expect(adults.length).toBeGreaterThan(0);
	const drill = await findDrill(db, teamId, 'two-against-the-last-one');
	expect(drill?.kit).toEqual([{ item: ball, count: 1, per: 'copy' }]);
	// Never less contact than any live drill of the shelf has.
	const live = context.shelf.flatMap((each) =>
		[undefined, ...each.rungs.map(({ id }) => id)]
			.map((rung) => onRung(each, rung))
			.filter((rung) => rung.live)
	);
	expect(drill?.rungs[0].set?.contact).toBe(Math.max(...live.map(({ contact }) => contact)));
	expect(drill?.contact).toBe(0);
});
