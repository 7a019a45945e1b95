import { ACCESS } from './access';

/** A request that is not let in. */
export interface Refusal {
	status: 403 | 413 | 421;
	message: string;
}

const READS = new Set(['GET', 'HEAD', 'OPTIONS']);

function isOwnOrigin(origin: string, allowedHosts: ReadonlySet<string>): boolean {
	const match = /^https?:\/\/(.+)$/.exec(origin);
	return match !== null && allowedHosts.has(match[1]);
}

/**
 * Why a request is not let in, or null. A host that is not in the list, a change of state from
 * another origin or from none, a route or a size that `ACCESS` does not allow: all are refused.
 */
export function refusalOf(
	{ request, routeId }: { request: Request; routeId: string | null },
	allowedHosts: ReadonlySet<string>
): Refusal | null {
	const host = request.headers.get('host') ?? '';
	if (!allowedHosts.has(host))
		return { status: 421, message: `This Field Plan does not answer for "${host}".` };
	const access = routeId !== null && Object.hasOwn(ACCESS, routeId) ? ACCESS[routeId] : undefined;
	// What is no route at all is answered by the page that says so.
	if (routeId !== null && !access) return { status: 403, message: 'Nobody may come in here.' };
	if (READS.has(request.method)) return null;
	if (!isOwnOrigin(request.headers.get('origin') ?? '', allowedHosts))
		return { status: 403, message: 'Changes are taken from this application alone.' };
	const isUnmeasured = request.headers.has('transfer-encoding');
	const length = isUnmeasured ? Infinity : Number(request.headers.get('content-length') ?? 0);
	const mostBytes = access?.mostBytes ?? 0;
	if (length > mostBytes)
		return { status: 413, message: `At most ${mostBytes} bytes are taken here.` };
	return null;
}

/** Headers of every answer, beside the Content-Security-Policy of pages. */
export const SAFE_HEADERS: Readonly<Record<string, string>> = {
	'x-content-type-options': 'nosniff',
	'x-frame-options': 'DENY',
	'referrer-policy': 'no-referrer',
	'cross-origin-opener-policy': 'same-origin',
	'cross-origin-resource-policy': 'same-origin'
};
