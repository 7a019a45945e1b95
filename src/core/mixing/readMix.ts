import { badInput, fail, ok, splitEvenly, type Outcome, type Path } from '../base';
import type { MixInput } from './mixShapes';

const MOST_PLAYERS = 200;
const MOST_SESSIONS = 200;

/** A request that was looked through: players by index. */
export interface MixTask {
	ids: readonly string[];
	/** Who is there in each session, how large its groups are, and who keeps which group. */
	sessions: readonly {
		present: readonly number[];
		sizes: readonly number[];
		pins?: ReadonlyMap<number, number>;
	}[];
	/** By two players, both ways round: how many times they have met before. */
	met: Int32Array;
	/** Players who go together, two or more of them. */
	together: readonly (readonly number[])[];
	/** By player: those who do not go with them. */
	apart: readonly ReadonlySet<number>[];
	seed: number;
	/** Whether nothing tells sessions apart, and no pair of players from another. */
	isPlain: boolean;
}

const isWhole = (value: number, least: number, most: number) =>
	Number.isSafeInteger(value) && value >= least && value <= most;

/** Sizes with `away` places fewer: one at a time from the largest group, of equal ones the last. */
export function sizesWithout(sizes: readonly number[], away: number): number[] {
	const left = [...sizes];
	for (let k = 0; k < away; k += 1) left[left.lastIndexOf(Math.max(...left))] -= 1;
	return left;
}

function sizesOf({ sizes, groupSize }: MixInput, players: number): Outcome<number[]> {
	if ((sizes === undefined) === (groupSize === undefined))
		return fail(badInput([], 'expected either sizes or groupSize'));
	if (groupSize !== undefined) {
		if (!isWhole(groupSize, 1, MOST_PLAYERS))
			return fail(
				badInput(['groupSize'], `expected a whole number of at least 1, got ${groupSize}`)
			);
		return ok(splitEvenly(players, Math.ceil(players / groupSize)));
	}
	const own = sizes ?? [];
	const wrong = own.findIndex((size) => !isWhole(size, 1, MOST_PLAYERS));
	if (wrong >= 0)
		return fail(
			badInput(['sizes', wrong], `expected a whole number of at least 1, got ${own[wrong]}`)
		);
	const sum = own.reduce((total, size) => total + size, 0);
	if (sum !== players)
		return fail(badInput(['sizes'], `expected sizes of ${players} players together, got ${sum}`));
	return ok(own);
}

/** Reads lists of ids; an unknown one or one that comes twice is `bad-input` with its path. */
function reader(ids: readonly string[]) {
	const indexOf = new Map(ids.map((id, index) => [id, index]));
	return function read(list: readonly string[], path: Path): Outcome<number[]> {
		const found: number[] = [];
		for (const [k, id] of list.entries()) {
			const index = indexOf.get(id);
			if (index === undefined)
				return fail(badInput([...path, k], `expected the id of a player, got "${id}"`));
			if (found.includes(index))
				return fail(badInput([...path, k], `expected different ids, got "${id}" twice`));
			found.push(index);
		}
		return ok(found);
	};
}

/** Sets of players who go together, those that share somebody made one. */
function joined(sets: readonly (readonly number[])[]): number[][] {
	const all: Set<number>[] = [];
	for (const set of sets) {
		const touching = all.filter((other) => set.some((player) => other.has(player)));
		for (const other of touching) all.splice(all.indexOf(other), 1);
		all.push(new Set([...set, ...touching.flatMap((other) => [...other])]));
	}
	return all.filter(({ size }) => size > 1).map((set) => [...set]);
}

/** Who has met whom, goes together, and is kept apart. */
type Rules = Pick<MixTask, 'met' | 'together' | 'apart'>;

/** Reads what a request says of pairs. */
function readRules(
	{ met = [], together = [], apart = [] }: Pick<MixInput, 'met' | 'together' | 'apart'>,
	{ ids, largest }: { ids: readonly string[]; largest: number }
): Outcome<Rules> {
	const read = reader(ids);
	const count = ids.length;
	const sets: number[][] = [];
	for (const [k, set] of together.entries()) {
		const own = read(set, ['together', k]);
		if (!own.ok) return own;
		sets.push(own.value);
	}
	const goTogether = joined(sets);
	for (const set of goTogether)
		if (set.length > largest)
			return fail({
				code: 'infeasible',
				message: `${set.length} players go together, and no group has more than ${largest}`
			});
	const keptApart = ids.map(() => new Set<number>());
	for (const [k, pair] of apart.entries()) {
		const own = read(pair, ['apart', k]);
		if (!own.ok) return own;
		if (own.value.length !== 2)
			return fail(badInput(['apart', k], `expected two ids, got ${own.value.length}`));
		const [a, b] = own.value;
		if (goTogether.some((set) => set.includes(a) && set.includes(b)))
			return fail({
				code: 'infeasible',
				message: `${ids[a]} and ${ids[b]} are to go together and apart`
			});
		keptApart[a].add(b);
		keptApart[b].add(a);
	}
	const times = new Int32Array(count * count);
	for (const [k, [one, other, often, ...more]] of met.entries()) {
		const own = read([String(one), String(other)], ['met', k]);
		if (!own.ok) return own;
		if (more.length > 0 || !isWhole(Number(often), 0, 10_000) || typeof often !== 'number')
			return fail(badInput(['met', k], 'expected two ids and how many times they have met'));
		const [a, b] = own.value;
		times[a * count + b] += often;
		times[b * count + a] += often;
	}
	return ok({ met: times, together: goTogether, apart: keptApart });
}

