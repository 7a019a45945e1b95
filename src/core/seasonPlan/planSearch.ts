import { randomLcg } from 'd3-random';
import { fail, ok, type Outcome, type Search } from '../base';
import { addDailies, DAILY_MINUTES, LEAST_MINUTES, minutesIn } from './dailies';
import { Judge, type Briefs, type Change } from './judge';
import { minutesProgram, MOST_MINUTES, type MinutesProgram } from './minutesProgram';
import type { SeasonPlanInput, SeasonPlanOutput } from './planShapes';
import { readSeason, type Item, type Slot, type Task } from './readSeason';
import { told } from './told';

/** Seconds that are searched where a request does not say. */
export const PLAN_SECONDS = 2;

/** Moves between two reports. */
const MOVES_A_REPORT = 200;
/** Moves of the first cooling; each later one is longer. */
const FIRST_MOVES = 20_000;
const LONGER = 1.6;
/** Temperatures at first and at last, in weighted minutes; one that changes a plan that is there starts cooler. */
const HOT = 2;
const WARM = 0.5;
const COLD = 0.02;

const leastOf = ({ ladders }: Task, drill: number) =>
	ladders[drill].isDaily ? DAILY_MINUTES : LEAST_MINUTES;

/** Builds a plan to begin with. */
class Start {
	briefs: Briefs;
	private readonly left: number[][];
	private readonly stretchOf: Int32Array;

	constructor(
		private readonly task: Task,
		private readonly judge: Judge,
		{ stretches, minutes }: MinutesProgram
	) {
		this.briefs = task.slots.map(({ locked }) => locked.map((item) => ({ ...item })));
		this.left = minutes.map((own) => [...own]);
		this.stretchOf = new Int32Array(task.slots.length).fill(-1);
		for (const [s, { places }] of stretches.entries())
			for (const place of places) this.stretchOf[place] = s;
		this.briefs = addDailies(task, judge, this.briefs);
		this.before();
		for (const [place, slot] of task.slots.entries()) if (!slot.isOff) this.fill(place, slot);
	}

	/** Adds a drill where it breaks nothing. */
	private tries(place: number, drill: number, minutes: number): boolean {
		const brief = this.briefs[place];
		if (brief.some((item) => item.drill === drill)) return false;
		brief.push({ drill, minutes, isLocked: false, at: 0 });
		if (this.judge.isSound(this.briefs)) {
			const s = this.stretchOf[place];
			if (s >= 0) this.left[s][drill] -= minutes;
			return true;
		}
		brief.pop();
		return false;
	}

	/** As much of the plan before as fits. */
	private before(): void {
		for (const [place, slot] of this.task.slots.entries())
			for (const { drill, minutes } of slot.before ?? []) {
				const own = this.briefs[place].find((item) => item.drill === drill && !item.isLocked);
				const room = slot.minutes - minutesIn(this.briefs[place]);
				if (own && this.task.ladders[drill].isDaily) {
					const { minutes: now } = own;
					own.minutes += Math.max(0, Math.min(room, minutes - now));
					if (!this.judge.isSound(this.briefs)) own.minutes = now;
				} else if (room >= leastOf(this.task, drill))
					this.tries(place, drill, Math.min(room, minutes));
			}
	}

	/** Fills what is left of a practice with what the minutes alone would give most of still. */
	private fill(place: number, slot: Slot): void {
		const s = this.stretchOf[place];
		const order = () =>
			this.task.ladders.map((_, drill) => drill).sort((a, b) => this.left[s][b] - this.left[s][a]);
		for (;;) {
			const room = slot.minutes - minutesIn(this.briefs[place]);
			if (room < LEAST_MINUTES) break;
			const wanted = (drill: number) =>
				Math.max(LEAST_MINUTES, Math.min(MOST_MINUTES, room, Math.ceil(this.left[s][drill] / 2)));
			const minutes = (drill: number) => {
				const own = wanted(drill);
				const rest = room - own;
				return rest > 0 && rest < LEAST_MINUTES ? Math.min(room, MOST_MINUTES) : own;
			};
			if (!order().some((drill) => this.tries(place, drill, minutes(drill)))) break;
		}
		// The few minutes that are over make what is there longer.
		const brief = this.briefs[place];
		for (let room = slot.minutes - minutesIn(brief); room > 0; room -= 1) {
			const shortest = brief
				.filter((item) => !item.isLocked && item.minutes < MOST_MINUTES)
				.sort((a, b) => a.minutes - b.minutes)[0];
			if (!shortest) break;
			shortest.minutes += 1;
			if (this.judge.isSound(this.briefs)) continue;
			shortest.minutes -= 1;
			break;
		}
	}
}

