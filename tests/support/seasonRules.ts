import { addDays, daysBetween } from '../../src/core/conditions';
import { ladderOf } from '../../src/core/drill';
import type { Drill } from '../../src/core/model/drill';
import { onRung } from '../../src/core/playing';
import { DEFAULT_LIMITS } from '../../src/core/practice';
import type { SeasonPlanInput, SeasonPlanOutput } from '../../src/core/seasonPlan';

type Brief = SeasonPlanOutput['practices'][number]['brief'];

/**
 * Rules of a plan that are broken, as `rule practice drill`: worked out from the request and the answer alone,
 * item by item, in words of the design. What is locked is not blamed; free items beside it are.
 */
export function rulesBroken(input: SeasonPlanInput, { practices }: SeasonPlanOutput): string[] {
	const limits = { ...DEFAULT_LIMITS, ...input.limits };
	const drillOf = (id: string) => input.drills.find((drill) => drill.id === id) as Drill;
	const slots = input.practices.toSorted((a, b) => a.date.localeCompare(b.date));
	const held = input.held ?? [];
	const briefOf = (id: string): Brief => practices.find((each) => each.id === id)?.brief ?? [];
	const isLocked = (k: number, drill: string) =>
		(slots[k].locked ?? []).some((item) => item.drill === drill);
	const isFree = (k: number) => briefOf(slots[k].id).some(({ drill }) => !isLocked(k, drill));
	const run = ({ drill, rung }: Brief[number]) => onRung(drillOf(drill), rung);
	const isOff = (date: string) =>
		(input.daysOff ?? []).some(({ firstDay, lastDay }) => firstDay <= date && date <= lastDay);
	const hasGame = (date: string) => (input.games ?? []).some((game) => game.date === date);
	const isHardDay = (k: number) => {
		const brief = briefOf(slots[k].id);
		const minutes = brief.reduce((sum, item) => sum + item.minutes, 0);
		const effort = brief.reduce((sum, item) => sum + item.minutes * run(item).effort, 0);
		return minutes > 0 && effort / minutes >= limits.hardEffort;
	};
	const contactOf = (k: number, onlyFree = false) =>
		briefOf(slots[k].id)
			.filter(({ drill }) => !onlyFree || !isLocked(k, drill))
			.reduce((sum, item) => {
				const level = run(item).contact;
				const isLight = level > 0 && level === limits.contactLevel - 1;
				const weight = level >= limits.contactLevel ? 1 : isLight ? limits.lightContactShare : 0;
				return sum + weight * item.minutes;
			}, 0);
	const isForAges = (ages: Drill['ages']) =>
		!ages || !input.ages || (ages.from <= input.ages.from && ages.to >= input.ages.to);
	const broken: string[] = [];
	const isOf = (skill: string, of: string) => skill === of || skill.startsWith(`${of}/`);
	const mainsOf = (item: Brief[number]) =>
		run(item).skills.flatMap(({ skill, focus }) => (focus === 'main' ? skill : []));

	for (const [k, slot] of slots.entries()) {
		const brief = briefOf(slot.id);
		const free = brief.filter(({ drill }) => !isLocked(k, drill));
		const say = (rule: string, drill = '') => broken.push(`${rule} ${slot.id} ${drill}`.trim());
		for (const { drill, rung, minutes } of slot.locked ?? [])
			if (
				!brief.some(
					(item) => item.drill === drill && item.rung === rung && item.minutes === minutes
				)
			)
				say('locked part is gone', drill);
		if (free.length > 0 && brief.reduce((sum, { minutes }) => sum + minutes, 0) > slot.minutes)
			say('minutes');
		if (isOff(slot.date) && free.length > 0) say('day off');
		if (new Set(brief.map(({ drill }) => drill)).size < brief.length) say('twice');
		const { date } = slot;
		const before = slots.flatMap((_, j) => (j < k ? j : []));
		for (const item of free) {
			const { drill: id } = item;
			const drill = drillOf(id);
			const own = run(item);
			if (own.group.min > slot.players || own.coaches.min > (slot.adults ?? Infinity))
				say('runs', id);
			const ladder = ladderOf(drill);
			const stands = input.ladders?.find((each) => each.drill === id);
			const uses = before.flatMap((j) => briefOf(slots[j].id).filter((each) => each.drill === id));
			const [now, last] = [
				ladder.indexOf(item.rung ?? null),
				uses.length > 0
					? ladder.indexOf(uses.at(-1)?.rung ?? null)
					: stands
						? ladder.indexOf(stands.rung)
						: 0
			];
			if (now < last || now > last + 1) say('rung', id);
			const reached = [...ladder.slice(0, last + 1), ...uses.map(({ rung }) => rung ?? null)];
			const needs = drill.rungs.find((rung) => rung.id === item.rung)?.needs ?? [];
			if (needs.some((need) => !reached.includes(need))) say('needs', id);
			if (drill.frequency === 'vary') {
				const latest = before
					.slice(-3)
					.some((j) => briefOf(slots[j].id).some((each) => each.drill === id));
				const older =
					stands?.last !== undefined &&
					before.length < 3 &&
					new Set(held.flatMap((each) => (each.date > (stands.last as string) ? each.date : [])))
						.size +
						before.length <
						3;
				if (latest || older) say('vary', id);
			}
			for (const skill of input.skills.filter(({ id: of }) =>
				mainsOf(item).some((m) => isOf(m, of))
			))
				for (const first of skill.after ?? []) {
					const wasDone = (input.done ?? []).some(
						(row) => row.focus === 'main' && isOf(row.skill, first)
					);
					const wasPlanned = before.some((j) =>
						briefOf(slots[j].id).some((each) => mainsOf(each).some((main) => isOf(main, first)))
					);
					if (!wasDone && !wasPlanned) say('after', id);
				}
			const days = [
				...held.map((each) => each.date),
				...slots.slice(0, k + 1).map((each) => each.date)
			].sort();
			const restart = days.findLastIndex(
				(day, j) => j > 0 && daysBetween(days[j - 1], day) > limits.rampAwayDays
			);
			const count = days.length - 1 - Math.max(0, restart);
			if (own.contact >= limits.contactLevel && count < limits.contactAfter) say('ramp', id);
			if (own.contact >= 4 && count < limits.fullContactAfter) say('full ramp', id);
			const isNew = (uses.length === 0 && !stands) || now > last;
			if (hasGame(addDays(date, 1)) && isNew && own.effort >= limits.hardEffort)
				say('game eve', id);
			const most = (under: number) => input.ages !== undefined && input.ages.from < under;
			if (!isForAges(own.ages)) say('ages', id);
			if (most(12) && (own.effort >= 9 || own.contact >= 3)) say('too hard', id);
			const isNear = hasGame(addDays(date, 1)) || hasGame(addDays(date, 2));
			const ends = (input.tapers ?? []).some(
				({ firstDay, lastDay }) =>
					firstDay <= date && date <= lastDay && daysBetween(date, lastDay) < 7
			);
			if ((isNear || ends) && (now > last || own.effort >= 9 || own.contact >= limits.contactLevel))
				say('eased', id);
			const age = input.ages?.from ?? 18;
			const cap = [...limits.drillMinutes]
				.sort((a, b) => a.under - b.under)
				.find(({ under }) => age < under);
			const isGame =
				drill.family === 'small-games' && drill.spots.every(({ role }) => role !== 'opponent');
			if (item.minutes > (isGame ? 20 : (cap?.minutes ?? 20))) say('long', id);
			const open = slots.filter((each) => !isOff(each.date) && each.minutes > 0).length;
			if (drill.frequency !== 'daily' && uses.length >= Math.max(1, Math.ceil(open / 3)))
				say('often', id);
		}
		const sameDay = slots.flatMap((other, j) => (j <= k && other.date === date ? j : []));
		const sumOf = (of: number[], onlyFree = false) =>
			of.reduce((sum, j) => sum + contactOf(j, onlyFree), 0);
		if (sumOf(sameDay) > limits.contactDayMinutes && sumOf(sameDay, true) > 0) say('contact a day');
		const week = slots.flatMap((other, j) =>
			j <= k && daysBetween(other.date, date) < 7 ? j : []
		);
		const old = held
			.filter((each) => daysBetween(each.date, date) < 7)
			.reduce((sum, { contactMinutes = 0 }) => sum + contactMinutes, 0);
		if (contactOf(k) > 0 && sumOf(week) + old > limits.contactWeekMinutes && sumOf(week, true) > 0)
			say('contact a week');
		if (isHardDay(k)) {
			const dayBefore = addDays(date, -1);
			const near = slots.flatMap((other, j) => (other.date === dayBefore && isHardDay(j) ? j : []));
			const isByGame = hasGame(dayBefore) || hasGame(addDays(date, 1));
			const wasHard = held.some((each) => each.date === dayBefore && each.isHard);
			if ((near.length > 0 || isByGame || wasHard) && (isFree(k) || near.some(isFree)))
				say('hard days in a row');
		}
		for (const { id, frequency, ages } of input.drills) {
			const isThere = brief.some((item) => item.drill === id);
			if (!isForAges(ages)) continue;
			if (frequency === 'daily' && !isThere && !isOff(date) && slot.minutes > 0) say('daily', id);
		}
	}
	return broken;
}

