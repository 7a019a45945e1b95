import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { dirname, join, relative } from 'node:path';
import { fileURLToPath } from 'node:url';

/** A file of the project's top folder that nothing else has. */
const LANDMARK = join('migrations', '0001_foundation.sql');

/** The project's folder: above this file, and above what the build makes of it. */
function projectFolder(): string {
	const here = dirname(fileURLToPath(import.meta.url));
	for (let folder = here; ; folder = dirname(folder)) {
		if (existsSync(join(folder, LANDMARK))) return folder;
		if (folder === dirname(folder)) throw new Error(`No ${LANDMARK} in any folder above ${here}`);
	}
}

/** Text of the files below a folder that ships with the application, by path from it, in order of the paths. */
export function shippedFiles(
	folder: 'migrations' | 'sports' | 'drills' | 'demo'
): Map<string, string> {
	const root = join(projectFolder(), folder);
	const paths = readdirSync(root, { recursive: true, withFileTypes: true })
		.filter((entry) => entry.isFile())
		.map((entry) => join(entry.parentPath, entry.name))
		.sort();
	return new Map(
		paths.map((path) => [relative(root, path).replaceAll('\\', '/'), readFileSync(path, 'utf8')])
	);
}
