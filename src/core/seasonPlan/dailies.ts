import { DAILY_MINUTES, LEAST_MINUTES, minutesIn } from './minutes';
import type { Rules } from './rules';
import type { Briefs, Item, Task } from './task';

/** Briefs of a practice with a daily drill more: in minutes that are open, of the longest other, in place of one, of all. */
function* withDaily(task: Task, brief: Item[], place: number, drill: number): Generator<Item[]> {
	const daily: Item = { drill, minutes: DAILY_MINUTES, isLocked: false, at: 0 };
	if (task.slots[place].minutes - minutesIn(brief) >= DAILY_MINUTES) yield [...brief, daily];
	const free = brief
		.filter((item) => !item.isLocked && !task.ladders[item.drill].isDaily)
		.sort((a, b) => b.minutes - a.minutes);
	for (const item of free) {
		const minutes = item.minutes - DAILY_MINUTES;
		if (minutes >= LEAST_MINUTES)
			yield [...brief.map((other) => (other === item ? { ...item, minutes } : other)), daily];
	}
	for (const item of free)
		yield [...brief.filter((other) => other !== item), { ...daily, minutes: item.minutes }];
	yield [...brief.filter((item) => !free.includes(item)), daily];
}

/** All uses of a drill pinned to the rungs that they are on, and one more on that of the last before it. */
function pinned(task: Task, briefs: Briefs, place: number, drill: number): Briefs {
	const isOf = (item: Item) => item.drill === drill && !item.isLocked;
	const last = briefs
		.slice(0, place)
		.flat()
		.findLast((item) => item.drill === drill);
	const at = last?.at ?? task.ladders[drill].at;
	const all = briefs.map((brief) =>
		brief.map((item) => (isOf(item) ? { ...item, isPinned: true } : item))
	);
	const kept = all[place].filter((item) => item.isLocked || task.ladders[item.drill].isDaily);
	all[place] = [...kept, { drill, minutes: DAILY_MINUTES, isLocked: false, at, isPinned: true }];
	return all;
}

/** Briefs with each daily drill in every practice that it can be in without breaking a rule. */
export function addDailies(task: Task, rules: Rules, briefs: Briefs): Briefs {
	let now = [...briefs];
	for (const [place, slot] of task.slots.entries())
		for (const [drill] of task.ladders.entries()) {
			if (!rules.isWanted(slot, drill)) continue;
			if (now[place].some((item) => item.drill === drill)) continue;
			const tries = [...withDaily(task, now[place], place, drill)].map((brief) =>
				now.with(place, brief)
			);
			// Rungs are as the last look set them: at those of the plan without it.
			const sound =
				tries.find((each) => rules.isSound(each)) ??
				(rules.isSound(now) ? [pinned(task, now, place, drill)] : []).find((each) =>
					rules.isSound(each)
				);
			now = sound ?? now;
		}
	rules.isSound(now);
	return now;
}
