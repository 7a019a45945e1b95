import { sameValue } from '$core/base';
import { describeEdit } from '$core/checks';
import type { Period, Practice } from '$core/model/practice';
import {
	arranging,
	type Context,
	type Edit,
	findBlock,
	findPeriod,
	type SentEdit
} from '$core/practice';
import texts from '$texts/page';
import type { Say } from '$words';

/** An edit that the server has not confirmed, with the edit that took it back when it was made. */
export interface Unsent extends SentEdit {
	inverse: Edit;
}

/** Something that two people changed differently: both outcomes in words, with the edits that bring them. */
export interface Conflict {
	/** The id of the edit that met another. */
	id: string;
	mine: string;
	theirs: string;
	/** What still has to be done for mine; null where it holds already. */
	keepMine: Edit | null;
	/** What still has to be done for theirs; null where it holds already. */
	takeTheirs: Edit | null;
}

/** What an edit found and changed: its inverse without the place among neighbours, which others move freely. */
function foundBy(inverse: Edit): unknown {
	switch (inverse.type) {
		case 'all':
			return inverse.edits.map(foundBy);
		case 'move-period':
			return inverse.period;
		case 'add-period':
			return inverse.period;
		default:
			return inverse;
	}
}

/** Whether two inverses tell that their edits found the same: nobody changed it in between. */
export function findsTheSame(a: Edit, b: Edit): boolean {
	return sameValue(foundBy(a), foundBy(b));
}

/** Whether two edits set the same values, in whatever order: two people wanted the same. */
function setsTheSame(a: Edit, b: Edit): boolean {
	const parts = (edit: Edit) =>
		(edit.type === 'all' ? edit.edits : [edit]).map((part) => JSON.stringify(part)).sort();
	return sameValue(parts(a), parts(b));
}

/**
 * The conflict of an edit that was made on one practice and applied to another: null where it found
 * there what it found when it was made. `practice` is the one that it was applied to.
 */
export function overwriting(
	{ id, edit, inverse }: Unsent,
	now: Edit,
	{ say, ...plan }: { practice: Practice; context: Context; say: Say }
): Conflict | null {
	if (findsTheSame(inverse, now) || setsTheSame(edit, now)) return null;
	return {
		id,
		mine: describeEdit(edit, plan, say),
		theirs: describeEdit(now, plan, say),
		keepMine: null,
		takeTheirs: now
	};
}

/** The period that an edit is about, as it stands in `practice`. */
function periodOf(edit: Edit, practice: Practice): Period | undefined {
	switch (edit.type) {
		case 'all':
			return edit.edits.map((part) => periodOf(part, practice)).find((period) => period);
		case 'set-practice':
			return undefined;
		case 'add-period':
			return edit.period;
		case 'set-minutes':
			return findPeriod(practice, Object.keys(edit.periods)[0] ?? '');
		case 'place-lane':
			return practice.periods.find(({ lanes }) => lanes.some(({ id }) => id === edit.lane));
		case 'set-block':
			return findBlock(practice, edit.block)?.period;
		default:
			return findPeriod(practice, edit.period);
	}
}

/**
 * The conflict of an edit that no longer applies, because others took away what it is about. `mine` is
 * the practice as this page has it, `theirs` as the others left it: keeping mine brings the period back.
 */
export function outdated(
	{ id, edit }: Unsent,
	{ mine, theirs, context, say }: { mine: Practice; theirs: Practice; context: Context; say: Say }
): Conflict {
	const period = periodOf(edit, mine);
	const words = describeEdit(edit, { practice: mine, context }, say);
	if (!period)
		return { id, mine: words, theirs: say(texts.leaveItOut), keepMine: null, takeTheirs: null };
	const remains = findPeriod(theirs, period.id);
	return {
		id,
		mine: words,
		theirs: remains
			? say(texts.asTheyArrangedIt, { name: remains.name })
			: say(texts.removed, { name: period.name }),
		keepMine: remains ? arranging(period) : broughtBack(period, mine, theirs),
		takeTheirs: null
	};
}

/** Adds a period again behind the nearest one before it that is still there. */
function broughtBack(period: Period, mine: Practice, theirs: Practice): Edit {
	const at = mine.periods.findIndex(({ id }) => id === period.id);
	const before = mine.periods
		.slice(0, Math.max(0, at))
		.findLast(({ id }) => findPeriod(theirs, id));
	return { type: 'add-period', period, after: before?.id ?? null };
}
