import { pathText, type Path } from './path';

/** Where and how a value is not as it must be. */
export interface Misfit {
	path: Path;
	message: string;
	/** What the path lies within, where that is not the value as a whole: a file, a line, a rung. */
	within?: string;
}

/** The place of a misfit as it is shown: `teams/x/team.json: team.id`; empty for the value as a whole. */
export const placeText = ({ within, path }: Omit<Misfit, 'message'>): string =>
	[within, pathText(path)].filter(Boolean).join(': ');

/** A misfit in words, with its place in front. */
export const misfitText = (misfit: Misfit): string =>
	`${placeText(misfit)} ${misfit.message}`.trim();
