import { sum } from 'd3-array';
import { ladderOf } from '../drill';
import type { Drill } from '../model/drill';
import { onRung, suitableZones } from '../playing';
import type { Plan } from '../practice';
import { standingIn } from '../shelf';
import type { DraftInput } from './shapes';

/** Something that a draft is to give its players: minutes of a skill that is due, or of a drill of its brief. */
export interface Aim {
	weight: number;
	minutes: number;
	/** Share of a drill's time that counts for it, 0 to 1. */
	share: (drill: Drill) => number;
}

/** A drill that a draft may choose, on the rung where its ladder goes on. */
export interface Choice {
	/** As it lies on the shelf. */
	drill: Drill;
	/** As it is run. */
	run: Drill;
	rung?: string;
	/** Share of its time by aim. */
	gives: readonly number[];
	/** About the share of its time that a player is at work, 0 to 1. */
	busy: number;
	/** Whether all who come can do it at once. */
	isForAll: boolean;
	/** Whether it is a rung above where its ladder stands: for the first half, while players are fresh. */
	isNext: boolean;
}

/** Practices between two runs of a drill that wants variety. */
const VARY_PRACTICES = 3;

/** Share of a drill's time that is a skill's, or a stage's of it. */
export const shareOf = ({ skills }: Pick<Drill, 'skills'>, wanted: string): number =>
	sum(skills, ({ skill, share }) =>
		skill === wanted || skill.startsWith(`${wanted}/`) ? share : 0
	);

/** What a brief asks for goes before anything that is due. */
const BRIEF_FIRST = 100;

/** What a draft is to give: its brief, then what is due. */
export function aimsOf({ due, brief = [] }: DraftInput): Aim[] {
	const most = Math.max(1, ...due.map(({ weight }) => weight));
	return [
		...brief.map(({ drill, minutes }): Aim => ({
			...{ weight: BRIEF_FIRST * most, minutes },
			share: ({ id }) => (id === drill ? 1 : 0)
		})),
		...due.map(({ skill, weight, minutes }): Aim => ({
			...{ weight, minutes },
			share: (drill) => shareOf(drill, skill)
		}))
	];
}

/** Drills that were run too short a while ago to come again. */
function tooSoon({ recent = [] }: DraftInput): ReadonlySet<string> {
	const days = [...new Set(recent.map(({ date }) => date))].sort().slice(-VARY_PRACTICES);
	return new Set(recent.flatMap(({ drill, date }) => (days.includes(date) ? [drill] : [])));
}

/**
 * The rung that a drill is run on, by its id: where its ladder stands, or what the brief asks for, at most one
 * rung above that; null for the drill itself.
 */
function rungsFor({ ladders = [], brief = [], drills }: DraftInput): Map<string, string | null> {
	const stands = new Map(
		ladders.flatMap(({ drill, rung }) => (rung === undefined ? [] : [[drill, rung] as const]))
	);
	const rungs = new Map<string, string | null>(stands);
	for (const { drill, rung } of brief) {
		if (rung === undefined) continue;
		const own = drills.find(({ id }) => id === drill);
		if (!own) continue;
		const ladder = ladderOf(own);
		const from = stands.get(drill);
		const most = from === undefined ? ladder.length : ladder.indexOf(from) + 1;
		rungs.set(drill, ladder[Math.min(ladder.indexOf(rung), most)] ?? null);
	}
	return rungs;
}

/** All drills of the shelf as a draft may choose them; those that come too soon again are left out. */
export function choicesFor(plan: Plan, input: DraftInput): Choice[] {
	const { practice, context } = plan;
	const { zones } = context.ground;
	const standing = standingIn({
		players: practice.expected.length,
		adults: practice.adults.length,
		zones,
		kit: context.kit
	});
	const soon = tooSoon(input);
	const { ladders = [], brief = [] } = input;
	const rungs = rungsFor(input);
	const stands = new Map(ladders.map(({ drill, rung }) => [drill, rung ?? null]));
	const asked = new Set(brief.map(({ drill }) => drill));
	const aims = aimsOf(input);
	return context.shelf
		.filter(({ id, frequency }) => frequency !== 'vary' || !soon.has(id) || asked.has(id))
		.flatMap((drill): Choice[] => {
			const rung = rungs.get(drill.id) ?? undefined;
			const run = onRung(drill, rung);
			const about = Math.min(practice.expected.length, run.group.ideal);
			if (suitableZones(run, zones, about).length === 0) return [];
			const { obstacle, busyAbout } = standing(run);
			return [
				{
					...{ drill, run, busy: busyAbout, isForAll: obstacle === null },
					...(rung !== undefined && { rung }),
					gives: aims.map(({ share }) => share(run)),
					isNext: stands.has(drill.id) && (rung ?? null) !== stands.get(drill.id)
				}
			];
		});
}

/** Whether contact in a drill counts against the minutes of hard contact of a day. */
export const isHard = ({ run }: Choice, { context }: Plan): boolean =>
	run.contact >= context.limits.contactLevel;

/** What is still wanted while a draft fills. */
export class Wanted {
	private readonly left: number[];

	constructor(private readonly aims: readonly Aim[]) {
		this.left = aims.map(({ minutes }) => minutes);
	}

	/** What some minutes of a drill are worth: weighted minutes of what is still wanted. */
	worth({ gives }: Choice, minutes: number): number {
		let worth = 0;
		for (let k = 0; k < gives.length; k += 1)
			worth += this.aims[k].weight * Math.min(this.left[k], gives[k] * minutes);
		return worth;
	}

	/** Takes what some minutes of a drill give off what is wanted. */
	take({ gives }: Choice, minutes: number): void {
		for (let k = 0; k < gives.length; k += 1)
			this.left[k] = Math.max(0, this.left[k] - gives[k] * minutes);
	}
}

/**
 * About the most that a practice could give of its aims, in weighted minutes, over 0: minute by minute the drill
 * that gives most of what is still wanted.
 */
export function mostWorth(choices: readonly Choice[], input: DraftInput): number {
	const wanted = new Wanted(aimsOf(input));
	let worth = 0;
	for (let minute = 0; minute < input.frame.minutes; minute += 1) {
		const [best] = choices
			.map((choice) => ({ choice, worth: wanted.worth(choice, 1) }))
			.sort((a, b) => b.worth - a.worth);
		if (!best || best.worth === 0) break;
		worth += best.worth;
		wanted.take(best.choice, 1);
	}
	return worth || 1;
}
