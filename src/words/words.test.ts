import { readdirSync } from 'node:fs';
import { parse, type Token } from '@messageformat/parser';
import { describe, expect, test } from 'vitest';
import { textsOf } from '../../scripts/words';
import { lineOf, sourcesOf, walk, type Node, type Source } from '../../tests/support/sources';
import { GLOSSARY, oneAndMany, speaker, wordsOf, type Message } from '.';
import { readMessage } from './read';

const CATALOGUE = 'src/words/en';
const SCREENS = ['src/lib/components', 'src/lib/state', 'src/routes'];
const files = readdirSync(CATALOGUE).map((name) => name.replace('.ts', ''));
const catalogue = new Map(files.map((name) => [name, textsOf(`${CATALOGUE}/${name}.ts`)]));
const own = wordsOf(undefined);

/** The arguments of a message: what it is said with, words of the glossary left out; a choice with its cases. */
function argumentsOf(tokens: readonly Token[]): Map<string, string[]> {
	const found = new Map<string, string[]>();
	for (const token of tokens) {
		if (token.type === 'content' || token.type === 'octothorpe') continue;
		if (!(token.arg in own)) found.set(token.arg, []);
		if (token.type === 'argument' || token.type === 'function') continue;
		found.set(
			token.arg,
			token.cases.map(({ key }) => key)
		);
		for (const { tokens: inner } of token.cases)
			for (const [name, cases] of argumentsOf(inner)) if (!found.has(name)) found.set(name, cases);
	}
	return found;
}

const everyText = files.flatMap((name) =>
	Object.entries(catalogue.get(name) ?? {}).map(([key, text]) => ({ at: `${name}.${key}`, text }))
);
const asMessage = (text: string) => text as unknown as Message;

