import { createStore, del, get, keys, set, type UseStore } from 'idb-keyval';
import { nanoid } from 'nanoid';
import type { Unsent } from './conflicts';

/** What earlier pages of this browser have left behind unsent. */
export interface Left {
	unsent: Unsent[];
	/** How many could not be read: kept by an older version, or spoilt. */
	unreadable: number;
	/** Takes them away where they lay: they are kept elsewhere now. */
	taken(): Promise<void>;
}

/** Keeps the edits of one page that the server has not answered. */
export interface UnsentKeeper {
	/** False where the browser has no room, or keeps nothing. */
	write(unsent: readonly Unsent[]): Promise<boolean>;
	/** What pages that are gone have left; those that are open keep their own. */
	left(): Promise<Left>;
	/** The page is gone: the next one may take what is left. */
	release(): void;
}

/** Reads what was kept; edits in another shape are counted. */
export async function readUnsent(kept: unknown): Promise<{ unsent: Unsent[]; unreadable: number }> {
	if (!Array.isArray(kept)) return { unsent: [], unreadable: 1 };
	const { isUnsent } = await import('./keptShapes');
	const unsent = kept.filter(isUnsent);
	return { unsent, unreadable: kept.length - unsent.length };
}

/** The locks of the browser; none on the server, where a page is only drawn. */
const locks = () => (typeof window === 'undefined' ? undefined : navigator.locks);

/** Holds a lock until `release` is called or the page is gone; nothing where the browser has no locks. */
function holdLock(name: string): () => void {
	let release = () => {};
	const held = new Promise<void>((resolve) => (release = resolve));
	locks()
		?.request(name, () => held)
		.catch(() => null);
	return () => release();
}

/** Whether the page that holds a lock is gone. Without locks it counts as gone: an edit that is sent twice is applied once. */
async function isGone(name: string): Promise<boolean> {
	const manager = locks();
	if (!manager) return true;
	return manager.request(name, { ifAvailable: true }, (lock) => lock !== null);
}

/**
 * Keeps unsent edits of a practice in the browser's database, each page under a name of its own, so that
 * two tabs never overwrite each other's. A page holds a lock while it is there.
 */
export function browserUnsent(
	practice: string,
	open: () => UseStore = () => createStore('fieldplan', 'unsent')
): UnsentKeeper {
	const stem = `${practice} `;
	const own = stem + nanoid(8);
	const release = holdLock(own);
	let store: UseStore | undefined;
	const opened = () => (store ??= open());
	const allKeys = async (): Promise<string[]> => {
		try {
			return await keys<string>(opened());
		} catch {
			return [];
		}
	};
	return {
		async write(unsent) {
			try {
				if (unsent.length === 0) await del(own, opened());
				else await set(own, unsent, opened());
				return true;
			} catch {
				// Full, switched off, or taken away by the browser: the edits are still in memory.
				return false;
			}
		},
		async left() {
			const all = await allKeys();
			const gone: string[] = [];
			for (const key of all)
				if (key.startsWith(stem) && key !== own && (await isGone(key))) gone.push(key);
			const read = await Promise.all(gone.map(async (key) => readUnsent(await get(key, opened()))));
			return {
				unsent: read.flatMap(({ unsent }) => unsent),
				unreadable: read.reduce((sum, { unreadable }) => sum + unreadable, 0),
				async taken() {
					await Promise.all(gone.map((key) => del(key, opened())));
				}
			};
		},
		release
	};
}
