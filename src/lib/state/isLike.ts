/**
 * Whether a value has the shape of a sample: the same kinds of values under the same keys. Entries of a
 * list are like the sample's first, those of an empty list and of an empty object like anything, and null
 * is like anything: enough to tell what an older version has kept.
 */
export function isLike(sample: unknown, value: unknown): boolean {
	if (sample === null || value === null || sample === undefined) return true;
	if (Array.isArray(sample))
		return (
			Array.isArray(value) &&
			(sample.length === 0 || value.every((entry) => isLike(sample[0], entry)))
		);
	if (typeof sample !== 'object') return typeof value === typeof sample;
	if (typeof value !== 'object' || Array.isArray(value)) return false;
	return Object.entries(sample).every(
		([key, part]) =>
			!Object.hasOwn(value, key) || isLike(part, (value as Record<string, unknown>)[key])
	);
}
