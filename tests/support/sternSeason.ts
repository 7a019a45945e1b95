import { sum } from 'd3-array';
import { daysBetween } from '../../src/core/conditions';
import type { Drill } from '../../src/core/model/drill';
import { onRung } from '../../src/core/playing';
import type { SeasonPlanInput, SeasonPlanOutput } from '../../src/core/seasonPlan';

/** What a stern coach says against a plan of a season that keeps every hard rule. */
export interface SeasonComplaint {
	code: 'same' | 'rest' | 'vanished' | 'few' | 'taper' | 'open' | 'unsaid';
	about: string;
}

/** Share of the minutes of a practice that the one before had too, daily drills aside, that is too much. */
const SAME = 0.5;
/** A skill that is owed comes again within so many days; a stage within half as many more. */
const REST = 28;
/** Drills that a practice of children holds at least, and the minutes that each needs. */
const FEW = { under: 12, drills: 4, minutes: 6 };
/** Shares of the load of the weeks before that the last week of a taper may have. */
const TAPER = { least: 0.55, most: 0.85 };
/** Share of the minutes that may stay empty. */
const OPEN = 0.05;
/** The same in a taper, where a practice may end sooner. */
const TAPER_OPEN = 0.4;

/**
 * Reads a plan from the request and the answer alone, as a coach would who has to stand on the grass with it:
 * whether practices are the same again, what rests for too long, whether children have enough to do, whether
 * the work falls before the games that count. In words, each with the practice or the skill it is about.
 */
export function seasonComplaints(
	input: SeasonPlanInput,
	{ practices }: SeasonPlanOutput
): SeasonComplaint[] {
	const said: SeasonComplaint[] = [];
	const say = (code: SeasonComplaint['code'], about: string) => said.push({ code, about });
	const slots = input.practices.toSorted((a, b) => a.date.localeCompare(b.date));
	const briefOf = (id: string) => practices.find((each) => each.id === id)?.brief ?? [];
	const drillOf = (id: string) => input.drills.find((each) => each.id === id) as Drill;
	const isDaily = (id: string) => drillOf(id)?.frequency === 'daily';
	const isOff = (date: string) =>
		(input.daysOff ?? []).some(({ firstDay, lastDay }) => firstDay <= date && date <= lastDay);
	const isLocked = (k: number, id: string) =>
		(slots[k].locked ?? []).some(({ drill }) => drill === id);
	const open = slots.flatMap((slot, k) => (slot.minutes > 0 && !isOff(slot.date) ? k : []));
	// What is built already is not the plan's to answer for.
	const free = open.filter(
		(k) => sum(slots[k].locked ?? [], ({ minutes }) => minutes) < slots[k].minutes
	);

	for (const [at, k] of free.entries()) {
		const { id, minutes } = slots[k];
		const brief = briefOf(id);
		for (const { drill, why } of brief) if (why.length === 0) say('unsaid', `${id} ${drill}`);
		const left = minutes - sum(brief, (item) => item.minutes);
		const mayEndSooner = (input.tapers ?? []).some(
			({ firstDay, lastDay }) => firstDay <= slots[k].date && slots[k].date <= lastDay
		);
		if (left > (mayEndSooner ? TAPER_OPEN : OPEN) * minutes)
			say('open', `${id} ${left} of ${minutes}`);
		const least = Math.min(FEW.drills, Math.floor(minutes / FEW.minutes));
		if (input.ages && input.ages.from < FEW.under && brief.length < least)
			say('few', `${id} ${brief.length} in ${minutes}`);
		if (at === 0) continue;
		const before = briefOf(slots[free[at - 1]].id);
		const own = brief.filter(({ drill }) => !isDaily(drill) && !isLocked(k, drill));
		const again = own.filter(({ drill }) => before.some((each) => each.drill === drill));
		const share =
			sum(again, (item) => item.minutes) /
			Math.max(
				1,
				sum(own, (i) => i.minutes)
			);
		if (own.length > 1 && share > SAME) say('same', `${id} ${(100 * share).toFixed(0)}%`);
	}

	// Days that each skill and stage was a main one.
	const isOf = (skill: string, of: string) => skill === of || skill.startsWith(`${of}/`);
	const days = new Map<string, string[]>();
	for (const k of open)
		for (const { drill, rung } of briefOf(slots[k].id))
			for (const { skill, focus } of onRung(drillOf(drill), rung).skills)
				if (focus === 'main') days.set(skill, [...(days.get(skill) ?? []), slots[k].date]);
	const lastDay = open.length > 0 ? slots[open[open.length - 1]].date : input.today;
	for (const { id, unit, targets } of input.skills) {
		if (unit !== undefined || targets.length === 0) continue;
		const ends =
			targets
				.map(({ to }) => to)
				.sort()
				.at(-1) ?? lastDay;
		// What warm-up and game give of a skill is none of its rest.
		const beside = open.flatMap((k) =>
			sum(slots[k].gives ?? [], (each) => (isOf(each.skill, id) ? each.minutes : 0)) >= 3
				? slots[k].date
				: []
		);
		const mains = [...days].flatMap(([skill, of]) => (isOf(skill, id) ? of : []));
		const own = [...mains, ...beside].sort();
		const runs = input.drills.some(({ skills }) =>
			skills.some(({ skill, focus }) => focus === 'main' && isOf(skill, id))
		);
		const from = targets.map((each) => each.from).sort()[0];
		const marks = [
			from < input.today ? input.today : from,
			...own,
			ends < lastDay ? ends : lastDay
		];
		for (const [j, day] of marks.entries()) {
			const rest = j > 0 ? daysBetween(marks[j - 1], day) : 0;
			if (runs && rest > REST) say('rest', `${id} ${rest} days before ${day}`);
		}
	}
	for (const [skill, of] of days)
		if (skill.includes('/') && daysBetween(of.at(-1) as string, lastDay) > 1.5 * REST)
			say('vanished', `${skill} after ${of.at(-1)}`);

	// Loads of weeks that end with a taper and of those before it, in whole practices.
	const loads = new Map<string, number>();
	for (const { date, load = 0 } of input.held ?? []) loads.set(date, (loads.get(date) ?? 0) + load);
	for (const k of open) {
		const { id, date, load = 0 } = slots[k];
		const own = sum(briefOf(id), (i) => i.minutes * onRung(drillOf(i.drill), i.rung).effort);
		loads.set(date, (loads.get(date) ?? 0) + load + own);
	}
	/** The load of seven days, so many weeks before the last. */
	const weekLoad = (lastDay: string, back: number) =>
		sum(loads, ([date, load]) => {
			const ago = daysBetween(date, lastDay) - 7 * back;
			return ago >= 0 && ago < 7 ? load : 0;
		});
	for (const { lastDay: end } of input.tapers ?? []) {
		const before = [1, 2, 3].map((back) => weekLoad(end, back)).filter((load) => load > 0);
		const share = weekLoad(end, 0) / (sum(before) / before.length);
		if (weekLoad(end, 0) > 0 && (share < TAPER.least || share > TAPER.most))
			say('taper', `${end} ${(100 * share).toFixed(0)}%`);
	}
	return said;
}
