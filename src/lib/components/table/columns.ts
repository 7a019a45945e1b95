/** A row of a table that is typed in: it keeps its key while it moves. */
export interface TypedRow {
	key: string;
}

/** A column of a table that is typed in; cells are text. */
export interface Column<Row extends TypedRow> {
	/** Also the field that a refusal names. */
	id: string;
	heading: string;
	/** How a screen reader calls the cell of a row. */
	label: (row: Row) => string;
	/** A fact is shown and cannot be typed. */
	kind: 'text' | 'number' | 'date' | 'time' | 'choice' | 'tick' | 'fact';
	/** What is in the cell; a tick has `yes` or nothing. */
	value: (row: Row) => string;
	/** The row with something else in the cell. */
	set: (row: Row, typed: string) => Row;
	/** Of a choice; an empty one comes first by itself, unless one of them is needed. */
	options?: readonly { id: string; name: string }[];
	isNeeded?: boolean;
	/** What may be typed, shown while the cell is empty and typed in. */
	hint?: string;
	/** Words that are offered while it is typed in; others may be typed. */
	suggestions?: readonly string[];
	/** Pixels that it is wide at least. */
	least?: number;
	isStrong?: boolean;
}

/** A column of plain text over one field of a row. */
export function fieldColumn<Row extends TypedRow, Field extends keyof Row & string>(
	id: Field,
	facts: Omit<Column<Row>, 'id' | 'value' | 'set'>
): Column<Row> {
	return {
		id,
		...facts,
		value: (row) => {
			const value = row[id];
			return typeof value === 'boolean' ? (value ? 'yes' : '') : String(value);
		},
		set: (row, typed) => ({
			...row,
			[id]: typeof row[id] === 'boolean' ? typed === 'yes' : typed
		})
	};
}
