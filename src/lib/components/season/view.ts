import { group, sum } from 'd3-array';
import { daysBetween } from '$core/conditions';
import type { Drill } from '$core/model/drill';
import type { Push } from '$core/model/ladders';
import type { Season } from '$core/model/season';
import { areaOf, type SkillAreas } from '$core/model/skill';
import {
	clothOf,
	daysOfWeek,
	dueOn,
	figuresOf,
	loadByWeek,
	unpackSums,
	weekOf,
	type ClothLine,
	type CostSum,
	type DatedTally,
	type DueSkill,
	type FocusedSum,
	type SeasonFigures,
	type WeekLoad
} from '$core/season';
import type { PracticeState } from '$core/model/exportFiles';

/** A practice on the page of a season. */
export interface ShownPractice {
	id: string;
	date: string;
	start: string;
	minutes: number;
	place: string;
	state: PracticeState;
	reason: string | null;
	/** Null while it is being worked out anew. */
	summary: { plannedMinutes: number; opposedShare: number; stops: number } | null;
}

/** What the page of a season is drawn from, as it is sent. */
export interface SentSeason {
	today: string;
	season: Season;
	areas: SkillAreas;
	players: readonly { id: string; unit?: string }[];
	practices: readonly ShownPractice[];
	/** Packed sums. */
	sums: string;
	costs: readonly CostSum[];
	counts: readonly [unit: string | null, players: number][];
	pushes: readonly Push[];
	tallies: readonly DatedTally[];
	drills: readonly Pick<Drill, 'id' | 'skills'>[];
}

/** What a line is known by, wherever it stands in an order. */
export const lineKey = ({ skill, unit = '' }: { skill: string; unit?: string }): string =>
	`${skill} ${unit}`;

/** What is opened of a season: a line by its key, a week, a cell of both, or all of it. */
export interface Opened {
	line?: string;
	week?: number;
}

/** How the lines of a cloth are ordered. */
export type Order = 'listed' | 'owed' | 'least';

/** What a season shows. */
export interface SeasonView {
	lines: ClothLine[];
	weeks: WeekLoad[];
	due: { now: DueSkill[]; later: DueSkill[] };
	/** The day that all that is owed is told of: that of the next practice. */
	dueDay: string;
	figures: SeasonFigures;
	sums: FocusedSum[];
}

/** The first practice to come; undefined where there is none. */
export const nextOf = (practices: readonly ShownPractice[], today: string) =>
	practices.find(({ date, state }) => date >= today && state === 'planned');

/** Minutes that a line had, and is to have, over the whole season. */
export const totalOf = ({ cells }: ClothLine): { done: number; planned: number } => ({
	done: sum(cells, ({ done }) => done),
	planned: sum(cells, ({ planned }) => planned)
});

const minutesIn = (line: ClothLine) => totalOf(line).done + totalOf(line).planned;

/** The line's debt in a week; that of its last week for a season that is over. */
const owedIn = ({ cells }: ClothLine, week: number) =>
	cells[Math.min(Math.max(1, week), cells.length) - 1]?.owed ?? 0;

/** Lines in an order; those of a skill stay as they are listed where they are equal. */
export function ordered(lines: readonly ClothLine[], order: Order, week: number): ClothLine[] {
	if (order === 'owed') return lines.toSorted((a, b) => owedIn(b, week) - owedIn(a, week));
	if (order === 'least') return lines.toSorted((a, b) => minutesIn(a) - minutesIn(b));
	return [...lines];
}

/**
 * What a season shows, of everybody or of the players of one unit. One player's season is sent as that of a
 * squad of one: the targets of their unit are theirs, those of other units are not.
 */
