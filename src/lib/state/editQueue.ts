import type { SentEdit } from '$core/practice';

/** Keeps edits that the server has not answered yet, so that a reload does not lose them. */
export interface EditStore {
	read(): SentEdit[];
	write(edits: readonly SentEdit[]): void;
}

/** A store in the browser's own storage, a key a practice. Where storage is refused nothing is kept. */
export function browserStore(key: string): EditStore {
	return {
		read() {
			try {
				const value: unknown = JSON.parse(localStorage.getItem(key) ?? '[]');
				return Array.isArray(value) ? (value as SentEdit[]) : [];
			} catch {
				return [];
			}
		},
		write(edits) {
			try {
				if (edits.length === 0) localStorage.removeItem(key);
				else localStorage.setItem(key, JSON.stringify(edits));
			} catch {
				// Storage is full or switched off: the edits are still in memory and on their way.
			}
		}
	};
}
