import { spawnSync } from 'node:child_process';
import { fileURLToPath } from 'node:url';
import { describe, expect, test } from 'vitest';
import { demoPractice, demoSurroundings } from '../../tests/support/demo';
import { simpleDrill } from '../../tests/support/drills';
import { answer } from './commands';

const input = { drill: simpleDrill(), players: 4, minutes: 5 };

describe('answer', () => {
	test('gives results with exit code 0, bad input with 2 and what cannot be met with 3', () => {
		expect(answer('simulate', input)).toMatchObject({ exitCode: 0, output: { turns: 30 } });
		expect(answer('simulate', { ...input, minutes: 'x' })).toMatchObject({
			exitCode: 2,
			output: { error: { code: 'bad-input', path: 'minutes' } }
		});
		expect(answer('simulate', { ...input, players: 1 })).toMatchObject({
			exitCode: 3,
			output: { error: { code: 'too-few-players', needed: 2 } }
		});
		expect(answer('dance', input)).toMatchObject({
			exitCode: 2,
			output: { error: { path: 'command' } }
		});
	});

	test('answers a batch in order, an error as its own element', () => {
		const { output, exitCode } = answer('batch', [
			{ command: 'fit', input: { minutes: 5, periods: [] } },
			{ command: 'size', input: { ...input, players: 1 } },
			{ command: 'batch', input: [] }
		]);
		expect(exitCode).toBe(0);
		expect(output).toMatchObject([
			{ spare: 5 },
			{ error: { code: 'too-few-players' } },
			{ error: { code: 'bad-input' } }
		]);
		expect(answer('batch', {})).toMatchObject({ exitCode: 2 });
	});

	test('checks a bundle: findings with their words, and figures', () => {
		const bundle = {
			format: 'fieldplan/bundle@1',
			practice: demoPractice(),
			...demoSurroundings()
		};
		const { output, exitCode } = answer('check', bundle);
		expect(exitCode).toBe(0);
		expect(output).toMatchObject({
			figures: { seconds: 5400 },
			findings: expect.arrayContaining([
				expect.objectContaining({ code: 'zone-twice', severity: 'stop' })
			])
		});
	});
});

test('the command line reads standard input and never shows a stack trace', () => {
	const main = fileURLToPath(new URL('main.ts', import.meta.url));
	const run = (args: string[], text: string) =>
		spawnSync(process.execPath, ['--import', 'tsx', main, ...args], {
			input: text,
			encoding: 'utf8'
		});
	const good = run(['simulate', '-'], JSON.stringify(input));
	expect([good.status, JSON.parse(good.stdout).turns]).toEqual([0, 30]);
	for (const [args, text] of [
		[['simulate', '-'], '{'],
		[['simulate'], ''],
		[['fit', '/nowhere.json'], '']
	] as const) {
		const bad = run([...args], text);
		expect(bad.status).toBe(2);
		expect(JSON.parse(bad.stdout).error.code).toBe('bad-input');
		expect(bad.stderr).not.toMatch(/\bat .*:\d+:\d+/);
	}
}, 30_000);
