import type { Path } from '../base';
import type { Period, Practice, Template } from '../model/practice';
import { idsIn, isOneKind } from './find';

/** Where a practice of the right shape makes no sense, and why. */
export interface Nonsense {
	path: Path;
	message: string;
}

/** What a practice may name. */
export interface Named {
	/** Ids of players and adults. */
	people: ReadonlySet<string>;
	/** Drills as `id@revision`. */
	drills: ReadonlySet<string>;
}

/** A day: more minutes than any practice has. */
const MOST_MINUTES = 24 * 60;
/** More copies than any ground holds in a practice, and still played in good time. */
const MOST_COPIES = 600;

/** The first of the ids that comes twice, with its place among them; null where none does. */
function twice(ids: readonly string[]): { id: string; index: number } | null {
	const seen = new Set<string>();
	for (const [index, id] of ids.entries()) {
		if (seen.has(id)) return { id, index };
		seen.add(id);
	}
	return null;
}

/** The first of the ids that nobody knows, at its place in a list. */
function stranger(
	ids: readonly string[],
	known: ReadonlySet<string>,
	{ at, is }: { at: Path; is: string }
): Nonsense | null {
	const index = ids.findIndex((id) => !known.has(id));
	return index < 0 ? null : { path: [...at, index], message: `"${ids[index]}" is ${is}` };
}

const first = <Item>(
	items: readonly Item[],
	fault: (item: Item, index: number) => Nonsense | null
): Nonsense | null => {
	for (const [index, item] of items.entries()) {
		const found = fault(item, index);
		if (found) return found;
	}
	return null;
};

function slotsFault({ slots = [], lanes, groups = [] }: Period, at: Path): Nonsense | null {
	const laneIds = new Set(lanes.map(({ id }) => id));
	const groupIds = new Set(groups.map(({ id }) => id));
	return first(slots, (slot, k) => {
		for (const [lane, ids] of Object.entries(slot)) {
			const path = [...at, 'slots', k, lane];
			if (!laneIds.has(lane)) return { path, message: 'is no lane of its period' };
			const fault = stranger(ids, groupIds, { at: path, is: 'no group of its period' });
			if (fault) return fault;
		}
		return null;
	});
}

const MIXED_CLIMB = 'expected steps that all have minutes, or all turns';

/** What is wrong with the blocks of a period: a group, a drill or a person that is not there. */
function blocksFault(period: Period, at: Path, named: Named | undefined): Nonsense | null {
	const groups = new Set((period.groups ?? []).map(({ id }) => id));
	return first(period.lanes, ({ blocks }, lane) =>
		first(blocks, ({ drill, climb, copies, lead, eyes, shows }, block) => {
			const path = [...at, 'lanes', lane, 'blocks', block];
			if (drill && named && !named.drills.has(`${drill.id}@${drill.revision}`))
				return {
					path: [...path, 'drill'],
					message: `"${drill.id}" in revision ${drill.revision} is no drill of this team`
				};
			const people = { lead, eyes, shows };
			for (const [key, person] of Object.entries(people))
				if (person !== undefined && named && !named.people.has(person))
					return { path: [...path, key], message: `"${person}" is nobody of this team` };
			if (!isOneKind(climb)) return { path: [...path, 'climb'], message: MIXED_CLIMB };
			return first(copies, ({ group, players, adults, climb: own = climb }, copy) => {
				const place = [...path, 'copies', copy];
				if (!isOneKind(own)) return { path: [...place, 'climb'], message: MIXED_CLIMB };
				if (group !== undefined && !groups.has(group))
					return { path: [...place, 'group'], message: `"${group}" is no group of its period` };
				return named ? peopleFault({ players, adults }, place, named) : null;
			});
		})
	);
}

function peopleFault(
	lists: Record<string, readonly string[]>,
	at: Path,
	{ people }: Named
): Nonsense | null {
	for (const [key, ids] of Object.entries(lists)) {
		const path = [...at, key];
		const fault = stranger(ids, people, { at: path, is: 'nobody of this team' });
		if (fault) return fault;
	}
	return null;
}

/** Ids of everyone that a practice or a template speaks of. */
export function peopleIn(document: Practice | Template): string[] {
	const blocks = document.periods.flatMap(({ lanes }) => lanes.flatMap((lane) => lane.blocks));
	return [
		...('expected' in document ? [...document.expected, ...document.adults] : []),
		...document.periods.flatMap(({ groups = [] }) => groups.flatMap(({ players }) => players)),
		...blocks.flatMap(({ lead, eyes }) => [lead, eyes].filter((id) => id !== undefined)),
		...blocks.flatMap(({ copies }) =>
			copies.flatMap(({ players, adults }) => [...players, ...adults])
		)
	];
}

/** What is wrong with periods: ids that come twice, names of what is not there, more than a day or a ground holds. */
export function periodsFault(periods: readonly Period[], named?: Named): Nonsense | null {
	const minutes = periods.reduce((sum, period) => sum + period.minutes, 0);
	if (minutes > MOST_MINUTES)
		return {
			path: ['periods'],
			message: `take ${minutes} minutes together; ${MOST_MINUTES} at most`
		};
	const copies = periods.flatMap(({ lanes }) =>
		lanes.flatMap(({ blocks }) => blocks.flatMap((block) => block.copies))
	).length;
	if (copies > MOST_COPIES)
		return { path: ['periods'], message: `hold ${copies} copies together; ${MOST_COPIES} at most` };
	const double = twice(periods.flatMap(idsIn));
	if (double) return { path: ['periods'], message: `name "${double.id}" twice` };
	return first(periods, (period, index) => {
		const at = ['periods', index];
		return (
			slotsFault(period, at) ??
			blocksFault(period, at, named) ??
			(named
				? first(period.groups ?? [], ({ players }, group) =>
						peopleFault({ players }, [...at, 'groups', group], named)
					)
				: null)
		);
	});
}

/**
 * What makes no sense in a practice of the right shape, null where all does. With `named` everyone and
 * every drill that it speaks of must be known there.
 */
export function practiceFault(practice: Practice, named?: Named): Nonsense | null {
	for (const key of ['expected', 'adults'] as const) {
		const double = twice(practice[key]);
		if (double) return { path: [key, double.index], message: 'comes twice' };
	}
	const { expected, adults } = practice;
	const strangers = named ? peopleFault({ expected, adults }, [], named) : null;
	return strangers ?? periodsFault(practice.periods, named);
}

/** The revisions of drills that a practice or a template names, each once. */
export function drillsIn({
	periods
}: Pick<Practice, 'periods'>): { id: string; revision: number }[] {
	const named = periods.flatMap(({ lanes }) =>
		lanes.flatMap(({ blocks }) => blocks.flatMap(({ drill }) => drill ?? []))
	);
	return [...new Map(named.map((drill) => [`${drill.id}@${drill.revision}`, drill])).values()];
}
