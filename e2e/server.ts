import { spawn, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { readFileSync } from 'node:fs';
import { createServer } from 'node:net';

/** A running Field Plan of its own, on a data directory of its own. */
export interface Server {
	url: string;
	port: number;
	directory: string;
	process: ChildProcess;
	/** Waits until it answers or ends; false where it ended. */
	ready(): Promise<boolean>;
	/** What it printed so far. */
	printed(): string;
	/** Ends it with a signal and waits until it is gone. Gives the exit code, null where it was killed. */
	stop(signal?: NodeJS.Signals): Promise<number | null>;
}

/** How Node is started by `npm start`: with a heap that is tidied early, so that a club's machine has room. */
const NODE_FLAGS = [
	...readFileSync('package.json', 'utf8').matchAll(/--max-[a-z]+-space-size=\d+/g)
].map(([flag]) => flag);

/** A port that nothing listens on. */
export async function freePort(): Promise<number> {
	const probe = createServer().listen(0, '127.0.0.1');
	await once(probe, 'listening');
	const { port } = probe.address() as { port: number };
	probe.close();
	await once(probe, 'close');
	return port;
}

/** Starts the built application and waits until it answers, or ends. */
export async function startServer(
	directory: string,
	port?: number,
	env: Record<string, string> = {}
): Promise<Server> {
	const server = launchServer(directory, port ?? (await freePort()), env);
	await server.ready();
	return server;
}

/** Starts the built application and does not wait for it. */
export function launchServer(
	directory: string,
	at: number,
	env: Record<string, string> = {}
): Server {
	const child = spawn(process.execPath, [...NODE_FLAGS, 'build/index.js'], {
		env: {
			...process.env,
			NODE_ENV: 'production',
			HOST: '127.0.0.1',
			PORT: String(at),
			FIELDPLAN_DATA: directory,
			BODY_SIZE_LIMIT: '32M',
			...env
		}
	});
	let text = '';
	child.stdout.on('data', (data) => (text += data));
	child.stderr.on('data', (data) => (text += data));
	const gone = once(child, 'exit');
	const url = `http://localhost:${at}`;
	return {
		url,
		port: at,
		directory,
		process: child,
		async ready() {
			for (let tries = 0; tries < 1200 && child.exitCode === null; tries += 1) {
				const answer = await fetch(`${url}/health`).catch(() => null);
				if (answer?.ok) return true;
				await new Promise((resolve) => setTimeout(resolve, 50));
			}
			return false;
		},
		printed: () => text,
		async stop(signal = 'SIGTERM') {
			if (child.exitCode === null && child.signalCode === null) {
				child.kill(signal);
				await gone;
			}
			return child.exitCode;
		}
	};
}
