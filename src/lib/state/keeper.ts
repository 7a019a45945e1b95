import type { Edit } from '$core/practice';
import type { Unsent } from './conflicts';

/** A place that keeps a value over a reload of the page. */
export interface Keeper<Value> {
	/** What was kept, or undefined. */
	read(): Value | undefined;
	/** Keeps a value; undefined takes it away. */
	write(value: Value | undefined): void;
}

/** An edit that takes another back, or does it again, and what that one is called. */
export interface Step {
	/** The id of the edit that it takes back. */
	of: string;
	edit: Edit;
	words: string;
	/** Its own inverse where nobody changed the same since: anything else means that somebody did. */
	expects: Edit;
}

/** What an editor keeps: edits that the server has not answered, and the steps of this session. */
export interface EditorKeepers {
	unsent: Keeper<Unsent[]>;
	steps: Keeper<{ undo: Step[]; redo: Step[] }>;
}

/** A keeper in a storage of the browser. Where storage is refused or full nothing is kept. */
function keepIn<Value>(storage: () => Storage, key: string): Keeper<Value> {
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
			} catch {
				// Storage is full or switched off: the value is still in memory.
			}
		}
	};
}

/** Keepers for one practice: unsent edits outlive the browser, steps live as long as the tab. */
export function browserKeepers(practice: string): EditorKeepers {
	return {
		unsent: keepIn(() => localStorage, `unsent ${practice}`),
		steps: keepIn(() => sessionStorage, `steps ${practice}`)
	};
}
