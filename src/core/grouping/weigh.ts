import { ok, type Outcome } from '../base';
import { Division, figuresOf, TERMS } from './division';
import type { GroupInput, GroupOutput } from './groupShapes';
import { readGroups } from './readGroups';

/**
 * What groups that somebody made by hand are worth, as `group` says it of its own: spread, repeats and
 * score. Rules are not looked at. Fails with `bad-input` where the players do not fit the groups.
 */
export function weigh(
	input: GroupInput,
	groups: readonly (readonly string[])[]
): Outcome<Omit<GroupOutput, 'groups'>> {
	const { count: _count, ...rest } = input;
	const read = readGroups({ ...rest, sizes: groups.map(({ length }) => length) });
	if (!read.ok) return read;
	const figures = figuresOf(read.value);
	const at = new Map(groups.flatMap((ids, group) => ids.map((id) => [id, group] as const)));
	const groupOf = Int32Array.from(input.players, ({ id }) => at.get(id) ?? 0);
	const terms = TERMS[input.mode];
	const division = new Division(figures, groups.length, groupOf, [...terms, 'met']);
	return ok({
		spread: Object.fromEntries(figures.skills.map((skill, k) => [skill, division.skillSpread(k)])),
		repeats: division.measure('met'),
		score: terms.map((term) => division.measure(term))
	});
}
