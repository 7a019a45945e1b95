import type { Drill } from '$core/model/drill';
import { toShelf } from '$core/practice';

/** Names of the drills that ask for each thing, carried or standing, on the newest revisions, rungs included. */
export function kitAskedFor(revisions: readonly Drill[]): Record<string, string[]> {
	const asked: Record<string, string[]> = {};
	for (const { name, rungs, ...base } of toShelf(revisions)) {
		const states = [base, ...rungs.flatMap(({ set }) => set ?? [])];
		const items = states.flatMap(({ kit = [], fixtures = [] }) =>
			[...kit, ...fixtures].map(({ item }) => item)
		);
		for (const item of new Set(items)) asked[item] = [...(asked[item] ?? []), name];
	}
	return asked;
}
