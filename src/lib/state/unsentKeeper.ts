import { nanoid } from 'nanoid';
import Type from 'typebox';
import { Check } from 'typebox/value';
import { Edit, SentEdit } from '$core/practice';
import type { Unsent } from './conflicts';

/** The shape of what is kept: anything else was kept by another version. */
const KeptEdit = Type.Object({ ...SentEdit.properties, inverse: Edit });

/** What earlier pages of this browser have left behind unsent. */
export interface Left {
	unsent: Unsent[];
	/** How many could not be read: kept by an older version, or spoilt. */
	unreadable: number;
	/** Takes them away where they lay: they are kept elsewhere now. */
	taken(): void;
}

/** Keeps the edits of one page that the server has not answered. */
export interface UnsentKeeper {
	/** False where the browser has no room, or keeps nothing. */
	write(unsent: readonly Unsent[]): boolean;
	/** What pages that are gone have left; those that are open keep their own. */
	left(): Promise<Left>;
	/** The page is gone: the next one may take what is left. */
	release(): void;
}

/** Reads kept edits; those in another shape are counted. */
export function readUnsent(text: string | null): { unsent: Unsent[]; unreadable: number } {
	let kept: unknown;
	try {
		kept = JSON.parse(text ?? '[]');
	} catch {
		return { unsent: [], unreadable: 1 };
	}
	if (!Array.isArray(kept)) return { unsent: [], unreadable: 1 };
	const unsent = kept.filter((each): each is Unsent => Check(KeptEdit, each));
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
 * Keeps unsent edits of a practice in the browser's storage, each page under a name of its own, so that
 * two tabs never overwrite each other's. A page holds a lock while it is there.
 */
export function browserUnsent(practice: string, storage: () => Storage): UnsentKeeper {
	const stem = `unsent ${practice}`;
	const own = `${stem} ${nanoid(8)}`;
	const release = holdLock(own);
	const keys = (): string[] => {
		try {
			const all = Array.from({ length: storage().length }, (_, index) => storage().key(index));
			return all.filter(
				(key): key is string =>
					key !== null && key !== own && (key === stem || key.startsWith(`${stem} `))
			);
		} catch {
			return [];
		}
	};
	return {
		write(unsent) {
			try {
				if (unsent.length === 0) storage().removeItem(own);
				else storage().setItem(own, JSON.stringify(unsent));
				return true;
			} catch {
				return false;
			}
		},
		async left() {
			const gone: string[] = [];
			for (const key of keys()) if (key === stem || (await isGone(key))) gone.push(key);
			const read = gone.map((key) => readUnsent(storage().getItem(key)));
			return {
				unsent: read.flatMap(({ unsent }) => unsent),
				unreadable: read.reduce((sum, { unreadable }) => sum + unreadable, 0),
				taken: () => gone.forEach((key) => storage().removeItem(key))
			};
		},
		release
	};
}
