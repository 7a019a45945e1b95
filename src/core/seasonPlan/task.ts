import type { Limits } from '../model/limits';

/** A drill on one of its rungs. */
export interface Variant {
	drill: number;
	/** Place in the ladder of the drill. */
	at: number;
	rung: string | null;
	effort: number;
	/** What a minute of it counts of hard contact, 0 to 1; whether it counts as hard, and is full contact. */
	contact: number;
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
	/** Stages that it is a main drill of, by their place. */
	stages: readonly number[];
	/** Days before a game on which it is not run; −1 for none. */
	gameDays: number;
	/** Whether it is for players of this age. */
	isForAge: boolean;
	players: number;
	adults: number;
}

/** A drill with its ladder, from the easiest rung. */
export interface Ladder {
	id: string;
	variants: readonly Variant[];
	isDaily: boolean;
	/** The most minutes of it in a practice: games may last. */
	most: number;
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
	/** Days to the next game; Infinity where none follows. */
	toGame: number;
	/** Nothing new and nothing hard: a game is near, or a phase ends in which work gets less. */
	isEased: boolean;
	/** A game is on the day before or after it. */
	isByGame: boolean;
	isOff: boolean;
	locked: readonly Item[];
	/** Minutes by line that it gives anyway. */
	gives: Float64Array;
	/** Minutes times effort of what it has beside the plan. */
	load: number;
	/** What the plan before had for it; null where that did not have it. */
	before: readonly { drill: number; minutes: number; at: number }[] | null;
	/** The day of the next game; null where none follows. */
	gameDate: string | null;
}

/** Seven days in which work gets less, with the weeks before that say what is usual. */
export interface TaperWeek {
	/** Practices in it, and in the weeks before, by place. */
	own: readonly number[];
	before: readonly number[];
	/** Minutes times effort that were held in the weeks before. */
	held: number;
	/** How many of the weeks before have a practice. */
	weeks: number;
}

/** A request that was looked through: everything by place. */
export interface Task {
	slots: readonly Slot[];
	lines: readonly Line[];
	asks: readonly Ask[];
	/** Minutes of all asks, weighted, before anything was given. */
	asked: number;
	ladders: readonly Ladder[];
	/** Stages that some drill trains, with the day at which each was a main one last (null for never), and how often. */
	stages: readonly { last: number | null; times: number }[];
	tapers: readonly TaperWeek[];
	/** Practices that one drill may be in at most, daily ones apart. */
	mostUses: number;
	/** Drills that children have at least in a practice; 0 where it does not matter. */
	leastDrills: number;
	/** How many practices in a row come before each, since the last long stretch away. */
	rampAt: readonly number[];
	/** How many skills there are that others come after. */
	openable: number;
	/** Those of them that were trained before today. */
	opened: readonly number[];
	/** Practices before today, with their days counted from it. */
	held: readonly { day: number; contactMinutes: number; load: number; isHard: boolean }[];
	limits: Limits;
	seed: number;
}

/** Practices between two runs of a drill that is wanted now and then. */
export const VARY_PRACTICES = 3;

/** What each practice holds, in the order of the slots. */
export type Briefs = Item[][];
