import { expect, test } from 'vitest';
import { demoContext } from '../../../tests/support/demo';
import { GroundEditor } from './groundEditor.svelte';

function editor() {
	let made = 0;
	const { ground } = demoContext();
	return new GroundEditor({ stored: () => ground, makeId: () => `z${(made += 1)}` });
}

test('a drag is shown, dropped as one step, and given up without one', () => {
	const ground = editor();
	ground.pull({ id: 'a' }, { x: 3.2, y: 0 });
	expect(ground.isPulling).toBe(true);
	expect(ground.zone).toMatchObject({ id: 'a', x: 3, y: 0 });
	expect(ground.isChanged).toBe(false);
	ground.cancel();
	expect(ground.zone).toMatchObject({ x: 0 });
	ground.pull({ id: 'a', corner: { along: 'far', across: 'far' } }, { x: 5, y: 0 });
	ground.drop();
	expect(ground.ground.zones.find(({ id }) => id === 'a')).toMatchObject({
		length: 23,
		width: 22.85
	});
	expect(ground.isChanged).toBe(true);
	ground.undo();
	expect(ground.isChanged).toBe(false);
	expect(ground.canUndo).toBe(false);
	ground.redo();
	expect(ground.isChanged).toBe(true);
});

test('a zone is drawn from corner to corner, either way, on guides and whole metres', () => {
	const ground = editor();
	ground.draw({ x: 30.2, y: 20.8 }, { x: 18.5, y: 10.1 });
	expect(ground.zone).toMatchObject({ x: 18.33, y: 10, length: 11.67, width: 11 });
	expect(ground.isChanged).toBe(false);
	ground.drop();
	expect(ground.ground.zones.at(-1)).toMatchObject({ name: 'G', x: 18.33 });
	ground.undo();
	expect(ground.isChanged).toBe(false);
});

test('zones are added, copied, divided and removed, each a step with a free name', () => {
	const ground = editor();
	const count = ground.ground.zones.length;
	ground.add();
	expect(ground.zone).toMatchObject({ name: 'G', length: 15, width: 10 });
	const [zone] = ground.ground.zones.slice(-1);
	ground.copy(zone);
	expect(ground.zone).toMatchObject({ name: 'H', length: 15 });
	ground.divide(zone, { along: 3, across: 2 });
	expect(ground.ground.zones).toHaveLength(count + 1 + 6);
	expect(ground.zone).toMatchObject({ length: 5, width: 5, name: 'G' });
	ground.remove(ground.ground.zones[0]);
	expect(ground.zone).toBeNull();
	for (let step = 0; step < 4; step += 1) ground.undo();
	expect(ground.isChanged).toBe(false);
});
