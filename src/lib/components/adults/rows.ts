import type { AdultRow } from '$core/model/squad';
import type { Adult, Team } from '$core/model/team';
import { fieldColumn, type Column, type TypedRow } from '../table/columns';

/** An adult while they are typed in: lists as names with commas between. */
export interface AdultEntry extends TypedRow {
	id?: string;
	name: string;
	role: string;
	units: string;
	skills: string;
	from: string;
	to: string;
	days: string;
}

interface Named {
	id: string;
	name: string;
}

const DAYS: readonly Named[] = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'].map(
	(name, index) => ({ id: String(index + 1), name })
);

const names = (ids: readonly (string | number)[] | undefined, of: readonly Named[]) =>
	(ids ?? []).map((id) => of.find((each) => each.id === String(id))?.name ?? String(id)).join(', ');

/** Ids of typed names; a name that is not known stays as it is, for the server to refuse by it. */
function idsOf(typed: string, of: readonly Named[]): string[] {
	const words = typed
		.split(',')
		.map((each) => each.trim())
		.filter(Boolean);
	const same = (a: string, b: string) => a.toLowerCase() === b.toLowerCase();
	return words.map(
		(word) => of.find(({ id, name }) => same(name, word) || same(id, word))?.id ?? word
	);
}

/** Weekdays of typed names, by their first letters: `Tue, Thursday`. */
function daysOf(typed: string): number[] {
	const ids = idsOf(
		typed
			.split(',')
			.map((word) => word.trim().slice(0, 3))
			.join(','),
		DAYS
	);
	return ids.map(Number);
}

export const adultEntryOf = (
	{ id, name, role, units, skills, ages, days }: Adult,
	team: Pick<Team, 'units' | 'skillAreas'>
): AdultEntry => ({
	key: id,
	id,
	name,
	role,
	units: names(units, team.units),
	skills: names(skills, team.skillAreas),
	from: ages ? String(ages.from) : '',
	to: ages ? String(ages.to) : '',
	days: names(days, DAYS)
});

export const emptyAdult = (key: string): AdultEntry => ({
	key,
	name: '',
	role: '',
	units: '',
	skills: '',
	from: '',
	to: '',
	days: ''
});

/** What an entry says, as the server takes it. */
export function adultRowOf(
	{ id, name, role, units, skills, from, to, days }: AdultEntry,
	team: Pick<Team, 'units' | 'skillAreas'>
): AdultRow {
	const isAged = from.trim() !== '' || to.trim() !== '';
	return {
		...(id !== undefined && { id }),
		name,
		role: role.trim() || 'helper',
		units: idsOf(units, team.units),
		skills: idsOf(skills, team.skillAreas),
		days: daysOf(days),
		...(isAged && { ages: { from: Number(from.trim() || 0), to: Number(to.trim() || 120) } })
	};
}

const list = (items: readonly Named[]) => items.map(({ name }) => name).join(', ');

/** The columns of the adults' table. */
export function adultColumns(team: Pick<Team, 'units' | 'skillAreas'>): Column<AdultEntry>[] {
	const text = (id: keyof AdultEntry & string, heading: string, hint?: string) =>
		fieldColumn<AdultEntry, typeof id>(id, {
			heading,
			kind: 'text',
			label: ({ name }) => `${heading} of ${name || 'a new adult'}`,
			hint,
			least: 120
		});
	const age = (id: 'from' | 'to', heading: string) =>
		fieldColumn<AdultEntry, typeof id>(id, {
			heading,
			kind: 'number',
			label: ({ name }) => `${heading} that ${name || 'a new adult'} may have in charge`
		});
	return [
		fieldColumn('name', { heading: 'Name', kind: 'text', label: () => 'Name', isStrong: true }),
		text('role', 'Role', 'helper'),
		text('units', 'Units', list(team.units)),
		text('skills', 'Can lead', list(team.skillAreas)),
		age('from', 'Ages from'),
		age('to', 'Ages to'),
		text('days', 'Usually comes', 'Tue, Thu')
	];
}
