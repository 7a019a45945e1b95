import { sameValue } from '../base';
import type { Drill, Rung, RungChange } from '../model/drill';

/** A field that a rung may replace. */
export type RungField = keyof RungChange;

/** The fields that a rung replaces, in the order in which they were changed. */
export const changedFields = ({ set }: Pick<Rung, 'set'>): RungField[] =>
	Object.keys(set ?? {}) as RungField[];

/** An object without the fields that are undefined: they are not there in JSON either. */
function without<Value extends object>(value: Value): Value {
	const there = Object.entries(value).filter(([, each]) => each !== undefined);
	return Object.fromEntries(there) as Value;
}

/** The drill with one rung replacing other fields; a rung that replaces none has no `set`. */
function withSet(drill: Drill, rungId: string, change: (set: RungChange) => RungChange): Drill {
	const rungs = drill.rungs.map((rung) => {
		if (rung.id !== rungId) return rung;
		const { set: before = {}, ...rest } = rung;
		const set = change(before);
		return { ...rest, ...(Object.keys(set).length > 0 && { set }) };
	});
	return { ...drill, rungs };
}

const keeping = (set: RungChange, keep: (field: RungField) => boolean): RungChange =>
	Object.fromEntries(Object.entries(set).filter(([field]) => keep(field as RungField)));

/** On a rung an undefined list is an empty one: only so does it differ from the drill's. */
const emptied = (change: RungChange, drill: Drill): RungChange =>
	Object.fromEntries(
		Object.entries(change).map(([field, value]) => [
			field,
			value === undefined && Array.isArray(drill[field as RungField]) ? [] : value
		])
	);

/**
 * The drill with fields changed: its own, where an undefined one is taken out, or those of the rung that is
 * named. A rung keeps only what differs from the drill; it can empty a list, but leave out no other field.
 */
export function withChange(drill: Drill, change: RungChange, rungId?: string): Drill {
	if (rungId === undefined) return without({ ...drill, ...change });
	return withSet(drill, rungId, (before) => {
		const set = without({ ...before, ...emptied(change, drill) });
		return keeping(set, (field) => !sameValue(set[field], drill[field]));
	});
}

/** The drill with fields of a rung as the drill itself has them. */
export const asTheDrill = (drill: Drill, rungId: string, fields: readonly RungField[]): Drill =>
	withSet(drill, rungId, (set) => keeping(set, (field) => !fields.includes(field)));
