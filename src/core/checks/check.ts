import { groups } from 'd3-array';
import type { Evaluation } from '../practice';
import type { Fault, Finding, Trouble } from './finding';
import { fixesFor } from './fixesFor';
import { RANK, troublesIn, type Found } from './rules';

/** The different ids of a kind that troubles lie at. */
function idsAt(troubles: readonly Trouble[], kind: 'block' | 'period' | 'player' | 'adult') {
	return [...new Set(troubles.flatMap(({ at }) => at[kind] ?? []))];
}

/** Several troubles as one: the first, with everybody and everything that the others add. */
function toldTogether(troubles: readonly Trouble[]): Trouble {
	const [first] = troubles;
	if (troubles.length === 1) return first;
	return {
		...first,
		values: {
			...first.values,
			blocks: idsAt(troubles, 'block'),
			periods: idsAt(troubles, 'period'),
			players: idsAt(troubles, 'player'),
			adults: idsAt(troubles, 'adult')
		}
	};
}

/** What a rule found, those of one cause together. */
function byCause({ rule, troubles }: Found): Fault[] {
	const { cause } = rule;
	const together = cause
		? groups(troubles, (each) => cause(each, troubles)).map(([, same]) => same)
		: troubles.map((each) => [each]);
	return together.map((parts) => ({ ...toldTogether(parts), rule, parts }));
}

/** Everything that does not work in a played practice, what has one cause told as one, worst first, then by time. */
export function faultsIn(evaluation: Evaluation): Fault[] {
	return troublesIn(evaluation)
		.flatMap(byCause)
		.sort(
			(a, b) =>
				RANK[a.severity] - RANK[b.severity] || (a.at.fromSecond ?? -1) - (b.at.fromSecond ?? -1)
		);
}

/** What does not work in a played practice, with fixes that have been tried; in the order of `faultsIn`. */
export function check(evaluation: Evaluation): Finding[] {
	return faultsIn(evaluation).map((fault) => {
		const { code, severity, at, values } = fault;
		return { code, severity, at, values, fixes: fixesFor(evaluation, fault) };
	});
}
