// What the scripts share: running commands, stamps of what was built from what.
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const ROOT = fileURLToPath(new URL('..', import.meta.url));

/** Runs a command in the project with its output shown; ends this process where it fails. */
export function run(command, args, env = {}) {
	const shell = process.platform === 'win32';
	const result = spawnSync(command, args, {
		cwd: ROOT,
		stdio: 'inherit',
		shell,
		env: { ...process.env, IBM_TELEMETRY_DISABLED: 'true', ...env }
	});
	if (result.error) console.error(`${command} could not be run: ${result.error.message}`);
	if (result.status !== 0) process.exit(result.status ?? 1);
}

function* filesUnder(path) {
	if (!existsSync(path)) return;
	if (!statSync(path).isDirectory()) yield path;
	else for (const name of readdirSync(path).sort()) yield* filesUnder(join(path, name));
}

/** A hash of files and folders of the project, and of this Node's version. */
export function hashOf(paths) {
	const hash = createHash('sha256').update(process.versions.modules);
	for (const path of paths)
		for (const file of filesUnder(join(ROOT, path))) hash.update(file).update(readFileSync(file));
	return hash.digest('hex');
}

const stampFile = (name) => join(ROOT, '.stamps', name);

/** Whether a step was done from just these sources. */
export function isFresh(name, hash) {
	return existsSync(stampFile(name)) && readFileSync(stampFile(name), 'utf8') === hash;
}

/** Notes that a step was done from these sources. */
export function setStamp(name, hash) {
	mkdirSync(join(ROOT, '.stamps'), { recursive: true });
	writeFileSync(stampFile(name), hash);
}

/** Says what is needed where this Node is too old, and ends. */
export function checkNode() {
	const [major, minor] = process.versions.node.split('.').map(Number);
	if (major > 20 || (major === 20 && minor >= 19)) return;
	console.error(`Field Plan needs Node 20.19 or newer; this is ${process.versions.node}.`);
	process.exit(1);
}

/** Installs the dependencies where they are missing or others than the lock file says. */
export function install() {
	const hash = hashOf(['package.json', 'package-lock.json']);
	if (existsSync(join(ROOT, 'node_modules')) && isFresh('install', hash)) return;
	console.log('Installing the dependencies …');
	// Without scripts: no package of ours needs one, and some report to a remote host.
	run(
		'npm',
		['ci', '--ignore-scripts', '--include=dev', '--no-audit', '--no-fund', '--loglevel=error'],
		{
			NODE_ENV: ''
		}
	);
	setStamp('install', hash);
}

/** Builds the application where its sources have changed since. */
export function build() {
	const sources = ['src', 'static', 'package-lock.json', 'svelte.config.js', 'vite.config.ts'];
	const hash = hashOf(sources);
	if (existsSync(join(ROOT, 'build', 'index.js')) && isFresh('build', hash)) return;
	console.log('Building the application …');
	run('npm', ['run', '-s', 'build'], { NODE_ENV: '' });
	setStamp('build', hash);
}
