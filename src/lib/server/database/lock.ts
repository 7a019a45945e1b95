import { randomUUID } from 'node:crypto';
import {
	existsSync,
	linkSync,
	readFileSync,
	renameSync,
	rmSync,
	statSync,
	writeFileSync
} from 'node:fs';
import { join } from 'node:path';
import { StartRefusal } from './refusal';

/** Who holds a data directory. A process id alone may be given to another process after a restart. */
interface Holder {
	pid: number;
	boot: string;
	started: string;
	token: string;
}

const read = (path: string): string => {
	try {
		return readFileSync(path, 'utf8').trim();
	} catch {
		return '';
	}
};

/** The start time of a process in ticks since boot, '' where the system does not tell. */
function startOf(pid: number): string {
	const stat = read(`/proc/${pid}/stat`);
	// The command in brackets may hold spaces: the fields after it are counted. Field 22 of proc(5).
	return stat.slice(stat.lastIndexOf(')') + 2).split(' ')[19] ?? '';
}

const bootId = () => read('/proc/sys/kernel/random/boot_id');

function isRunning({ pid, boot, started }: Holder): boolean {
	if (boot !== bootId()) return false;
	try {
		process.kill(pid, 0);
	} catch (error) {
		if ((error as NodeJS.ErrnoException).code === 'ESRCH') return false;
	}
	const now = startOf(pid);
	return started === '' || now === '' || started === now;
}

function parseHolder(text: string): Holder | null {
	try {
		const holder = JSON.parse(text) as Partial<Holder> | null;
		const { pid, boot, started, token } = holder ?? {};
		// Zero and below stand for whole groups of processes: no process that could hold anything.
		const isProcess = Number.isInteger(pid) && (pid as number) > 0 && (pid as number) < 2 ** 31;
		const isText = [boot, started, token].every((part) => typeof part === 'string');
		return isProcess && isText ? (holder as Holder) : null;
	} catch {
		return null;
	}
}

/** Takes away a lock whose holder is gone; puts it back if another process took it over meanwhile. */
function removeStale(path: string, stale: string): void {
	const aside = `${path}.${randomUUID()}`;
	try {
		renameSync(path, aside);
	} catch {
		return;
	}
	const isOther = statSync(aside).isFile() && read(aside) !== stale;
	if (isOther && !existsSync(path)) linkSync(aside, path);
	rmSync(aside, { recursive: true, force: true });
}

/** Writes the lock whole or not at all; false where one is there. */
function claim(path: string, holder: Holder): boolean {
	const written = `${path}.${holder.token}`;
	writeFileSync(written, JSON.stringify(holder), { mode: 0o600 });
	try {
		linkSync(written, path);
		return true;
	} catch (error) {
		if ((error as NodeJS.ErrnoException).code === 'EEXIST') return false;
		throw error;
	} finally {
		rmSync(written, { force: true });
	}
}

/**
 * Makes this process the only one on a data directory: two databases on one directory lose data
 * without a word. Gives the function that releases it. A lock whose process is gone is taken over at
 * once; throws `StartRefusal` while a living process holds it.
 */
export function lockDirectory(directory: string): () => void {
	const path = join(directory, 'fieldplan.lock');
	const own: Holder = {
		pid: process.pid,
		boot: bootId(),
		started: startOf(process.pid),
		token: randomUUID()
	};
	for (let attempt = 0; attempt < 3; attempt += 1) {
		if (claim(path, own)) {
			const release = () => {
				process.off('exit', release);
				if (parseHolder(read(path))?.token === own.token) rmSync(path, { force: true });
			};
			process.once('exit', release);
			return release;
		}
		const text = read(path);
		const holder = parseHolder(text);
		if (holder && isRunning(holder))
			throw new StartRefusal(
				`The data in ${directory} is in use by process ${holder.pid}. Stop that Field Plan first, or set FIELDPLAN_DATA to another folder.`
			);
		removeStale(path, text);
	}
	throw new StartRefusal(`The lock ${path} changes hands too fast. Try again in a moment.`);
}
