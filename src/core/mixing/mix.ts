import { randomLcg } from 'd3-random';
import { fail, ok, type Outcome, type Search } from '../base';
import type { Round } from './annealing';
import { Attempts, direct, grouped } from './attempts';
import { pigeonhole, twoAtATime } from './bounds';
import { plansOfAnySize, plansWithoutRepeats, type BasePlan } from './developed';
import { fromLines, type Sessions } from './lines';
import type { MixInput, MixOutput } from './mixShapes';
import { readMix, readOccasions, type MixTask, type OccasionsInput } from './readMix';
import { seated } from './seated';

/** Seconds that are searched where a request does not say. */
export const MIX_SECONDS = 1;

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

/** What the cost of a request cannot be under. */
function boundOf({ ids, sessions, met }: MixTask): number {
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

function plansFor(
	{ ids, sessions }: MixTask,
	bound: number
): { plans: BasePlan[]; isHunt: boolean } {
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
	const perRound = task.sessions.length * 20_000;
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
