import { readdirSync, readFileSync } from 'node:fs';
import type { Surroundings } from '../../src/core/model/bundle';
import { surroundingsOf } from '../../src/core/model/teamFile';
import type { Practice } from '../../src/core/model/practice';
import { toContext, type Context } from '../../src/core/practice';

const folder = new URL('../../demo/saltmarsh/', import.meta.url);
const read = (path: string) => JSON.parse(readFileSync(new URL(path, folder), 'utf8'));

/** The made-up team with its shelf, read from the files of the demo. */
export function demoSurroundings(): Surroundings {
	const drills = readdirSync(new URL('drills/', folder)).map((file) => read(`drills/${file}`));
	return surroundingsOf(read('team.json'), drills);
}

/** The made-up team as a context. */
export function demoContext(): Context {
	return toContext(demoSurroundings());
}

/** Tuesday's practice of week 6. */
export function demoPractice(): Practice {
	return read('practices/2027-04-06.json');
}
