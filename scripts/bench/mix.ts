// How well players are mixed over many sessions, against cases that are known to be solved and against the bound.
import { randomLcg } from 'd3-random';
import { bestWithin } from '../../src/core/base';
import { mixSearch, type MixInput, type MixOutput } from '../../src/core/mixing';
import { judge, median, slowness, verdict } from './report';

/** Groups, size and sessions without a repeated pair. */
const SOLVED = [
	[5, 3, 7],
	[3, 3, 4],
	[4, 4, 5],
	[5, 5, 6],
	[7, 7, 8],
	[6, 3, 8],
	[7, 3, 10],
	[8, 3, 11],
	[5, 4, 5],
	[8, 4, 9],
	[9, 4, 10],
	[10, 4, 11],
	[8, 5, 8]
] as const;
const STRETCH = [
	[8, 4, 10],
	[10, 4, 13]
] as const;
const SEEDS = [1, 2, 3, 4, 5];
const SECONDS = 2;

function mixed(input: MixInput, seconds: number): MixOutput {
	const search = mixSearch(input);
	if (!search.ok) throw new Error(search.failure.message);
	return bestWithin(search.value, { now: () => performance.now(), seconds });
}

/** Milliseconds until there is no repeat; Infinity where some are left. */
function solving([groups, size, sessions]: readonly number[], seed: number): number {
	const start = performance.now();
	const input = { players: groups * size, groupSize: size, sessions, seed };
	const { repeats } = mixed(input, SECONDS * slowness());
	return repeats === 0 ? performance.now() - start : Infinity;
}

const nameOf = (asked: readonly number[]) => asked.join('-');

for (const asked of SOLVED)
	judge(
		`mix ${nameOf(asked)}, median of ${SEEDS.length} seeds`,
		median(SEEDS.map((seed) => solving(asked, seed))),
		SECONDS * 1000,
		'ms'
	);
const shorter = SOLVED.flatMap(([groups, size, sessions]) =>
	Array.from({ length: sessions - 1 }, (_, k) => [groups, size, k + 1])
);
const unsolved = shorter.filter((asked) =>
	SEEDS.every((seed) => solving(asked, seed) === Infinity)
);
console.log(
	`mix, ${shorter.length} shorter ones: ${unsolved.map(nameOf).join(', ') || 'all without a repeat'}, ${verdict(unsolved.length === 0)}`
);
for (const asked of STRETCH) {
	const [players, sessions] = [asked[0] * asked[1], asked[2]];
	const left = SEEDS.map(
		(seed) => mixed({ players, groupSize: asked[1], sessions, seed }, SECONDS).repeats
	);
	console.log(`mix ${nameOf(asked)} (stretch): repeats ${left.join(', ')}`);
}

const over = ({ cost, bound }: MixOutput) => (cost / bound - 1) * 100;

for (const sizes of [
	[6, 6, 5, 5],
	[6, 6, 6, 5],
	[6, 6, 6, 6]
])
	for (const [seconds, most] of [
		[1, 0.7],
		[5, 0.5]
	]) {
		const players = sizes.reduce((sum, size) => sum + size, 0);
		const figures = SEEDS.map((seed) =>
			over(mixed({ players, sizes, sessions: 28, seed }, seconds * slowness()))
		);
		judge(
			`mix of ${players} in ${sizes.join(', ')} over 28 sessions in ${seconds} s, over the bound`,
			median(figures),
			most,
			'%',
			false
		);
	}

const players = Array.from({ length: 22 }, (_, k) => `p${k}`);
const sizes = [6, 6, 5, 5];
const withAbsences = Array.from({ length: 9 }, (_, k) => {
	const random = randomLcg((k + 1) / 13);
	const absent = Array.from({ length: 28 }, () => players.filter(() => random() < 0.15));
	return over(mixed({ players, sizes, sessions: 28, absent, seed: 1 }, slowness()));
});
judge('mix of 22 with 15% away at random, over the bound', median(withAbsences), 1, '%', false);
console.log(
	`  from ${Math.min(...withAbsences).toFixed(2)}% to ${Math.max(...withAbsences).toFixed(2)}%`
);

/** Who has met whom, and how often, in some sessions. */
function metIn({ sessions }: MixOutput): [string, string, number][] {
	const times = new Map<string, number>();
	for (const group of sessions.flat())
		for (const a of group)
			for (const b of group) if (a < b) times.set(`${a} ${b}`, (times.get(`${a} ${b}`) ?? 0) + 1);
	return [...times].map(([pair, often]) => [...(pair.split(' ') as [string, string]), often]);
}
const met = metIn(mixed({ players, sizes, sessions: 14 }, 1));
const one = { players, sizes, sessions: 1, met };
mixed(one, 0.1);
judge(
	'mix of one more session in 20 ms, over the bound',
	median(SEEDS.map((seed) => over(mixed({ ...one, seed }, 0.02 * slowness())))),
	1.5,
	'%',
	false
);
