import { readFileSync } from 'node:fs';
import MessageFormat from '@messageformat/core';
import compileModule from '@messageformat/core/compile-module.js';
import ts from 'typescript';
import type { Plugin } from 'vite';

const CATALOGUE = /\/src\/words\/[a-z]{2}\/[a-zA-Z]+\.ts$/;
const IMPORT = /import texts from (['"]\$texts\/[a-zA-Z]+['"])/g;

/** The texts of a file of the catalogue, by key. */
export function textsOf(file: string): Record<string, string> {
	const source = ts.createSourceFile(file, readFileSync(file, 'utf8'), ts.ScriptTarget.Latest);
	const texts: Record<string, string> = {};
	const look = (node: ts.Node): void => {
		if (
			ts.isPropertyAssignment(node) &&
			(ts.isIdentifier(node.name) || ts.isStringLiteral(node.name)) &&
			ts.isStringLiteralLike(node.initializer)
		)
			texts[node.name.text] = node.initializer.text;
		ts.forEachChild(node, look);
	};
	look(source);
	return texts;
}

/** A name for a text within its module: a key may be a word that JavaScript keeps for itself. */
const local = (key: string) => `text_${key}`;

/** The module that a file of the catalogue becomes: functions of values, and plain texts where there is no value. */
export function compiledTexts(file: string): string {
	const texts = Object.entries(textsOf(file));
	const isFormatted = ([, text]: [string, string]) => /[{}]/.test(text);
	const compiled = compileModule(
		new MessageFormat('en'),
		Object.fromEntries(texts.filter(isFormatted).map(([key, text]) => [local(key), text]))
	);
	// Each becomes a constant of its own, so that a page has only those that it says.
	const [head, body] = compiled.split('export default {');
	const formatted = body.slice(0, body.lastIndexOf('}')).split(/,?\n {2}(?=text_\w+: )/);
	return [
		head,
		...formatted.filter((each) => each.trim()).map((each) => `const ${each.replace(':', ' =')};`),
		...texts
			.filter((each) => !isFormatted(each))
			.map(([key, text]) => `const ${local(key)} = ${JSON.stringify(text)};`),
		`export { ${texts.map(([key]) => `${local(key)} as ${key}`).join(', ')} };`,
		`export default { ${texts.map(([key]) => `${key}: ${local(key)}`).join(', ')} };`
	].join('\n');
}

/**
 * Reads the catalogue when the application is built: no reader of messages goes to the browser, and no
 * text that a page does not say.
 */
export const catalogue = (): Plugin => ({
	name: 'catalogue',
	enforce: 'pre',
	load(id) {
		const [file] = id.split('?');
		return CATALOGUE.test(file) ? compiledTexts(file) : null;
	},
	transform(code, id) {
		if (!/\.(svelte|ts)$/.test(id) || !code.includes('$texts/')) return null;
		return { code: code.replace(IMPORT, 'import * as texts from $1'), map: null };
	}
});
