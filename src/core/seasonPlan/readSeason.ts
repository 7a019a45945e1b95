import { max, min, sum } from 'd3-array';
import { fail, ok, type Outcome } from '../base';
import { daysBetween } from '../conditions';
import { entryAt } from '../model/ages';
import type { Drill } from '../model/drill';
import { isGame } from '../model/family';
import type { Limits } from '../model/limits';
import { stageOf } from '../model/skill';
import type { Team } from '../model/team';
import { contactWeight, onRung } from '../playing';
import { DEFAULT_LIMITS, unsuited } from '../practice';
import { ladderOf } from '../drill';
import { MOST_GAME } from './minutes';
import { planFault } from './planFault';
import type { PlanItem, PlannedPractice, SeasonPlanInput } from './planShapes';
import type { Ask, Item, Ladder, Line, Slot, TaperWeek, Task, Variant } from './task';

/** Days before a game on which nothing new and nothing hard is done, and days of a week. */
const EASED_DAYS = 2;
const WEEK = 7;
/** Weeks before a taper that say what is usual. */
const TAPER_WEEKS = 3;
/** Players under this age have so many drills in a practice at least; who is not said is grown up. */
const CHILDREN_UNDER = 12;
const CHILDREN_DRILLS = 4;
const GROWN = 18;

const isOpen = ({ isOff, minutes }: Slot) => !isOff && minutes > 0;

const isOf = (skill: string, of: string) => skill === of || skill.startsWith(`${of}/`);

/** A request by place. Fails with `bad-input`. */
export function readSeason(input: SeasonPlanInput): Outcome<Task> {
	const fault = planFault(input);
	return fault ? fail(fault) : ok(new Reader(input).task());
}

