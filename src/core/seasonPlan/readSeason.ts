import { max, sum } from 'd3-array';
import { badInput, fail, ok, type Failure, type Outcome } from '../base';
import { daysBetween } from '../conditions';
import type { Drill } from '../model/drill';
import { onRung } from '../playing';
import { DEFAULT_LIMITS } from '../practice';
import { ladderOf } from '../season';
import type { PlanItem, PlannedPractice, SeasonPlanInput } from './planShapes';

/** A drill on one of its rungs. */
export interface Variant {
	drill: number;
	/** Place in the ladder of the drill. */
	at: number;
	rung: string | null;
	effort: number;
	/** Whether its contact counts as hard, and whether it is full contact. */
	isContact: boolean;
	isFull: boolean;
	/** Share of its time by line. */
	gives: Float64Array;
	/** Lines that it is a main drill of. */
	mains: readonly number[];
	/** Prerequisites that it trains as a main skill. */
	opens: readonly number[];
	/** Prerequisites that must have been trained before. */
	after: readonly number[];
	/** Places of the ladder that must have been run before. */
	needs: readonly number[];
	players: number;
	adults: number;
}

/** A drill with its ladder, from the easiest rung. */
export interface Ladder {
	id: string;
	variants: readonly Variant[];
	isDaily: boolean;
	/** Wanted now and then: not again within a few practices. */
	isVaried: boolean;
	/** Place where it stands, or starts. */
	at: number;
	wasRun: boolean;
	/** Practices since it was run last; Infinity where it never was. */
	rested: number;
}

/** Minutes of a skill that are asked for, by a stretch of practices. */
export interface Ask {
	line: number;
	/** Practices by their place, the first and the last. */
	from: number;
	to: number;
	/** Days of the stretch, counted from today. */
	days: readonly [number, number];
	/** Minutes that are left to give. */
	minutes: number;
	weight: number;
}

/** A skill, for everyone or a unit. */
export interface Line {
	skill: string;
	unit?: string;
	/** Days, counted from today, at which it was a main one last, and from which it is asked for; null for never. */
	last: number | null;
	begun: number | null;
	ends: number;
	/** Days on which it was a main one before. */
	times: number;
}

/** Something in a brief: a drill by its place, and the place of its rung where that is fixed. */
export interface Item {
	drill: number;
	minutes: number;
	isLocked: boolean;
	/** Place of the rung in the ladder. */
	at: number;
	/** It is run on this rung, and steps up no sooner. */
	isPinned?: boolean;
}

/** A practice by its day, counted from today. */
export interface Slot {
	id: string;
	day: number;
	minutes: number;
	players: number;
	adults: number;
	week: number;
	isEve: boolean;
	/** A game is on the day before or after it. */
	isByGame: boolean;
	isOff: boolean;
	locked: readonly Item[];
	/** Minutes by line that it gives anyway. */
	gives: Float64Array;
	/** What the plan before had for it; null where that did not have it. */
	before: readonly { drill: number; minutes: number }[] | null;
}

/** A request that was looked through: everything by place. */
export interface Task {
	slots: readonly Slot[];
	lines: readonly Line[];
	asks: readonly Ask[];
	/** Minutes of all asks, weighted, before anything was given. */
	asked: number;
	ladders: readonly Ladder[];
	/** How many skills there are that others come after. */
	openable: number;
	/** Those of them that were trained before today. */
	opened: readonly number[];
	/** Practices before today, with their days counted from it. */
	held: readonly { day: number; contactMinutes: number; load: number; isHard: boolean }[];
	limits: typeof DEFAULT_LIMITS;
	seed: number;
}

/** Practices between two runs of a drill that is wanted now and then. */
export const VARY_PRACTICES = 3;

const isOf = (skill: string, of: string) => skill === of || skill.startsWith(`${of}/`);

/** The place of what is in a list twice; −1 where all differ. */
const twice = (keys: readonly string[]) => keys.findIndex((key, at) => keys.indexOf(key) < at);

const differs = (list: string, keys: readonly string[], field = 'id'): Failure | null => {
	const at = twice(keys);
	return at < 0 ? null : badInput([list, at, field], `expected each once, got "${keys[at]}" again`);
};

/** Skills that come after themselves; null where none does. */
function circle(skills: SeasonPlanInput['skills']): Failure | null {
	const after = new Map(skills.map(({ id, after: list = [] }) => [id, list]));
	for (const [index, { id }] of skills.entries()) {
		const seen = new Set<string>();
		const open = [...(after.get(id) ?? [])];
		for (let next = open.pop(); next !== undefined; next = open.pop()) {
			if (next === id)
				return badInput(['skills', index, 'after'], `expected no skill that comes after itself`);
			if (seen.has(next)) continue;
			seen.add(next);
			open.push(...(after.get(next) ?? []));
		}
	}
	return null;
}