/** A step that was made: how to take it back, and what it changed. */
interface Step {
	undo: () => void;
	changes: readonly Change[];
}

/** A step that leaves more minutes under target than so many times the temperature is not looked at any further. */
const TOO_DEAR = 10;

/** Changes a plan step by step, and takes a step back where it makes it worse by too much. */
class Annealing {
	private cost: number;
	best: Briefs;
	bestCost: number;
	private readonly random: () => number;
	/** Minutes that each ask has. */
	private readonly got: Float64Array;
	/** Places of practices with something that may change. */
	private readonly open: number[];

	constructor(
		private readonly task: Task,
		private readonly judge: Judge,
		private briefs: Briefs
	) {
		this.random = randomLcg(((task.seed % 1_000_000) + 0.5) / 1_000_000);
		this.cost = judge.cost(briefs);
		this.got = Float64Array.from(judge.got);
		this.best = this.copy();
		this.bestCost = this.cost;
		this.open = task.slots.flatMap(({ isOff, minutes }, place) =>
			isOff || minutes === 0 ? [] : place
		);
	}

	/** Whether there is anything to be done. */
	get canMove(): boolean {
		return this.open.length > 0 && this.task.ladders.length > 0;
	}

	private copy(): Briefs {
		return this.briefs.map((brief) => brief.map((item) => ({ ...item })));
	}

	/** Goes on from the best. */
	restart(): void {
		this.briefs = this.best.map((brief) => brief.map((item) => ({ ...item })));
		this.cost = this.judge.cost(this.briefs);
		this.got.set(this.judge.got);
	}

	private below(count: number): number {
		return Math.floor(this.random() * count);
	}

	step(temperature: number): void {
		const kind = this.random();
		const place = this.open[this.below(this.open.length)];
		const step =
			kind < 0.35
				? this.shift(place)
				: kind < 0.65
					? this.replace(place)
					: kind < 0.8
						? this.exchange(place)
						: kind < 0.9
							? this.split(place)
							: this.drop(place);
		if (!step) return;
		if (this.judge.moreShort(this.got, step.changes) > TOO_DEAR * temperature) {
			step.undo();
			return;
		}
		const cost = this.judge.cost(this.briefs);
		const isTaken = cost <= this.cost || this.random() < Math.exp((this.cost - cost) / temperature);
		if (!isTaken) {
			step.undo();
			return;
		}
		this.cost = cost;
		this.got.set(this.judge.got);
		if (cost >= this.bestCost - 1e-9) return;
		this.bestCost = cost;
		this.best = this.copy();
	}

	private free(place: number): Item[] {
		return this.briefs[place].filter((item) => !item.isLocked);
	}

	private pick<Value>(values: readonly Value[]): Value | undefined {
		return values[this.below(values.length)];
	}

	/** Minutes from one drill of a practice to another, or into what nothing fills. */
	private shift(place: number): Step | null {
		const own = this.free(place);
		const to = this.pick(own);
		if (!to) return null;
		const room = this.task.slots[place].minutes - minutesIn(this.briefs[place]);
		const from = room > 0 ? null : this.pick(own.filter((item) => item !== to));
		if (from === undefined) return null;
		const most = Math.min(
			MOST_MINUTES - to.minutes,
			from ? from.minutes - leastOf(this.task, from.drill) : room
		);
		if (most < 1) return null;
		const minutes = 1 + this.below(Math.min(most, 6));
		to.minutes += minutes;
		if (from) from.minutes -= minutes;
		return {
			undo: () => {
				to.minutes -= minutes;
				if (from) from.minutes += minutes;
			},
			changes: [
				{ place, drill: to.drill, at: to.at, minutes },
				...(from ? [{ place, drill: from.drill, at: from.at, minutes: -minutes }] : [])
			]
		};
	}

	/** Another drill in place of one. */
	private replace(place: number): Step | null {
		const item = this.pick(
			this.free(place).filter(({ drill }) => !this.task.ladders[drill].isDaily)
		);
		const drill = this.below(this.task.ladders.length);
		if (!item || this.briefs[place].some((other) => other.drill === drill)) return null;
		const { drill: before, at, minutes } = item;
		item.drill = drill;
		return {
			undo: () => {
				item.drill = before;
				item.at = at;
			},
			changes: [
				{ place, drill: before, at, minutes: -minutes },
				{ place, drill, at: this.task.ladders[drill].at, minutes }
			]
		};
	}

