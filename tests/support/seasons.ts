import { randomLcg } from 'd3-random';
import { addDays, daysBetween } from '../../src/core/conditions';
import type { Drill } from '../../src/core/model/drill';
import { trained } from '../../src/core/model/skill';
import { onRung } from '../../src/core/playing';
import { DEFAULT_LIMITS } from '../../src/core/practice';
import { ladderOf } from '../../src/core/drill';
import { planSearch, type SeasonPlanInput, type SeasonPlanOutput } from '../../src/core/seasonPlan';
import { demoSurroundings, demoTeams } from './demo';

const FIRST_DAY = '2027-03-01';
const APART = new Set(['warm-up', 'cool-down', 'scrimmage']);

/** The best plan after so many reports of the search. */
export function planned(input: SeasonPlanInput, reports = 20): SeasonPlanOutput {
	const found = planSearch(input);
	if (!found.ok) throw new Error(found.failure.message);
	let state = found.value.next();
	for (let k = 1; k < reports && !state.done && !state.value.done; k += 1)
		state = found.value.next();
	if (state.done) throw new Error('a search is never over');
	return state.value.best;
}

/** Drills of a demo team that a plan chooses from: no warm-ups or games, none that one role alone can do. */
export const plannable = (drills: readonly Drill[]): Drill[] =>
	drills.filter(({ family, needsRole }) => !APART.has(family ?? '') && !needsRole);

/** A made-up season to be planned: some weeks of practices, targets in phases, games, what was done and stands. */
export function randomSeason(seed: number): SeasonPlanInput {
	const random = randomLcg(((seed * 7919 + 13) % 9973) / 9973);
	const upTo = (most: number) => Math.floor(random() * most);
	const chance = (share: number) => random() < share;
	const some = <Item>(items: readonly Item[], count: number) =>
		items
			.map((item) => ({ item, order: random() }))
			.sort((a, b) => a.order - b.order)
			.slice(0, count)
			.map(({ item }) => item);
	const { team, drills, players } = demoSurroundings(demoTeams()[seed % demoTeams().length]);
	const shelf = plannable(drills);
	const weeks = 3 + upTo(10);
	const begun = chance(0.5) ? 7 * upTo(4) : 0;
	const today = addDays(FIRST_DAY, begun);
	const weekdays = some([0, 1, 2, 3, 4], 2 + upTo(3)).sort();
	const minutes = 30 + 5 * upTo(11);
	const days = Array.from({ length: weeks }, (_, week) =>
		weekdays.map((day) => 7 * week + day)
	).flat();
	const last = addDays(today, 7 * weeks - 1);
	const middle = addDays(today, Math.floor((7 * weeks) / 2));
	const practices = days.map((day, k): SeasonPlanInput['practices'][number] => ({
		id: `p${k}`,
		date: addDays(today, day),
		minutes,
		players: chance(0.2) ? upTo(players.length) : players.length,
		...(chance(0.8) && { adults: chance(0.1) ? 0 : 2 + upTo(5) }),
		...(chance(0.08) && {
			locked: some(shelf, 1 + upTo(2)).map(({ id, rungs }) => ({
				drill: id,
				...(rungs.length > 0 && chance(0.3) && { rung: rungs[0].id }),
				minutes: 6 + upTo(9)
			}))
		})
	}));
	const areas = some(trained(team.skillAreas), 3 + upTo(5));
	const whole = minutes * days.length;
	return {
		today,
		practices,
		players: players.map(({ id }) => id),
		units: Object.fromEntries(players.flatMap(({ id, unit }) => (unit ? [[id, unit]] : []))),
		skills: areas.map(({ id }, k) => ({
			id,
			...(k > 0 && chance(0.15) && { after: [areas[k - 1].id] }),
			...(chance(0.3) && { weight: 1 + upTo(3) }),
			targets: [
				{
					from: today,
					to: middle,
					minutes: Math.round((whole * (0.2 + random())) / areas.length / 2)
				},
				{
					from: addDays(middle, 1),
					to: last,
					minutes: Math.round((whole * (0.2 + random())) / areas.length / 2)
				}
			]
		})),
		drills: shelf,
		done:
			begun === 0
				? []
				: Array.from({ length: begun }, (_, day) => ({
						date: addDays(FIRST_DAY, day),
						skill: areas[day % areas.length].id,
						player: players[day % players.length].id,
						seconds: 60 * upTo(900),
						focus: chance(0.5) ? ('main' as const) : ('second' as const)
					})),
		held: Array.from({ length: begun / 7 }, (_, week) => ({
			date: addDays(FIRST_DAY, 7 * week + 6),
			...(chance(0.5) && { contactMinutes: upTo(25) }),
			load: 200 + upTo(200),
			...(chance(0.3) && { isHard: true })
		})),
		ladders: some(shelf, upTo(8)).map((drill) => ({
			drill: drill.id,
			rung: ladderOf(drill)[upTo(ladderOf(drill).length)],
			...(begun > 0 && chance(0.7) && { last: addDays(FIRST_DAY, upTo(begun)) })
		})),
		...(chance(0.4) && { ages: { from: 7 + upTo(12), to: 30 } }),
		...(chance(0.4) && { tapers: [{ firstDay: addDays(last, -9), lastDay: last }] }),
		games: Array.from({ length: weeks }, (_, week) => ({ date: addDays(today, 7 * week + 5) })),
		daysOff: chance(0.3)
			? [{ firstDay: addDays(today, 7), lastDay: addDays(today, 8 + upTo(5)) }]
			: [],
		...(chance(0.3) && { limits: { hardEffort: 6 + upTo(3), contactDayMinutes: 8 + upTo(15) } }),
		seed
	};
}

