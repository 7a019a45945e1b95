import type { KitItem } from '$core/model/team';
import { fieldColumn, type Column, type TypedRow } from '../table/columns';

/** A thing of the kit while it is typed in. */
export interface KitRow extends TypedRow {
	item: string;
	count: string;
	broken: string;
	kept: string;
}

export const kitRowOf = ({ item, count, broken, kept }: KitItem): KitRow => ({
	key: item,
	item,
	count: String(count),
	broken: broken ? String(broken) : '',
	kept: kept ?? ''
});

/** A row as the server takes it; what is no number stays so that the server names it. */
export const kitSent = ({ item, count, broken, kept }: KitRow): unknown => ({
	item: item.trim(),
	count: Number(count.trim() || 0),
	...(broken.trim() !== '' && { broken: Number(broken) }),
	...(kept.trim() !== '' && { kept: kept.trim() })
});

/** The columns of the kit; how many drills ask for a thing cannot be typed. */
export function kitColumns(asked: Readonly<Record<string, readonly string[]>>): Column<KitRow>[] {
	const of = ({ item }: KitRow) => item || 'a new thing';
	return [
		fieldColumn('item', { heading: 'Thing', kind: 'text', label: () => 'Thing', isStrong: true }),
		fieldColumn('count', {
			heading: 'There are',
			kind: 'number',
			label: (row) => `How many of ${of(row)}`
		}),
		fieldColumn('broken', {
			heading: 'Broken',
			kind: 'number',
			label: (row) => `How many of ${of(row)} are broken`
		}),
		fieldColumn('kept', {
			heading: 'Where it is kept',
			kind: 'text',
			label: (row) => `Where ${of(row)} is kept`,
			least: 200
		}),
		{
			id: 'asked',
			heading: 'Drills that ask for it',
			kind: 'fact',
			label: () => '',
			value: ({ item }) => String(asked[item]?.length ?? 0),
			set: (row) => row
		}
	];
}
