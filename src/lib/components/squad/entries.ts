import type { TypedRow } from '../table/columns';
import type { SquadRow } from '$core/model/squad';
import { positionName, positionTyped } from '$core/model/positions';
import type { Player, Team } from '$core/model/team';

/** A row of the squad's page while it is typed in: all as text. */
export interface Entry extends TypedRow {
	id?: string;
	number: string;
	name: string;
	unit: string;
	positions: string;
	/** By skill area. */
	ratings: Record<string, string>;
	birthYear: string;
	leads: boolean;
	usuallyLate: boolean;
}

const text = (value: number | undefined) => (value === undefined ? '' : String(value));

/** A team's names for positions. */
type Positions = Pick<Team, 'positionList'>;

/** A player as an entry. */
export const entryOf = (player: Player, team: Positions): Entry => ({
	key: player.id,
	id: player.id,
	number: text(player.number),
	name: player.name,
	unit: player.unit ?? '',
	positions: (player.positions ?? []).map((id) => positionName(id, team)).join(', '),
	ratings: Object.fromEntries(
		Object.entries(player.ratings ?? {}).map(([skill, rating]) => [skill, text(rating)])
	),
	birthYear: text(player.birthYear),
	leads: player.leads === true,
	usuallyLate: player.usuallyLate === true
});

/** An empty entry for somebody new. */
export const emptyEntry = (key: string): Entry => ({
	key,
	number: '',
	name: '',
	unit: '',
	positions: '',
	ratings: {},
	birthYear: '',
	leads: false,
	usuallyLate: false
});

/** Pasted lines as entries: `7 Ada Lind`, or only the name. */
export function entriesFrom(text: string, keyOf: (index: number) => string): Entry[] {
	return text
		.split(/\r?\n/)
		.map((line) => /^\s*(?:(\d{1,3})[\s.,;:)]+)?(.*?)\s*$/.exec(line))
		.filter((match) => match?.[2])
		.map((match, index) => ({
			...emptyEntry(keyOf(index)),
			number: match?.[1] ?? '',
			name: match?.[2] ?? ''
		}));
}

/** What an entry says, with numbers as numbers; what is no number stays so that the server names it. */
export function rowOf(
	{ id, number, name, unit, positions, ratings, birthYear, leads, usuallyLate }: Entry,
	team: Positions
): SquadRow {
	const rated = Object.entries(ratings).filter(([, typed]) => typed.trim() !== '');
	return {
		...(id !== undefined && { id }),
		name,
		...(number.trim() !== '' && { number: Number(number) }),
		...(unit !== '' && { unit }),
		positions: positions
			.split(',')
			.map((each) => positionTyped(each, team))
			.filter(Boolean),
		ratings: Object.fromEntries(
			rated.map(([skill, typed]) => [skill, Number(typed.replace(',', '.'))])
		),
		...(birthYear.trim() !== '' && { birthYear: Number(birthYear) }),
		leads,
		usuallyLate
	};
}
