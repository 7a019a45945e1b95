import type { AdultRow } from '$core/model/squad';
import type { Adult, Team } from '$core/model/team';
import { weekdayNames } from '../page/dates';
import { fieldColumn, type Column, type TypedRow } from '../table/columns';
import texts from '$texts/adults';
import type { Say } from '$words';

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

/** The days of the week from Monday on, by their numbers. */
const weekdays = (): Named[] =>
	weekdayNames('short').map((name, index) => ({ id: String(index + 1), name }));

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
function daysOf(typed: string, days: readonly Named[]): number[] {
	const ids = idsOf(
		typed
			.split(',')
			.map((word) => word.trim().slice(0, 3))
			.join(','),
		days
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
	days: names(days, weekdays())
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
		days: daysOf(days, weekdays()),
		...(isAged && { ages: { from: Number(from.trim() || 0), to: Number(to.trim() || 120) } })
	};
}

const list = (items: readonly Named[]) => items.map(({ name }) => name).join(', ');

/** The columns of the adults' table. */
export function adultColumns(
	team: Pick<Team, 'units' | 'skillAreas'>,
	say: Say
): Column<AdultEntry>[] {
	const text = (id: keyof AdultEntry & string, heading: string, hint?: string) =>
		fieldColumn<AdultEntry, typeof id>(id, {
			heading,
			kind: 'text',
			label: ({ name }) => say(texts.of, { heading, name: name || say(texts.aNewAdult) }),
			hint,
			least: 120
		});
	const age = (id: 'from' | 'to', heading: string) =>
		fieldColumn<AdultEntry, typeof id>(id, {
			heading,
			kind: 'number',
			label: ({ name }) =>
				say(texts.thatMayHaveInCharge, { heading, name: name || say(texts.aNewAdult) })
		});
	return [
		fieldColumn('name', {
			heading: say(texts.name),
			kind: 'text',
			label: () => say(texts.name),
			isStrong: true
		}),
		text('role', say(texts.role), 'helper'),
		text('units', say(texts.units), list(team.units)),
		text('skills', say(texts.canLead), list(team.skillAreas)),
		age('from', say(texts.agesFrom)),
		age('to', say(texts.agesTo)),
		text('days', say(texts.usuallyComes), 'Tue, Thu')
	];
}
