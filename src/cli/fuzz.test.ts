import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { demoContext, demoPractice } from '../../tests/support/demo';
import { randomSeason } from '../../tests/support/seasons';
import { randomRequest } from '../../tests/support/squads';
import { answer } from './commands';

const contract = (name: string) =>
	(JSON.parse(readFileSync(`tests/contracts/${name}.json`, 'utf8')) as { input: unknown }).input;

/** A sound input of every command. */
const SOUND: Record<string, () => unknown> = {
	simulate: () => contract('simulate-01'),
	size: () => contract('size-14'),
	fit: () => contract('fit-18'),
	check() {
		const { team, season, players, adults, ground, kit, drills } = demoContext();
		const format = 'fieldplan/bundle@1';
		return { format, practice: demoPractice(), team, season, players, adults, ground, kit, drills };
	},
	coverage: () => SOUND.check(),
	step: () => contract('step-01'),
	due: () => contract('due-09'),
	group: () => ({ ...randomRequest([4, 3, 3], 5), secondsLimit: 0.02 }),
	rotate: () => ({
		groups: ['a', 'b', 'c', 'd'],
		stations: ['w', 'x', 'y'].map((id, k) => ({ id, x: k * 9, y: k, effort: 3 + k * 3, holds: 2 })),
		slots: 3,
		rules: { meet: true }
	}),
	mix: () => ({
		players: ['a', 'b', 'c', 'd', 'e', 'f', 'g'],
		sizes: [4, 3],
		sessions: 3,
		absent: [['a'], [], ['b', 'c']],
		met: [['a', 'b', 2]],
		together: [['d', 'e']],
		apart: [['a', 'g']],
		secondsLimit: 0.02
	}),
	plan: () => ({ ...randomSeason(3), secondsLimit: 0.02 }),
	lineup: () => ({
		players: ['a', 'b', 'c', 'd', 'e'].map((id, k) => ({
			id,
			positions: k % 2 ? ['x'] : ['x', 'y']
		})),
		positions: ['x', 'y'],
		shifts: 4,
		teams: 1,
		fillers: 1
	})
};

/** Values that have no business where they are put. */
const junk = fc.oneof(
	fc.constantFrom<unknown>(
		null,
		true,
		'',
		' ',
		'__proto__',
		'مرحبا',
		'👩‍👧‍👦',
		-1,
		0,
		1.5,
		1e308,
		-1e308,
		1e-300,
		600,
		501,
		[],
		{}
	),
	fc.jsonValue({ maxDepth: 2 }),
	fc.integer()
);

/** Every place in a value, as a list of keys. */
function* pathsIn(value: unknown, path: (string | number)[] = []): Generator<(string | number)[]> {
	yield path;
	if (value === null || typeof value !== 'object') return;
	for (const [key, each] of Object.entries(value))
		yield* pathsIn(each, [...path, Array.isArray(value) ? Number(key) : key]);
}

/** The value with one place changed: replaced, left out, doubled in its list, or given an unknown key. */
function changedAt(
	value: unknown,
	[key, ...rest]: (string | number)[],
	how: string,
	what: unknown
): unknown {
	if (key === undefined) {
		if (how === 'extra' && value !== null && typeof value === 'object' && !Array.isArray(value))
			return { ...value, surprise: what };
		return what;
	}
	if (Array.isArray(value)) {
		if (rest.length === 0 && how === 'leave') return value.toSpliced(Number(key), 1);
		if (rest.length === 0 && how === 'double') return [...value, value[Number(key)]];
		return value.with(Number(key), changedAt(value[Number(key)], rest, how, what));
	}
	const { [key]: own, ...others } = value as Record<string, unknown>;
	if (rest.length === 0 && how === 'leave') return others;
	return { ...others, [key]: changedAt(own, rest, how, what) };
}

function expectNumbers(value: unknown): void {
	if (typeof value === 'number') expect(Number.isFinite(value)).toBe(true);
	else if (value !== null && typeof value === 'object') Object.values(value).forEach(expectNumbers);
}

/** An answer that a program can go on with. */
function expectAnswer(command: string, input: unknown): void {
	const { output, exitCode } = answer(command, JSON.parse(JSON.stringify(input ?? null)));
	expect([0, 2, 3]).toContain(exitCode);
	expect(output).toBeTypeOf('object');
	expectNumbers(output);
	if (exitCode === 0) return;
	const { error } = output as { error: { code: string; path?: string; message: string } };
	expect(error.message).toMatch(/\S/);
	if (exitCode === 2) expect([error.code, typeof error.path]).toEqual(['bad-input', 'string']);
	else expect(['too-few-players', 'unbalanced-rotation', 'infeasible']).toContain(error.code);
}

describe.each(Object.entries(SOUND))('%s', (command, sound) => {
	const base = sound();
	// The bundle is large: a few hundred of its places stand for all.
	const paths = [...pathsIn(base)].filter((_, k, all) => k % Math.ceil(all.length / 400) === 0);

	test('answers its sound input', () => {
		expect(answer(command, base).exitCode).toBe(0);
	});

	test('answers whatever one place of its input is changed to', () => {
		const changes = fc.record({
			path: fc.constantFrom(...paths),
			how: fc.constantFrom('put', 'put', 'leave', 'double', 'extra'),
			what: junk
		});
		fc.assert(
			fc.property(changes, ({ path, how, what }) =>
				expectAnswer(command, changedAt(base, path, how, what))
			),
			{ seed: 7, numRuns: command === 'check' || command === 'coverage' ? 60 : 400 }
		);
	});

	test('answers anything at all', () => {
		fc.assert(
			fc.property(fc.jsonValue(), (input) => expectAnswer(command, input)),
			{ seed: 8, numRuns: 100 }
		);
	});
});

test('squads of 500 are grouped, rotated and lined up, one more is refused', () => {
	const players = Array.from({ length: 500 }, (_, k) => ({
		id: `p${k}`,
		unit: `u${k % 5}`,
		ratings: { pass: 1 + (k % 5) }
	}));
	const together = Array.from({ length: 100 }, (_, k) => [`p${5 * k}`, `p${5 * k + 1}`]);
	const apart = Array.from({ length: 100 }, (_, k) => [`p${5 * k}`, `p${5 * k + 2}`]);
	for (const mode of ['even', 'tiers', 'unit', 'fresh', 'match'])
		expect(
			answer('group', { players, count: 40, mode, together, apart, secondsLimit: 0.2 }).exitCode
		).toBe(0);
	expect(
		answer('group', { players: [...players, { id: 'x' }], count: 40, mode: 'even' }).exitCode
	).toBe(2);
	const lined = players.map(({ id }, k) => ({
		id,
		positions: [...new Set([`at ${k % 18}`, `at ${(k * 7) % 18}`])]
	}));
	const positions = Array.from({ length: 18 }, (_, k) => `at ${k}`);
	expect(
		answer('lineup', { players: lined, positions, shifts: 12, secondsLimit: 1 }).exitCode
	).toBe(0);
	const groups = Array.from({ length: 200 }, (_, k) => `g${k}`);
	const stations = Array.from({ length: 60 }, (_, k) => ({
		id: `s${k}`,
		x: k,
		y: (k * 7) % 13,
		holds: 2
	}));
	expect(answer('rotate', { groups, stations }).exitCode).toBe(0);
});
