import { execFileSync } from 'node:child_process';
import { fileURLToPath } from 'node:url';
import { resizePeriods } from '../../src/core/building';
import { faultsIn, fixesFor } from '../../src/core/checks';
import { evaluate } from '../../src/core/playing';
import type { Practice } from '../../src/core/model/practice';
import { applyEdit, toContext, type Context } from '../../src/core/practice';
import { lineup, rotate } from '../../src/core/rotation';
import { demoContext, demoPractice, demoSurroundings } from '../../tests/support/demo';
import { largePractice } from '../../tests/support/largePractice';
import { randomLineup } from '../../tests/support/squads';
import { report, time } from './report';
import { sizeTableOf } from './sizeTable';

const context = demoContext();
const practice = demoPractice();

const cold = new URL('sizeTable.js', import.meta.url);
report({
	name: 'simulate, 30 group sizes × 4 rungs × 20 min, 5 spots, cold',
	milliseconds: Array.from({ length: 5 }, () =>
		Number(execFileSync(process.execPath, [fileURLToPath(cold)], { encoding: 'utf8' }))
	),
	bound: 50,
	of: 'median'
});
report({
	name: 'the same, warm',
	milliseconds: time(sizeTableOf(context), 5, 80),
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
/** The demo's shelf with copies of its drills until there are a thousand, none of them for every day. */
const manyDrills = Array.from({ length: 1000 }, (_, k) => {
	const drill = context.shelf[k % context.shelf.length];
	if (k < context.shelf.length) return drill;
	return { ...drill, id: `${drill.id}-${k}`, frequency: 'vary' as const };
});
const shelved = toContext({ ...demoSurroundings(), drills: manyDrills });
report({
	name: 'findings of the demo practice, 1,000 drills on the shelf',
	milliseconds: time(() => faultsIn(evaluate(practice, shelved)), 50),
	bound: 10,
	of: 'median'
});
const played = evaluate(practice, shelved);
for (const fault of faultsIn(played))
	report({
		name: `fixes of one finding (${fault.code})`,
		milliseconds: time(() => fixesFor(played, fault), 10, 3),
		bound: 30,
		of: 'median'
	});

/** One change of minutes after another until all of it is right: edit, play, findings. */
function changes(from: Practice, around: Context): number[] {
	let last = evaluate(from, around);
	faultsIn(last);
	let k = 0;
	return time(() => {
		const [period] = last.practice.periods;
		k += 1;
		const edit = resizePeriods(
			last.practice,
			new Map([[period.id, period.minutes + (k % 2 ? 1 : -1)]])
		);
		const applied = applyEdit(last.practice, edit);
		if (!applied.ok) throw new Error(applied.failure);
		last = evaluate(applied.value.practice, around, last);
		faultsIn(last);
	}, 40);
}
const pairs = largePractice({ players: 24, lanes: 12, minutes: 90 });
const threes = largePractice({ players: 63, lanes: 21, minutes: 90 });
for (const [name, from, around, bound] of [
	['the demo practice', practice, context, 16.7],
	['46 players in five lanes', large.practice, largeContext, 33],
	['twelve pairs', pairs.practice, toContext(pairs.surroundings), 50],
	['21 threes', threes.practice, toContext(threes.surroundings), 100]
] as const)
	report({
		name: `one change of minutes, played with its findings, ${name}`,
		milliseconds: changes(from, around),
		bound,
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