/** Reads a request; what contradicts itself is `bad-input` with its path. */
export function readMix(input: MixInput): Outcome<MixTask> {
	const { players, sessions, absent = [], apart = [], seed = 1 } = input;
	const count = typeof players === 'number' ? players : players.length;
	if (!isWhole(count, 2, MOST_PLAYERS))
		return fail(badInput(['players'], `expected 2 to ${MOST_PLAYERS} players, got ${count}`));
	const ids =
		typeof players === 'number' ? Array.from({ length: players }, (_, k) => String(k)) : players;
	const twice = ids.findIndex((id, k) => ids.indexOf(id) < k);
	if (twice >= 0)
		return fail(badInput(['players', twice], `expected different ids, got "${ids[twice]}" twice`));
	if (!isWhole(sessions, 1, MOST_SESSIONS))
		return fail(
			badInput(['sessions'], `expected a whole number from 1 to ${MOST_SESSIONS}, got ${sessions}`)
		);
	if (!isWhole(seed, -(2 ** 31), 2 ** 31))
		return fail(badInput(['seed'], `expected a whole number, got ${seed}`));
	const { secondsLimit = 1 } = input;
	if (!(secondsLimit >= 0.01 && secondsLimit <= 600))
		return fail(badInput(['secondsLimit'], `expected 0.01 to 600 seconds, got ${secondsLimit}`));
	if (absent.length > sessions)
		return fail(
			badInput(['absent'], `expected at most ${sessions} sessions, got ${absent.length}`)
		);
	const sizes = sizesOf(input, count);
	if (!sizes.ok) return sizes;
	const read = reader(ids);
	const away: ReadonlySet<number>[] = [];
	for (let k = 0; k < sessions; k += 1) {
		const own = read(absent[k] ?? [], ['absent', k]);
		if (!own.ok) return own;
		away.push(new Set(own.value));
	}
	const rules = readRules(input, { ids, largest: Math.max(...sizes.value) });
	if (!rules.ok) return rules;
	return ok({
		ids,
		sessions: away.map((gone) => ({
			present: ids.flatMap((_, index) => (gone.has(index) ? [] : [index])),
			sizes: sizesWithout(sizes.value, gone.size)
		})),
		...{ ...rules.value, seed },
		isPlain:
			away.every(({ size }) => size === 0) &&
			rules.value.met.every((each) => each === 0) &&
			rules.value.together.length === 0 &&
			apart.length === 0
	});
}

/** Groups of one occasion: those who come, in the groups that they are in now. */
export interface Occasion {
	groups: readonly (readonly string[])[];
	/** Ids of players who keep their group. */
	stay?: readonly string[];
}

/** What is asked of groups that are there already: occasions, each with its own people and sizes. */
export interface OccasionsInput extends Pick<MixInput, 'met' | 'together' | 'apart' | 'seed'> {
	players: readonly string[];
	occasions: readonly Occasion[];
}

/** Reads occasions; their groups keep their sizes. Fails as `readMix` does. */
export function readOccasions(input: OccasionsInput): Outcome<MixTask> {
	const { players: ids, occasions, seed = 1 } = input;
	const sizes = occasions.flatMap(({ groups }) => groups.map(({ length }) => length));
	const rules = readRules(input, { ids, largest: Math.max(1, ...sizes) });
	if (!rules.ok) return rules;
	const read = reader(ids);
	const sessions: MixTask['sessions'][number][] = [];
	for (const [k, { groups, stay = [] }] of occasions.entries()) {
		const present = read(groups.flat(), ['occasions', k, 'groups']);
		if (!present.ok) return present;
		const keeping = read(stay, ['occasions', k, 'stay']);
		if (!keeping.ok) return keeping;
		const groupOf = (player: number) => groups.findIndex((group) => group.includes(ids[player]));
		sessions.push({
			present: present.value,
			sizes: groups.map(({ length }) => length),
			pins: new Map(
				keeping.value
					.map((player): [number, number] => [player, groupOf(player)])
					.filter(([, group]) => group >= 0)
			)
		});
	}
	return ok({ ids, sessions, ...rules.value, seed, isPlain: false });
}
