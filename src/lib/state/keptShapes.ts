import Type from 'typebox';
import { Check } from 'typebox/value';
import { Edit, SentEdit } from '$core/practice';
import type { Unsent } from './conflicts';
import type { Step } from './history.svelte';

/*
 * Shapes of what a browser has kept: anything else was kept by another version. This file is loaded only
 * where something was kept; most pages begin with nothing.
 */

const KeptEdit = Type.Object({ ...SentEdit.properties, inverse: Edit });
const KeptStep = Type.Object({
	of: Type.String(),
	edit: Edit,
	words: Type.String(),
	expects: Edit
});

export const isUnsent = (kept: unknown): kept is Unsent => Check(KeptEdit, kept);
export const isStep = (kept: unknown): kept is Step => Check(KeptStep, kept);
