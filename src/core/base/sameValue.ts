/** Whether two JSON values say the same, whatever the order of their keys: a database may change that. */
export function sameValue(a: unknown, b: unknown): boolean {
	if (Object.is(a, b)) return true;
	if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return false;
	if (Array.isArray(a) !== Array.isArray(b)) return false;
	const [own, other] = [Object.entries(a), new Map(Object.entries(b))];
	return (
		own.length === other.size &&
		own.every(([key, value]) => other.has(key) && sameValue(value, other.get(key)))
	);
}
