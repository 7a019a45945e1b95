import { addDailies } from './dailies';
import { LEAST_MINUTES, leastOf, minutesIn, mostOf } from './minutes';
import type { MinutesProgram } from './minutesProgram';
import type { Rules } from './rules';
import type { Briefs, Slot, Task } from './task';

/** Builds a plan to begin with. */
export class Start {
	briefs: Briefs;
	private readonly left: number[][];
	private readonly stretchOf: Int32Array;

	constructor(
		private readonly task: Task,
		private readonly rules: Rules,
		{ stretches, minutes }: MinutesProgram
	) {
		this.briefs = task.slots.map(({ locked }) => locked.map((item) => ({ ...item })));
		this.left = minutes.map((own) => [...own]);
		this.stretchOf = new Int32Array(task.slots.length).fill(-1);
		for (const [s, { places }] of stretches.entries())
			for (const place of places) this.stretchOf[place] = s;
		this.briefs = addDailies(task, rules, this.briefs);
		this.before();
		for (const [place, slot] of task.slots.entries()) if (!slot.isOff) this.fill(place, slot);
	}

	/** Adds a drill where it breaks nothing. */
	private tries(place: number, drill: number, minutes: number): boolean {
		const brief = this.briefs[place];
		if (brief.some((item) => item.drill === drill)) return false;
		brief.push({ drill, minutes, isLocked: false, at: 0 });
		if (this.rules.isSound(this.briefs)) {
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
					if (!this.rules.isSound(this.briefs)) own.minutes = now;
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
				Math.max(
					LEAST_MINUTES,
					Math.min(mostOf(this.task, drill), room, Math.ceil(this.left[s][drill] / 2))
				);
			const minutes = (drill: number) => {
				const own = wanted(drill);
				const rest = room - own;
				return rest > 0 && rest < LEAST_MINUTES ? Math.min(room, mostOf(this.task, drill)) : own;
			};
			if (!order().some((drill) => this.tries(place, drill, minutes(drill)))) break;
		}
		// The few minutes that are over make what is there longer.
		const brief = this.briefs[place];
		for (let room = slot.minutes - minutesIn(brief); room > 0; room -= 1) {
			const shortest = brief
				.filter((item) => !item.isLocked && item.minutes < mostOf(this.task, item.drill))
				.sort((a, b) => a.minutes - b.minutes)[0];
			if (!shortest) break;
			shortest.minutes += 1;
			if (this.rules.isSound(this.briefs)) continue;
			shortest.minutes -= 1;
			break;
		}
	}
}
