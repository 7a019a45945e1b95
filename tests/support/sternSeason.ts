import { max, min, sum } from 'd3-array';
import { daysBetween } from '../../src/core/conditions';
import type { Drill } from '../../src/core/model/drill';
import { onRung } from '../../src/core/playing';
import type { SeasonPlanInput, SeasonPlanOutput } from '../../src/core/seasonPlan';

/** What a stern coach says against a plan of a season that keeps every hard rule. */
export interface SeasonComplaint {
	code: 'same' | 'rest' | 'vanished' | 'few' | 'taper' | 'open' | 'unsaid';
	about: string;
}

/** Share of the free minutes of a practice that the one before had too, daily drills aside, that is too much. */
const SAME = 0.5;
/** A skill with a target comes again within so many days; a stage within half as many more. */
const REST = 28;
/** Minutes that a warm-up or a game gives of a skill, from which on it does not rest. */
const WARM = 3;
/** Drills that a practice of children holds at least, and the minutes that each needs. */
const FEW = { under: 12, drills: 4, minutes: 6 };
/** Shares of the load of the weeks before that the last week of a taper may have; the minutes it may leave empty. */
const TAPER = { least: 0.55, most: 0.85, open: 0.4 };
/** Share of the minutes that may stay empty. */
const OPEN = 0.05;

type Input = SeasonPlanInput;
type Items = SeasonPlanOutput['practices'][number]['brief'];

/** A practice that holds something, as the plan has it. */
interface Day {
	id: string;
	date: string;
	minutes: number;
	/** What the plan has put there, and all that is there, each with what is run. */
	own: { item: Items[number]; run: Drill }[];
	all: { item: Items[number]; run: Drill }[];
	/** The plan may put something there: what is built already is not its to answer for. */
	isFree: boolean;
	/** Minutes times effort of the whole practice. */
	load: number;
	/** Minutes of a skill that it has beside the plan. */
	warm: (skill: string) => number;
}

const isOf = (skill: string, of: string) => skill === of || skill.startsWith(`${of}/`);
const isIn = (date: string, spans: Input['tapers'] = []) =>
	spans.some(({ firstDay, lastDay }) => firstDay <= date && date <= lastDay);

/** The practices of a plan in order, without those that hold nothing. */
function daysOf(input: Input, { practices }: SeasonPlanOutput): Day[] {
	const briefs = new Map(practices.map(({ id, brief }) => [id, brief]));
	const drills = new Map(input.drills.map((drill) => [drill.id, drill]));
	return input.practices
		.filter(({ minutes, date }) => minutes > 0 && !isIn(date, input.daysOff))
		.toSorted((a, b) => a.date.localeCompare(b.date))
		.map(({ id, date, minutes, locked = [], gives = [], load = 0 }) => {
			const all = (briefs.get(id) ?? []).map((item) => ({
				item,
				run: onRung(drills.get(item.drill) as Drill, item.rung)
			}));
			return {
				...{ id, date, minutes, all },
				own: all.filter(({ item }) => !locked.some(({ drill }) => drill === item.drill)),
				isFree: sum(locked, (item) => item.minutes) < minutes,
				load: load + sum(all, ({ item, run }) => item.minutes * run.effort),
				warm: (skill) => sum(gives, (each) => (isOf(each.skill, skill) ? each.minutes : 0))
			};
		});
}

const minutesOf = (own: Day['own']) => sum(own, ({ item }) => item.minutes);

/** What is wrong with a practice by itself. */
function ofPractice(input: Input, { id, date, minutes, all }: Day): SeasonComplaint[] {
	const left = minutes - minutesOf(all);
	const mayStay = (isIn(date, input.tapers) ? TAPER.open : OPEN) * minutes;
	const least = Math.min(FEW.drills, Math.floor(minutes / FEW.minutes));
	const isYoung = input.ages !== undefined && input.ages.from < FEW.under;
	return [
		...all.flatMap(({ item: { drill, why } }): SeasonComplaint[] =>
			why.length === 0 ? [{ code: 'unsaid', about: `${id} ${drill}` }] : []
		),
		...(left > mayStay ? [{ code: 'open' as const, about: `${id} ${left} of ${minutes}` }] : []),
		...(isYoung && all.length < least
			? [{ code: 'few' as const, about: `${id} ${all.length} in ${minutes}` }]
			: [])
	];
}

