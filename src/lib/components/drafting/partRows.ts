import type { RungField } from '$core/drill';
import type { Drill, RungChange } from '$core/model/drill';
import type { Say, Message } from '$words';
import { fieldColumn, type Column, type TypedRow } from '../table/columns';
import { numberIn, type SpotCalling } from './lines';
import texts from '$texts/drafting';

/** A part of a drill while it is typed in: what stands in its cells, by column. */
export type PartRow = TypedRow & Record<string, string>;

/** A column of parts: its heading, what may be chosen in it, or what may be typed. */
interface PartColumn {
	id: string;
	heading: Message;
	kind: 'text' | 'number' | 'choice';
	/** Choices; those of spots and rungs are the drill's own. */
	options?: readonly { id: string; name: Message }[] | 'spots' | 'rungs';
	isNeeded?: boolean;
	/** Words of the team that are offered. */
	offers?: keyof Offered;
	hint?: Message;
	least?: number;
}

/** Words that a team has for what is typed: the ids of its units, what turns cost a body in its sport. */
export interface Offered {
	units: readonly string[];
	loads: readonly string[];
}

/** Parts of one field of a drill, each a row of a table. */
export interface PartTable {
	field: RungField;
	/** What is in the first cell of a new row, and in the others. */
	fresh: Readonly<Record<string, string>>;
	columns: readonly PartColumn[];
	/** The column that says what a row is called. */
	names: string;
	aNewOne: Message;
	add: Message;
	cells: (drill: Drill, calling: SpotCalling) => Record<string, string>[];
	change: (rows: readonly PartRow[], drill: Drill, calling: SpotCalling) => RungChange;
}

const spotsText = (spots: readonly string[] | undefined, { nameOf }: SpotCalling) =>
	(spots ?? []).map(nameOf).join(', ');

/** Spots by their names with commas between; a name that is none stays, for the drill to be refused by it. */
export function spotsNamed(typed: string, { keyOf }: SpotCalling): string[] | undefined {
	const names = typed
		.split(',')
		.map((name) => name.trim())
		.filter(Boolean);
	return names.length > 0 ? names.map((name) => keyOf(name) ?? name) : undefined;
}

const listOrNone = <Part>(parts: Part[]): Part[] | undefined =>
	parts.length > 0 ? parts : undefined;
const filled = (row: PartRow, id: string) => row[id].trim() !== '';
const words = (row: PartRow, id: string) => row[id].trim();

const cues: PartTable = {
	field: 'cues',
	fresh: { say: '', spot: '', young: '' },
	names: 'say',
	aNewOne: texts.aNewCue,
	add: texts.addACue,
	columns: [
		{ id: 'say', heading: texts.cueWords, kind: 'text', least: 170 },
		{ id: 'spot', heading: texts.forSpot, kind: 'choice', options: 'spots' },
		{ id: 'young', heading: texts.toTheYoung, kind: 'text', least: 120 }
	],
	cells: (drill) => drill.cues.map(({ say, spot = '', young = '' }) => ({ say, spot, young })),
	change: (rows) => ({
		cues: rows
			.filter((row) => filled(row, 'say'))
			.map((row) => ({
				say: words(row, 'say'),
				...(row.spot !== '' && { spot: row.spot }),
				...(filled(row, 'young') && { young: words(row, 'young') })
			}))
	})
};

