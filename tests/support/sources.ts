import { readdirSync, readFileSync } from 'node:fs';
import { parse } from 'svelte/compiler';
import { parser } from 'typescript-eslint';

/** A node of a program or of a component, in the way of ESTree. */
export interface Node {
	type: string;
	start: number;
	[key: string]: unknown;
}

/** A file of the application with its tree. */
export interface Source {
	file: string;
	text: string;
	tree: Node;
}

const isNode = (value: unknown): value is Node =>
	typeof value === 'object' && value !== null && typeof (value as Node).type === 'string';

function treeOf(file: string, text: string): Node {
	if (!file.endsWith('.svelte')) return parser.parseForESLint(text).ast as unknown as Node;
	const { fragment, instance, module } = parse(text, { modern: true });
	return { type: 'Component', start: 0, parts: [fragment, instance, module] };
}

/** The sources below folders and single files, tests left out. */
export function sourcesOf(...roots: string[]): Source[] {
	const files = roots.flatMap((root) =>
		/\.\w+$/.test(root)
			? root
			: readdirSync(root, { recursive: true, encoding: 'utf8' }).map((name) => `${root}/${name}`)
	);
	return files
		.filter((file) => /\.(svelte|ts)$/.test(file) && !/\.(test|d)\.ts$/.test(file))
		.sort()
		.map((file) => {
			const text = readFileSync(file, 'utf8');
			return { file, text, tree: treeOf(file, text) };
		});
}

/** The line of a node, from 1. */
export const lineOf = ({ text }: Source, node: Node): number => {
	const start = node.start ?? (node.range as number[] | undefined)?.[0] ?? 0;
	return text.slice(0, start).split('\n').length;
};

/** Goes through a tree from the top; `look` says whether to go on into a node. */
export function walk(node: unknown, look: (node: Node) => boolean): void {
	if (Array.isArray(node)) return node.forEach((each) => walk(each, look));
	if (!isNode(node)) {
		if (typeof node === 'object' && node !== null)
			Object.entries(node).forEach(([key, each]) => key !== 'metadata' && walk(each, look));
		return;
	}
	if (!look(node)) return;
	for (const [key, child] of Object.entries(node))
		if (!['parent', 'loc', 'range', 'metadata', 'tokens', 'comments'].includes(key))
			walk(child, look);
}
