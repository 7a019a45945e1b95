/** What an operation gives back: a value, or a failure that the caller is expected to handle. */
export type Result<Value, Failure> =
	{ readonly ok: true; readonly value: Value } | { readonly ok: false; readonly failure: Failure };

/** A success. */
export function ok<Value>(value: Value): { ok: true; value: Value } {
	return { ok: true, value };
}

/** A failure that is expected now and then; bugs are thrown instead. */
export function fail<Failure>(failure: Failure): { ok: false; failure: Failure } {
	return { ok: false, failure };
}