/** Whether most of a practice is what the one before had. */
function sameAs(before: Day, { id, own }: Day): SeasonComplaint[] {
	const free = own.filter(({ run }) => run.frequency !== 'daily');
	const again = free.filter(({ run }) => before.all.some((each) => each.run.id === run.id));
	const share = minutesOf(again) / Math.max(1, minutesOf(free));
	return free.length > 1 && share > SAME
		? [{ code: 'same', about: `${id} ${(100 * share).toFixed(0)}%` }]
		: [];
}

/** Whether a practice has a skill as a main one, in the plan. */
const hasMain = ({ all }: Day, of: string) =>
	all.some(({ run }) => run.skills.some((s) => s.focus === 'main' && isOf(s.skill, of)));

/** Skills with a target that rest for too long while some drill would train them. */
function resting(input: Input, days: readonly Day[]): SeasonComplaint[] {
	return input.skills.flatMap(({ id, unit, targets }): SeasonComplaint[] => {
		const trains = input.drills.some(({ skills }) =>
			skills.some(({ skill, focus }) => focus === 'main' && isOf(skill, id))
		);
		const [from, to] = [min(targets, (each) => each.from), max(targets, (each) => each.to)];
		const lastDay = days.at(-1)?.date;
		if (unit !== undefined || !trains || !from || !to || !lastDay) return [];
		const came = days.filter((day) => hasMain(day, id) || day.warm(id) >= WARM);
		const marks = [
			from < input.today ? input.today : from,
			...came.map(({ date }) => date),
			to < lastDay ? to : lastDay
		];
		return marks.slice(1).flatMap((day, k): SeasonComplaint[] => {
			const rest = daysBetween(marks[k], day);
			return rest > REST ? [{ code: 'rest', about: `${id} ${rest} days before ${day}` }] : [];
		});
	});
}

/** Stages that came and do not come again. */
function vanished(days: readonly Day[]): SeasonComplaint[] {
	const mains = days.flatMap(({ all }) =>
		all.flatMap(({ run }) => run.skills.flatMap((s) => (s.focus === 'main' ? s.skill : [])))
	);
	const lastDay = days.at(-1)?.date ?? '';
	return [...new Set(mains)]
		.filter((skill) => skill.includes('/'))
		.flatMap((skill): SeasonComplaint[] => {
			const last = max(days, (day) => (hasMain(day, skill) ? day.date : undefined)) ?? lastDay;
			return daysBetween(last, lastDay) > 1.5 * REST
				? [{ code: 'vanished', about: `${skill} after ${last}` }]
				: [];
		});
}

/** Whether work falls in the last seven days of each taper, beside those of the three weeks before that have a practice. */
function untapered(input: Input, days: readonly Day[]): SeasonComplaint[] {
	const loads = [...(input.held ?? []), ...days].map(({ date, load = 0 }) => ({ date, load }));
	const weekLoad = (lastDay: string, back: number) =>
		sum(loads, ({ date, load }) => {
			const ago = daysBetween(date, lastDay) - 7 * back;
			return ago >= 0 && ago < 7 ? load : 0;
		});
	return (input.tapers ?? []).flatMap(({ lastDay }): SeasonComplaint[] => {
		const before = [1, 2, 3].map((back) => weekLoad(lastDay, back)).filter((load) => load > 0);
		const share = weekLoad(lastDay, 0) / (sum(before) / before.length);
		return share > 0 && (share < TAPER.least || share > TAPER.most)
			? [{ code: 'taper', about: `${lastDay} ${(100 * share).toFixed(0)}%` }]
			: [];
	});
}

/**
 * Reads a plan from the request and the answer alone, as a coach would who has to stand on the grass with it:
 * whether practices are the same again, what rests for too long, whether children have enough to do, whether
 * the work falls before the games that count. Each complaint says which practice or skill it is about.
 */
export function seasonComplaints(input: Input, plan: SeasonPlanOutput): SeasonComplaint[] {
	const days = daysOf(input, plan);
	const free = days.filter(({ isFree }) => isFree);
	return [
		...free.flatMap((day) => ofPractice(input, day)),
		...free.slice(1).flatMap((day, k) => sameAs(free[k], day)),
		...resting(input, days),
		...vanished(days),
		...untapered(input, days)
	];
}
