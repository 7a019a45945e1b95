import { parse } from 'svelte/compiler';
import { expect, test } from 'vitest';
import { GLOSSARY } from '$core/words';

const WORDS = new RegExp(
	`(?<![\\p{L}-])(${GLOSSARY.flatMap(({ word, many }) => [word, many]).join('|')})(?![\\p{L}-])`,
	'iu'
);
const SOURCES = import.meta.glob<string>('/src/**/*.svelte', {
	query: '?raw',
	import: 'default',
	eager: true
});
/** Attributes that are read out or shown. */
const SHOWN = /^(aria-(label|valuetext)|title|placeholder|alt|\w*(Text|Label|Heading)|subtitle)$/;
/** Screens outside of a team have no words of its own. */
const OUTSIDE = /^\/src\/routes\/(data|teams|\+error|\+page)/;

interface Node {
	type?: string;
	name?: string;
	start?: number;
	[key: string]: unknown;
}

/** Components of a file that come from the library of controls: they show texts as they are given. */
const controlsOf = (source: string): string[] =>
	[...source.matchAll(/import \{([^}]*)\} from 'carbon-components-svelte'/g)].flatMap(([, names]) =>
		names.split(',').map((name) => name.trim())
	);

/** Texts of a component that hold a word of the glossary and are shown as they stand, with their lines. */
function unworded([file, source]: [string, string]): string[] {
	const controls = controlsOf(source);
	const found: string[] = [];
	const look = (text: string, { start = 0 }: Node) => {
		const line = source.slice(0, start).split('\n').length;
		if (WORDS.test(text)) found.push(`${file}:${line} ${text.trim()}`);
	};
	function walk(value: unknown, isAsGiven: boolean): void {
		if (Array.isArray(value)) value.forEach((each) => walk(each, isAsGiven));
		if (value === null || typeof value !== 'object' || Array.isArray(value)) return;
		const node = value as Node;
		const { callee } = node as { callee?: Node };
		if (node.type === 'CallExpression' && callee?.name === 'w') return;
		if (node.type === 'Attribute') {
			if (isAsGiven && SHOWN.test(String(node.name))) walk(node.value, true);
			return;
		}
		if (node.type === 'Text') look(String(node.data), node);
		const isComponent = node.type === 'Component';
		const isOwn = isComponent && !controls.includes(String(node.name));
		for (const [key, child] of Object.entries(node))
			if (key === 'attributes') walk(child, !isOwn);
			else if (key !== 'metadata') walk(child, isAsGiven);
	}
	walk(parse(source, { modern: true }).fragment, true);
	return found;
}

test('every text of a screen that holds a word of the glossary takes the team’s own', () => {
	const files = Object.entries(SOURCES).filter(([file]) => !OUTSIDE.test(file));
	expect(files.length).toBeGreaterThan(80);
	expect(files.flatMap(unworded)).toEqual([]);
});
