import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { readShape } from '../doors';
import { answer } from './commands';
import { EXAMPLES } from './examples';
import { formatFiles } from './formats';
import { COMMAND_SHAPES } from './shapes';

test('docs/formats is what the schemas say now: `npm run formats` makes it', () => {
	const files = formatFiles();
	expect(readdirSync('docs/formats').sort()).toEqual([...files.keys()].sort());
	for (const [name, text] of files) expect(readFileSync(`docs/formats/${name}`, 'utf8')).toBe(text);
});

describe.each(Object.entries(COMMAND_SHAPES))('%s', (name, { input, output }) => {
	test('answers its example in its shape', () => {
		const example = EXAMPLES[name as keyof typeof EXAMPLES];
		expect(readShape(input, example)).toMatchObject({ ok: true });
		const answered = answer(name, example);
		expect(answered.exitCode).toBe(0);
		expect(readShape(output, answered.output)).toMatchObject({ ok: true });
	});
});
