import type { TeamSport } from '$core/model/teamSport';
import { fieldColumn, type Column, type TypedRow } from '../table/columns';
import { TypedRows } from '../table/typedRows.svelte';
import texts from '$texts/sport';
import type { Say } from '$words';

/** A row of any list of the sport: what stands in its cells, by column. */
export type SportRow = TypedRow & Record<string, string>;

/** The lists of a sport that are typed in, in the order of the page. */
export const LISTS = ['units', 'positions', 'lineUp', 'areas', 'loads', 'cautions'] as const;
export type List = (typeof LISTS)[number];

/** The fewest stages that there is room for. */
const LEAST_STAGES = 3;

/** How many stages the longest skill area has, with room for three. */
const stagesIn = ({ areas }: TeamSport) =>
	Math.max(LEAST_STAGES, ...areas.map(({ stages }) => stages.length));

/** The rows of a list as they are stored. */
function storedRows(list: List, sport: TeamSport): SportRow[] {
	const keyed = (rows: Record<string, string>[]) =>
		rows.map((row, index) => ({ key: `${list}-${index}`, ...row }) as SportRow);
	switch (list) {
		case 'units':
			return sport.units.map(({ key, name }) => ({ key, name }));
		case 'positions':
			return sport.positions.map(({ key, name, unit = '' }) => ({ key, name, unit }));
		case 'lineUp':
			return keyed(
				sport.lineUp.map(({ position, x, y }) => ({ position, x: String(x), y: String(y) }))
			);
		case 'areas':
			return sport.areas.map(({ key, name, stages, after = '', retired }) => ({
				key,
				name,
				after,
				retired: retired ? 'yes' : '',
				...Object.fromEntries(
					Array.from({ length: stagesIn(sport) }, (_, k) => [`stage${k}`, stages[k] ?? ''])
				)
			}));
		default:
			return keyed(sport[list].map((name) => ({ name })));
	}
}

/** A row as the server takes it; what is no number stays so that the server names it. */
function sentRow(list: List, { key, ...cells }: SportRow): unknown {
	const number = (typed: string) => (typed.trim() === '' ? null : Number(typed));
	const name = cells.name?.trim() ?? '';
	switch (list) {
		case 'units':
			return { key, name };
		case 'positions':
			return { key, name, ...(cells.unit !== '' && { unit: cells.unit }) };
		case 'lineUp':
			return { position: cells.position, x: number(cells.x), y: number(cells.y) };
		case 'areas': {
			const stages = Object.keys(cells).filter((id) => id.startsWith('stage'));
			return {
				key,
				name,
				stages: stages.map((id) => cells[id].trim()).filter(Boolean),
				...(cells.after && { after: cells.after }),
				...(cells.retired === 'yes' && { retired: true })
			};
		}
		default:
			return name;
	}
}

/** What a new row of a list has in its cells. */
function emptyCells(list: List): Record<string, string> {
	if (list === 'lineUp') return { position: '', x: '', y: '' };
	if (list === 'positions') return { name: '', unit: '' };
	if (list !== 'areas') return { name: '' };
	return { name: '', after: '', retired: '', stage0: '', stage1: '', stage2: '' };
}

/** The lists of a sport while they are typed in. */
export const sportTables = (stored: () => TeamSport): Record<List, TypedRows<SportRow>> =>
	Object.fromEntries(
		LISTS.map((list) => [
			list,
			new TypedRows<SportRow>({
				stored: () => storedRows(list, stored()),
				empty: (key) => ({ key, ...emptyCells(list) }) as SportRow,
				prefix: `${list}-`,
				isNamed: (row) => (list === 'lineUp' ? row.position : row.name).trim() !== '',
				sent: (row) => sentRow(list, row),
				first: list === 'lineUp' ? 'position' : 'name'
			})
		])
	) as Record<List, TypedRows<SportRow>>;

/** The columns of each list; those that choose choose from what is typed in the others. */
export function sportColumns(
	sport: TeamSport,
	tables: Record<List, TypedRows<SportRow>>,
	say: Say
): Record<List, Column<SportRow>[]> {
	const named = (list: List) => tables[list].named.map(({ key, name }) => ({ id: key, name }));
	const positions = named('positions');
	const called = (row: SportRow) =>
		row.name || positions.find(({ id }) => id === row.position)?.name || say(texts.aNewOne);
	const column = (id: string, heading: string, facts: Partial<Column<SportRow>> = {}) =>
		fieldColumn<SportRow, string>(id, {
			heading,
			kind: 'text',
			label: (row) => say(texts.of, { what: heading, name: called(row) }),
			...facts
		});
	const name = (heading: string, least: number) =>
		column('name', heading, { label: () => heading, least, isStrong: true });
	return {
		units: [name(say(texts.name), 200)],
		positions: [
			name(say(texts.name), 180),
			column('unit', say(texts.unit), { kind: 'choice', options: named('units') })
		],
		lineUp: [
			column('position', say(texts.position), {
				kind: 'choice',
				options: positions,
				isNeeded: false
			}),
			column('x', say(texts.fromOwnEnd), { kind: 'number' }),
			column('y', say(texts.fromTop), { kind: 'number' })
		],
		areas: [
			name(say(texts.name), 180),
			...Array.from({ length: stagesIn(sport) }, (_, k) =>
				column(`stage${k}`, say(texts.stage, { number: k + 1 }), { least: 160 })
			),
			column('after', say(texts.comesAfter), { kind: 'choice', options: named('areas') }),
			column('retired', say(texts.retired), { kind: 'tick' })
		],
		loads: [name(say(texts.kindOfLoad), 200)],
		cautions: [column('name', say(texts.caution), { label: () => say(texts.caution), least: 320 })]
	};
}
