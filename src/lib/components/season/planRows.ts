import type { DayOff, Game, Pattern, Phase, Season } from '$core/model/season';
import { weekdayNames } from '../page/dates';
import { fieldColumn, type Column, type TypedRow } from '../table/columns';
import { TypedRows } from '../table/typedRows.svelte';
import texts from '$texts/dates';
import type { Say } from '$words';

/** A row of a list of the season: what stands in its cells, by column. */
export type PlanRow = TypedRow & Record<string, string>;

/** The lists of a season that are typed in, in the order of the page. */
export const LISTS = ['phases', 'patterns', 'daysOff', 'games'] as const;
export type List = (typeof LISTS)[number];

/** Weekdays as they stand in columns, Monday first. */
export const WEEKDAYS = ['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun'] as const;

/** Optional fields that say something; empty ones are left out. */
const said = (row: PlanRow, fields: readonly string[]) =>
	Object.fromEntries(
		fields.flatMap((field) => (row[field]?.trim() ? [[field, row[field].trim()]] : []))
	);

const number = (typed: string) => (typed.trim() === '' ? null : Number(typed));

/** How the rows of a list are read and sent. */
interface ListKind<Item> {
	first: string;
	cells: (item: Item) => Record<string, string>;
	empty: () => Record<string, string>;
	sent: (row: PlanRow) => Record<string, unknown>;
}

const optional = <Item extends object>(item: Item, fields: readonly (keyof Item & string)[]) =>
	Object.fromEntries(fields.map((field) => [field, String(item[field] ?? '')]));

const PHASES: ListKind<Phase> = {
	first: 'name',
	cells: ({ name, firstDay, lastDay, tapers }) => ({
		...{ name, firstDay, lastDay },
		tapers: tapers ? 'yes' : ''
	}),
	empty: () => ({ name: '', firstDay: '', lastDay: '', tapers: '' }),
	sent: ({ key, name, firstDay, lastDay, tapers }) => ({
		...{ id: key, name: name.trim(), firstDay, lastDay },
		...(tapers === 'yes' && { tapers: true })
	})
};

const PATTERNS: ListKind<Pattern> = {
	first: 'mon',
	cells: (pattern) => ({
		...Object.fromEntries(
			WEEKDAYS.map((day, index) => [day, pattern.weekdays.includes(index + 1) ? 'yes' : ''])
		),
		start: pattern.start,
		minutes: String(pattern.minutes),
		place: pattern.place,
		...optional(pattern, ['groundId', 'firstDay', 'lastDay'])
	}),
	empty: () => ({
		...Object.fromEntries(WEEKDAYS.map((day) => [day, ''])),
		...{ start: '18:30', minutes: '90', place: '', groundId: '', firstDay: '', lastDay: '' }
	}),
	sent: (row) => ({
		id: row.key,
		weekdays: WEEKDAYS.flatMap((day, index) => (row[day] === 'yes' ? [index + 1] : [])),
		start: row.start,
		minutes: number(row.minutes),
		place: row.place.trim(),
		...said(row, ['groundId', 'firstDay', 'lastDay'])
	})
};

const DAYS_OFF: ListKind<DayOff> = {
	first: 'name',
	cells: ({ name, firstDay, lastDay }) => ({ name, firstDay, lastDay }),
	empty: () => ({ name: '', firstDay: '', lastDay: '' }),
	// A single day is its own last one.
	sent: ({ name, firstDay, lastDay }) => ({
		name: name.trim(),
		firstDay,
		lastDay: lastDay || firstDay
	})
};

const GAMES: ListKind<Game> = {
	first: 'date',
	cells: (game) => ({
		date: game.date,
		opponent: game.opponent,
		...optional(game, ['start', 'place', 'cancelled', 'uid', 'changes'])
	}),
	empty: () => ({
		date: '',
		opponent: '',
		start: '',
		place: '',
		cancelled: '',
		uid: '',
		changes: ''
	}),
	sent: (row) => ({
		id: row.key,
		date: row.date,
		opponent: row.opponent.trim(),
		...said(row, ['start', 'place', 'cancelled', 'uid']),
		...(row.changes ? { changes: Number(row.changes) } : {})
	})
};

