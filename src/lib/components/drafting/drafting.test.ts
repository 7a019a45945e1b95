import { describe, expect, test } from 'vitest';
import { sameValue } from '$core/base';
import { blankDrill, faultOf, ladderOf, resolveDrill, simulate, withChange } from '$core/drill';
import { RungChange } from '$core/model/drill';
import { demoContext, demoTeams } from '../../../../tests/support/demo';
import { DrillDraft } from './draft.svelte';
import { FIELD_GROUPS, groupOf } from './fields';
import { type SpotCalling } from './lines';
import { PART_TABLES, partColumns, partRows, type PartRow } from './partRows';
import { linesOn, nearestSpot, snapped } from './mapLines';
import { skillRows, skillsIn } from './skillRows';
import { newSpotRow, spotColumns, spotRows, spotsIn } from './spotRows';
import { wayRows, waysIn, withWay } from './wayRows';
import { speaker } from '$words';

const say = speaker(undefined);

const all = demoTeams().flatMap((team) => demoContext(team).shelf);
const plain: SpotCalling = {
	nameOf: (key) => key,
	keyOf: (name) => (all.some(({ spots }) => spots.some(({ id }) => id === name)) ? name : undefined)
};
const blank = blankDrill({ id: 'x', sport: 'any' });

describe('what is typed in', () => {
	test('has a place for every field that a rung may change, each in one group', () => {
		const fields = FIELD_GROUPS.flatMap((group) => group.fields);
		expect(fields.toSorted()).toEqual(Object.keys(RungChange.properties).toSorted());
		expect(groupOf('rotation')?.id).toBe('spots');
	});

	test('is the same drill again where nothing is changed, input by input', () => {
		for (const drill of all)
			for (const { id, inputs } of FIELD_GROUPS)
				for (const input of inputs) {
					// A tick that was never made is not the same as one that was taken away.
					if (input.kind === 'tick' && !input.value(drill, plain)) continue;
					const change =
						input.kind === 'number'
							? input.write(drill, input.value(drill, plain), plain)
							: input.kind === 'tick'
								? input.write(drill, input.value(drill, plain), plain)
								: input.write(drill, input.value(drill, plain), plain);
					expect([drill.id, id, sameValue(withChange(drill, change), drill)]).toEqual([
						drill.id,
						id,
						true
					]);
				}
	});

	test('in tables is the same drill again', () => {
		for (const drill of all) {
			const moves = Object.entries(drill.rotation.moves).filter(([from, to]) => from !== to);
			expect(spotsIn(spotRows(drill, plain), drill)).toEqual({
				spots: drill.spots,
				rotation: { ...drill.rotation, moves: Object.fromEntries(moves) }
			});
			expect(waysIn(wayRows(drill, plain), plain)).toEqual(drill.paths);
			for (const table of Object.values(PART_TABLES)) {
				const change = table.change(partRows(table, drill, plain), drill, plain);
				expect([drill.id, table.field, sameValue(withChange(drill, change), drill)]).toEqual([
					drill.id,
					table.field,
					true
				]);
			}
			expect(skillsIn(skillRows(drill, plain), plain)).toEqual(drill.skills);
		}
		const row = newSpotRow('k', blank);
		for (const column of spotColumns([row], { units: [], hasResult: true }, say))
			expect(column.set(row, column.value(row))).toEqual(row);
	});

	test('is read as a coach writes it', () => {
		const calling = { ...plain, keyOf: (name: string) => (name === 'gate' ? 'k' : undefined) };
		const typed = (id: string, ...rows: Record<string, string>[]) =>
			PART_TABLES[id].change(
				rows.map(
					(cells, key) => ({ ...PART_TABLES[id].fresh, ...cells, key: `${key}` }) as PartRow
				),
				blank,
				calling
			);
		expect(
			typed('kit', { item: 'ball', count: '1,5', or: 'beanbag, bib ' }, { item: ' ' })
		).toEqual({
			kit: [{ item: 'ball', count: 1.5, per: 'copy', or: ['beanbag', 'bib'] }]
		});
		expect(typed('cues', { say: ' low ', spot: 'k', young: 'like a cat' }, { say: '' })).toEqual({
			cues: [{ say: 'low', spot: 'k', young: 'like a cat' }]
		});
		expect(typed('turn', { kind: 'kicks', count: '2', spots: 'gate, moon' })).toMatchObject({
			turn: { loads: [{ kind: 'kicks', count: 2, spots: ['k', 'moon'] }] }
		});
		expect(typed('sides', { name: 'left', mirror: 'x' }, { name: 'right' })).toEqual({
			sides: { names: ['left', 'right'], mirror: { left: 'x' } }
		});
		expect([typed('sides'), typed('questions')]).toEqual([
			{ sides: undefined },
			{ questions: undefined }
		]);
		for (const table of Object.values(PART_TABLES)) {
			const row = { ...table.fresh, key: 'new' } as PartRow;
			for (const column of partColumns(table, blank, { calling: plain, say }))
				expect(column.set(row, column.value(row))).toEqual(row);
		}
		expect(typed('fixtures', { item: 'goal', count: '2' }, { item: '', count: '1' })).toEqual({
			fixtures: [{ item: 'goal', count: 2 }]
		});
		expect([typed('needsRole', { role: ' keepers ', count: '1' }), typed('needsRole')]).toEqual([
			{ needsRole: [{ role: 'keepers', count: 1 }] },
			{ needsRole: undefined }
		]);
		const faults = typed('faults', { seen: 'tall', say: 'bend', rung: 'r' }, { seen: 'late' });
		expect(faults).toEqual({
			faults: [
				{ seen: 'tall', say: 'bend', rung: 'r' },
				{ seen: 'late', say: '' }
			]
		});
		const rungs = [{ id: 'r', name: 'Faster', change: '', lever: 'pace' as const }];
		const [, , rung] = partColumns(
			PART_TABLES.faults,
			{ ...blank, rungs },
			{ calling: plain, say }
		);
		expect(rung.options).toMatchObject([{ id: 'r', name: 'Faster' }]);
		const ways = wayRows({ ...blank, paths: [{ from: [1, 2.5], to: 'x', kind: 'run' }] }, plain);
		expect(ways[0]).toMatchObject({ from: '1; 2.5', step: '' });
		expect(waysIn([{ ...ways[0], from: '3,5; 4' }], plain)).toMatchObject([{ from: [3.5, 4] }]);
	});
});

