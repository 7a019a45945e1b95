import type { DraftInput } from '$core/draft';
import { trained } from '$core/model/skill';
import type { Period } from '$core/model/practice';
import type { Plan } from '$core/practice';
import { ladderOf } from '$core/drill';
import type { Due } from '$lib/state/dueHere.svelte';

/** What a coach asks of a draft. */
export interface Wishes {
	arc: DraftInput['arc'];
	/** Whether there are stations; as it comes best where it is null. */
	stations: boolean | null;
	unitTime: boolean;
	/** Minutes of scrimmage; a usual share where it is null. */
	scrimmage: number | null;
	/** Periods that stay. */
	keep: readonly Period[];
}

/** What a skill without a target, or one that is not behind it, is given room for. */
const USUAL_MINUTES = 12;
const LEAST_WEIGHT = 0.1;
const PUSHED_UP = 2;

/** What is due, as a draft takes it: where it is not known every skill counts the same. */
function aims({ context }: Plan, due: Due | null): DraftInput['due'] {
	const known = (due?.due ?? []).filter(({ unit }) => unit === undefined);
	if (known.length === 0)
		return trained(context.team.skillAreas).map(({ id }) => ({
			...{ skill: id, weight: 1, minutes: USUAL_MINUTES }
		}));
	return known.map(({ skill, score, owedMinutes, push }) => ({
		skill,
		weight: Math.max(LEAST_WEIGHT, score) * (push?.push === 'up' ? PUSHED_UP : 1),
		minutes: Math.max(owedMinutes, USUAL_MINUTES)
	}));
}

/** What the plan of the season asks of the practice, of drills that are still on the shelf. */
const briefOf = ({ practice, context }: Plan): NonNullable<DraftInput['brief']> =>
	(practice.brief ?? [])
		.filter(({ drill }) => context.shelf.some(({ id }) => id === drill))
		.map(({ locked: _locked, why: _why, ...item }) => item);

/** The input of a draft for the practice on a board: its day and people, what is due, what is wished for. */
export function draftInput(plan: Plan, wishes: Wishes, due: Due | null): DraftInput {
	const { practice, context } = plan;
	const { date, start, minutes, expected, late, adults, groundId } = practice;
	const { team, season, players, ground, kit, drills, archived, before, limits } = context;
	const rungs = due?.rungs ?? {};
	const brief = briefOf(plan);
	return {
		...{ team, season, players, adults: context.adults, ground, kit, drills, limits },
		...(archived && { archived }),
		...(before && { before }),
		frame: {
			...{ date, start, minutes, expected, adults },
			...(late && { late }),
			...(groundId !== undefined && { groundId })
		},
		arc: wishes.arc,
		due: aims(plan, due),
		...(brief.length > 0 && { brief }),
		// What was never run begins with its easiest rung.
		ladders: context.shelf.map((drill) => ({
			drill: drill.id,
			rung: drill.id in rungs ? rungs[drill.id] : ladderOf(drill)[0]
		})),
		recent: due?.recent ?? [],
		...(due?.met && { met: due.met }),
		...(wishes.keep.length > 0 && { keep: [...wishes.keep] }),
		...(wishes.stations !== null && { stations: wishes.stations }),
		...(wishes.scrimmage !== null && { scrimmage: wishes.scrimmage }),
		...(wishes.unitTime && { unitTime: true })
	};
}
