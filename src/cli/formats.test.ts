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

/** Paths of the fields of a schema, by what is said of each. */
function* fieldsOf(schema: unknown, path: string): Generator<[path: string, says: unknown]> {
	if (Array.isArray(schema)) for (const part of schema) yield* fieldsOf(part, path);
	if (typeof schema !== 'object' || schema === null || Array.isArray(schema)) return;
	const { properties = {}, ...rest } = schema as { properties?: Record<string, object> };
	for (const [key, field] of Object.entries(properties)) {
		// A name of a format says itself.
		yield [`${path}.${key}`, 'const' in field || ('description' in field && field.description)];
		yield* fieldsOf(field, `${path}.${key}`);
	}
	for (const part of Object.values(rest)) yield* fieldsOf(part, path);
}

test('every field of every format says what it means', () => {
	const schemas = [...formatFiles()].filter(([name]) => name.endsWith('.schema.json'));
	expect(schemas.length).toBeGreaterThan(18);
	const fields = schemas.flatMap(([name, text]) => [...fieldsOf(JSON.parse(text), name)]);
	expect(fields.length).toBeGreaterThan(1500);
	expect(fields.filter(([, says]) => !says).map(([path]) => path)).toEqual([]);
});
