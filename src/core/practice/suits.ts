import { entryAt, suitsAges } from '../model/ages';
import type { Drill } from '../model/drill';
import type { Context } from './context';

/** Why a drill, as it is run, is not for the players of a team. */
export type Unsuited =
	| { what: 'ages'; from: number; to: number }
	| { what: 'effort' | 'contact'; has: number; most: number };

/** The hardest effort and the most contact at an age; 10 and 4 where no limit is set. */
export const capsAt = ({ limits }: Pick<Context, 'limits'>, age: number) => ({
	effort: entryAt(limits.effortCaps, age)?.effort ?? 10,
	contact: entryAt(limits.contactCaps, age)?.contact ?? 4
});

/** Why a drill on a rung is not for the ages of a team, what hurts most first; null where it is. */
export function unsuited(
	run: Pick<Drill, 'ages' | 'effort' | 'contact'>,
	context: Pick<Context, 'team' | 'limits'>
): Unsuited | null {
	const { ages } = context.team;
	const caps = capsAt(context, ages.from);
	for (const what of ['contact', 'effort'] as const)
		if (run[what] > caps[what]) return { what, has: run[what], most: caps[what] };
	return run.ages && !suitsAges(run, ages) ? { what: 'ages', ...run.ages } : null;
}

/** Minutes of one drill that a player has in a practice at an age; Infinity where no limit is set. */
export const mostDrillMinutes = ({ team, limits }: Pick<Context, 'team' | 'limits'>): number =>
	entryAt(limits.drillMinutes, team.ages.from)?.minutes ?? Infinity;
