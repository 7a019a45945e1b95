import { shuffler } from 'd3-array';
import { Annealing, type Round } from './annealing';
import { develop, stillGroup, type BasePlan } from './developed';
import type { Sessions } from './lines';
import { noShift, pairClasses, type PairClasses } from './pairClasses';
import type { MixTask } from './readMix';

/** Changes that are tried between two looks at the clock. */
const SLICE = 4000;
/** Changes of the first attempt; each later one has more. */
const FIRST_TRIES = 60_000;
const MORE = 1.4;
const MORE_HUNTED = 1.25;
/** Temperature at which few repeats are hunted down, in costs of one repeat. */
const HUNTING = 0.3;

/** Players in groups of these sizes, in the order of their seats. */
export function grouped(seats: Int32Array, sizes: readonly number[]): number[][] {
	let next = 0;
	return sizes.map((size) => {
		const group = [...seats.slice(next, next + size)];
		next += size;
		return group;
	});
}

/** Meetings of still sessions, by class of pairs. */
function metInStill(classes: PairClasses, { shift, still }: BasePlan, size: number): Int32Array {
	const met = new Int32Array(classes.size.length);
	for (let session = 0; session < still; session += 1) {
		const group = stillGroup(shift, size, session);
		for (const [k, a] of group.entries())
			for (const b of group.slice(k + 1)) met[classes.classOf[a * classes.players + b]] += 1;
	}
	return met;
}

/** Every other number has none, every fourth one, every eighth two: 1 is 0, 2 is 1, 3 is 0, 4 is 2. */
const trailingZeros = (value: number): number => 31 - Math.clz32(value & -value);

/**
 * A search that attempts the first plan every other time, the next one every fourth time and so on, each with more
 * patience than before.
 */
export class Attempts {
	private done = 0;
	/** Attempts at each plan. */
	private readonly times: number[];

	constructor(
		private readonly task: MixTask,
		private readonly plans: readonly BasePlan[],
		private readonly random: () => number,
		private readonly isHunt: boolean
	) {
		this.times = plans.map(() => 0);
	}

	/** One attempt; it gives its sessions after every slice of work. */
	*attempt(enough: number): Generator<Sessions | null> {
		const { task, plans, random, isHunt } = this;
		this.done += 1;
		const at = Math.min(plans.length - 1, trailingZeros(this.done));
		const plan = plans[at];
		const patience = FIRST_TRIES * (isHunt ? MORE_HUNTED : MORE) ** this.times[at];
		this.times[at] += 1;
		const [{ sizes }] = task.sessions;
		const classes = pairClasses(plan.shift);
		const rounds = Array.from({ length: plan.bases }, () => ({
			seats: shuffler(random)(Int32Array.from(task.ids.keys())),
			sizes
		}));
		const met = metInStill(classes, plan, sizes[0]);
		const work = new Annealing(classes, rounds, { random, met });
		const { order } = plan.shift;
		const tries = patience * (isHunt ? 2 : 4);
		for (let done = 0; done < tries && work.best > enough; done += SLICE) {
			const share = done / tries;
			const temperature = isHunt ? HUNTING * order : cooled(3 * Math.sqrt(order), share);
			work.anneal(SLICE, { temperature, enough, picky: isHunt });
			yield null;
		}
		const bases = work.bestSeats.map((seats) => grouped(seats, sizes));
		yield develop(plan, bases, sizes[0]).slice(0, task.sessions.length);
	}
}

/** A temperature that falls to a twentieth. */
const cooled = (from: number, share: number) => Math.max(0.15, from * 0.05 ** share);

/** Sessions that are searched as they are cool to a quarter and no further: below that they stand still. */
const LUKEWARM = 0.25;
const SLOWLY = 0.25;

/** Sessions that are searched by themselves, from seats that keep the rules or from sessions found before. */
export function* direct(
	task: MixTask,
	start: readonly Round[],
	{
		random,
		tries,
		from,
		enough
	}: { random: () => number; tries: number; from: number; enough: number }
): Generator<Sessions | null> {
	const { ids, met, apart, together } = task;
	const held = task.sessions.map(({ pins }) => {
		const keep = new Uint8Array(ids.length);
		for (const player of [...together.flat(), ...(pins?.keys() ?? [])]) keep[player] = 1;
		return keep;
	});
	const classes = pairClasses(noShift(ids.length));
	const before = new Int32Array(classes.size.length);
	for (let a = 0; a < ids.length; a += 1)
		for (let b = a + 1; b < ids.length; b += 1)
			before[classes.classOf[a * ids.length + b]] = met[a * ids.length + b];
	const work = new Annealing(classes, start, {
		...{ random, met: before, held },
		...(apart.some(({ size }) => size > 0) && { apart })
	});
	for (let done = 0; done < tries && work.best > enough; done += SLICE) {
		const temperature = Math.max(LUKEWARM, from * SLOWLY ** (done / tries));
		work.anneal(SLICE, { temperature, enough, picky: false });
		yield null;
	}
	yield work.bestSeats.map((seats, session) => grouped(seats, start[session].sizes));
}