const kit: PartTable = {
	field: 'kit',
	fresh: { item: '', count: '1', per: 'copy', or: '' },
	names: 'item',
	aNewOne: texts.aNewItem,
	add: texts.addAnItem,
	columns: [
		{ id: 'item', heading: texts.item, kind: 'text', least: 90 },
		{ id: 'count', heading: texts.howMany, kind: 'number' },
		{
			id: 'per',
			heading: texts.forEach,
			kind: 'choice',
			isNeeded: true,
			options: [
				{ id: 'copy', name: texts.copyWord },
				{ id: 'player', name: texts.playerWord }
			]
		},
		{ id: 'or', heading: texts.orElse, kind: 'text', hint: texts.byComma, least: 90 }
	],
	cells: (drill) =>
		drill.kit.map(({ item, count, per, or = [] }) => ({
			...{ item, per, count: String(count) },
			or: or.join(', ')
		})),
	change: (rows) => ({
		kit: rows
			.filter((row) => filled(row, 'item'))
			.map((row) => {
				const or = row.or
					.split(',')
					.map((item) => item.trim())
					.filter(Boolean);
				return {
					item: words(row, 'item'),
					count: numberIn(row.count),
					per: row.per === 'player' ? 'player' : 'copy',
					...(or.length > 0 && { or })
				};
			})
	})
};

/** Things by their number, in the fields that list them so. */
const counted = (
	field: 'fixtures' | 'needsRole',
	said: Pick<PartTable, 'aNewOne' | 'add'> & { heading: Message; hint: Message }
): PartTable => {
	const name = field === 'fixtures' ? 'item' : 'role';
	return {
		field,
		fresh: { [name]: '', count: '1' },
		names: name,
		aNewOne: said.aNewOne,
		add: said.add,
		columns: [
			{
				id: name,
				heading: said.heading,
				kind: 'text',
				hint: said.hint,
				least: 120,
				...(field === 'needsRole' && { offers: 'units' as const })
			},
			{ id: 'count', heading: texts.howMany, kind: 'number' }
		],
		cells: (drill) =>
			(drill[field] ?? []).map((each) => ({
				[name]: 'item' in each ? each.item : each.role,
				count: String(each.count)
			})),
		change: (rows) => ({
			[field]: listOrNone(
				rows
					.filter((row) => filled(row, name))
					.map((row) => ({ [name]: words(row, name), count: numberIn(row.count) }))
			)
		})
	};
};

const fixtures = counted('fixtures', {
	heading: texts.item,
	hint: texts.fixturesHint,
	aNewOne: texts.aNewItem,
	add: texts.addAnItem
});

const needsRole = counted('needsRole', {
	heading: texts.roleWord,
	hint: texts.rolesHint,
	aNewOne: texts.aNewRole,
	add: texts.addARole
});

const faults: PartTable = {
	field: 'faults',
	fresh: { seen: '', say: '', rung: '' },
	names: 'seen',
	aNewOne: texts.aNewFault,
	add: texts.addAFault,
	columns: [
		{ id: 'seen', heading: texts.seen, kind: 'text', least: 140 },
		{ id: 'say', heading: texts.sayThen, kind: 'text', least: 140 },
		{ id: 'rung', heading: texts.rungThatHelps, kind: 'choice', options: 'rungs' }
	],
	cells: ({ faults: own = [] }) => own.map(({ seen, say, rung = '' }) => ({ seen, say, rung })),
	change: (rows) => ({
		faults: listOrNone(
			rows
				.filter((row) => filled(row, 'seen'))
				.map((row) => ({
					seen: words(row, 'seen'),
					say: words(row, 'say'),
					...(row.rung !== '' && { rung: row.rung })
				}))
		)
	})
};

const loads: PartTable = {
	field: 'turn',
	fresh: { kind: '', count: '1', spots: '' },
	names: 'kind',
	aNewOne: texts.aNewLoad,
	add: texts.addALoad,
	columns: [
		{
			id: 'kind',
			heading: texts.costsABody,
			kind: 'text',
			hint: texts.throwsJumps,
			offers: 'loads',
			least: 110
		},
		{ id: 'count', heading: texts.aTurn, kind: 'number' },
		{ id: 'spots', heading: texts.onSpots, kind: 'text', hint: texts.allAtWork, least: 110 }
	],
	cells: ({ turn }, calling) =>
		(turn.loads ?? []).map(({ kind, count, spots }) => ({
			...{ kind, count: String(count) },
			spots: spotsText(spots, calling)
		})),
	change(rows, { turn }, calling) {
		const { loads: _before, ...rest } = turn;
		const next = rows
			.filter((row) => filled(row, 'kind'))
			.map((row) => {
				const spots = spotsNamed(row.spots, calling);
				return { kind: words(row, 'kind'), count: numberIn(row.count), ...(spots && { spots }) };
			});
		return { turn: { ...rest, ...(next.length > 0 && { loads: next }) } };
	}
};

