import codes from '$texts/codes';
import type { Say } from './say';

/** A value of the formats as a coach calls it; one that has no name of its own stays as it is. */
export const called = (code: string, say: Say): string =>
	Object.hasOwn(codes, code) ? say(codes[code as keyof typeof codes]) : code;
