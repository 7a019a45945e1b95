import type { ErrorObject } from 'ajv';
import type { Misfit, Path } from '../core/base';

/** A JSON pointer with the key at fault. */
export function toPath(pointer: string, key?: string): Path {
	const parts = pointer
		.split('/')
		.slice(1)
		.map((part) => part.replaceAll('~1', '/').replaceAll('~0', '~'))
		.map((part) => (/^\d+$/.test(part) ? Number(part) : part));
	return key === undefined ? parts : [...parts, key];
}

const things = (count: number) => (count === 1 ? '1 entry' : `${count} entries`);

function describe({ keyword, params, message, parentSchema }: ErrorObject): string {
	const meaning = (parentSchema as { expects?: string } | undefined)?.expects;
	switch (keyword) {
		case 'required':
			return 'is missing';
		case 'additionalProperties':
			return 'is not a known key';
		case 'const':
			return `expected ${JSON.stringify(params.allowedValue)}`;
		case 'enum':
			return `expected one of ${(params.allowedValues as unknown[]).map((value) => JSON.stringify(value)).join(', ')}`;
		case 'type':
			return `expected ${[params.type].flat().join(' or ')}`;
		case 'pattern':
		case 'format':
			return meaning ? `expected ${meaning}` : 'has characters that cannot be stored';
		case 'minLength':
			return 'is empty';
		case 'maxLength':
			return `is longer than ${params.limit} characters`;
		case 'minimum':
			return `expected ${params.limit} or more`;
		case 'maximum':
			return `expected ${params.limit} or less`;
		case 'exclusiveMinimum':
			return `expected more than ${params.limit}`;
		case 'exclusiveMaximum':
			return `expected less than ${params.limit}`;
		case 'minItems':
			return `expected ${things(params.limit)} or more`;
		case 'maxItems':
			return `expected ${things(params.limit)} or fewer`;
		case 'uniqueItems':
			return 'names something twice';
		default:
			return message ?? 'is not as expected';
	}
}

function place({ instancePath, keyword, params }: ErrorObject): Path {
	if (keyword === 'required') return toPath(instancePath, params.missingProperty as string);
	if (keyword === 'additionalProperties')
		return toPath(instancePath, params.additionalProperty as string);
	return toPath(instancePath);
}

/** The branch of a union that an error belongs to: the schema path up to the innermost `anyOf/N/`. */
const branchOf = ({ schemaPath }: ErrorObject) => schemaPath.match(/^.*\/anyOf\/\d+\//)?.[0];

/**
 * The one error that helps most. In a union whose members are told apart by a literal, errors of
 * the members that were not meant are left out; of the rest the deepest says the most.
 */
function mostHelpful(errors: readonly ErrorObject[]): ErrorObject {
	const notMeant = errors
		.filter(({ keyword }) => keyword === 'const')
		.flatMap((error) => branchOf(error) ?? []);
	const candidates = errors.filter(
		(error) =>
			error.keyword !== 'anyOf' && !notMeant.some((branch) => error.schemaPath.startsWith(branch))
	);
	const depth = ({ instancePath }: ErrorObject) => instancePath.split('/').length;
	const pool = candidates.length > 0 ? candidates : errors;
	if (!errors.some(({ keyword }) => keyword === 'anyOf')) return pool[0];
	return pool.reduce((best, error) => (depth(error) > depth(best) ? error : best));
}

/** Says in words where a value has not the expected shape. Needs at least one error. */
export function explain(errors: readonly ErrorObject[]): Misfit {
	const error = mostHelpful(errors);
	return { path: place(error), message: describe(error) };
}
