/**
 * Work that is done once for each object: every rule and every fix that is tried asks for it again, and
 * an evaluation and what is in it never change. Nothing is kept longer than the object itself.
 */
export function onceFor<Of extends object, Value extends object>(
	work: (of: Of) => Value
): (of: Of) => Value {
	const known = new WeakMap<Of, Value>();
	return (of) => {
		const before = known.get(of);
		if (before) return before;
		const value = work(of);
		known.set(of, value);
		return value;
	};
}
