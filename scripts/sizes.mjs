// Prints what the board's page loads, gzipped, and fails where it is over its bound.
import { readdirSync, readFileSync } from 'node:fs';
import { gzipSync } from 'node:zlib';

const BOUNDS = { js: 250, css: 60 };
const client = new URL('../build/client/', import.meta.url);
const manifest = JSON.parse(
	readFileSync(new URL('../.svelte-kit/output/client/.vite/manifest.json', import.meta.url), 'utf8')
);

/** Files that a node of the manifest loads, itself and its static imports. */
function filesOf(key, seen = new Set()) {
	const entry = manifest[key];
	if (!entry || seen.has(key)) return seen;
	seen.add(key);
	for (const next of entry.imports ?? []) filesOf(next, seen);
	return seen;
}

const nodes = readdirSync(
	new URL('../.svelte-kit/generated/client-optimized/nodes/', import.meta.url)
);
const generated = (name) =>
	readFileSync(
		new URL(`../.svelte-kit/generated/client-optimized/nodes/${name}`, import.meta.url),
		'utf8'
	);
const isOfBoard = (name) => {
	const source = generated(name);
	return (
		source.includes('practices/[practice]/+page.svelte') || source.includes('routes/+layout.svelte')
	);
};
const keys = Object.keys(manifest).filter(
	(key) =>
		key.endsWith('client-optimized/app.js') ||
		/runtime\/client\/entry\.js$/.test(key) ||
		nodes.filter(isOfBoard).some((name) => key.endsWith(`client-optimized/nodes/${name}`))
);
const loaded = new Set(keys.flatMap((key) => [...filesOf(key)]));
const files = { js: new Set(), css: new Set() };
for (const key of loaded) {
	files.js.add(manifest[key].file);
	for (const css of manifest[key].css ?? []) files.css.add(css);
}

let isOver = false;
for (const [kind, names] of Object.entries(files)) {
	const bytes = [...names].reduce(
		(sum, name) => sum + gzipSync(readFileSync(new URL(name, client)), { level: 9 }).length,
		0
	);
	const kilobytes = bytes / 1024;
	const verdict = kilobytes <= BOUNDS[kind] ? 'MET' : 'MISSED';
	isOver ||= verdict === 'MISSED';
	console.log(
		`Board, ${kind} gzipped: ${kilobytes.toFixed(1)} KB of ${BOUNDS[kind]} KB in ${names.size} files, ${verdict}`
	);
}
if (isOver) process.exitCode = 1;
