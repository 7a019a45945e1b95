import type { KitItem } from '$core/model/team';
import { fieldColumn, type Column, type TypedRow } from '../table/columns';
import texts from '$texts/kit';
import type { Say } from '$words';

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
export function kitColumns(
	asked: Readonly<Record<string, readonly string[]>>,
	say: Say
): Column<KitRow>[] {
	const of = ({ item }: KitRow) => item || say(texts.aNewThing);
	return [
		fieldColumn('item', {
			heading: say(texts.thing),
			kind: 'text',
			label: () => say(texts.thing),
			isStrong: true
		}),
		fieldColumn('count', {
			heading: say(texts.thereAre),
			kind: 'number',
			label: (row) => say(texts.howManyOf, { thing: of(row) })
		}),
		fieldColumn('broken', {
			heading: say(texts.broken),
			kind: 'number',
			label: (row) => say(texts.howManyOfAreBroken, { thing: of(row) })
		}),
		fieldColumn('kept', {
			heading: say(texts.whereItIsKept),
			kind: 'text',
			label: (row) => say(texts.whereIsKept, { thing: of(row) }),
			least: 200
		}),
		{
			id: 'asked',
			heading: say(texts.drillsThatAskForIt),
			kind: 'fact',
			label: () => '',
			value: ({ item }) => String(asked[item]?.length ?? 0),
			set: (row) => row
		}
	];
}