/** The answer with a daily drill more in a practice, on the rung that it was on last, beside nothing but other daily ones and what is locked. */
export function withDaily(
	input: SeasonPlanInput,
	{ practices, ...rest }: SeasonPlanOutput,
	{ practice, drill }: { practice: string; drill: string }
): SeasonPlanOutput {
	const order = input.practices.toSorted((a, b) => a.date.localeCompare(b.date));
	const place = order.findIndex(({ id }) => id === practice);
	const stood = input.ladders?.find((each) => each.drill === drill);
	const own = input.drills.find(({ id }) => id === drill) as Drill;
	const stands = (stood ? stood.rung : ladderOf(own)[0]) ?? undefined;
	const earlier = order
		.slice(0, place)
		.flatMap(({ id }) => practices.find((each) => each.id === id)?.brief ?? [])
		.filter((item) => item.drill === drill);
	const rung = earlier.length > 0 ? earlier[earlier.length - 1].rung : stands;
	const { locked = [] } = order[place];
	const isDaily = (id: string) =>
		input.drills.find((each) => each.id === id)?.frequency === 'daily';
	const others = (practices.find(({ id }) => id === practice)?.brief ?? []).filter(
		(item) => isDaily(item.drill) && !locked.some((each) => each.drill === item.drill)
	);
	const brief = [...locked, ...others, { drill, ...(rung !== undefined && { rung }), minutes: 5 }];
	return {
		...rest,
		practices: practices.map((each) =>
			each.id === practice ? { ...each, brief: brief.map((item) => ({ ...item, why: [] })) } : each
		)
	};
}
