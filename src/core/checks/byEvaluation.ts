import type { Evaluation } from '../playing';

/**
 * Work that is done once for each evaluation: every rule and every fix that is tried asks for it again,
 * and an evaluation never changes. Nothing is kept longer than the evaluation itself.
 */
export function byEvaluation<Value extends object>(
	work: (evaluation: Evaluation) => Value
): (evaluation: Evaluation) => Value {
	const known = new WeakMap<Evaluation, Value>();
	return (evaluation) => {
		const before = known.get(evaluation);
		if (before) return before;
		const value = work(evaluation);
		known.set(evaluation, value);
		return value;
	};
}
