import { badInput, fail, ok, splitEvenly, type Failure, type Outcome } from '../base';
import {
	adultPlaces,
	checkMinutes,
	checkPlayerCount,
	checkPlayers,
	checkRanges,
	firstFailure,
	playerSystem,
	resolveDrill,
	simulate,
	type SimulateOutput
} from '../drill';
import type { Drill } from '../model/drill';
import { blockedBy } from './blocks';
import type { SizeInput, SizeLimits, SizeOption, SizeOutput } from './sizeShapes';

/** A way to staff a copy: adults on all `either` spots, or on none. */
interface Way {
	adultsAt: number;
	needed: number;
}

const isCount = (value: number | undefined, least = 0) =>
	value === undefined || (Number.isSafeInteger(value) && value >= least);

function* limitChecks({ coaches, zones, kit, maxCopies }: SizeLimits): Generator<Failure | null> {
	if (coaches !== undefined && !(coaches >= 0))
		yield badInput(['limits', 'coaches'], `expected 0 or more, got ${coaches}`);
	if (!isCount(maxCopies, 1))
		yield badInput(
			['limits', 'maxCopies'],
			`expected a whole number of at least 1, got ${maxCopies}`
		);
	for (const [index, zone] of (zones ?? []).entries()) {
		for (const key of ['length', 'width'] as const)
			if (!(zone[key] >= 0))
				yield badInput(
					['limits', 'zones', index, key],
					`expected 0 or more metres, got ${zone[key]}`
				);
		for (const [item, count] of Object.entries(zone.fixtures ?? {}))
			if (!(count >= 0))
				yield badInput(
					['limits', 'zones', index, 'fixtures', item],
					`expected 0 or more, got ${count}`
				);
	}
	for (const [item, count] of Object.entries(kit ?? {}))
		if (!(count >= 0)) yield badInput(['limits', 'kit', item], `expected 0 or more, got ${count}`);
}

function checkInput({ minutes, players, limits, aims }: SizeInput, drill: Drill): Failure | null {
	const waitShare = aims?.waitShare;
	return (
		checkMinutes(minutes, ['minutes']) ??
		checkPlayerCount(players) ??
		firstFailure(limitChecks(limits ?? {})) ??
		(waitShare === undefined || (waitShare >= 0 && waitShare <= 1)
			? null
			: badInput(['aims', 'waitShare'], `expected 0 to 1, got ${waitShare}`)) ??
		checkRanges(drill)
	);
}

/** The ways that balance; the failure of the last one where none does. */
function listWays(drill: Drill): Outcome<Way[]> {
	const { either } = adultPlaces(drill);
	const ways: Way[] = [];
	let fault: Failure | null = null;
	for (const adultsAt of either > 0 ? [either, 0] : [0]) {
		const system = playerSystem(drill, adultsAt);
		if (system.ok) ways.push({ adultsAt, needed: system.value.needed });
		else fault = system.failure;
	}
	return ways.length === 0 && fault ? fail(fault) : ok(ways);
}

/** Simulates each group size once, however many copies have it. */
function simulator(drill: Drill, minutes: number) {
	const known = new Map<string, SimulateOutput>();
	return (players: number, adults: number): SimulateOutput => {
		const key = `${players} ${adults}`;
		const before = known.get(key);
		if (before) return before;
		const run = simulate({ drill, players, minutes, adults });
		if (!run.ok) throw new Error(`A checked size does not run: ${run.failure.message}`);
		known.set(key, run.value);
		return run.value;
	};
}

function summarize(sizes: readonly number[], runs: readonly SimulateOutput[]) {
	const players = sizes.reduce((sum, size) => sum + size, 0);
	const weighted = (of: (run: SimulateOutput) => number) =>
		runs.reduce((sum, run, index) => sum + of(run) * sizes[index], 0) / players;
	return {
		reps: {
			min: Math.min(...runs.map(({ reps }) => reps.min)),
			mean: weighted((r) => r.reps.mean),
			max: Math.max(...runs.map(({ reps }) => reps.max))
		},
		share: {
			active: weighted((run) => run.share.active),
			help: weighted((run) => run.share.help),
			wait: weighted((run) => run.share.wait)
		}
	};
}

/** Negative where `a` is the better of two free options. */
function compare(a: SizeOption, b: SizeOption, adultsOf: (option: SizeOption) => number): number {
	const wait = a.share.wait - b.share.wait;
	return (
		b.reps.min - a.reps.min ||
		(Math.abs(wait) <= 1e-9 ? 0 : wait) ||
		a.copies - b.copies ||
		adultsOf(a) - adultsOf(b)
	);
}

/**
 * Every way to split `players` over copies of a drill, with what they get, what blocks it and the
 * best free one (`null` if none): most turns for the least served, then the least waiting, the
 * fewest copies, the fewest adults. Fails with `bad-input`, `unbalanced-rotation` or
 * `too-few-players`; the input's schema has been checked before.
 */
export function size(input: SizeInput): Outcome<SizeOutput> {
	const resolved = resolveDrill(input.drill, input.rung);
	if (!resolved.ok) return resolved;
	const drill = resolved.value;
	const { players, minutes, limits = {}, aims } = input;
	const fault = checkInput(input, drill);
	if (fault) return fail(input.rung === undefined ? fault : { ...fault, rung: input.rung });
	const ways = listWays(drill);
	if (!ways.ok) return ways;
	const forPlayers = drill.spots.filter(({ by = 'player' }) => by === 'player');
	const needed = forPlayers.reduce((sum, { count }) => sum + count, 0);
	const short =
		checkPlayers({ needed }, players) ??
		checkPlayers({ needed: Math.min(...ways.value.map((way) => way.needed)) }, players);
	if (short) return fail(short);

	const always = adultPlaces(drill).always;
	const adultsOf = ({ copies, adultsAt }: { copies: number; adultsAt: number }) =>
		copies * (drill.coaches.min + always + adultsAt);
	const run = simulator(drill, minutes);
	const most = Math.max(1, Math.floor(players / drill.group.min));
	const options: SizeOption[] = [];
	for (let copies = 1; copies <= Math.min(most, limits.maxCopies ?? most); copies += 1) {
		const sizes = splitEvenly(players, copies);
		for (const way of ways.value) {
			if (sizes[copies - 1] < way.needed) continue;
			const sums = summarize(
				sizes,
				sizes.map((group) => run(group, way.adultsAt))
			);
			const adults = adultsOf({ copies: 1, adultsAt: way.adultsAt });
			options.push({
				copies,
				sizes,
				adultsAt: way.adultsAt,
				...sums,
				blockedBy: blockedBy(drill, { sizes, adults }, limits),
				...(aims?.waitShare !== undefined && { meetsAim: sums.share.wait <= aims.waitShare + 1e-9 })
			});
		}
	}
	return ok({ options, best: bestOf(drill, options, limits.coaches !== undefined) });
}

/**
 * Index of the best free one of some sizes of a drill, null where none is free: most turns for the least served, then
 * the least waiting, the fewest copies, the fewest adults; those who feed only where it is known who is there.
 */
export function bestOf(
	drill: Drill,
	options: readonly SizeOption[],
	knowsAdults: boolean
): number | null {
	const each = drill.coaches.min + adultPlaces(drill).always;
	const adultsOf = ({ copies, adultsAt }: SizeOption) => copies * (each + adultsAt);
	const [best] = options
		.filter(
			({ blockedBy: blocks, adultsAt }) => blocks.length === 0 && (knowsAdults || adultsAt === 0)
		)
		.sort((a, b) => compare(a, b, adultsOf));
	return best ? options.indexOf(best) : null;
}
