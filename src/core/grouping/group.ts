import { randomInt, randomLcg } from 'd3-random';
import { fail, ok, type Failure, type Outcome } from '../base';
import { clashOf } from './clash';
import { figuresOf, type Figures } from './division';
import { weigh } from './weigh';
import type { GroupInput, GroupMode, GroupOutput } from './groupShapes';
import { MOST_EXACT } from './exact';
import { fill, placingOf, type Placing } from './placing';
import { readGroups, type GroupTask } from './readGroups';
import { searchGroups } from './search';

/** A search for groups: what it would give now, and how far it is. */
export interface GroupProgress {
	best: GroupOutput;
	cost: readonly number[];
	/** Numbers that the score cannot be under. */
	bound: readonly number[];
	/** Nothing better is to be found. */
	done: boolean;
}

/** A start for tiers: the lowest rated first. The others start as they are filled. */
function startOf(
	figures: Figures,
	placing: Placing,
	mode: GroupMode,
	filled: Int32Array
): Int32Array {
	const start = new Int32Array(figures.count);
	for (const [atom, { players }] of placing.atoms.entries())
		for (const player of players) start[player] = filled[atom];
	const isFree =
		placing.needs.length === 0 &&
		placing.atoms.every(
			({ players, pin }, atom) =>
				players.length === 1 && pin < 0 && placing.apart[atom].length === 0
		);
	if (mode !== 'tiers' || !isFree) return start;
	const order = [...start.keys()].sort(
		(a, b) => (figures.mean[a] || 0) - (figures.mean[b] || 0) || a - b
	);
	let next = 0;
	for (const [group, size] of placing.sizes.entries())
		for (let place = 0; place < size; place += 1) start[order[next++]] = group;
	return start;
}

function outputOf({ input, sizes }: GroupTask, groupOf: Int32Array): GroupOutput {
	const groups: string[][] = sizes.map(() => []);
	for (const [player, { id }] of input.players.entries()) groups[groupOf[player]].push(id);
	const worth = weigh(input, groups);
	if (!worth.ok) throw new Error(worth.failure.message);
	return { groups, ...worth.value };
}

function infeasible(task: GroupTask): Failure {
	const { input, sizes, rules } = task;
	const clashing = clashOf(input.players.length, sizes, rules);
	const words = clashing.map((name) =>
		name.rule === 'pins' ? `the pin of ${name.id}` : `${name.rule}[${name.index}]`
	);
	return {
		code: 'infeasible',
		rules: clashing,
		message: `these rules cannot be kept together: ${words.join(', ')}`
	};
}

/**
 * A search for groups that keep every hard rule. Reports after a fixed amount of work, for ever or
 * until nothing better can be found; the same seed and number of reports gives the same groups. Fails
 * with `bad-input`, or `infeasible` with rules that clash, none of them for nothing.
 */
export function groupSearch(input: GroupInput): Outcome<Generator<GroupProgress, never>> {
	const read = readGroups(input);
	if (!read.ok) return read;
	const task = read.value;
	const { sizes, rules, seed } = task;
	const placing = placingOf(input.players.length, sizes, rules);
	const filled = placing && fillFrom(placing, seed);
	if (!placing || !filled) return fail(infeasible(task));
	const figures = figuresOf(task);
	const start = startOf(figures, placing, input.mode, filled);
	return ok(progress(task, searchGroups(figures, placing, { mode: input.mode, start, seed })));
}

/** A first division; where the plain order of trying gives up, other orders are tried. */
function fillFrom(placing: Placing, seed: number): Int32Array | false | null {
	const shift = randomInt.source(randomLcg(seed));
	let filled = fill(placing);
	for (let tries = 0; filled === null && tries < 5; tries += 1)
		filled = fill(placing, (groups) => shift(groups)());
	return filled;
}

function* progress(
	task: GroupTask,
	search: ReturnType<typeof searchGroups>
): Generator<GroupProgress, never> {
	let last: Int32Array | undefined;
	let output: GroupOutput | undefined;
	for (;;) {
		const { best, cost, bound, done } = search.next().value;
		if (!output || best !== last) output = outputOf(task, best);
		last = best;
		yield { best: output, cost, bound, done };
	}
}

/** Reports after which `group` stops on its own. Few players who are all rated are looked through to the end. */
export function reportsFor({ players, mode }: Pick<GroupInput, 'players' | 'mode'>): number {
	if (mode === 'fresh' || mode === 'match') return 30;
	if (mode !== 'even') return 100;
	if (players.length > MOST_EXACT) return 220;
	const skills = new Set(players.flatMap(({ ratings }) => Object.keys(ratings ?? {}))).size;
	const isRated = players.every(({ ratings }) => Object.keys(ratings ?? {}).length === skills);
	return isRated ? 800 : 150;
}

/**
 * Groups that keep every hard rule, with the least score that a fixed amount of search finds; how far
 * that goes is said in docs/engine.md. Fails as `groupSearch` does.
 */
export function group(input: GroupInput, reports = reportsFor(input)): Outcome<GroupOutput> {
	const search = groupSearch(input);
	if (!search.ok) return search;
	let state = search.value.next().value;
	for (let report = 1; report < reports && !state.done; report += 1)
		state = search.value.next().value;
	return ok(state.best);
}
