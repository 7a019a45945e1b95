import Papa from 'papaparse';
import { MOST_PLAYERS, type SquadRow } from '$core/model/squad';
import { positionName, positionTyped } from '$core/model/positions';
import type { Player, Team } from '$core/model/team';
import { say } from '../../say';
import texts from '$texts/refusals';

/** A fault in a table file: the line as an editor counts it, and the column's heading. */
export interface CsvFault {
	line: number;
	column: string;
	message: string;
}

/** A line of a table file that is not a player as it stands. */
export interface BadLine {
	line: number;
	cells: string[];
	faults: CsvFault[];
}

/** A table file as cells: its headings, and its lines with their numbers. */
export interface CsvTable {
	delimiter: string;
	encoding: string;
	headings: string[];
	lines: { line: number; cells: string[] }[];
}

/** What a table holds for a squad. Nothing is stored by reading it. */
export interface CsvReading {
	/** What each heading of the file was taken for; empty where it was left out. */
	columns: { heading: string; takenFor: string }[];
	/** The players of the lines that are good. */
	rows: SquadRow[];
	/** The lines that have a fault: the good ones can be stored without them. */
	bad: BadLine[];
	/** Why nothing of the table can be stored; empty where something can. */
	trouble: string;
	/** What was taken as it is written and is not known to the team. */
	notes: CsvFault[];
}

/** The fields of a player that a column can stand for, beside the skill areas. */
const FIXED = ['id', 'number', 'name', 'unit', 'positions', 'born', 'leads', 'usually late'];

/** Between the positions of a player in one cell. */
const BETWEEN = ' | ';

/** Other headings that tables of players have for the fields. */
const ALSO: Record<string, string> = {
	no: 'number',
	nr: 'number',
	num: 'number',
	'#': 'number',
	shirt: 'number',
	player: 'name',
	'full name': 'name',
	position: 'positions',
	year: 'born',
	'birth year': 'born',
	'year of birth': 'born',
	leader: 'leads',
	late: 'usually late'
};

const plain = (text: string) => text.trim().toLowerCase();

/** The players of a squad as a table file: comma separated, UTF-8 with a mark, formulas made harmless. */
export function writeSquadCsv(players: readonly Player[], team: Team): string {
	const { skillAreas, units } = team;
	const unitName = (id: string | undefined) => units.find((unit) => unit.id === id)?.name ?? '';
	const fields = [...FIXED, ...skillAreas.map(({ name }) => name)];
	const data = players.map(
		({ id, number, name, unit, positions = [], ratings = {}, birthYear, leads, usuallyLate }) => [
			id,
			number ?? '',
			name,
			unitName(unit),
			positions.map((position) => positionName(position, team)).join(BETWEEN),
			birthYear ?? '',
			leads ? 'yes' : '',
			usuallyLate ? 'yes' : '',
			...skillAreas.map((area) => ratings[area.id] ?? '')
		]
	);
	return `\uFEFF${Papa.unparse({ fields, data }, { escapeFormulae: true, newline: '\r\n' })}\r\n`;
}

/** Bytes as text: as UTF-8 where they are, otherwise as Windows-1252; or as it is asked for. */
function decode(bytes: Uint8Array, encoding: string): { text: string; encoding: string } {
	if (encoding !== 'auto') return { text: new TextDecoder(encoding).decode(bytes), encoding };
	try {
		return { text: new TextDecoder('utf-8', { fatal: true }).decode(bytes), encoding: 'utf-8' };
	} catch {
		return { text: new TextDecoder('windows-1252').decode(bytes), encoding: 'windows-1252' };
	}
}

