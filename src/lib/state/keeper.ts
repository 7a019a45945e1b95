/** A place that keeps a value over a reload of the page. */
export interface Keeper<Value> {
	/** What was kept, or undefined. */
	read(): Value | undefined;
	/** Keeps a value; undefined takes it away. False where it was not kept: no room, or switched off. */
	write(value: Value | undefined): boolean;
}

/** A keeper in a storage of the browser. What is kept there may be of any age: readers check its shape. */
export function keepIn<Value>(storage: () => Storage, key: string): Keeper<Value> {
	return {
		read() {
			try {
				const text = storage().getItem(key);
				return text === null ? undefined : (JSON.parse(text) as Value);
			} catch {
				return undefined;
			}
		},
		write(value) {
			try {
				if (value === undefined) storage().removeItem(key);
				else storage().setItem(key, JSON.stringify(value));
				return true;
			} catch {
				// Storage is full or switched off: the value is still in memory.
				return false;
			}
		}
	};
}