describe('the catalogue', () => {
	test('says every text with nothing, one and many, in a team’s own words too', () => {
		const gear = Object.fromEntries(GLOSSARY.map(({ word }) => [word, 'exercise']));
		const speakers = [undefined, gear].map((words) => speaker(words, readMessage));
		for (const { at, text } of everyText) {
			const names = [...argumentsOf(parse(text))];
			for (const count of [0, 1, 2]) {
				const values = Object.fromEntries(
					names.map(([name, cases]) => [name, cases.includes('true') ? count === 1 : count])
				);
				for (const say of speakers) {
					const said = say(asMessage(text), values);
					expect(said, at).not.toMatch(
						/undefined|NaN|[{}#]|\b(a|an) (a|an|exercises)\b|\ba exercise/i
					);
				}
			}
		}
	});

	test('has a plural wherever a number stands before a word of the glossary', () => {
		const many = GLOSSARY.map(({ many: word }) => word.replace('-u', 'U')).join('|');
		const bare = everyText.filter(({ text }) =>
			new RegExp(`\\{\\w*(?:[cC]ount|number)\\} \\{(?:${many})\\}`).test(text)
		);
		expect(bare).toEqual([]);
	});

	test('can be said in another language: its arguments make the sentence, not its English', () => {
		for (const { at, text } of everyText) {
			const values = Object.fromEntries(
				[...argumentsOf(parse(text)).keys()].map((name) => [name, 2])
			);
			const said = readMessage(pseudo(parse(text)))({ ...own, ...values });
			expect(said, at).toHaveLength(readMessage(text)({ ...own, ...values }).length);
		}
	});
});

/** A message in a language that nobody speaks: every vowel of the catalogue is an `ø`. */
function pseudo(tokens: readonly Token[]): string {
	const quoted = (text: string) => text.replace(/[{}]/g, "'$&'");
	return tokens
		.map((token) => {
			if (token.type === 'content') return quoted(token.value.replace(/[aeiou]/gi, 'ø'));
			if (token.type === 'octothorpe') return '#';
			if (token.type === 'argument') return `{${token.arg}}`;
			if (token.type === 'function') return `{${token.arg}, ${token.key}}`;
			const cases = token.cases.map(({ key, tokens: inner }) => `${key} {${pseudo(inner)}}`);
			return `{${token.arg}, ${token.type}, ${cases.join(' ')}}`;
		})
		.join('');
}

/** Property names that a member expression reads from texts: `texts.saved`. */
const keyOf = (node: Node) => {
	const { object, property } = node as unknown as { object: Node; property: Node };
	return object?.type === 'Identifier' && object.name === 'texts' ? String(property.name) : null;
};

const everySource = sourcesOf(
	...SCREENS,
	'src/core',
	'src/lib/server',
	'src/lib/workers',
	'src/cli'
);
const fileOf = ({ text }: Source) => /import texts from '\$texts\/(\w+)'/.exec(text)?.[1] ?? '';

test('every text is said somewhere', () => {
	const said = new Set(
		everySource.flatMap((source) => {
			const keys: string[] = [];
			walk(source.tree, (node) => {
				const key = node.type === 'MemberExpression' ? keyOf(node) : null;
				if (key) keys.push(`${fileOf(source)}.${key}`);
				return true;
			});
			return keys;
		})
	);
	const coded = (at: string) => at.startsWith('codes.');
	expect(everyText.filter(({ at }) => !said.has(at) && !coded(at)).map(({ at }) => at)).toEqual([]);
	expect([...said].filter((at) => !everyText.some((text) => text.at === at))).toEqual([]);
});

/** The messages that an expression chooses among. */
function chosen(node: Node): string[] {
	if (node.type === 'ConditionalExpression')
		return [node.consequent, node.alternate].flatMap((each) => chosen(each as Node));
	const key = node.type === 'MemberExpression' ? keyOf(node) : null;
	return key ? [key] : [];
}

/** Names of the values in `{ a, b: 1 }`; null where others are spread into it. */
function valuesIn(node: Node | undefined): string[] | null {
	if (!node) return [];
	if (node.type !== 'ObjectExpression') return null;
	const properties = node.properties as Node[];
	if (properties.some(({ type }) => type !== 'Property')) return null;
	return properties.map(({ key }) => String((key as Node).name));
}

test('whoever says a text gives the values that it asks for, and no others', () => {
	const wrong = everySource.flatMap((source) => {
		const found: string[] = [];
		walk(source.tree, (node) => {
			const { callee, arguments: given } = node as unknown as { callee?: Node; arguments?: Node[] };
			const name = callee?.name ?? (callee?.property as Node | undefined)?.name;
			if (node.type !== 'CallExpression' || name !== 'say' || !given?.[0]) return true;
			const values = valuesIn(given[1]);
			const keys = chosen(given[0]);
			const asked = new Set(
				keys.flatMap((key) => [
					...argumentsOf(parse(catalogue.get(fileOf(source))?.[key] ?? '')).keys()
				])
			);
			if (values && keys.length > 0) {
				const bad = [
					...[...asked].filter((each) => !values.includes(each)),
					...values.filter((each) => !asked.has(each) || each in own)
				];
				if (bad.length > 0) found.push(`${source.file}:${lineOf(source, node)} ${keys} ${bad}`);
			}
			return true;
		});
		return found;
	});
	expect(wrong).toEqual([]);
});

/** Attributes that are read out or shown, of elements and of the components that draw them. */
const SHOWN =
	/^(aria-(label|valuetext|description)|title|placeholder|alt|label|legend|heading|intro|says|hint|empty|save|text|subtitle|\w*(Text|Label|Heading|Title|Description))$/;
const isProse = (text: string) => /\p{L}{2,}/u.test(text);

/** Texts of a component that stand in it instead of in the catalogue. */
function bareTexts(source: Source): string[] {
	const found: string[] = [];
	const tell = (node: Node, text: string) =>
		found.push(`${source.file}:${lineOf(source, node)} ${text.trim()}`);
	walk(source.tree, (node) => {
		if (node.type === 'Attribute') {
			const values = [node.value].flat() as Node[];
			if (SHOWN.test(String(node.name)))
				for (const value of values)
					if (value?.type === 'Text' && isProse(String(value.data))) tell(node, String(value.data));
			return false;
		}
		if (node.type === 'Text' && isProse(String(node.data))) tell(node, String(node.data));
		return !/^(ImportDeclaration|StyleSheet|StyleDirective)/.test(node.type);
	});
	return found;
}

/** Names of keys, and what is no text at all. */
const KEY = /^(Enter|Esc|Escape|Delete|Space)$|^(give back|<\?xml) /;

/** Properties that hold what is shown. */
const TOLD = /^(name|label|heading|hint|words?|says|does|text|title|legend|detail|none|any)$/;

/** Strings of a program that read like English: several words, one with a capital, or what is shown. */
function bareStrings(source: Source): string[] {
	const found: string[] = [];
	walk(source.tree, (node) => {
		if (/^(ImportDeclaration|ExportAllDeclaration|TSLiteralType|StyleSheet)$/.test(node.type))
			return false;
		const { callee } = node as { callee?: Node };
		if (callee?.name === 'Error' || callee?.name === 'assertNever') return false;
		const { key, value } = node as { key?: Node; value?: Node };
		if (
			node.type === 'Property' &&
			TOLD.test(String(key?.name)) &&
			value?.type === 'Literal' &&
			isProse(String(value.value))
		)
			found.push(`${source.file}:${lineOf(source, node)} ${String(value.value)}`);
		const text =
			node.type === 'Literal' || node.type === 'StringLiteral'
				? node.value
				: node.type === 'TemplateElement'
					? (node.value as { cooked: string }).cooked
					: null;
		if (
			typeof text === 'string' &&
			!KEY.test(text) &&
			/\p{L}{2,} \p{Ll}{2,}|^\p{Lu}\p{Ll}+ ?$/u.test(text)
		)
			found.push(`${source.file}:${lineOf(source, node)} ${text}`);
		return true;
	});
	return found;
}

/** What a use case or a route gives as the reason of a refusal, where that stands in the code. */
function bareMessages(source: Source): string[] {
	const found: string[] = [];
	walk(source.tree, (node) => {
		const { key, value, callee } = node as { key?: Node; value?: Node; callee?: Node };
		const given = (node.arguments as Node[] | undefined) ?? [];
		const reasons =
			node.type === 'Property' && key?.name === 'message'
				? [value]
				: /^(error|refuse|fault|blame|misfit)$/.test(String(callee?.name))
					? given.slice(1)
					: [];
		for (const reason of reasons)
			if (reason?.type === 'TemplateLiteral' || / /.test(String(reason?.value ?? '')))
				found.push(`${source.file}:${lineOf(source, node)}`);
		return true;
	});
	return found;
}

test('no text stands outside the catalogue', () => {
	const components = everySource.filter(({ file }) => file.endsWith('.svelte'));
	expect(components.length).toBeGreaterThan(90);
	expect(components.flatMap(bareTexts)).toEqual([]);
	const prose = sourcesOf(
		...SCREENS,
		'src/core/checks/editWords.ts',
		'src/core/checks/messages.ts',
		'src/core/practice/limitFacts.ts'
	).filter(({ file }) => !/\+(page|layout)?\.?server\.ts$|\+server\.ts$/.test(file));
	expect(prose.flatMap(bareStrings)).toEqual([]);
	const answering = sourcesOf('src/lib/server/usecases', 'src/routes');
	expect(answering.flatMap(bareMessages)).toEqual([]);
});

describe('a team’s own words', () => {
	const say = speaker({ period: 'segment', adult: 'helper / helpers', kit: ' ' }, readMessage);
	const message = (text: string) => say(asMessage(text), { count: 1 });

	test('stand in texts with their article, their plural and a capital', () => {
		expect(message('{APeriod} and {anotherPeriod, select, other {{periods}}}')).toBe(
			'A segment and segments'
		);
		expect(message('{aAdult}, {Adults}, {count, plural, one {# {kit}} other {# {kits}}}')).toBe(
			'a helper, Helpers, 1 kit'
		);
	});

	test('follow their endings, and the sound of their first letter', () => {
		expect(
			['match', 'try', 'play', 'set', 'serie / series'].map((word) => oneAndMany(word)[1])
		).toEqual(['matches', 'tries', 'plays', 'sets', 'series']);
		expect(
			['exercise', 'unit', 'hour', 'umpire', 'European'].map(
				(word) => wordsOf({ drill: word }).aDrill
			)
		).toEqual(['an exercise', 'a unit', 'an hour', 'an umpire', 'a European']);
	});
});
