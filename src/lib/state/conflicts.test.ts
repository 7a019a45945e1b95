import { expect, test } from 'vitest';
import { demoContext, demoPractice } from '../../../tests/support/demo';
import { setMinutes } from '$core/building';
import { applyEdit, type Edit } from '$core/practice';
import type { Practice } from '$core/model/practice';
import { overwriting, type Conflict } from './conflicts';
import { speaker } from '$words';

const say = speaker(undefined);

const context = demoContext();
function applied(practice: Practice, edit: Edit) {
	const next = applyEdit(practice, edit);
	if (!next.ok) throw new Error(next.failure);
	return next.value;
}

/** The conflict of one coach's edit of the minutes with another's, who was first. */
function minutesOf(mine: number, theirs: number): Conflict | null {
	const before = demoPractice();
	const edit = setMinutes(before, 'squares', mine);
	const { inverse } = applied(before, edit);
	const first = applied(before, setMinutes(before, 'squares', theirs)).practice;
	const onTheirs = applied(first, edit);
	return overwriting({ id: 'x', edit, inverse }, onTheirs.inverse, {
		practice: onTheirs.practice,
		context,
		say
	});
}

test('two who set different minutes are asked which hold, two who set the same are not', () => {
	expect(minutesOf(13, 15)).toMatchObject({
		mine: 'Give Two-touch squares 13 minutes',
		theirs: 'Give Two-touch squares 15 minutes'
	});
	expect(minutesOf(13, 13)).toBeNull();
});
