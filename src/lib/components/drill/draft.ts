import type { Drill, Spot } from '$core/model/drill';
import { fieldColumn, type Column, type TypedRow } from '../table/columns';

/** A spot while it is typed in. */
export interface SpotRow extends TypedRow {
	id: string;
	role: string;
	count: string;
	upTo: string;
	by: string;
	line: boolean;
	goesTo: string;
	job: string;
	x: string;
	y: string;
}

const text = (value: number | undefined) => (value === undefined ? '' : String(value));
const number = (typed: string) => Number(typed.trim().replace(',', '.') || NaN);
const lines = (typed: string) =>
	typed
		.split('\n')
		.map((line) => line.trim())
		.filter(Boolean);

export const spotRows = ({ spots, rotation }: Drill): SpotRow[] =>
	spots.map((spot) => ({
		key: spot.id,
		id: spot.id,
		role: spot.role,
		count: text(spot.count),
		upTo: text(spot.upTo),
		by: spot.by ?? 'player',
		line: spot.line ?? false,
		goesTo: Object.hasOwn(rotation.moves, spot.id) ? rotation.moves[spot.id] : spot.id,
		job: spot.job ?? '',
		x: text(spot.x),
		y: text(spot.y)
	}));

/** The spots and the moves between them, as rows say; fields that no row shows stay as they were. */
export function withSpots(drill: Drill, rows: readonly SpotRow[]): Drill {
	const before = new Map(drill.spots.map((spot) => [spot.id, spot]));
	const spots = rows.map(({ key, id, role, count, upTo, by, line, job, x, y }): Spot => {
		const { line: _l, upTo: _u, by: _b, job: _j, x: _x, y: _y, ...kept } = before.get(key) ?? {};
		return {
			...kept,
			id,
			role: role as Spot['role'],
			count: number(count),
			...(upTo.trim() !== '' && { upTo: number(upTo) }),
			...(line && { line }),
			...(by !== 'player' && by !== '' && { by: by as Spot['by'] }),
			...(job.trim() !== '' && { job: job.trim() }),
			...(x.trim() !== '' && { x: number(x) }),
			...(y.trim() !== '' && { y: number(y) })
		};
	});
	const moves = Object.fromEntries(
		rows.flatMap(({ id, goesTo }) => (goesTo === '' || goesTo === id ? [] : [[id, goesTo]]))
	);
	return { ...drill, spots, rotation: { ...drill.rotation, moves } };
}

const named = (ids: readonly string[]) => ids.map((id) => ({ id, name: id }));

/** The columns of the spots' table; a spot goes to any of them. */
export function spotColumns(rows: readonly SpotRow[]): Column<SpotRow>[] {
	const of = ({ id }: SpotRow) => id || 'a new spot';
	const plain = (
		id: keyof SpotRow & string,
		heading: string,
		kind: Column<SpotRow>['kind'],
		more: Partial<Column<SpotRow>> = {}
	) =>
		fieldColumn<SpotRow, typeof id>(id, {
			heading,
			kind,
			label: (row) => `${heading} of ${of(row)}`,
			...more
		});
	return [
		plain('id', 'Spot', 'text', { label: () => 'Spot', isStrong: true }),
		plain('role', 'Role', 'choice', {
			options: named(['worker', 'opponent', 'feeder', 'helper'])
		}),
		plain('count', 'Players', 'number'),
		plain('upTo', 'Up to', 'number'),
		plain('by', 'Held by', 'choice', { options: named(['player', 'adult', 'either']) }),
		plain('line', 'Line', 'tick'),
		plain('goesTo', 'Then goes to', 'choice', {
			options: named(rows.map(({ id }) => id).filter(Boolean))
		}),
		plain('x', 'x, m', 'number'),
		plain('y', 'y, m', 'number'),
		plain('job', 'Job', 'text', { least: 180 })
	];
}

/** The texts of a drill as lines to type in. */
export interface Texts {
	cues: string;
	faults: string;
	calls: string;
	prompts: string;
	praise: string;
	cautions: string;
	kit: string;
	fixtures: string;
}

export const textsOf = (drill: Drill): Texts => ({
	cues: drill.cues.map(({ say, spot }) => (spot ? `${spot}: ${say}` : say)).join('\n'),
	faults: (drill.faults ?? []).map(({ seen, say }) => `${seen} > ${say}`).join('\n'),
	calls: (drill.calls ?? []).join('\n'),
	prompts: (drill.prompts ?? []).join('\n'),
	praise: (drill.praise ?? []).join('\n'),
	cautions: drill.cautions.join('\n'),
	kit: drill.kit.map(({ item, count, per }) => `${count} ${item} a ${per}`).join('\n'),
	fixtures: (drill.fixtures ?? []).map(({ item, count }) => `${count} ${item}`).join('\n')
});

const counted = (line: string) => /^(\d+(?:[.,]\d+)?)\s+(.*)$/.exec(line);

/** The drill with what its lines say; a list that is empty is not there. */
export function withTexts(drill: Drill, texts: Texts): Drill {
	const spots = new Set(drill.spots.map(({ id }) => id));
	const rungOf = new Map((drill.faults ?? []).map(({ seen, rung }) => [seen, rung]));
	const { faults: _f, calls: _c, prompts: _p, praise: _r, fixtures: _x, ...rest } = drill;
	const list = (key: 'calls' | 'prompts' | 'praise') => {
		const found = lines(texts[key]);
		return found.length > 0 ? { [key]: found } : {};
	};
	const faults = lines(texts.faults).map((line) => {
		const [seen, say = ''] = line.split('>').map((part) => part.trim());
		const rung = rungOf.get(seen);
		return { seen, say, ...(rung && { rung }) };
	});
	const fixtures = lines(texts.fixtures).map((line) => {
		const [, count, item] = counted(line) ?? [line, '1', line];
		return { item, count: number(count) };
	});
	return {
		...rest,
		cues: lines(texts.cues).map((line) => {
			const [, spot, say] = /^([^:]+):\s*(.+)$/.exec(line) ?? [];
			return spot && spots.has(spot) ? { say, spot } : { say: line };
		}),
		...(faults.length > 0 && { faults }),
		...list('calls'),
		...list('prompts'),
		...list('praise'),
		cautions: lines(texts.cautions),
		kit: lines(texts.kit).map((line) => {
			const per = /\sa player$/.test(line) ? ('player' as const) : ('copy' as const);
			const [, count, item] = counted(line.replace(/\sa (player|copy)$/, '')) ?? [line, '1', line];
			return { item, count: number(count), per };
		}),
		...(fixtures.length > 0 && { fixtures })
	};
}
