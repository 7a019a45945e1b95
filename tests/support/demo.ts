import { existsSync, readdirSync, readFileSync } from 'node:fs';
import type { Surroundings } from '../../src/core/model/bundle';
import { surroundingsOf } from '../../src/core/model/teamFile';
import type { Sport } from '../../src/core/model/sport';
import type { Practice } from '../../src/core/model/practice';
import type { Adult } from '../../src/core/model/team';
import { type Context, toContext } from '../../src/core/practice';

const folder = new URL('../../demo/', import.meta.url);
const read = (path: string) => JSON.parse(readFileSync(new URL(path, folder), 'utf8'));
const filesIn = (path: string): string[] =>
	existsSync(new URL(path, folder)) ? readdirSync(new URL(path, folder)).sort() : [];

/** The made-up teams by their folders. */
export const demoTeams = (): string[] => filesIn('./');

/** A made-up team with its shelf, read from the files of the demo. */
export function demoSurroundings(team = 'saltmarsh'): Surroundings {
	const drills = filesIn(`${team}/drills/`).map((file) => read(`${team}/drills/${file}`));
	return surroundingsOf(read(`${team}/team.json`), drills);
}

/** The kit of a sport, by its id. */
export const demoSport = (id: string): Sport => read(`../sports/${id}.json`);

/** A made-up team as a context. */
export function demoContext(team = 'saltmarsh'): Context {
	return toContext(demoSurroundings(team));
}

/** A context whose adults are changed. */
export function withAdults(context: Context, change: (adult: Adult) => Adult): Context {
	const adults = context.adults.map(change);
	return { ...context, adults, adultById: new Map(adults.map((adult) => [adult.id, adult])) };
}

/** Tuesday's practice of week 6. */
export function demoPractice(): Practice {
	return read('saltmarsh/practices/2027-04-06.json');
}

/** The practices of a made-up team in order of their days. */
export function demoPractices(team: string): Practice[] {
	return filesIn(`${team}/practices/`).map((file) => read(`${team}/practices/${file}`));
}