describe('a draft', () => {
	test('keeps moves, ways and rungs together while a spot is called otherwise', () => {
		const draft = new DrillDraft({ ...blank, paths: [{ from: 'work', to: 'feed', kind: 'run' }] });
		draft.addRung('Rung 1');
		draft.set({ rotation: { ...blank.rotation, everyTurns: 2 } });
		draft.rungId = undefined;
		draft.set({}, { work: 'feed' });
		expect(draft.isComplete).toBe(false);
		draft.set({}, { work: 'runner' });
		expect(draft.kept).toMatchObject({
			rotation: { moves: { runner: 'feed', feed: 'runner' } },
			paths: [{ from: 'runner' }],
			rungs: [{ set: { rotation: { moves: { runner: 'feed' } } } }]
		});
		expect(draft.fault).toBeNull();
	});

	test('writes a rung as what it changes, and gives back what it no longer does', () => {
		const draft = new DrillDraft(blank);
		draft.addRung('Rung 1');
		draft.setRung({ name: 'Quick', lever: 'pace' });
		draft.set({ turn: { workSeconds: 6, headwaySeconds: 7 }, effort: 7 });
		expect(draft.changed).toEqual(['turn', 'effort']);
		expect(draft.running.turn.workSeconds).toBe(6);
		expect(draft.kept.effort).toBe(blank.effort);
		draft.giveBack(['turn']);
		expect(draft.kept.rungs).toMatchObject([{ name: 'Quick', set: { effort: 7 } }]);
		draft.addRung('Rung 2');
		draft.setRung({ needs: [draft.kept.rungs[0].id] });
		const [quick, second] = draft.kept.rungs.map(({ id }) => id);
		draft.setRung({ on: quick });
		expect(ladderOf(draft.kept)).toEqual([null, quick, second]);
		draft.moveStep(second, 1);
		expect(draft.kept.rungs.map(({ name }) => name)).toEqual(['Rung 2', 'Quick']);
		expect(draft.kept.rungs[0]).not.toHaveProperty('on');
		draft.moveStep(null, 1);
		expect(ladderOf(draft.kept)).toEqual([second, null, quick]);
		draft.moveStep(null, 3);
		expect(draft.kept.standardAt).toBe(1);
		draft.rungId = draft.kept.rungs[1].id;
		draft.removeRung();
		expect(draft.kept.rungs).toEqual([{ id: second, name: 'Rung 2', change: '', lever: 'pace' }]);
		expect(draft.kept.standardAt).toBe(1);
		expect(draft.rungId).toBeUndefined();
	});

	test('goes back step by step and forth again; what is typed in one go is one step', () => {
		let now = 0;
		const draft = new DrillDraft(blank, () => now);
		const names = () => [draft.kept.name, draft.kept.effort, draft.kept.rungs.length];
		expect([draft.canUndo, draft.canRedo]).toEqual([false, false]);
		draft.undo();
		for (const name of ['R', 'Ro', 'Rope']) {
			draft.setOwn({ name });
			now += 200;
		}
		now += 2000;
		draft.setOwn({ name: 'Rope bridge' });
		draft.set({ effort: 9 });
		draft.addRung('Rung 1');
		draft.setRung({ name: 'Quick' });
		draft.undo();
		draft.undo();
		expect(draft.rungId).toBeUndefined();
		expect(names()).toEqual(['Rope bridge', 9, 0]);
		draft.undo();
		draft.undo();
		expect(names()).toEqual(['Rope', blank.effort, 0]);
		draft.redo();
		draft.redo();
		draft.redo();
		draft.redo();
		expect(draft.kept.rungs[0].name).toBe('Quick');
		expect(draft.canRedo).toBe(false);
		draft.undo();
		draft.set({ effort: 2 });
		expect(draft.canRedo).toBe(false);
		while (draft.canUndo) draft.undo();
		expect(draft.kept).toEqual(blank);
	});

	test('is what it was after any changes are taken back, a called spot and a removed rung too', () => {
		let now = 0;
		const [drill] = all.filter(({ rungs }) => rungs.length > 2);
		const draft = new DrillDraft(drill, () => (now += 5000));
		draft.set(
			{ spots: draft.typed.spots.map((spot) => ({ ...spot, job: 'run' })) },
			{ [drill.spots[0].id]: 'renamed' }
		);
		draft.rungId = drill.rungs[0].id;
		draft.removeRung();
		draft.rungId = drill.rungs[1].id;
		draft.moveStep(draft.rungId, 0);
		draft.giveBack(draft.changed);
		const changed = draft.kept;
		expect(changed).not.toEqual(drill);
		let steps = 0;
		for (; draft.canUndo; steps += 1) draft.undo();
		expect([steps, draft.kept]).toEqual([4, drill]);
		while (draft.canRedo) draft.redo();
		expect(draft.kept).toEqual(changed);
	});

	test('runs the last state that could run while another is typed', () => {
		const draft = new DrillDraft(blank);
		draft.set({ rotation: { moves: { work: 'feed', feed: 'feed' } } });
		expect(draft.fault).toMatchObject({ code: 'unbalanced-rotation' });
		expect(draft.running).toEqual(blank);
		draft.set({ spots: blank.spots.map((spot) => ({ ...spot, count: Number.NaN })) });
		expect([draft.isComplete, draft.fault]).toEqual([false, null]);
	});

	test('of any drill of the demo is that drill, and so are its rungs', () => {
		for (const drill of all) {
			const draft = new DrillDraft(drill);
			expect([drill.id, faultOf(draft.kept), draft.isComplete]).toEqual([drill.id, null, true]);
			for (const { id } of drill.rungs) {
				draft.rungId = id;
				const resolved = resolveDrill(drill, id);
				const asked = { players: draft.running.group.ideal, minutes: 4 };
				expect(simulate({ drill: draft.running, ...asked })).toEqual(
					resolved.ok && simulate({ drill: resolved.value, ...asked })
				);
			}
		}
	});
});

test('lines are drawn from spot to spot, or to a half metre where none is near', () => {
	const spots = [
		{ key: 'a', x: 1, y: 1 },
		{ key: 'b', x: 2, y: 1 }
	];
	expect(nearestSpot(spots, { x: 1.6, y: 1 }, 1)).toBe('b');
	expect(nearestSpot(spots, { x: 5, y: 5 }, 1)).toBeNull();
	expect(snapped({ x: 9.3, y: 11 }, blank.ground)).toEqual({ x: 9.5, y: 10 });
	const drill = {
		...blank,
		rotation: { moves: { a: 'b', b: 'b' } },
		paths: withWay(blank, { from: 'a', to: [4, 4], kind: 'flight' })
	};
	expect(linesOn(drill, spots)).toEqual([
		{ key: 'way 0', kind: 'flight', from: { key: 'a', x: 1, y: 1 }, to: { x: 4, y: 4 } },
		{ key: 'move a', kind: 'move', from: spots[0], to: spots[1] }
	]);
	expect(withWay(drill, { from: 'b', to: 'a', kind: 'run' }).map(({ step }) => step)).toEqual([
		1, 2
	]);
});
