/** Ends a `switch` over a union: the compiler refuses it while a case is missing; at run time it throws. */
export function assertNever(value: never): never {
	throw new Error(`A case is missing for ${JSON.stringify(value)}`);
}
