import type { Drill, Spot } from '$core/model/drill';
import type { Point } from '$core/playing';
import type { Side } from './mapping';
import { fieldColumn, type Column, type TypedRow } from '../table/columns';
import { numberIn, type SpotCalling } from './lines';
import texts from '$texts/drafting';
import { called, type Say } from '$words';

/** A spot while it is typed in; its key is the spot's id in the draft, whatever it is called. */
export interface SpotRow extends TypedRow {
	name: string;
	role: string;
	count: string;
	upTo: string;
	by: string;
	line: boolean;
	/** Key of the spot that its players go to. */
	goesTo: string;
	/** The same after a turn that ends otherwise; its own for the back of its line, empty to play on. */
	thenTo: string;
	x: string;
	y: string;
	unit: string;
	joins: string;
	reps: string;
	job: string;
}

const text = (value: number | undefined) => (value === undefined ? '' : String(value));

export const spotRows = ({ spots, rotation }: Drill, { nameOf }: SpotCalling): SpotRow[] =>
	spots.map((spot) => ({
		key: spot.id,
		name: nameOf(spot.id),
		role: spot.role,
		count: text(spot.count),
		upTo: text(spot.upTo),
		by: spot.by ?? 'player',
		line: spot.line ?? false,
		goesTo: Object.hasOwn(rotation.moves, spot.id) ? rotation.moves[spot.id] : spot.id,
		thenTo: rotation.result?.moves[spot.id] ?? '',
		x: text(spot.x),
		y: text(spot.y),
		unit: spot.unit ?? '',
		joins: text(spot.joinsAtSeconds),
		reps: text(spot.repsPerTurn),
		job: spot.job ?? ''
	}));

/** A row for a spot that is new, with one worker in the middle. */
export const newSpotRow = (key: string, { ground }: Pick<Drill, 'ground'>): SpotRow => ({
	key,
	name: '',
	role: 'worker',
	count: '1',
	upTo: '',
	by: 'player',
	line: false,
	goesTo: '',
	thenTo: '',
	x: String(ground.length / 2),
	y: String(ground.width / 2),
	unit: '',
	joins: '',
	reps: '',
	job: ''
});

/** The first of some names that no row has. */
const freeName = (rows: readonly SpotRow[], names: (k: number) => string): string => {
	for (let k = 1; ; k += 1) if (!rows.some(({ name }) => name === names(k))) return names(k);
};

/** A, B and so on; after Z comes A2. */
const letterOf = (k: number): string =>
	String.fromCharCode(65 + ((k - 1) % 26)) + (k > 26 ? String(Math.ceil(k / 26)) : '');

/** A row for a token of a scene: ours go by numbers, theirs by letters. */
export const tokenRow = (
	key: string,
	{ side, at, rows }: { side: Side; at: Point; rows: readonly SpotRow[] }
): SpotRow => ({
	...newSpotRow(key, { ground: { length: 2 * at.x, width: 2 * at.y } }),
	...{ goesTo: key, role: side === 'ours' ? 'worker' : 'opponent' },
	name: freeName(rows, side === 'ours' ? String : letterOf)
});

/** A number that is there only where something is typed. */
const optional = <Field extends string>(field: Field, typed: string) =>
	typed.trim() === '' ? {} : ({ [field]: numberIn(typed) } as Record<Field, number>);