	/** Two drills of two practices change places; each keeps the minutes of its place. */
	private exchange(place: number): Step | null {
		const other = this.pick(this.open);
		if (other === undefined || other === place) return null;
		const [a, b] = [place, other].map((at) =>
			this.pick(this.free(at).filter(({ drill }) => !this.task.ladders[drill].isDaily))
		);
		if (!a || !b || a.drill === b.drill) return null;
		const turn = () => {
			[a.drill, b.drill] = [b.drill, a.drill];
			[a.at, b.at] = [b.at, a.at];
		};
		const changes = [
			{ place, drill: a.drill, at: a.at, minutes: -a.minutes },
			{ place, drill: b.drill, at: b.at, minutes: a.minutes },
			{ place: other, drill: b.drill, at: b.at, minutes: -b.minutes },
			{ place: other, drill: a.drill, at: a.at, minutes: b.minutes }
		];
		turn();
		return { undo: turn, changes };
	}

	/** One more drill, in minutes that nothing fills or in half of another. */
	private split(place: number): Step | null {
		const brief = this.briefs[place];
		const drill = this.below(this.task.ladders.length);
		if (brief.some((item) => item.drill === drill)) return null;
		const room = this.task.slots[place].minutes - minutesIn(brief);
		const from = room >= LEAST_MINUTES ? null : this.pick(this.free(place));
		if (from === undefined) return null;
		const minutes = from ? Math.floor(from.minutes / 2) : Math.min(room, MOST_MINUTES);
		if (minutes < LEAST_MINUTES) return null;
		if (from && from.minutes - minutes < leastOf(this.task, from.drill)) return null;
		if (from) from.minutes -= minutes;
		brief.push({ drill, minutes, isLocked: false, at: 0 });
		return {
			undo: () => {
				brief.pop();
				if (from) from.minutes += minutes;
			},
			changes: [
				{ place, drill, at: this.task.ladders[drill].at, minutes },
				...(from ? [{ place, drill: from.drill, at: from.at, minutes: -minutes }] : [])
			]
		};
	}

	/** A drill goes, and others of the practice get its minutes. */
	private drop(place: number): Step | null {
		const brief = this.briefs[place];
		const own = this.free(place);
		const item = this.pick(own.filter(({ drill }) => !this.task.ladders[drill].isDaily));
		if (!item || own.length < 2) return null;
		const at = brief.indexOf(item);
		const before = own.map(({ minutes }) => minutes);
		const changes = [{ place, drill: item.drill, at: item.at, minutes: -item.minutes }];
		brief.splice(at, 1);
		let left = item.minutes;
		for (const other of own) {
			const more = other === item ? 0 : Math.min(left, MOST_MINUTES - other.minutes);
			if (more <= 0) continue;
			other.minutes += more;
			left -= more;
			changes.push({ place, drill: other.drill, at: other.at, minutes: more });
		}
		return {
			undo: () => {
				for (const [k, other] of own.entries()) other.minutes = before[k];
				brief.splice(at, 0, item);
			},
			changes
		};
	}
}

/**
 * A search for a plan of all practices to come: reports its best after each piece of work, and goes on for ever
 * where minutes are missing that others might give. The same seed and number of reports gives the same plan.
 * Fails with `bad-input`.
 */
export function planSearch(input: SeasonPlanInput): Outcome<Search<SeasonPlanOutput>> {
	const read = readSeason(input);
	return read.ok ? ok(search(read.value)) : fail(read.failure);
}

function* search(task: Task): Generator<{ best: SeasonPlanOutput; done: boolean }, void> {
	const judge = new Judge(task);
	const program = minutesProgram(task, judge);
	const annealing = new Annealing(task, judge, new Start(task, judge, program).briefs);
	let toldOf: Briefs | undefined;
	let best: SeasonPlanOutput | undefined;
	const report = (done: boolean) => {
		if (!best || toldOf !== annealing.best) {
			// What a daily drill comes after may have come to stand before it.
			const briefs = addDailies(task, judge, annealing.best);
			best = told(task, judge, briefs, program.bound);
		}
		toldOf = annealing.best;
		return { best, done };
	};
	// What nothing is wrong with cannot get better.
	yield report(!annealing.canMove || annealing.bestCost <= 0);
	while (!annealing.canMove) yield report(true);
	const hot = task.slots.some(({ before }) => before !== null) ? WARM : HOT;
	for (let moves = FIRST_MOVES; ; moves = Math.round(moves * LONGER)) {
		annealing.restart();
		const cooling = Math.pow(COLD / hot, 1 / moves);
		for (let move = 0, temperature = hot; move < moves; move += 1, temperature *= cooling) {
			annealing.step(temperature);
			if (move % MOVES_A_REPORT === MOVES_A_REPORT - 1) yield report(annealing.bestCost <= 0);
		}
	}
}