const questions: PartTable = {
	field: 'questions',
	fresh: { ask: '', hope: '' },
	names: 'ask',
	aNewOne: texts.aNewQuestion,
	add: texts.addAQuestion,
	columns: [
		{ id: 'ask', heading: texts.ask, kind: 'text', least: 170 },
		{ id: 'hope', heading: texts.hopedFor, kind: 'text', least: 150 }
	],
	cells: (drill) => (drill.questions ?? []).map(({ ask, hope }) => ({ ask, hope })),
	change: (rows) => ({
		questions: listOrNone(
			rows
				.filter((row) => filled(row, 'ask'))
				.map((row) => ({ ask: words(row, 'ask'), hope: words(row, 'hope') }))
		)
	})
};

const sides: PartTable = {
	field: 'sides',
	fresh: { name: '', mirror: '' },
	names: 'name',
	aNewOne: texts.aNewSide,
	add: texts.addASide,
	columns: [
		{ id: 'name', heading: texts.side, kind: 'text', hint: texts.leftRight, least: 110 },
		{
			id: 'mirror',
			heading: texts.drawn,
			kind: 'choice',
			options: [
				{ id: 'x', name: texts.mirroredX },
				{ id: 'y', name: texts.mirroredY }
			]
		}
	],
	cells: (drill) =>
		(drill.sides?.names ?? []).map((name) => ({
			name,
			mirror: drill.sides?.mirror?.[name] ?? ''
		})),
	change(rows, drill) {
		const named = rows.filter((row) => filled(row, 'name'));
		if (named.length === 0) return { sides: undefined };
		const mirror = named.flatMap((row): [string, 'x' | 'y'][] =>
			row.mirror === 'x' || row.mirror === 'y' ? [[words(row, 'name'), row.mirror]] : []
		);
		const { everyTurns } = drill.sides ?? {};
		return {
			sides: {
				names: named.map((row) => words(row, 'name')),
				...(everyTurns !== undefined && { everyTurns }),
				...(mirror.length > 0 && { mirror: Object.fromEntries(mirror) })
			}
		};
	}
};

/** The fields that are lists of parts, by the group of the form that they are typed in with. */
export const PART_TABLES: Readonly<Record<string, PartTable>> = {
	cues,
	kit,
	fixtures,
	needsRole,
	faults,
	questions,
	sides,
	turn: loads
};

/** The parts of a drill as rows. */
export const partRows = (table: PartTable, drill: Drill, calling: SpotCalling): PartRow[] =>
	table
		.cells(drill, calling)
		.map((cells, index) => ({ ...cells, key: `${table.field}-${index}` }) as PartRow);

/** The columns of a table of parts; those that choose a spot choose from the drill's. */
export function partColumns(
	table: PartTable,
	{ spots, rungs }: Drill,
	{ calling, say, offered }: { calling: SpotCalling; say: Say; offered?: Offered }
): Column<PartRow>[] {
	return table.columns.map(({ id, heading, options, hint, offers, ...facts }) =>
		fieldColumn<PartRow, string>(id, {
			...facts,
			heading: say(heading),
			label: (row) =>
				id === table.names
					? say(heading)
					: say(texts.ofRow, {
							heading: say(heading),
							spot: row[table.names] || say(table.aNewOne)
						}),
			...(hint && { hint: say(hint) }),
			...(offers && offered && { suggestions: offered[offers] }),
			...(options && {
				options:
					options === 'spots'
						? spots.map((spot) => ({ id: spot.id, name: calling.nameOf(spot.id) }))
						: options === 'rungs'
							? rungs
							: options.map(({ id: choice, name }) => ({ id: choice, name: say(name) }))
			})
		})
	);
}
