import { check } from '../../src/core/checks';
import { simulate } from '../../src/core/drill';
import { evaluate } from '../../src/core/playing';
import { toContext } from '../../src/core/practice';
import { lineup, rotate } from '../../src/core/rotation';
import { demoContext, demoPractice } from '../../tests/support/demo';
import { largePractice } from '../../tests/support/largePractice';
import { randomLineup } from '../../tests/support/squads';
import { report, time } from './report';

const context = demoContext();
const practice = demoPractice();
const evaluation = evaluate(practice, context);
const drill = context.shelf.find(({ id }) => id === 'turn-and-switch');
if (!drill) throw new Error('The demo has no drill of five spots');
const fiveSpots = drill;

/** The answers that a coach looks through: group sizes by rungs. */
function sizeTable(): void {
	const rungs = [undefined, ...fiveSpots.rungs.map(({ id }) => id)];
	for (let players = 5; players < 35; players += 1)
		for (let k = 0; k < 4; k += 1)
			simulate({ drill: fiveSpots, players, minutes: 20, rung: rungs[k % rungs.length] });
}

const cold = performance.now();
sizeTable();
report({
	name: 'simulate, 30 group sizes × 4 rungs × 20 min, 5 spots, cold',
	milliseconds: [performance.now() - cold],
	bound: 50,
	of: 'median'
});
report({
	name: 'the same, warm',
	milliseconds: time(sizeTable, 5, 80),
	bound: 10,
	of: 'median'
});
report({
	name: 'evaluate, demo practice (90 min, 22 players), nothing remembered',
	milliseconds: time(() => evaluate(practice, context), 200),
	bound: 5,
	of: 'median'
});
const large = largePractice({ players: 46, lanes: 5, minutes: 115 });
const largeContext = toContext(large.surroundings);
report({
	name: 'evaluate, 115 min, 46 players, 5 lanes',
	milliseconds: time(() => evaluate(large.practice, largeContext), 20),
	bound: 25,
	of: 'median'
});
report({
	name: 'check, demo practice, fixes tried',
	milliseconds: time(() => check(evaluation), 50),
	bound: 25,
	of: 'median'
});

console.log('evaluate as players and periods double (median of 5, ms):');
for (const players of [12, 24, 48, 96]) {
	const row = [1, 2, 4].map((times) => {
		const made = largePractice({ players, lanes: 4, minutes: 20 * times });
		const around = toContext(made.surroundings);
		const sorted = time(() => evaluate(made.practice, around), 5).sort((a, b) => a - b);
		return `${20 * times} min ${sorted[2].toFixed(1)}`;
	});
	console.log(`  ${players} players: ${row.join(', ')}`);
}

const stations = (count: number, holds: number) =>
	Array.from({ length: count }, (_, k) => ({
		id: `s${k}`,
		x: (k * 37) % 61,
		y: (k * 17) % 43,
		effort: 1 + ((k * 3) % 10),
		holds
	}));
const names = (count: number) => Array.from({ length: count }, (_, k) => `g${k}`);
report({
	name: 'rotate, the best round of 12 stations',
	milliseconds: time(() => rotate({ groups: names(12), stations: stations(12, 1) }), 5),
	bound: 5,
	of: 'median'
});
const rounds: number[] = [];
for (let count = 3; count <= 12; count += 1)
	for (let slots = 1; slots <= count; slots += 1) {
		const input = {
			groups: names(2 * count),
			stations: stations(count, 2),
			slots,
			rules: { meet: true }
		};
		rounds.push(time(() => rotate(input), 5).sort((a, b) => a - b)[2]);
	}
report({
	name: 'rotate, no repeated meeting, 3 to 12 stations, every number of rounds',
	milliseconds: [Math.max(...rounds)],
	bound: 20,
	of: 'median'
});
for (const [players, places, shifts, bound] of [
	[22, 11, 8, 50],
	[40, 18, 12, 150]
])
	report({
		name: `lineup, ${players} players, ${places} positions, ${shifts} shifts`,
		milliseconds: time(() => lineup(randomLineup({ players, places, shifts, seed: 1 })), 5),
		bound,
		of: 'median'
	});
