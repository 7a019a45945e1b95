import { building, dev } from '$app/environment';
import type { Handle, HandleServerError, ServerInit } from '@sveltejs/kit';
import { closeApp, openApp, startBackups, troubleToStore, useConfig } from '$lib/server/app';
import { isChange, refusalOf, SAFE_HEADERS, type Refusal } from '$lib/server/doors';
import { say } from '$lib/server/say';
import texts from '$texts/refusals';

export const init: ServerInit = async () => {
	if (building) return;
	await openApp();
	startBackups();
	process.on('sveltekit:shutdown', () => closeApp());
};

/** Why a request that would change something cannot be stored now; null where it can, or only reads. */
async function unstorable(request: Request): Promise<Refusal | null> {
	if (!isChange(request)) return null;
	// A file is unpacked, stored and logged: several times what is sent.
	const bytes = 6 * Number(request.headers.get('content-length') ?? 0);
	const message = await troubleToStore(bytes);
	return message === null ? null : { status: 503, message };
}

/** A refusal as the sender can read it: forms that are sent by script and edits want JSON. */
function answerTo(request: Request, { status, message }: Refusal): Response {
	if (request.headers.get('x-sveltekit-action') === 'true')
		return Response.json({ type: 'error', status, error: { message } }, { status });
	if (request.headers.get('content-type')?.startsWith('application/json'))
		return Response.json({ error: { path: '', message } }, { status });
	return new Response(message, { status });
}

export const handle: Handle = async ({ event, resolve }) => {
	const { request, params, route, url } = event;
	const { allowedHosts } = await useConfig();
	const hosts = dev ? new Set([request.headers.get('host') ?? '']) : allowedHosts;
	const refusal =
		refusalOf({ request, routeId: route.id, params, search: url.search }, hosts) ??
		(await unstorable(request));
	// What was sent is read to its end first: a sender cut off in the middle sees no answer.
	if (refusal) await request.arrayBuffer().catch(() => null);
	const response = refusal ? answerTo(request, refusal) : await resolve(event);
	for (const [name, value] of Object.entries(SAFE_HEADERS)) response.headers.set(name, value);
	return response;
};

export const handleError: HandleServerError = ({ error, status, message }) => {
	if (status >= 500) console.error(error);
	return { message: status === 404 ? say(texts.nothingHere) : message };
};
