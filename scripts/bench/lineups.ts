import { lineup } from '../../src/core/rotation';
import { randomLineup } from '../../tests/support/squads';
import { lineupModel } from './solver/lineupModel';
import { Solver } from './solver/solve';

const SEEDS = 10;
const SECONDS = 60;
const solver = new Solver();

for (const [players, places, shifts] of [
	[22, 11, 8],
	[16, 11, 7],
	[40, 18, 12]
]) {
	let proven = 0;
	let same = 0;
	let sits = 0;
	for (let seed = 1; seed <= SEEDS; seed += 1) {
		const input = randomLineup({ players, places, shifts, seed });
		const outcome = lineup(input);
		if (!outcome.ok) throw new Error(outcome.failure.message);
		const { value, isProven } = await solver.solve(lineupModel(input), SECONDS);
		sits = Math.max(sits, outcome.value.sitRow);
		if (!isProven || value === null) continue;
		proven += 1;
		if (Math.abs(value - outcome.value.spread) < 1e-6) same += 1;
	}
	console.log(
		`lineup, ${players} players, ${places} positions, ${shifts} shifts, ${SEEDS} seeds: the least spread that the solver proved ${same} of ${proven}, ${same === proven ? 'MET' : 'MISSED'}; ${sits} in a row sat at most`
	);
}
