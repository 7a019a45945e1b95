import { randomInt, randomLcg } from 'd3-random';
import type { GroupInput } from '../../src/core/grouping';
import type { LineupInput } from '../../src/core/rotation';

/** A random squad with four ratings, three or four units, and a keeper for each group. */
export function randomSquad(count: number, groups: number, seed: number): GroupInput['players'] {
	const random = randomInt.source(randomLcg(seed / 1009));
	const units = ['back', 'middle', 'front', 'wide'].slice(0, 3 + (seed % 2));
	return Array.from({ length: count }, (_, k) => ({
		id: `p${k}`,
		unit: units[random(units.length)()],
		ratings: Object.fromEntries(
			['pass', 'run', 'hit', 'read'].map((skill) => [skill, random(1, 6)()])
		),
		roles: k < groups ? ['keeper'] : []
	}));
}

/** A request with every kind of rule: two kept apart twice, two together, one pinned, a keeper each. */
export function randomRequest(sizes: number[], seed: number): GroupInput {
	const count = sizes.reduce((sum, size) => sum + size, 0);
	const random = randomInt.source(randomLcg(seed / 757));
	const open = Array.from({ length: count - sizes.length }, (_, k) => `p${k + sizes.length}`);
	const take = () => open.splice(random(open.length)(), 1)[0];
	return {
		players: randomSquad(count, sizes.length, seed),
		sizes,
		mode: 'even',
		apart: [
			[take(), take()],
			[take(), take()]
		],
		together: [[take(), take()]],
		pins: { [take()]: 0 },
		eachHas: [{ role: 'keeper', min: 1 }],
		seed
	};
}

/** A request for a line-up: each likes one position and may play up to two others. */
export function randomLineup({
	players,
	places,
	shifts,
	seed
}: {
	players: number;
	places: number;
	shifts: number;
	seed: number;
}): LineupInput {
	const random = randomInt.source(randomLcg(seed / 313));
	const positions = Array.from({ length: places }, (_, k) => `at ${k}`);
	const others = () => [0, 1].map(() => positions[random(places)()]);
	return {
		players: Array.from({ length: players }, (_, k) => ({
			id: `p${k}`,
			positions: [...new Set([positions[k % places], ...others()])].slice(0, 1 + random(3)())
		})),
		positions,
		shifts
	};
}