/** A cell that was made harmless by a quote in front is what it was; what looks like a formula is text. */
const cellText = (cell: string | undefined) => (cell ?? '').trim().replace(/^'(?=[=+\-@\t\r])/, '');

/** Reads one row by what its columns were taken for; faults are added to `faults`. */
function readRow(
	cells: ReadonlyMap<string, string>,
	{
		team,
		line,
		faults,
		notes,
		positions: known
	}: {
		team: Team;
		line: number;
		faults: CsvFault[];
		notes: CsvFault[];
		/** Positions that the team has. */
		positions: ReadonlySet<string>;
	}
): SquadRow | null {
	const cell = (column: string) => cellText(cells.get(column));
	const blame = (column: string, message: string) => void faults.push({ line, column, message });
	const name = cell('name');
	if (name === '') {
		if ([...cells.values()].some((each) => each.trim() !== ''))
			blame('name', say(texts.nameIsEmpty));
		return null;
	}
	if (name.length > 200) blame('name', say(texts.nameTooLong));
	const number = cell('number');
	if (number !== '' && !/^\d{1,3}$/.test(number))
		blame('number', say(texts.notAShirtNumber, { typed: number }));
	const unit = team.units.find((each) =>
		[plain(each.id), plain(each.name)].includes(plain(cell('unit')))
	);
	if (cell('unit') !== '' && !unit) blame('unit', say(texts.notAUnit, { name: cell('unit') }));
	const ratings: Record<string, number> = {};
	for (const area of team.skillAreas) {
		const typed = cell(area.id);
		if (typed === '') continue;
		const rating = Number(typed.replace(',', '.'));
		if (!(rating >= 1 && rating <= 5)) blame(area.name, say(texts.notARating, { typed }));
		else ratings[area.id] = rating;
	}
	const born = cell('born');
	const isYear = /^(19|20)\d\d$/.test(born);
	if (born !== '' && !isYear) blame('born', say(texts.notAYear, { typed: born }));
	function isTicked(column: string): boolean {
		const typed = plain(cell(column));
		if (!['', 'yes', 'no', 'x', '1', '0', 'true', 'false'].includes(typed))
			blame(column, say(texts.neitherYesNorNo, { typed: cell(column) }));
		return ['yes', 'x', '1', 'true'].includes(typed);
	}
	const positions = cell('positions')
		.split(/\s*[|/;]\s*/)
		.map((typed) => positionTyped(typed, team))
		.filter(Boolean);
	for (const position of positions)
		if (known.size > 0 && !known.has(position))
			notes.push({
				line,
				column: 'positions',
				message: say(texts.notAPosition, { name: position })
			});
	return {
		...(cell('id') !== '' && { id: cell('id') }),
		name,
		...(/^\d{1,3}$/.test(number) && { number: Number(number) }),
		...(unit && { unit: unit.id }),
		positions,
		ratings,
		...(isYear && { birthYear: Number(born) }),
		leads: isTicked('leads'),
		usuallyLate: isTicked('usually late')
	};
}

/** What a heading stands for: a field, the id of a skill area, or nothing. */
function takenFor(heading: string, { skillAreas }: Team): string {
	const text = plain(heading).replace(/[.:]+$/, '');
	if (FIXED.includes(text)) return text;
	if (Object.hasOwn(ALSO, text)) return ALSO[text];
	return skillAreas.find(({ id, name }) => [plain(id), plain(name)].includes(text))?.id ?? '';
}

/** Lines of the file that a row takes: cells in quotes may hold line breaks. */
const linesOf = (cells: readonly string[]) =>
	1 + cells.reduce((sum, cell) => sum + (cell.match(/\r\n|\r|\n/g)?.length ?? 0), 0);

/** What a file says nothing of stays: the fields of a known player for which it has no column. */
function keptOf(
	{ number, unit, positions = [], ratings = {}, birthYear, leads, usuallyLate }: Player,
	columns: CsvReading['columns'],
	read: SquadRow
): Partial<SquadRow> {
	const has = (column: string) => columns.some(({ takenFor: taken }) => taken === column);
	return {
		...(!has('number') && number !== undefined && { number }),
		...(!has('unit') && unit !== undefined && { unit }),
		ratings: {
			...Object.fromEntries(Object.entries(ratings).filter(([skill]) => !has(skill))),
			...read.ratings
		},
		...(!has('positions') && { positions }),
		...(!has('born') && birthYear !== undefined && { birthYear }),
		...(!has('leads') && { leads: leads ?? false }),
		...(!has('usually late') && { usuallyLate: usuallyLate ?? false })
	};
}

/** The cells of a table file; lines without anything in them are left out. */
export function parseCsv(
	bytes: Uint8Array,
	{ delimiter = '', encoding = 'auto' }: { delimiter?: string; encoding?: string } = {}
): CsvTable {
	const decoded = decode(bytes, encoding);
	const parsed = Papa.parse<string[]>(decoded.text.replace(/^\uFEFF/, ''), {
		delimiter,
		skipEmptyLines: false
	});
	const [headings = [], ...rest] = parsed.data;
	let next = 1 + linesOf(headings);
	const lines = rest.flatMap((cells) => {
		const line = next;
		next += linesOf(cells);
		return cells.every((cell) => cell.trim() === '') ? [] : [{ line, cells }];
	});
	return { delimiter: parsed.meta.delimiter, encoding: decoded.encoding, headings, lines };
}

/**
 * Reads a table for a squad: what its headings were taken for, the players of its good lines, and the bad
 * lines with what is wrong with each. Ids that the squad does not have are left out, so that a file of
 * another team adds its players.
 */
export function readSquadTable(
	{ headings, lines }: Pick<CsvTable, 'headings' | 'lines'>,
	{
		team,
		known,
		chosen = []
	}: {
		team: Team;
		known: ReadonlyMap<string, Player>;
		/** What the coach takes headings for, by their place; what is not said is found out. */
		chosen?: readonly (string | undefined)[];
	}
): CsvReading {
	const fields = new Set(['', ...FIXED, ...team.skillAreas.map(({ id }) => id)]);
	const columns = headings.map((heading, place) => {
		const own = chosen[place];
		const taken = own !== undefined && fields.has(own) ? own : takenFor(heading, team);
		return { heading, takenFor: taken };
	});
	const reading: CsvReading = { columns, rows: [], bad: [], trouble: '', notes: [] };
	const taken = columns.map((column) => column.takenFor).filter(Boolean);
	const twice = taken.find((field, place) => taken.indexOf(field) !== place);
	if (!taken.includes('name')) reading.trouble = say(texts.noNameColumn);
	else if (twice) reading.trouble = say(texts.twoColumns, { name: twice });
	if (reading.trouble) return reading;
	const positions = new Set([
		...(team.positions ?? []),
		...(team.positionList ?? []).map(({ id }) => id),
		...[...known.values()].flatMap((player) => player.positions ?? [])
	]);
	for (const { line, cells } of lines) {
		const faults: CsvFault[] = [];
		const blame = (message: string) => void faults.push({ line, column: '', message });
		if (cells.length !== headings.length)
			blame(say(texts.cellsDiffer, { cells: cells.length, headings: headings.length }));
		if (reading.rows.length === MOST_PLAYERS) blame(say(texts.oneTooMany, { most: MOST_PLAYERS }));
		const byField = new Map(columns.map((column, place) => [column.takenFor, cells[place] ?? '']));
		const row = readRow(byField, { team, line, faults, notes: reading.notes, positions });
		if (faults.length > 0 || !row) {
			if (faults.length > 0) reading.bad.push({ line, cells, faults });
			continue;
		}
		const player = known.get(row.id ?? '');
		if (!player) delete row.id;
		reading.rows.push(player ? { ...row, ...keptOf(player, columns, row) } : row);
	}
	return reading;
}
