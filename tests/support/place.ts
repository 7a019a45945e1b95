import { placeText, type Path } from '../../src/core/base';

/** Where a refusal is, as it is shown; null where nothing was refused, or not for something at a place. */
export function placeOf(outcome: { ok: boolean; failure?: unknown }): string | null {
	const failure = outcome.failure as { path?: Path; within?: string } | undefined;
	return failure?.path ? placeText({ path: failure.path, within: failure.within }) : null;
}
