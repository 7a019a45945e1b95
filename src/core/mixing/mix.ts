import { randomLcg } from 'd3-random';
import { fail, ok, type Outcome, type Search } from '../base';
import { Annealing, type Round } from './annealing';
import { pigeonhole, twoAtATime } from './bounds';
import { develop, plansOfAnySize, plansWithoutRepeats, stillGroup, type Plan } from './developed';
import { fromLines, type Sessions } from './lines';
import type { MixInput, MixOutput } from './mixShapes';
import { noShift, pairClasses, type PairClasses } from './pairClasses';
import { readMix, readOccasions, type MixTask, type OccasionsInput } from './readMix';
import { seated } from './seated';

/** Seconds that are searched where a request does not say. */
export const MIX_SECONDS = 1;

/** Changes that are tried between two looks at the clock. */
const SLICE = 4000;
/** Changes of the first attempt; each later one has more. */
const FIRST_TRIES = 60_000;
const MORE = 1.4;
const MORE_HUNTED = 1.25;
/** Temperature at which few repeats are hunted down, in costs of one repeat. */
const HUNTING = 0.3;

/** Times that pairs meet in sessions and have met before, by two players both ways round. */
function timesOf({ ids, met }: Pick<MixTask, 'ids' | 'met'>, sessions: Sessions): Int32Array {
	const count = ids.length;
	const times = Int32Array.from(met);
	for (const session of sessions)
		for (const group of session)
			for (const a of group) for (const b of group) if (a !== b) times[a * count + b] += 1;
	return times;
}

function judged(task: MixTask, sessions: Sessions): { cost: number; repeats: number } {
	const times = timesOf(task, sessions);
	let [cost, repeats] = [0, 0];
	// Every pair is there twice.
	for (const t of times) {
		cost += (t * (t - 1)) / 4;
		repeats += Math.max(0, t - 1) / 2;
	}
	return { cost, repeats };
}

const shuffled = (count: number, random: () => number): Int32Array => {
	const seats = Int32Array.from({ length: count }, (_, player) => player);
	for (let k = count - 1; k > 0; k -= 1) {
		const other = Math.floor(random() * (k + 1));
		[seats[k], seats[other]] = [seats[other], seats[k]];
	}
	return seats;
};

/** Players in groups of these sizes, in the order of their seats. */
function grouped(seats: Int32Array, sizes: readonly number[]): number[][] {
	let next = 0;
	return sizes.map((size) => {
		const group = [...seats.slice(next, next + size)];
		next += size;
		return group;
	});
}

