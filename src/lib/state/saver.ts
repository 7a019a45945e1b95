import type { Practice } from '$core/model/practice';
import type { SentEdit } from '$core/practice';

/** A state of a practice at the server. */
export interface ServerState {
	revision: number;
	practice: Practice;
}

/** How sending edits, or asking which the server has, ended. */
export type Sent =
	| { kind: 'saved'; state: ServerState; known: string[] }
	/** Others were first: the newest state and the edits that it holds already. */
	| { kind: 'stale'; state: ServerState; known: string[] }
	/** The server takes none of it; `edit` is the one at fault, where it is one. */
	| { kind: 'refused'; status: number; message: string; edit?: string }
	/** The server, or its disk, is away for now; its words, if it said any. */
	| { kind: 'away'; message: string };

type Answer = ServerState & {
	known?: string[];
	edit?: string;
	error?: { path: string; message: string };
	/** What SvelteKit's own refusals say. */
	message?: string;
};

async function ask(url: string, request: RequestInit): Promise<Sent> {
	let response: Response;
	try {
		response = await fetch(url, request);
	} catch {
		return { kind: 'away', message: '' };
	}
	const body = (await response.json().catch(() => null)) as Answer | null;
	const { status } = response;
	const message = [body?.error?.path, body?.error?.message ?? body?.message]
		.filter(Boolean)
		.join(' ');
	if (status >= 500) return { kind: 'away', message };
	// An answer that was cut off in the middle says nothing: it is asked for again.
	if ((response.ok || status === 409) && !body?.practice) return { kind: 'away', message: '' };
	if (!body || !(response.ok || status === 409))
		return { kind: 'refused', status, message: message || response.statusText, edit: body?.edit };
	const { revision, practice, known = [] } = body;
	return { kind: response.ok ? 'saved' : 'stale', state: { revision, practice }, known };
}

/** Sends edits made on a revision to the server. Never throws: a server that is away is an answer. */
export async function sendEdits(
	url: string,
	revision: number,
	edits: readonly SentEdit[]
): Promise<Sent> {
	return ask(url, {
		method: 'POST',
		headers: { 'content-type': 'application/json' },
		body: JSON.stringify({ revision, edits })
	});
}

/** Asks for the newest state, and which of these edits it holds already. Never throws. */
export async function askKnown(url: string, ids: readonly string[]): Promise<Sent> {
	return ask(`${url}?ids=${ids.join(',')}`, { method: 'GET' });
}
