import { accessSync, constants, statfsSync } from 'node:fs';

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
		return `The disk is full: Field Plan needs ${Math.ceil(missing / 1_000_000)} MB more room. Nothing is being saved until there is.`;
	} catch (error) {
		const { code } = error as NodeJS.ErrnoException;
		return code === 'ENOENT'
			? 'The folder of the data is gone. Nothing is being saved until it is back.'
			: 'The folder of the data is read-only. Nothing is being saved until it can be written again.';
	}
}
