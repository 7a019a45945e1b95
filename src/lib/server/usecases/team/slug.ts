import { Check } from 'typebox/value';
import { Id } from '$core/model/fields';

/** Addresses of the application beside those of teams: no team has one of these ids. */
export const PAGES: readonly string[] = ['teams', 'data', 'health'];

/** An id in plain letters made of a name; `otherwise` where the name has none, or makes no id. */
export function slugOf(name: string, otherwise: string): string {
	const slug = name
		.normalize('NFKD')
		.replace(/\p{M}/gu, '')
		.toLowerCase()
		.replace(/[^a-z0-9]+/g, '-')
		.replace(/^-|-$/g, '')
		.slice(0, 60);
	return Check(Id, slug) ? slug : otherwise;
}