function faultIn(input: SeasonPlanInput): Failure | null {
	const { practices, skills, drills, players, today, plan = [], done = [], held = [] } = input;
	const same =
		differs(
			'practices',
			practices.map(({ id }) => id)
		) ??
		differs(
			'drills',
			drills.map(({ id }) => id)
		) ??
		differs(
			'skills',
			skills.map(({ id, unit }) => `${id} ${unit ?? ''}`)
		) ??
		differs(
			'plan',
			plan.map(({ id }) => id)
		);
	if (same) return same;
	const again = twice(players);
	if (again >= 0) return badInput(['players', again], 'expected each once');
	const past = practices.findIndex(({ date }) => date < today);
	if (past >= 0)
		return badInput(
			['practices', past, 'date'],
			`expected ${today} or later, got ${practices[past].date}`
		);
	for (const [list, rows] of [
		['done', done],
		['held', held]
	] as const) {
		const late = rows.findIndex(({ date }) => date >= today);
		if (late >= 0) return badInput([list, late, 'date'], `expected a day before ${today}`);
	}
	for (const [index, { targets }] of skills.entries()) {
		const at = targets.findIndex(({ from, to }) => to < from);
		if (at >= 0)
			return badInput(
				['skills', index, 'targets', at, 'to'],
				`expected ${targets[at].from} or later, got ${targets[at].to}`
			);
	}
	return circle(skills) ?? strangerIn(input);
}

/** A drill or rung that is locked and not there. */
function strangerIn({ practices, drills }: SeasonPlanInput): Failure | null {
	const known = new Map(drills.map((drill) => [drill.id, drill]));
	for (const [index, { locked = [] }] of practices.entries())
		for (const [at, { drill, rung }] of locked.entries()) {
			const path = ['practices', index, 'locked', at];
			const found = known.get(drill);
			if (!found) return badInput([...path, 'drill'], 'expected the id of a drill that is given');
			if (rung !== undefined && !found.rungs.some(({ id }) => id === rung))
				return badInput([...path, 'rung'], 'expected the id of a rung of the drill');
		}
	return null;
}

/** A request by place. Fails with `bad-input`. */
export function readSeason(input: SeasonPlanInput): Outcome<Task> {
	const fault = faultIn(input);
	return fault ? fail(fault) : ok(new Reader(input).task());
}

class Reader {
	private readonly limits: typeof DEFAULT_LIMITS;
	/** Skills that others come after. */
	private readonly firsts: string[];
	private readonly practices: readonly PlannedPractice[];

	constructor(private readonly input: SeasonPlanInput) {
		this.limits = { ...DEFAULT_LIMITS, ...input.limits };
		this.firsts = [...new Set(input.skills.flatMap(({ after = [] }) => after))];
		this.practices = input.practices.toSorted((a, b) => a.date.localeCompare(b.date));
	}

	task(): Task {
		const { skills, seed = 1, held = [] } = this.input;
		const slots = this.practices.map((practice) => this.slot(practice));
		const asks = skills.flatMap((_, line) => this.asksOf(line, slots));
		const main = this.done.filter(({ focus }) => focus === 'main');
		return {
			slots,
			lines: skills.map((_, line) => this.line(line)),
			asks,
			asked: sum(asks, ({ minutes, weight }) => minutes * weight),
			ladders: this.input.drills.map((drill) => this.ladder(drill)),
			openable: this.firsts.length,
			opened: this.firsts.flatMap((first, k) =>
				main.some(({ skill }) => isOf(skill, first)) ? k : []
			),
			held: held
				.map(({ date, contactMinutes = 0, load = 0, isHard = false }) => ({
					day: this.dayOf(date),
					...{ contactMinutes, load, isHard }
				}))
				.sort((a, b) => a.day - b.day),
			limits: this.limits,
			seed
		};
	}

	private dayOf(date: string): number {
		return daysBetween(this.input.today, date);
	}

	private get done() {
		return this.input.done ?? [];
	}

	private slot(practice: PlannedPractice): Slot {
		const { id, date, minutes, players, adults = Infinity, locked = [], gives = [] } = practice;
		const { games = [], daysOff = [], plan = [], skills, drills } = this.input;
		const day = this.dayOf(date);
		const gamesOn = new Set(games.map((game) => this.dayOf(game.date)));
		const placeOf = new Map(drills.map((drill, place) => [drill.id, place]));
		const before = plan.find((each) => each.id === id)?.brief;
		return {
			...{ id, day, minutes, players, adults },
			// Weeks begin on the weekday of today: seven days are seven days.
			week: Math.floor(day / 7),
			isEve: gamesOn.has(day + 1),
			isByGame: gamesOn.has(day + 1) || gamesOn.has(day - 1),
			isOff: daysOff.some(({ firstDay, lastDay }) => firstDay <= date && date <= lastDay),
			locked: locked.map((item) => this.lockedItem(item, placeOf.get(item.drill) as number)),
			gives: Float64Array.from(skills, ({ id: of }) =>
				sum(gives, (each) => (isOf(each.skill, of) ? each.minutes : 0))
			),
			before:
				before?.flatMap((item) => {
					const drill = placeOf.get(item.drill);
					return drill === undefined ? [] : [{ drill, minutes: item.minutes }];
				}) ?? null
		};
	}