export function seasonView(sent: SentSeason, unit?: string): SeasonView {
	const { today, season, areas, players, costs, counts, drills, pushes, tallies } = sent;
	const sums = unpackSums(sent.sums);
	const live = sent.practices.filter(({ state }) => state !== 'cancelled');
	const practices = live.map(({ id, date, state, summary }) => ({
		id,
		date,
		isDone: state === 'held',
		opposed: summary && { share: summary.opposedShare, minutes: summary.plannedMinutes }
	}));
	const byUnit = new Map(counts);
	const only = unit === undefined ? {} : { only: unit };
	const held = new Map(practices.flatMap(({ id, date, isDone }) => (isDone ? [[id, date]] : [])));
	const dueDay = nextOf(sent.practices, today)?.date ?? today;
	const isOf = (each: { unit?: string }) => unit === undefined || each.unit === unit;
	const due = dueOn(dueDay, {
		season: {
			...season,
			targets: season.targets?.filter((target) => target.unit === undefined || isOf(target))
		},
		areas,
		players: players.filter(isOf),
		practices: held,
		sums,
		tallies,
		drills: new Map(drills.map((drill) => [drill.id, drill])),
		pushes
	});
	return {
		lines: clothOf({ season, areas, practices, sums, players: byUnit, ...only }),
		weeks: loadByWeek({ season, practices, costs, players: byUnit, ...only }),
		due,
		dueDay,
		figures: figuresOf(dueDay, { season, practices, skills: [...due.now, ...due.later] }),
		sums
	};
}

/** A practice with what a line got of it: minutes of a player. */
export interface PracticeShare {
	practice: ShownPractice;
	minutes: number;
}

/** The practices of a season, of a week of it where one is said, with what a line of the cloth gets of each. */
export function sharesOf(
	{ lines, sums }: Pick<SeasonView, 'lines' | 'sums'>,
	{
		season,
		practices,
		line,
		week,
		unit
	}: {
		season: Season;
		practices: readonly ShownPractice[];
		line?: ClothLine;
		week?: number;
		unit?: string;
	}
): PracticeShare[] {
	const whose = unit ?? line?.unit;
	const own = group(
		sums.filter((each) => {
			const isSkill = !line || each.skill === line.skill || areaOf(each.skill) === line.skill;
			return isSkill && (whose === undefined || each.unit === whose);
		}),
		({ practice }) => practice
	);
	const players = line?.players ?? Math.max(0, ...lines.map((each) => each.players));
	return practices
		.filter(({ date }) => week === undefined || weekOf(season, date) === week)
		.map((practice) => ({
			practice,
			minutes: sum(own.get(practice.id) ?? [], ({ seconds }) => seconds) / 60 / Math.max(1, players)
		}))
		.filter(({ practice, minutes }) => !line || minutes > 0 || practice.state === 'planned');
}

/** How far through the weeks of a season a day is, 0 to 1; null outside it. */
export function placeOf(season: Season, day: string): number | null {
	const days = daysBetween(season.firstDay, day);
	return days < 0 || days >= season.weeks * 7 ? null : days / (season.weeks * 7);
}

/** The phases of a season as stretches of weeks, 0 to its length. */
export function phaseStretches({ phases = [], firstDay, weeks }: Season) {
	return phases.map(({ id, name, firstDay: from, lastDay }) => ({
		id,
		name,
		from: Math.max(0, daysBetween(firstDay, from) / 7),
		to: Math.min(weeks, (daysBetween(firstDay, lastDay) + 1) / 7)
	}));
}

/** What is on in a week, in order of time. */
export function weekOfRibbon(
	{ season, practices }: { season: Season; practices: readonly ShownPractice[] },
	week: number
) {
	const { first, last } = daysOfWeek(season, week);
	const inWeek = ({ date }: { date: string }) => first <= date && date <= last;
	const games = (season.games ?? [])
		.filter(inWeek)
		.map((game) => ({ kind: 'game', game }) as const);
	const own = practices.filter(inWeek).map((practice) => ({ kind: 'practice', practice }) as const);
	const dateOf = (each: (typeof games)[0] | (typeof own)[0]) =>
		each.kind === 'game' ? each.game.date : each.practice.date;
	return [...own, ...games].sort((a, b) => (dateOf(a) < dateOf(b) ? -1 : 1));
}
