import Papa from 'papaparse';
import { MOST_PLAYERS, type SquadRow } from '$core/model/squad';
import type { Player, Team } from '$core/model/team';

/** A fault in a table file: the line as an editor counts it, and the column's heading. */
export interface CsvFault {
	line: number;
	column: string;
	message: string;
}

/** What a table file holds for a squad. Nothing is stored by reading it. */
export interface CsvReading {
	delimiter: string;
	encoding: string;
	/** What each heading of the file was taken for; empty where it was left out. */
	columns: { heading: string; takenFor: string }[];
	rows: SquadRow[];
	faults: CsvFault[];
}

const FIXED = ['id', 'number', 'name', 'unit', 'positions', 'born', 'leads', 'usually late'];

/** Between the positions of a player in one cell. */
const BETWEEN = ' | ';

const plain = (text: string) => text.trim().toLowerCase();

/** The players of a squad as a table file: comma separated, UTF-8 with a mark, formulas made harmless. */
export function writeSquadCsv(players: readonly Player[], { skillAreas, units }: Team): string {
	const unitName = (id: string | undefined) => units.find((unit) => unit.id === id)?.name ?? '';
	const fields = [...FIXED, ...skillAreas.map(({ name }) => name)];
	const data = players.map(
		({ id, number, name, unit, positions = [], ratings = {}, birthYear, leads, usuallyLate }) => [
			id,
			number ?? '',
			name,
			unitName(unit),
			positions.join(BETWEEN),
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
	{ team, line, faults }: { team: Team; line: number; faults: CsvFault[] }
): SquadRow | null {
	const cell = (column: string) => cellText(cells.get(column));
	const blame = (column: string, message: string) => void faults.push({ line, column, message });
	const name = cell('name');
	if (name === '') {
		if ([...cells.values()].some((each) => each.trim() !== '')) blame('name', 'needs a name');
		return null;
	}
	if (name.length > 200) blame('name', 'is longer than a name');
	const number = cell('number');
	if (number !== '' && !/^\d{1,3}$/.test(number))
		blame('number', `"${number}" is no number from 0 to 999`);
	const unit = team.units.find((each) =>
		[plain(each.id), plain(each.name)].includes(plain(cell('unit')))
	);
	if (cell('unit') !== '' && !unit) blame('unit', `"${cell('unit')}" is no unit of this team`);
	const ratings: Record<string, number> = {};
	for (const area of team.skillAreas) {
		const typed = cell(area.id);
		if (typed === '') continue;
		const rating = Number(typed.replace(',', '.'));
		if (!(rating >= 1 && rating <= 5)) blame(area.name, `"${typed}" is no rating from 1 to 5`);
		else ratings[area.id] = rating;
	}
	const born = cell('born');
	const isYear = /^(19|20)\d\d$/.test(born);
	if (born !== '' && !isYear) blame('born', `"${born}" is no year`);
	function isTicked(column: string): boolean {
		const typed = plain(cell(column));
		if (!['', 'yes', 'no', 'x', '1', '0', 'true', 'false'].includes(typed))
			blame(column, `"${cell(column)}" is neither yes nor no`);
		return ['yes', 'x', '1', 'true'].includes(typed);
	}
	return {
		...(cell('id') !== '' && { id: cell('id') }),
		name,
		...(/^\d{1,3}$/.test(number) && { number: Number(number) }),
		...(unit && { unit: unit.id }),
		positions: cell('positions')
			.split(/\s*[|/;]\s*/)
			.filter(Boolean),
		ratings,
		...(isYear && { birthYear: Number(born) }),
		leads: isTicked('leads'),
		usuallyLate: isTicked('usually late')
	};
}

/** What a heading stands for: a field, the id of a skill area, or nothing. */
function takenFor(heading: string, { skillAreas }: Team): string {
	const text = plain(heading);
	if (FIXED.includes(text)) return text;
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

/**
 * Reads a table file for a squad: what its headings were taken for, the rows, and every fault with its
 * line. A file that has a fault is not to be stored. Ids that the squad does not have are left out, so
 * that a file of another team adds its players.
 */
export function readSquadCsv(
	bytes: Uint8Array,
	{
		team,
		known,
		delimiter = '',
		encoding = 'auto'
	}: {
		team: Team;
		known: ReadonlyMap<string, Player>;
		/** Empty: found out. */
		delimiter?: string;
		encoding?: string;
	}
): CsvReading {
	const decoded = decode(bytes, encoding);
	const parsed = Papa.parse<string[]>(decoded.text.replace(/^\uFEFF/, ''), {
		delimiter,
		skipEmptyLines: false
	});
	const [headings = [], ...lines] = parsed.data;
	const columns = headings.map((heading) => ({ heading, takenFor: takenFor(heading, team) }));
	const faults: CsvFault[] = [];
	if (!columns.some((column) => column.takenFor === 'name'))
		faults.push({
			line: 1,
			column: '',
			message: 'there is no column "name"; is another delimiter used?'
		});
	const rows: SquadRow[] = [];
	let next = 1 + linesOf(headings);
	for (const line of faults.length > 0 ? [] : lines) {
		const number = next;
		next += linesOf(line);
		if (line.every((cell) => cell.trim() === '')) continue;
		if (line.length !== headings.length)
			faults.push({
				line: number,
				column: '',
				message: `has ${line.length} cells, the heading has ${headings.length}`
			});
		if (rows.length === MOST_PLAYERS) {
			faults.push({
				line: number,
				column: '',
				message: `is one too many: at most ${MOST_PLAYERS} players`
			});
			break;
		}
		const cells = new Map(columns.map((column, place) => [column.takenFor, line[place] ?? '']));
		const row = readRow(cells, { team, line: number, faults });
		if (!row) continue;
		const player = known.get(row.id ?? '');
		if (!player) delete row.id;
		rows.push(player ? { ...row, ...keptOf(player, columns, row) } : row);
	}
	return { delimiter: parsed.meta.delimiter, encoding: decoded.encoding, columns, rows, faults };
}