/** Meetings of still sessions, by class of pairs. */
function metInStill(classes: PairClasses, { shift, still }: Plan, size: number): Int32Array {
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
class Attempts {
	private done = 0;
	/** Attempts at each plan. */
	private readonly times: number[];

	constructor(
		private readonly task: MixTask,
		private readonly plans: readonly Plan[],
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
			seats: shuffled(task.ids.length, random),
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

/** Sessions that are searched by themselves, from seats that keep the rules or from sessions found before. */
function* direct(
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
		const temperature = cooled(from, done / tries);
		work.anneal(SLICE, { temperature, enough, picky: false });
		yield null;
	}
	yield work.bestSeats.map((seats, session) => grouped(seats, start[session].sizes));
}

/** What the cost of a request cannot be under. */
export function boundOf({ ids, sessions, met }: MixTask): number {
	return Math.max(pigeonhole(ids.length, sessions, met), twoAtATime(sessions));
}

/** The best sessions so far, as they are told. */
class Best {
	private sessions: Sessions;
	private value: { cost: number; repeats: number };

	constructor(
		private readonly task: MixTask,
		readonly bound: number,
		first: Sessions
	) {
		this.sessions = first;
		this.value = judged(task, first);
	}

	take(sessions: Sessions): void {
		const value = judged(this.task, sessions);
		if (value.cost >= this.value.cost) return;
		this.sessions = sessions;
		this.value = value;
	}

	get isOptimal(): boolean {
		return this.value.cost <= this.bound;
	}

	get rounds(): Round[] {
		return this.sessions.map((session) => ({
			seats: Int32Array.from(session.flat()),
			sizes: session.map(({ length }) => length)
		}));
	}

	get output(): MixOutput {
		const { ids } = this.task;
		return {
			sessions: this.sessions.map((session) =>
				session.map((group) => group.map((player) => ids[player]))
			),
			...{ cost: this.value.cost, bound: this.bound, repeats: this.value.repeats },
			optimal: this.isOptimal
		};
	}

	get found() {
		return { best: this.output, done: this.isOptimal };
	}
}

/** Sessions that mathematics gives at once, as many as there are to be; null where it gives fewer. */
function atOnce({ ids, sessions }: MixTask): Sessions | null {
	const [{ sizes }] = sessions;
	const [size] = sizes;
	if (size < 2 || sizes.some((each) => each !== size)) return null;
	const made = fromLines(ids.length / size, size);
	return made.length >= sessions.length ? made.slice(0, sessions.length) : null;
}

function plansFor({ ids, sessions }: MixTask, bound: number): { plans: Plan[]; isHunt: boolean } {
	const [{ sizes }] = sessions;
	const isEqual = sizes.every((size) => size === sizes[0]);
	const hunt =
		bound === 0 && isEqual ? plansWithoutRepeats(sizes.length, sizes[0], sessions.length) : [];
	return hunt.length > 0
		? { plans: hunt, isHunt: true }
		: { plans: plansOfAnySize(ids.length, sessions.length), isHunt: false };
}

function* searchFor(task: MixTask, first: Sessions): Search<MixOutput> {
	const bound = boundOf(task);
	const best = new Best(task, bound, first);
	yield best.found;
	const random = randomLcg(((task.seed * 7919 + 13) % 2147483647) / 2147483647);
	if (task.isPlain) {
		const made = atOnce(task);
		if (made) best.take(made);
		yield best.found;
		if (best.isOptimal) return;
	}
	const { plans, isHunt } = task.isPlain ? plansFor(task, bound) : { plans: [], isHunt: false };
	const attempts = new Attempts(task, plans, random, isHunt);
	/** Without a plan sessions are searched as they are; with one, what it gave is worked over now and then. */
	const perRound = task.sessions.length * 10_000;
	for (let k = 0, tries = perRound; ; k += 1) {
		const isPlanned = plans.length > 0 && (isHunt || k % 4 < 3);
		const isAgain = plans.length > 0 || k % 2 === 1;
		const work = isPlanned
			? attempts.attempt(isHunt ? 0 : -1)
			: direct(task, isAgain ? best.rounds : (seated(task, random) ?? best.rounds), {
					...{ random, enough: bound },
					tries: (tries *= 1.5),
					from: isAgain ? 0.6 : 1
				});
		for (const sessions of work) {
			if (sessions) best.take(sessions);
			yield best.found;
			if (best.isOptimal) return;
		}
	}
}

function searchOf(read: Outcome<MixTask>): Outcome<Search<MixOutput>> {
	if (!read.ok) return read;
	const task = read.value;
	const random = randomLcg(((task.seed * 48271) % 2147483647) / 2147483647);
	const first = seated(task, random);
	if (first === null)
		return fail({
			code: 'infeasible',
			message: 'those who go together and apart do not fit into groups of these sizes'
		});
	return ok(
		searchFor(
			task,
			first.map(({ seats, sizes }) => grouped(seats, sizes))
		)
	);
}

/**
 * A search for groups over many sessions in which the same players are together as seldom as can be: better and
 * better, until its cost is the bound. Fails with `bad-input`, or `infeasible` where rules clash.
 */
export const mixSearch = (input: MixInput): Outcome<Search<MixOutput>> => searchOf(readMix(input));

/** The same for occasions that have groups already: each keeps its people and the sizes of its groups. */
export const mixOccasions = (input: OccasionsInput): Outcome<Search<MixOutput>> =>
	searchOf(readOccasions(input));
