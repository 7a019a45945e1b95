import {
	group,
	groupSearch,
	leastSpread,
	reportsFor,
	type GroupInput
} from '../../src/core/grouping';
import { randomRequest } from '../../tests/support/squads';
import { groupModel } from './solver/groupModel';
import { Solver } from './solver/solve';

import { calm, median, verdict } from './report';

const SECONDS = 60;
const solver = new Solver();
const seconds = (value: number) => (value < 10 ? value.toFixed(3) : value.toFixed(0));

/** The sum over skills of the least spread of whole sums. */
function boundOf({ players, sizes = [] }: GroupInput): number {
	return Object.keys(players[0].ratings ?? {}).reduce(
		(sum, skill) =>
			sum +
			leastSpread(
				players.reduce((total, { ratings }) => total + (ratings?.[skill] ?? 0), 0),
				sizes
			),
		0
	);
}

function timed(input: GroupInput) {
	const start = performance.now();
	const outcome = group(input);
	if (!outcome.ok) throw new Error(outcome.failure.message);
	return { score: outcome.value.score, seconds: (performance.now() - start) / 1000 };
}

interface Row {
	ours: number;
	theirs: number;
	isOptimal: boolean;
	isNoWorse: boolean;
	isAtBound: boolean;
	isProven: boolean;
}

/** One request to both: ours timed as the command runs it, the solver first for skills, then for units. */
async function compare(sizes: number[], seed: number): Promise<Row> {
	const input = randomRequest(sizes, seed);
	const { score, seconds: ours } = timed(input);
	const skills = await solver.solve(groupModel(input), SECONDS);
	const units =
		skills.isProven && skills.value !== null
			? await solver.solve(groupModel(input, skills.value), SECONDS)
			: null;
	const same = (a: number, b: number | null | undefined) => b != null && Math.abs(a - b) < 1e-5;
	return {
		ours,
		theirs: skills.seconds + (units?.seconds ?? 0),
		isProven: skills.isProven && units?.isProven === true,
		isOptimal: same(score[0], skills.value) && same(score[1], units?.value),
		isNoWorse:
			skills.value === null ||
			score[0] < skills.value - 1e-5 ||
			(same(score[0], skills.value) && (units?.value == null || score[1] <= units.value + 1e-5)),
		isAtBound: score[0] <= boundOf(input) + 1e-9
	};
}

const isEqual = (sizes: number[]) => new Set(sizes).size === 1;

async function table(sizes: number[], seeds: number, most: number): Promise<void> {
	const rows: Row[] = [];
	for (let seed = 1; seed <= seeds; seed += 1) rows.push(await compare(sizes, seed));
	const players = sizes.reduce((sum, size) => sum + size, 0);
	const count = (of: (row: Row) => boolean) => rows.filter(of).length;
	const slowest = Math.max(...rows.map(({ ours }) => ours));
	const ratio = median(rows.map(({ ours, theirs }) => theirs / ours));
	const least = isEqual(sizes) ? 50 : 20;
	const proven = rows.filter(({ isProven }) => isProven);
	const name = isEqual(sizes) ? `${sizes.length} × ${sizes[0]}` : sizes.join(', ');
	console.log(`group, even, ${players} in ${name}, ${seeds} seeds:`);
	console.log(
		`  ours ${seconds(median(rows.map(({ ours }) => ours)))} s median, ${seconds(slowest)} s at most (${seconds(calm(slowest))} calm); bound ${most} s, ${verdict(calm(slowest) <= most)}`
	);
	if (proven.length > 0)
		console.log(
			`  the optimum that the solver proved: ${proven.filter(({ isOptimal }) => isOptimal).length} of ${proven.length}, ${verdict(proven.every(({ isOptimal }) => isOptimal))}`
		);
	console.log(
		`  never worse than the solver after ${SECONDS} s: ${count(({ isNoWorse }) => isNoWorse)} of ${seeds}, ${verdict(rows.every(({ isNoWorse }) => isNoWorse))}`
	);
	if (players > 24) {
		const atBound = count(({ isAtBound }) => isAtBound);
		console.log(
			`  at the bound of whole sums: ${atBound} of ${seeds}, ${verdict(atBound >= seeds * 0.8)}`
		);
	}
	console.log(
		`  solver over ours: ${ratio.toFixed(0)} times (median); bound ${least}, ${verdict(ratio >= least)}`
	);
}

/** One more session after 28, against the best of a long search. */
function fresh(): void {
	const sizes = [6, 6, 5, 5];
	const met = new Map<string, number>();
	for (let session = 0; session < 28; session += 1) {
		const { players } = randomRequest(sizes, session + 1);
		const order = players.map(({ id }, k) => ({ id, key: (k * 7919 + session * 104729) % 101 }));
		order.sort((a, b) => a.key - b.key);
		let next = 0;
		for (const size of sizes) {
			const ids = order.slice(next, (next += size)).map(({ id }) => id);
			for (const [k, a] of ids.entries())
				for (const b of ids.slice(k + 1)) {
					const key = [a, b].sort().join(' ');
					met.set(key, (met.get(key) ?? 0) + 1);
				}
		}
	}
	const input: GroupInput = {
		players: randomRequest(sizes, 1).players,
		sizes,
		mode: 'fresh',
		met: [...met].map(([pair, times]) => [...pair.split(' '), times])
	};
	timed(input);
	const runs = Array.from({ length: 5 }, () => timed(input));
	const search = groupSearch({ ...input, seed: 2 });
	if (!search.ok) throw new Error(search.failure.message);
	const end = performance.now() + SECONDS * 1000;
	let best = Infinity;
	while (performance.now() < end) best = Math.min(best, search.value.next().value.cost[0]);
	const ms = median(runs.map((run) => run.seconds * 1000));
	const share = runs[0].score[0] / best;
	console.log(
		`group, fresh, 22 players after 28 sessions: ${ms.toFixed(1)} ms (median of 5, ${calm(ms).toFixed(1)} calm); bound 20 ms, ${verdict(calm(ms) <= 20)}`
	);
	console.log(
		`  times met ${runs[0].score[0]}, ${((share - 1) * 100).toFixed(1)} % over the best of ${SECONDS} s (${best}); bound 2 %, ${verdict(share <= 1.02)}`
	);
	console.log(`  after ${reportsFor(input)} reports of the search`);
}

timed(randomRequest([6, 6, 6, 6], 99));
await table([6, 6, 6, 6], 10, 0.3);
await table([6, 6, 5, 5], 10, 0.3);
await table([5, 5, 4], 10, 0.3);
await table(new Array<number>(8).fill(6), 20, 2);
await table(new Array<number>(10).fill(10), 20, 2);
fresh();
