import { describeEdit } from '$core/checks';
import type { Evaluation } from '$core/playing';
import type { Edit } from '$core/practice';
import type { Say } from '$words';

/** A fix as a button: what it says and the edit behind it. */
export interface FixButton {
	words: string;
	edit: Edit;
}

/** Fixes as buttons, the best first; those that read the same are one button. */
export function fixButtons(fixes: readonly Edit[], evaluation: Evaluation, say: Say): FixButton[] {
	const buttons = fixes.map((edit) => ({ words: describeEdit(edit, evaluation, say), edit }));
	return buttons.filter(
		({ words }, index) => buttons.findIndex((other) => other.words === words) === index
	);
}
