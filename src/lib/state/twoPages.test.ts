import fc from 'fast-check';
import { describe, expect, test, vi } from 'vitest';
import { setMinutes } from '$core/building';
import { applyEdit, type Edit } from '$core/practice';
import { demoPractice } from '../../../tests/support/demo';
import { minutes, settle, water, World, type FakeServer } from '../../../tests/support/editors';
import type { PracticeEditor } from './practiceEditor.svelte';

const world = new World();

describe('two pages that change one practice', () => {
	test('keeps both changes where somebody else was first, and says so', async () => {
		const [mine, yours] = [world.open(), world.open()];
		mine.apply(minutes(100));
		await settle();
		yours.apply(water('w'));
		await settle();
		expect(world.server.practice.minutes).toBe(100);
		expect(world.server.practice.periods[0].id).toBe('w');
		expect(yours.practice).toEqual(world.server.practice);
		expect(yours.trouble).toContain('Both changes are kept');
	});

	/** Two editors of which the first was saved before the second. */
	async function meeting(first: (editor: PracticeEditor) => Edit, second: typeof first) {
		const [mine, yours] = [world.open(), world.open()];
		mine.apply(first(mine));
		await settle();
		yours.apply(second(yours));
		await settle();
		return { mine, yours };
	}
	const squares = (value: number) => (editor: PracticeEditor) =>
		setMinutes(editor.practice, 'squares', value);
	const without = (period: string) => (): Edit => ({ type: 'remove-period', period });
	const minutesOf = (id: string) =>
		world.server.practice.periods.find((period) => period.id === id)?.minutes;

	test('asks where both changed the same, and takes either', async () => {
		for (const [choice, left] of [
			['mine', 14],
			['theirs', 8]
		] as const) {
			world.renew();
			const { yours } = await meeting(squares(8), squares(14));
			const [conflict] = yours.conflicts;
			expect([conflict.mine, conflict.theirs]).toEqual([
				'Give Two-touch squares 14 minutes',
				'Give Two-touch squares 8 minutes'
			]);
			expect(yours.settle(conflict, choice)).toBeNull();
			await settle();
			expect(yours.conflicts).toEqual([]);
			expect(minutesOf('squares')).toBe(left);
		}
	});

	test('asks where others took away what a change is about, and can bring it back', async () => {
		const { yours } = await meeting(without('squares'), squares(14));
		expect(minutesOf('squares')).toBeUndefined();
		const [conflict] = yours.conflicts;
		expect(conflict.theirs).toBe('Two-touch squares removed');
		yours.settle(conflict, 'mine');
		await settle();
		expect(minutesOf('squares')).toBe(14);
		expect(world.server.practice.periods.map(({ id }) => id)).toEqual(
			demoPractice().periods.map(({ id }) => id)
		);
	});

	test('does not ask where changes lie beside each other', async () => {
		const { yours } = await meeting(squares(8), () => water('w'));
		expect(yours.conflicts).toEqual([]);
	});

	test('takes a change back to what somebody else had made of it', async () => {
		const { yours } = await meeting(squares(8), squares(14));
		yours.undo();
		await settle();
		expect(minutesOf('squares')).toBe(8);
	});

	test('does not take back what somebody else has changed since, and says why', async () => {
		const { mine } = await meeting(squares(8), squares(14));
		mine.apply(minutes(95));
		await settle();
		mine.undo();
		mine.undo();
		await settle();
		expect(minutesOf('squares')).toBe(14);
		expect(mine.trouble).toContain('somebody else has changed it since');
	});

	test('does not remove a period that it added once others work in it', async () => {
		const [mine, yours] = [world.open(), world.open()];
		mine.apply(water('w'));
		await settle();
		yours.apply(minutes(95));
		await settle();
		yours.apply({ type: 'set-period', period: 'w', set: { name: 'Water and words' } });
		await settle();
		mine.apply(minutes(96));
		await settle();
		mine.undo();
		mine.undo();
		await settle();
		expect(world.server.practice.periods[0]).toMatchObject({ id: 'w', name: 'Water and words' });
	});

	test('two browsers with lost answers, delays and undo end up with every edit once, in order', async () => {
		const step = fc.record({
			who: fc.nat(1),
			what: fc.constantFrom('edit', 'edit', 'edit', 'undo', 'redo', 'wait'),
			fate: fc.constantFrom<FakeServer['fate']>('answer', 'answer', 'lose', 'away'),
			kind: fc.nat(3),
			number: fc.nat(40)
		});
		let made = 0;
		await fc.assert(
			fc.asyncProperty(fc.array(step, { minLength: 5, maxLength: 40 }), async (steps) => {
				world.renew();
				const editors = [world.open(), world.open()];
				for (const { who, what, fate, kind, number } of steps) {
					const editor = editors[who];
					world.server.fate = fate;
					const periods = editor.practice.periods;
					const period = periods[number % Math.max(1, periods.length)];
					if (what === 'wait') await vi.advanceTimersByTimeAsync(number * 100);
					else if (what === 'undo') editor.undo();
					else if (what === 'redo') editor.redo();
					else if (kind === 0) editor.apply(minutes(60 + number));
					else if (kind === 1) editor.apply(water(`w${(made += 1)}`));
					else if (period && kind === 2)
						editor.apply(setMinutes(editor.practice, period.id, 1 + number));
					else if (period) editor.apply({ type: 'remove-period', period: period.id });
				}
				world.server.fate = 'answer';
				for (let k = 0; k < 5; k += 1) await settle();
				const ids = world.server.log.map(({ id }) => id);
				expect(new Set(ids).size).toBe(ids.length);
				const replayed = world.server.log.reduce((practice, { edit }) => {
					const applied = applyEdit(practice, edit);
					if (!applied.ok) throw new Error(applied.failure);
					return applied.value.practice;
				}, demoPractice());
				expect(world.server.practice).toEqual(replayed);
				for (const editor of editors) {
					expect(editor.saveState).toBe('saved');
					// One more edit brings what the other did since: then both hold the server's state.
					editor.apply(minutes(77));
					await settle();
					expect(editor.practice).toEqual(world.server.practice);
				}
			}),
			{ seed: 9, numRuns: 60 }
		);
	});
});
