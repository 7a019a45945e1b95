import { randomLcg } from 'd3-random';
import type { Change, Judge } from './judge';
import { LEAST_MINUTES, leastOf, minutesIn, mostOf } from './minutes';
import type { Briefs, Item, Task } from './task';

/** A step that was made: how to take it back, and what it changed. */
interface Step {
	undo: () => void;
	changes: readonly Change[];
}

/** A step that leaves more minutes under target than so many times the temperature is not looked at any further. */
const TOO_DEAR = 10;

/** Changes a plan step by step, and takes a step back where it makes it worse by too much. */
export class Annealing {
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
			mostOf(this.task, to.drill) - to.minutes,
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

	/** One more drill: in minutes that nothing fills, in half of another, or with a little from each. */
	private split(place: number): Step | null {
		const brief = this.briefs[place];
		const drill = this.below(this.task.ladders.length);
		if (brief.some((item) => item.drill === drill)) return null;
		const room = this.task.slots[place].minutes - minutesIn(brief);
		const own = this.free(place);
		const from = room >= LEAST_MINUTES ? undefined : this.pick(own);
		if (room < LEAST_MINUTES && !from) return null;
		const before = own.map(({ minutes }) => minutes);
		const half = from ? Math.floor(from.minutes / 2) : Math.min(room, mostOf(this.task, drill));
		let minutes = LEAST_MINUTES;
		if (!from) minutes = half;
		else if (half >= LEAST_MINUTES) {
			if (from.minutes - half < leastOf(this.task, from.drill)) return null;
			minutes = half;
			from.minutes -= half;
		} else if (!this.squeeze(own, LEAST_MINUTES - Math.max(0, room))) return null;
		brief.push({ drill, minutes, isLocked: false, at: 0 });
		return {
			undo: () => {
				brief.pop();
				for (const [k, item] of own.entries()) item.minutes = before[k];
			},
			changes: [
				{ place, drill, at: this.task.ladders[drill].at, minutes },
				...own.flatMap((item, k) =>
					item.minutes === before[k]
						? []
						: { place, drill: item.drill, at: item.at, minutes: item.minutes - before[k] }
				)
			]
		};
	}

	/** So many minutes from some drills, a minute each in turn as far as each has more than its least; changes nothing where they have too few. */
	private squeeze(items: readonly Item[], minutes: number): boolean {
		const spare = (item: Item) => Math.max(0, item.minutes - leastOf(this.task, item.drill));
		let all = 0;
		for (const item of items) all += spare(item);
		if (all < minutes) return false;
		for (let left = minutes; left > 0;)
			for (const item of items) {
				if (left === 0 || spare(item) === 0) continue;
				item.minutes -= 1;
				left -= 1;
			}
		return true;
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
			const more =
				other === item ? 0 : Math.min(left, mostOf(this.task, other.drill) - other.minutes);
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
