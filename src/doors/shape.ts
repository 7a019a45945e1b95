import { Ajv, type ValidateFunction } from 'ajv';
import type { Static, TSchema } from 'typebox';
import { fail, ok, type Misfit, type Result } from '../core/base';
import { isDay } from '../core/model/day';
import { explain } from './explain';

const ajv = new Ajv({
	strict: true,
	allErrors: true,
	allowUnionTypes: true,
	ownProperties: true,
	// Messages say what was expected in the words of the schema.
	verbose: true
});
// What JSON Schema calls a date; the checker in the browser has it built in.
ajv.addFormat('date', isDay);
// What a text of this shape is, for whoever gets it wrong.
ajv.addKeyword('expects');
const compiled = new WeakMap<TSchema, ValidateFunction>();

function validator(schema: TSchema): ValidateFunction {
	const known = compiled.get(schema);
	if (known) return known;
	const validate = ajv.compile(schema);
	compiled.set(schema, validate);
	return validate;
}

/**
 * Reads a value that came from outside: with its type if it has the schema's shape, unknown keys
 * refused, else where it has not. Looks at own properties only.
 */
export function readShape<Schema extends TSchema>(
	schema: Schema,
	value: unknown
): Result<Static<Schema>, Misfit> {
	const validate = validator(schema);
	// The schema has just said so.
	return validate(value) ? ok(value as Static<Schema>) : fail(explain(validate.errors ?? []));
}

/** Reads JSON text as a value of a shape. The path is empty where the text is no JSON. */
export function readJson<Schema extends TSchema>(
	schema: Schema,
	text: string
): Result<Static<Schema>, Misfit> {
	let value: unknown;
	try {
		value = JSON.parse(text);
	} catch (error) {
		return fail({ path: [], message: `is no JSON: ${(error as Error).message}` });
	}
	return readShape(schema, value);
}