class Reader {
	private readonly limits: Limits;
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
			stages: this.stages.map((stage) => {
				const days = new Set(main.flatMap(({ skill, date }) => (skill === stage ? date : [])));
				const last = [...days].sort().at(-1);
				return { last: last === undefined ? null : this.dayOf(last), times: days.size };
			}),
			tapers: this.tapers(slots).filter(({ own, weeks }) => own.length > 0 && weeks > 0),
			mostUses: Math.max(1, Math.ceil(slots.filter(isOpen).length / 3)),
			leastDrills: (this.input.ages?.from ?? 99) < CHILDREN_UNDER ? CHILDREN_DRILLS : 0,
			rampAt: this.rampAt(slots),
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
		const {
			id,
			date,
			minutes,
			players,
			adults = Infinity,
			locked = [],
			gives = [],
			load = 0
		} = practice;
		const { games = [], daysOff = [], plan = [], skills, drills } = this.input;
		const day = this.dayOf(date);
		const gamesOn = new Set(games.map((game) => this.dayOf(game.date)));
		const placeOf = new Map(drills.map((drill, place) => [drill.id, place]));
		const before = plan.find((each) => each.id === id)?.brief;
		return {
			...{ id, day, minutes, players, adults, load },
			// Weeks begin on the weekday of today: seven days are seven days.
			week: Math.floor(day / 7),
			isEve: gamesOn.has(day + 1),
			toGame:
				min(
					[...gamesOn].filter((game) => game >= day),
					(game) => game - day
				) ?? Infinity,
			isEased: this.isEased(date, [...gamesOn]),
			gameDate:
				games
					.map((game) => game.date)
					.filter((each) => each >= date)
					.sort()[0] ?? null,
			isByGame: gamesOn.has(day + 1) || gamesOn.has(day - 1),
			isOff: daysOff.some(({ firstDay, lastDay }) => firstDay <= date && date <= lastDay),
			locked: locked.map((item) => this.lockedItem(item, placeOf.get(item.drill) as number)),
			gives: Float64Array.from(skills, ({ id: of }) =>
				sum(gives, (each) => (isOf(each.skill, of) ? each.minutes : 0))
			),
			before:
				before?.flatMap((item) => {
					const drill = placeOf.get(item.drill);
					if (drill === undefined) return [];
					const at = ladderOf(drills[drill]).indexOf(item.rung ?? null);
					return [{ drill, minutes: item.minutes, at }];
				}) ?? null
		};
	}

	/** Whether a practice comes just before a game, or in the last week of a phase in which work gets less. */
	private isEased(date: string, games: readonly number[]): boolean {
		const day = this.dayOf(date);
		const { tapers = [] } = this.input;
		const isNear = games.some((game) => game > day && game - day <= EASED_DAYS);
		const isLastWeek = tapers.some(
			({ firstDay, lastDay }) =>
				date >= firstDay && date <= lastDay && daysBetween(date, lastDay) < WEEK
		);
		return isNear || isLastWeek;
	}

	/** The weeks in which work gets less: whole ones from the end of their phase, one at least. */
	private tapers(slots: readonly Slot[]): TaperWeek[] {
		const { tapers = [], held = [] } = this.input;
		return tapers.flatMap(({ firstDay, lastDay }) => {
			const [first, last] = [this.dayOf(firstDay), this.dayOf(lastDay)];
			const count = Math.max(1, Math.floor((last - first + 1) / WEEK));
			// Only weeks with a practice: a phase may be as long as calendars go.
			const weeksAgo = slots
				.filter((slot) => isOpen(slot) && slot.day <= last)
				.map(({ day }) => Math.floor((last - day) / WEEK));
			return [...new Set(weeksAgo)].flatMap((k): TaperWeek | [] => {
				if (k >= count) return [];
				const from = last + 1 - WEEK * (k + 1);
				const isIn = (day: number, start: number, weeks: number) =>
					start <= day && day < start + WEEK * weeks;
				const usual = from - WEEK * TAPER_WEEKS;
				const placesIn = (start: number, weeks: number) =>
					slots.flatMap((slot, place) =>
						isOpen(slot) && isIn(slot.day, start, weeks) ? place : []
					);
				const old = held.filter(({ date }) => isIn(this.dayOf(date), usual, TAPER_WEEKS));
				const before = placesIn(usual, TAPER_WEEKS);
				const days = [
					...old.map(({ date }) => this.dayOf(date)),
					...before.map((at) => slots[at].day)
				];
				return {
					own: placesIn(from, 1),
					before,
					held: sum(old, ({ load = 0 }) => load),
					// A week without practice says nothing of what is usual.
					weeks: new Set(days.map((day) => Math.floor((day - usual) / WEEK))).size
				};
			});
		});
	}

	/** Practices in a row up to each of those to come: after a long stretch away it begins anew. */
	private rampAt(slots: readonly Slot[]): number[] {
		const { held = [] } = this.input;
		const before = held.map(({ date }) => this.dayOf(date)).sort((a, b) => a - b);
		const days = [...before, ...slots.map(({ day }) => day)];
		let count = 0;
		const counts = days.map((day, k) => {
			if (k > 0 && day - days[k - 1] > this.limits.rampAwayDays) count = 0;
			count += 1;
			return count - 1;
		});
		return counts.slice(before.length);
	}

	/** The stages of skills that drills train first of all. */
	private get stages(): string[] {
		const all = this.input.drills.flatMap((drill) =>
			ladderOf(drill).flatMap((rung) =>
				onRung(drill, rung ?? undefined).skills.flatMap(({ skill, focus }) =>
					focus === 'main' && stageOf(skill) !== null ? skill : []
				)
			)
		);
		return [...new Set(all)];
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
			most: isGame(drill) ? MOST_GAME : Math.min(MOST_GAME, Math.floor(this.mostMinutes)),
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

	/** Minutes of one drill at this age. */
	private get mostMinutes(): number {
		const { ages } = this.input;
		return entryAt(this.limits.drillMinutes, ages?.from ?? GROWN)?.minutes ?? MOST_GAME;
	}

	private variant(drill: Drill, rung: string | null, rungs: readonly (string | null)[]): Variant {
		const { skills, drills, ages } = this.input;
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
			contact: contactWeight(run.contact, this.limits),
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
			stages: this.stages.flatMap((stage, k) =>
				mains.some(({ skill }) => skill === stage) ? k : []
			),
			gameDays: run.notWithinDaysOfGame ?? -1,
			isForAge: !ages || !unsuited(run, { team: { ages } as Team, limits: this.limits }),
			players: run.group.min,
			adults: run.coaches.min
		};
	}
}
