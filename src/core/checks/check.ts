import { groups } from 'd3-array';
import type { Evaluation } from '../playing';
import type { Among, Fault, Finding, Rule, Trouble } from './finding';
import { fixesFor } from './fixesFor';
import { broughtAbout, notHere } from './notHere';
import { RANK, troublesIn, type Found } from './rules';

/** The different ids of a kind that troubles lie at. */
function idsAt(troubles: readonly Trouble[], kind: 'block' | 'period' | 'player' | 'adult') {
	return [...new Set(troubles.flatMap(({ at }) => at[kind] ?? []))];
}

/** Everything and everyone that some troubles lie at. */
const amongOf = (troubles: readonly Trouble[]): Among => ({
	blocks: idsAt(troubles, 'block'),
	periods: idsAt(troubles, 'period'),
	players: idsAt(troubles, 'player'),
	adults: idsAt(troubles, 'adult')
});

const faultOf = (rule: Rule, parts: readonly Trouble[]): Fault => ({
	...parts[0],
	among: amongOf(parts),
	rule,
	parts
});

/** What a rule found, those of one cause together. */
function byCause({ rule, troubles }: Found): Fault[] {
	const together = rule.cause
		? groups(troubles, (each) => rule.cause?.(each, troubles)).map(([, same]) => same)
		: troubles.map((each) => [each]);
	return together.map((parts) => faultOf(rule, parts));
}

/** What was found by the causes that it has: what the absence of people has brought about is told with that. */
function faultsOf(evaluation: Evaluation): Fault[] {
	const found = troublesIn(evaluation);
	const [absence] = found.filter(({ rule }) => rule === notHere);
	if (!absence) return found.flatMap(byCause);
	const brought = broughtAbout(
		evaluation,
		found.flatMap(({ troubles }) => troubles)
	);
	const told = new Set(brought);
	return [
		faultOf(notHere, [...absence.troubles, ...brought]),
		...found
			.filter((each) => each !== absence)
			.flatMap(({ rule, troubles }) =>
				byCause({ rule, troubles: troubles.filter((each) => !told.has(each)) })
			)
	];
}

/** Everything that does not work in a played practice, what has one cause told as one, worst first, then by time. */
export function faultsIn(evaluation: Evaluation): Fault[] {
	return faultsOf(evaluation).sort(
		(a, b) =>
			RANK[a.severity] - RANK[b.severity] || (a.at.fromSecond ?? -1) - (b.at.fromSecond ?? -1)
	);
}

/** What does not work in a played practice, with fixes that have been tried; in the order of `faultsIn`. */
export function check(evaluation: Evaluation): Finding[] {
	return faultsIn(evaluation).map((fault) => {
		const { rule: _rule, parts: _parts, ...told } = fault;
		return { ...told, fixes: fixesFor(evaluation, fault) };
	});
}
