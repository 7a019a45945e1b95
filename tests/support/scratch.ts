import { existsSync, mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

/** In memory where there is such a place: the database asks the disk to keep everything, which tests need not wait for. */
const ROOT = existsSync('/dev/shm') ? '/dev/shm' : tmpdir();

/** A new empty folder for a test, which removes it. */
export const scratchFolder = (name: string): string => mkdtempSync(join(ROOT, `${name}-`));
