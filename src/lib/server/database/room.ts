import { accessSync, constants, statfsSync } from 'node:fs';
import { say } from '../say';
import texts from '$texts/refusals';

/**
 * Bytes that stay free on the disk. A log that cannot grow stops the embedded database for good, so that
 * nothing is written any more well before: two segments of 16 MB, and as much again.
 */
const RESERVE_BYTES = 64_000_000;

/**
 * Why nothing can be stored in a data folder now, in words; null where it can. `bytes` is what a change
 * brings: an import needs several times its size.
 */
export function storageTrouble(root: string, bytes = 0): string | null {
	try {
		accessSync(root, constants.W_OK);
		const { bavail, bsize } = statfsSync(root);
		const missing = RESERVE_BYTES + bytes - bavail * bsize;
		if (missing <= 0) return null;
		return say(texts.diskIsFull, { megabytes: Math.ceil(missing / 1_000_000) });
	} catch (error) {
		const { code } = error as NodeJS.ErrnoException;
		return say(code === 'ENOENT' ? texts.folderIsGone : texts.folderIsReadOnly);
	}
}