const KINDS = { phases: PHASES, patterns: PATTERNS, daysOff: DAYS_OFF, games: GAMES };

const storedRows = (list: List, season: Season): PlanRow[] =>
	(season[list] ?? []).map((item, index) => {
		const cells = (KINDS[list] as ListKind<typeof item>).cells(item);
		return { key: 'id' in item ? item.id : `${list}-${index}`, ...cells } as PlanRow;
	});

/** Whether a row says anything. */
const isNamed = (list: List, row: PlanRow) =>
	list === 'patterns'
		? WEEKDAYS.some((day) => row[day] === 'yes') || row.place.trim() !== ''
		: (row.name ?? row.opponent).trim() !== '' || (row.firstDay ?? row.date) !== '';

/** The lists of a season while they are typed in. */
export const planTables = (stored: () => Season): Record<List, TypedRows<PlanRow>> =>
	Object.fromEntries(
		LISTS.map((list) => [
			list,
			new TypedRows<PlanRow>({
				stored: () => storedRows(list, stored()),
				empty: (key) => ({ key, ...KINDS[list].empty() }) as PlanRow,
				prefix: `${list}-`,
				isNamed: (row) => isNamed(list, row),
				sent: (row) => KINDS[list].sent(row),
				first: KINDS[list].first
			})
		])
	) as Record<List, TypedRows<PlanRow>>;

/** The columns of each list. `targets` says how many targets each phase has. */
export function planColumns(
	{
		grounds,
		targets
	}: {
		grounds: readonly { id: string; name: string }[];
		targets: ReadonlyMap<string, number>;
	},
	say: Say
): Record<List, Column<PlanRow>[]> {
	const called = (row: PlanRow) => row.name || row.opponent || row.place || say(texts.aNewOne);
	const column = (
		id: string,
		heading: string,
		kind: Column<PlanRow>['kind'],
		facts: Partial<Column<PlanRow>> = {}
	): Column<PlanRow> =>
		fieldColumn<PlanRow, string>(id, {
			heading,
			kind,
			label: (row) => say(texts.of, { what: heading, name: called(row) }),
			...facts
		});
	const name = (heading: string) =>
		column('name', heading, 'text', { label: () => heading, least: 170, isStrong: true });
	const days = (isLastOptional = false) => [
		column('firstDay', say(texts.firstDay), 'date', { least: 132 }),
		column('lastDay', say(texts.lastDay), 'date', {
			least: 132,
			...(isLastOptional && { hint: say(texts.sameDay) })
		})
	];
	const names = weekdayNames('long');
	return {
		phases: [
			name(say(texts.phase)),
			...days(),
			column('tapers', say(texts.tapers), 'tick', { hint: say(texts.tapersSays) }),
			{
				...column('targets', say(texts.targets), 'fact'),
				value: ({ key }) => String(targets.get(key) ?? 0)
			}
		],
		patterns: [
			...WEEKDAYS.map((day, index) =>
				column(day, names[index].slice(0, 2), 'tick', { label: () => names[index] })
			),
			column('start', say(texts.starts), 'time', { least: 84 }),
			column('minutes', say(texts.minutes), 'number'),
			column('place', say(texts.place), 'text', { least: 150 }),
			...(grounds.length > 1
				? [column('groundId', say(texts.ground), 'choice', { options: grounds })]
				: []),
			column('firstDay', say(texts.from), 'date', { least: 132 }),
			column('lastDay', say(texts.until), 'date', { least: 132 })
		],
		daysOff: [name(say(texts.why)), ...days(true)],
		games: [
			column('date', say(texts.date), 'date', { least: 132 }),
			column('start', say(texts.starts), 'time', { least: 84 }),
			column('opponent', say(texts.opponent), 'text', { least: 170, isStrong: true }),
			column('place', say(texts.place), 'text', { least: 170 }),
			column('cancelled', say(texts.cancelledWhy), 'text', { least: 150 })
		]
	};
}