	private lockedItem({ minutes, rung }: PlanItem, drill: number): Item {
		const at = ladderOf(this.input.drills[drill]).indexOf(rung ?? null);
		return { drill, minutes, isLocked: true, at };
	}

	/** Those whom a skill is for. */
	private forWhom({ unit }: { unit?: string }): ReadonlySet<string> {
		const { players, units = {} } = this.input;
		return new Set(unit === undefined ? players : players.filter((id) => units[id] === unit));
	}

	private asksOf(line: number, slots: readonly Slot[]): Ask[] {
		const { skills, today } = this.input;
		const skill = skills[line];
		const whom = this.forWhom(skill);
		if (whom.size === 0) return [];
		const own = this.done.filter((row) => isOf(row.skill, skill.id) && whom.has(row.player));
		return skill.targets.flatMap(({ from, to, minutes }): Ask[] => {
			if (to < today) return [];
			const got =
				sum(own, ({ date, seconds }) => (from <= date && date <= to ? seconds : 0)) /
				60 /
				whom.size;
			const days = [this.dayOf(from), this.dayOf(to)] as const;
			const within = slots.flatMap(({ day }, place) =>
				days[0] <= day && day <= days[1] ? place : []
			);
			return [
				{
					...{ line, days, weight: skill.weight ?? 1, minutes: Math.max(0, minutes - got) },
					from: within.at(0) ?? 0,
					to: within.at(-1) ?? -1
				}
			];
		});
	}

	private line(line: number): Line {
		const { id, unit, targets } = this.input.skills[line];
		const whom = this.forWhom({ ...(unit !== undefined && { unit }) });
		const days = new Set(
			this.done
				.filter(
					({ skill, player, focus }) => focus === 'main' && isOf(skill, id) && whom.has(player)
				)
				.map(({ date }) => date)
		);
		const open = targets.filter(({ to }) => to >= this.input.today);
		const begun = open.map(({ from }) => from).sort()[0];
		return {
			skill: id,
			...(unit !== undefined && { unit }),
			last: days.size === 0 ? null : this.dayOf([...days].sort().at(-1) as string),
			begun: begun === undefined ? null : this.dayOf(begun),
			ends: max(open, ({ to }) => this.dayOf(to)) ?? -1,
			times: days.size
		};
	}

	private ladder(drill: Drill): Ladder {
		const stands = this.input.ladders?.find((each) => each.drill === drill.id);
		const { held = [] } = this.input;
		const rungs = ladderOf(drill);
		const last = stands?.last;
		return {
			id: drill.id,
			variants: rungs.map((rung) => this.variant(drill, rung, rungs)),
			isDaily: drill.frequency === 'daily',
			isVaried: drill.frequency === 'vary',
			// What was never run begins with its easiest rung.
			at: stands ? Math.max(0, rungs.indexOf(stands.rung)) : 0,
			wasRun: stands !== undefined,
			rested:
				last === undefined
					? Infinity
					: new Set(held.flatMap(({ date }) => (date > last ? date : []))).size
		};
	}

	private variant(drill: Drill, rung: string | null, rungs: readonly (string | null)[]): Variant {
		const { skills, drills } = this.input;
		const run = onRung(drill, rung ?? undefined);
		const { contactLevel } = this.limits;
		const mains = run.skills.filter(({ focus }) => focus === 'main');
		const has = (of: string) => mains.some(({ skill }) => isOf(skill, of));
		const needs = drill.rungs.find(({ id }) => id === rung)?.needs ?? [];
		return {
			drill: drills.indexOf(drill),
			at: rungs.indexOf(rung),
			rung,
			effort: run.effort,
			isContact: run.contact >= contactLevel,
			isFull: run.contact >= 4,
			gives: Float64Array.from(skills, ({ id }) =>
				sum(run.skills, ({ skill, share }) => (isOf(skill, id) ? share : 0))
			),
			mains: skills.flatMap(({ id }, line) => (has(id) ? line : [])),
			opens: this.firsts.flatMap((first, k) => (has(first) ? k : [])),
			after: [
				...new Set(
					skills.flatMap(({ id, after = [] }) =>
						has(id) ? after.map((first) => this.firsts.indexOf(first)) : []
					)
				)
			],
			needs: needs.map((id) => rungs.indexOf(id)),
			players: run.group.min,
			adults: run.coaches.min
		};
	}
}