/**
 * A season as a coach would plan one, from its first day: the team's whole shelf, nearly all there, the usual
 * days, targets in two phases that the minutes can meet, a game a week in the second, in some a taper and a week off.
 */
export function likelySeason(seed: number): SeasonPlanInput {
	const random = randomLcg(((seed * 6151 + 7) % 9973) / 9973);
	const upTo = (most: number) => Math.floor(random() * most);
	const { team, drills, players, adults } = demoSurroundings(
		demoTeams()[seed % demoTeams().length]
	);
	const isYoung = team.ages.from < 12;
	const weeks = 5 + upTo(8);
	const weekdays = isYoung
		? [2]
		: [
				[1, 3],
				[1, 4],
				[0, 2, 4]
			][upTo(3)];
	const minutes = isYoung ? 28 + upTo(15) : 45 + upTo(25);
	const weekOff = random() < 0.3 ? 2 + upTo(weeks - 3) : null;
	const practices = Array.from({ length: weeks }, (_, week) =>
		(week === weekOff ? [] : weekdays).map((day) => addDays(FIRST_DAY, 7 * week + day))
	)
		.flat()
		.map((date, k) => ({
			...{ id: `p${k}`, date, minutes },
			...{ players: Math.ceil(players.length * (0.85 + 0.15 * random())), adults: adults.length }
		}));
	const areas = team.skillAreas.filter(({ id }) =>
		plannable(drills).some(({ skills }) =>
			skills.some(({ skill, focus }) => focus === 'main' && skill.split('/')[0] === id)
		)
	);
	const parts = areas.map(() => 0.6 + random());
	const whole = parts.reduce((sum, part) => sum + part, 0);
	const load = 0.7 + 0.4 * random();
	const half = Math.floor(weeks / 2);
	const bounds = [addDays(FIRST_DAY, 7 * half - 1), addDays(FIRST_DAY, 7 * weeks - 1)];
	const hasTaper = weeks >= 8 && random() < 0.5;
	return {
		today: FIRST_DAY,
		practices,
		players: players.map(({ id }) => id),
		units: Object.fromEntries(players.flatMap(({ id, unit }) => (unit ? [[id, unit]] : []))),
		ages: team.ages,
		skills: areas.map(({ id }, k) => {
			const asked = (load * practices.length * minutes * parts[k]) / whole / 2;
			return {
				id,
				targets: [
					{ from: FIRST_DAY, to: bounds[0], minutes: Math.round(asked) },
					{ from: addDays(bounds[0], 1), to: bounds[1], minutes: Math.round(asked) }
				]
			};
		}),
		drills: plannable(drills),
		games: Array.from({ length: weeks - half }, (_, k) => ({
			date: addDays(FIRST_DAY, 7 * (half + k) + 5)
		})),
		...(hasTaper && { tapers: [{ firstDay: addDays(bounds[1], -6), lastDay: bounds[1] }] }),
		seed
	};
}

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

/** A season of so many practices twice or three times a week, 25 drills and 14 skills that all have targets by phase. */
export function wholeSeason(count: number, seed = 1): SeasonPlanInput {
	const random = randomLcg(((seed * 7919 + 29) % 9973) / 9973);
	const upTo = (most: number) => Math.floor(random() * most);
	const { drills, players } = demoSurroundings('saltmarsh');
	const shelf = plannable(drills);
	const skills = Array.from({ length: 14 }, (_, k) => `skill-${k}`);
	const made = Array.from({ length: 25 }, (_, k): Drill => {
		const [a, b, c] = [k % 14, (k * 5 + 3) % 14, (k * 3 + 7) % 14];
		const own = [...new Set([a, b, c])];
		const parts = own.map(() => 1 + upTo(3));
		const whole = parts.reduce((sum, part) => sum + part, 0);
		return {
			...shelf[k % shelf.length],
			id: `drill-${k}`,
			// A rung is harder; what it trains stays.
			rungs: shelf[k % shelf.length].rungs.map((rung) => {
				const { skills: _skills, ...set } = rung.set ?? {};
				return { ...rung, set };
			}),
			frequency: k === 0 ? 'daily' : k % 4 === 1 ? 'vary' : 'regular',
			contact: k % 9 === 4 ? 3 : 0,
			effort: 3 + (k % 6),
			skills: own.map((skill, j) => ({
				skill: skills[skill],
				share: parts[j] / whole,
				focus: j === 0 ? ('main' as const) : ('second' as const)
			}))
		};
	});
	const today = FIRST_DAY;
	const dates = Array.from({ length: count }, (_, k) =>
		addDays(today, 7 * Math.floor(k / 2) + (k % 2 === 0 ? 1 : 3))
	);
	const last = addDays(dates[dates.length - 1], 3);
	const phases = Math.max(2, Math.ceil(count / 10));
	const days = daysBetween(today, last);
	const bounds = Array.from({ length: phases + 1 }, (_, k) => Math.round((days * k) / phases));
	const minutes = 50;
	return {
		today,
		practices: dates.map((date, k) => ({
			...{ id: `p${k}`, date, minutes, players: players.length - upTo(4), adults: 5 }
		})),
		players: players.map(({ id }) => id),
		skills: skills.map((id, k) => ({
			id,
			...(k > 0 && k % 5 === 0 && { after: [skills[k - 1]] }),
			weight: 1 + (k % 3),
			targets: bounds.slice(1).map((to, phase) => ({
				from: addDays(today, bounds[phase] + (phase > 0 ? 1 : 0)),
				to: addDays(today, to),
				minutes: Math.round(((minutes * count) / phases / 14) * (0.6 + 0.9 * random()))
			}))
		})),
		drills: made,
		games: dates.flatMap((date, k) => (k % 2 === 1 && k > 4 ? { date: addDays(date, 2) } : [])),
		seed
	};
}
