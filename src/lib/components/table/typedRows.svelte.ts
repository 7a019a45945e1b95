import { pathText, type Path } from '$core/base';
import { tick } from 'svelte';
import type { TypedRow } from './columns';

/** What a table of typed rows needs to know of its rows. */
export interface RowKind<Row extends TypedRow> {
	/** The rows as they are stored. */
	stored: () => Row[];
	empty: (key: string) => Row;
	/** Whether a row says anything; others are not sent. */
	isNamed: (row: Row) => boolean;
	/** A row as the server takes it. */
	sent: (row: Row) => unknown;
	/** The column that a new row is typed in first. */
	first: string;
	/** What keys of new rows begin with behind `new-`, where several tables stand on a page: `units-`. */
	prefix?: string;
	/** Whether stored rows go by another way than this table: what is kept of them never brings one back. */
	isStoredElsewhere?: boolean;
}

/** Rows while they are typed in: what is typed stays until the stored rows themselves change. */
export class TypedRows<Row extends TypedRow> {
	readonly #kind: RowKind<Row>;
	#made = 0;
	#rows: Row[] = $derived.by(() => this.#kind.stored());
	readonly named = $derived.by(() => this.#rows.filter((row) => this.#kind.isNamed(row)));
	/** What is sent, as JSON. */
	readonly json = $derived.by(() => this.#jsonOf(this.#rows));
	readonly isChanged = $derived.by(() => this.json !== this.#jsonOf(this.#kind.stored()));

	constructor(kind: RowKind<Row>) {
		this.#kind = kind;
	}

	#jsonOf = (rows: readonly Row[]): string =>
		JSON.stringify(rows.filter(this.#kind.isNamed).map((row) => this.#kind.sent(row)));

	get rows(): readonly Row[] {
		return this.#rows;
	}

	/** Puts back what was typed earlier. Of rows that are stored elsewhere only those that are still there. */
	restore = (rows: readonly Row[]): void => {
		const stored = this.#kind.stored();
		const isStored = ({ key }: Row) => stored.some((row) => row.key === key);
		const known = this.#kind.isStoredElsewhere
			? stored.map((row) => rows.find(({ key }) => key === row.key) ?? row)
			: rows.filter(isStored);
		const added = rows.filter((row) => !isStored(row) && row.key.startsWith('new-'));
		const numbers = added.map(({ key }) => Number(key.slice(key.lastIndexOf('-') + 1)) || 0);
		this.#made = Math.max(this.#made, ...numbers);
		this.#rows = [...known, ...added];
	};

	/** A key that no stored row has. */
	newKey = (): string => `new-${this.#kind.prefix ?? ''}${(this.#made += 1)}`;

	change = (index: number, row: Row): void => {
		this.#rows = this.#rows.with(index, row);
	};

	append = (rows: readonly Row[]): void => {
		this.#rows = [...this.#rows, ...rows];
	};

	/** Moves a row before the one above it. */
	up = ({ key }: Row): void => {
		const at = this.#rows.findIndex((row) => row.key === key);
		if (at < 1) return;
		this.#rows = this.#rows.with(at, this.#rows[at - 1]).with(at - 1, this.#rows[at]);
	};

	remove = (row: Row): void => {
		this.#rows = this.#rows.filter(({ key }) => key !== row.key);
	};

	/** Adds an empty row and goes there. */
	add = async (): Promise<void> => {
		const row = this.#kind.empty(this.newKey());
		this.append([row]);
		await tick();
		document.getElementById(`${row.key}-${this.#kind.first}`)?.focus();
	};

	/** The row and the field that a refusal is about; null where it is about no row. */
	faultAt = (path: Path = []): { key: string | undefined; field: string } | null => {
		const [row, ...field] = path;
		if (typeof row !== 'number') return null;
		return { key: this.named[row]?.key, field: pathText(field) };
	};
}
