import { Check } from 'typebox/value';
import { Id } from '$core/model/fields';
import { ACCESS } from './access';
import { say } from './say';
import texts from '$texts/refusals';

/** A request that is not let in. */
export interface Refusal {
	status: 403 | 404 | 413 | 421 | 503;
	message: string;
}

const READS = new Set(['GET', 'HEAD', 'OPTIONS']);

function isOwnOrigin(origin: string, allowedHosts: ReadonlySet<string>): boolean {
	const match = /^https?:\/\/(.+)$/.exec(origin);
	return match !== null && allowedHosts.has(match[1]);
}

/** Whether a request would change something. */
export const isChange = ({ method }: Pick<Request, 'method'>): boolean => !READS.has(method);

/** A request with what its address says. */
export interface Asked {
	request: Request;
	routeId: string | null;
	/** Ids in the address. */
	params: Readonly<Record<string, string | undefined>>;
	/** What follows the path, `?/save` where a form names its action. */
	search: string;
}

/** Whether an address holds nothing but ids, and an action that a page can have. */
function isAddress({ request, params, search }: Asked): boolean {
	if (Object.values(params).some((id) => id !== undefined && !Check(Id, id))) return false;
	// A zero byte is in no text that the database can hold, and so in nothing that could be asked for.
	if (/%00/.test(search)) return false;
	const action = isChange(request) ? /^\?\/([^&=]*)/.exec(search)?.[1] : undefined;
	return action === undefined || (/^[a-z]+$/i.test(action) && Check(Id, action));
}

/**
 * Why a request is not let in, or null. A host that is not in the list, a change of state from
 * another origin or from none, a route or a size that `ACCESS` does not allow, an address that holds
 * what no id can be: all are refused.
 */
export function refusalOf(asked: Asked, allowedHosts: ReadonlySet<string>): Refusal | null {
	const { request, routeId } = asked;
	const host = request.headers.get('host') ?? '';
	if (!allowedHosts.has(host)) return { status: 421, message: say(texts.otherHost, { host }) };
	const access = routeId !== null && Object.hasOwn(ACCESS, routeId) ? ACCESS[routeId] : undefined;
	// What is no route at all is answered by the page that says so.
	if (routeId !== null && !access) return { status: 403, message: say(texts.nobodyMay) };
	if (!isAddress(asked)) return { status: 404, message: say(texts.nothingHere) };
	if (!isChange(request)) return null;
	if (!isOwnOrigin(request.headers.get('origin') ?? '', allowedHosts))
		return { status: 403, message: say(texts.foreignChange) };
	const isUnmeasured = request.headers.has('transfer-encoding');
	const length = isUnmeasured ? Infinity : Number(request.headers.get('content-length') ?? 0);
	const mostBytes = access?.mostBytes ?? 0;
	if (length > mostBytes)
		return { status: 413, message: say(texts.tooManyBytes, { most: mostBytes }) };
	return null;
}

/** Headers of every answer, beside the Content-Security-Policy of pages. */
export const SAFE_HEADERS: Readonly<Record<string, string>> = {
	'x-content-type-options': 'nosniff',
	'x-frame-options': 'DENY',
	// With no-referrer a browser sends a form's origin as "null", and no form would be let in.
	'referrer-policy': 'same-origin',
	'cross-origin-opener-policy': 'same-origin',
	'cross-origin-resource-policy': 'same-origin'
};