/** The spots that rows say, by their keys, and the moves between them; what is no number is NaN. */
export function spotsIn(
	rows: readonly SpotRow[],
	{ rotation }: Drill
): Pick<Drill, 'spots' | 'rotation'> {
	const spots = rows.map((row): Spot => ({
		id: row.key,
		role: row.role as Spot['role'],
		count: numberIn(row.count),
		...optional('upTo', row.upTo),
		...(row.line && { line: true }),
		...(row.by !== 'player' && row.by !== '' && { by: row.by as Spot['by'] }),
		...(row.unit !== '' && { unit: row.unit }),
		...optional('joinsAtSeconds', row.joins),
		...optional('repsPerTurn', row.reps),
		...(row.job.trim() !== '' && { job: row.job.trim() }),
		...optional('x', row.x),
		...optional('y', row.y)
	}));
	const there = new Set(rows.map(({ key }) => key));
	const moves = Object.fromEntries(
		rows.flatMap(({ key, goesTo }) => (there.has(goesTo) && goesTo !== key ? [[key, goesTo]] : []))
	);
	const { result, ...rest } = rotation;
	const special = rows.flatMap(({ key, thenTo }) => (there.has(thenTo) ? [[key, thenTo]] : []));
	return {
		spots,
		rotation: {
			...rest,
			moves,
			...(result && { result: { ...result, moves: Object.fromEntries(special) } })
		}
	};
}

const coded = (ids: readonly string[], say: Say) =>
	ids.map((id) => ({ id, name: called(id, say) }));

/** Makes columns that are labelled by their heading and what the row is called. */
const columnMaker =
	(say: Say) =>
	(
		id: keyof SpotRow & string,
		heading: string,
		kind: Column<SpotRow>['kind'],
		more: Partial<Column<SpotRow>> = {}
	) =>
		fieldColumn<SpotRow, typeof id>(id, {
			heading,
			kind,
			label: (row) => say(texts.ofRow, { heading, spot: row.name || say(texts.aNewSpot) }),
			...more
		});

/** The columns of a scene's tokens. */
export function tokenColumns(
	units: readonly { id: string; name: string }[],
	say: Say
): Column<SpotRow>[] {
	const plain = columnMaker(say);
	const sides = [
		{ id: 'worker', name: say(texts.ours) },
		{ id: 'opponent', name: say(texts.theirs) },
		{ id: 'feeder', name: say(texts.theBall) }
	];
	return [
		plain('name', say(texts.token), 'text', { label: () => say(texts.token), isStrong: true }),
		plain('role', say(texts.side), 'choice', { options: sides, isNeeded: true }),
		plain('x', 'x, m', 'number'),
		plain('y', 'y, m', 'number'),
		plain('unit', say(texts.unit), 'choice', { options: units })
	];
}

/** The columns of the spots' table; a spot goes to any of them. */
export function spotColumns(
	rows: readonly SpotRow[],
	{ units, hasResult }: { units: readonly { id: string; name: string }[]; hasResult: boolean },
	say: Say
): Column<SpotRow>[] {
	const plain = columnMaker(say);
	return [
		plain('name', say(texts.spot), 'text', { label: () => say(texts.spot), isStrong: true }),
		plain('role', say(texts.role), 'choice', {
			options: coded(['worker', 'opponent', 'feeder', 'helper'], say),
			isNeeded: true
		}),
		plain('count', say(texts.players), 'number'),
		plain('upTo', say(texts.upTo), 'number'),
		plain('by', say(texts.heldBy), 'choice', {
			options: coded(['player', 'adult', 'either', 'marker'], say),
			isNeeded: true
		}),
		plain('line', say(texts.line), 'tick'),
		plain('goesTo', say(texts.thenGoesTo), 'choice', {
			options: rows.map(({ key, name }) => ({ id: key, name: name || say(texts.aNewSpot) }))
		}),
		...(hasResult
			? [
					plain('thenTo', say(texts.otherwiseGoesTo), 'choice', {
						options: rows.map(({ key, name }) => ({ id: key, name: name || say(texts.aNewSpot) }))
					})
				]
			: []),
		plain('x', 'x, m', 'number'),
		plain('y', 'y, m', 'number'),
		plain('unit', say(texts.unit), 'choice', { options: units }),
		plain('joins', say(texts.joinsAtS), 'number'),
		plain('reps', say(texts.countsAs), 'number'),
		plain('job', say(texts.job), 'text', { least: 180 })
	];
}
