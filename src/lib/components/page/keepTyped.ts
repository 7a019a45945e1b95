import type { SubmitFunction } from '@sveltejs/kit';

/** For `use:enhance`: what is typed stays in the form after it was answered. */
export const keepTyped: SubmitFunction =
	() =>
	({ update }) =>
		update({ reset: false });
