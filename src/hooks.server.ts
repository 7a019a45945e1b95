import { building, dev } from '$app/environment';
import type { Handle, HandleServerError, ServerInit } from '@sveltejs/kit';
import { closeApp, openApp, useConfig } from '$lib/server/app';
import { refusalOf, SAFE_HEADERS } from '$lib/server/doors';

export const init: ServerInit = async () => {
	if (building) return;
	await openApp();
	process.on('sveltekit:shutdown', () => closeApp());
};

export const handle: Handle = async ({ event, resolve }) => {
	const { allowedHosts } = await useConfig();
	const hosts = dev ? new Set([event.request.headers.get('host') ?? '']) : allowedHosts;
	const refusal = refusalOf({ request: event.request, routeId: event.route.id }, hosts);
	// What was sent is read to its end first: a sender cut off in the middle sees no answer.
	if (refusal) await event.request.arrayBuffer().catch(() => null);
	const response = refusal
		? new Response(refusal.message, { status: refusal.status })
		: await resolve(event);
	for (const [name, value] of Object.entries(SAFE_HEADERS)) response.headers.set(name, value);
	return response;
};

export const handleError: HandleServerError = ({ error, status, message }) => {
	if (status >= 500) console.error(error);
	return { message: status === 404 ? 'There is nothing here.' : message };
};
