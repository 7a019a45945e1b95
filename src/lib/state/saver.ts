import type { Practice } from '$core/model/practice';
import type { SentEdit } from '$core/practice';

/** A state of a practice at the server. */
export interface ServerState {
	revision: number;
	practice: Practice;
}

/** How sending edits ended. */
export type Sent =
	| { kind: 'saved'; state: ServerState }
	/** Others were first: the newest state and the edits that it holds already. */
	| { kind: 'stale'; state: ServerState; known: string[] }
	| { kind: 'refused'; message: string }
	| { kind: 'away' };

/** Sends edits made on a revision to the server. Never throws: a server that is away is an answer. */
export async function sendEdits(
	url: string,
	revision: number,
	edits: readonly SentEdit[]
): Promise<Sent> {
	let response: Response;
	try {
		response = await fetch(url, {
			method: 'POST',
			headers: { 'content-type': 'application/json' },
			body: JSON.stringify({ revision, edits })
		});
	} catch {
		return { kind: 'away' };
	}
	if (response.status >= 500) return { kind: 'away' };
	const body = await response.json().catch(() => null);
	if (response.ok) return { kind: 'saved', state: body as ServerState };
	if (response.status === 409) {
		const { known, revision: newest, practice } = body as ServerState & { known: string[] };
		return { kind: 'stale', state: { revision: newest, practice }, known };
	}
	const error = body?.error as { path: string; message: string } | undefined;
	return {
		kind: 'refused',
		message: error ? `${error.path} ${error.message}` : response.statusText
	};
}
