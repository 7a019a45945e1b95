import type { Surroundings } from '../model/bundle';
import type { Drill } from '../model/drill';
import type { Adult, Player, Zone } from '../model/team';
import type { Limits } from '../model/limits';

/** Limits that hold where a club has not set its own. Defaults of this application, of no body's rules. */
export const DEFAULT_LIMITS: Limits = {
	overTimeMinutes: 0,
	underTimeMinutes: 3,
	warmUpMinutes: 8,
	hardWarmUpEffort: 6,
	waitingShare: 0.5,
	waitingFromMinutes: 5,
	walkMetresPerSecond: 1.4,
	leastMoveSeconds: 30,
	talkMinutes: 3,
	gameTalkMinutes: 8,
	stopShare: 0.4,
	hardEffort: 8,
	playersAnAdult: [
		{ under: 7, players: 4 },
		{ under: 9, players: 6 },
		{ under: 12, players: 8 },
		{ under: 18, players: 12 }
	],
	loads: [
		{ kind: 'pitches', under: 9, day: 40, week: 60 },
		{ kind: 'pitches', under: 13, day: 60, week: 90 },
		{ kind: 'pitches', under: 17, day: 75, week: 120 },
		{ kind: 'pitches', under: 19, day: 90, week: 150 },
		{ kind: 'throws', under: 13, day: 80, week: 200 },
		{ kind: 'throws', under: 19, day: 120, week: 320 },
		{ kind: 'balls bowled', under: 13, day: 36, week: 90 },
		{ kind: 'balls bowled', under: 16, day: 48, week: 120 },
		{ kind: 'balls bowled', under: 19, day: 60, week: 160 },
		{ kind: 'headers', under: 12, day: 0, week: 0 },
		{ kind: 'headers', under: 14, day: 5, week: 10 },
		{ kind: 'headers', under: 18, day: 10, week: 20 },
		{ kind: 'jumps', under: 13, day: 60, week: 180 },
		{ kind: 'jumps', under: 18, day: 100, week: 300 },
		{ kind: 'jumps', day: 150, week: 450 },
		{ kind: 'tackles', under: 14, day: 15, week: 30 },
		{ kind: 'tackles', under: 18, day: 25, week: 50 },
		{ kind: 'tackles', day: 40, week: 80 },
		{ kind: 'kicks', under: 14, day: 60, week: 150 },
		{ kind: 'kicks', under: 18, day: 90, week: 220 },
		{ kind: 'sprint metres', under: 12, day: 300, week: 900 },
		{ kind: 'sprint metres', under: 18, day: 800, week: 2000 },
		{ kind: 'sprint metres', day: 1500, week: 3600 }
	],
	rest: [
		{ kind: 'pitches', under: 19, from: 20, days: 1 },
		{ kind: 'pitches', under: 19, from: 40, days: 2 },
		{ kind: 'pitches', under: 19, from: 60, days: 3 },
		{ kind: 'balls bowled', under: 19, from: 30, days: 1 }
	],
	effortCaps: [
		{ under: 9, effort: 7 },
		{ under: 12, effort: 8 },
		{ under: 16, effort: 9 }
	],
	contactCaps: [
		{ under: 9, contact: 1 },
		{ under: 12, contact: 2 },
		{ under: 16, contact: 3 }
	],
	drillMinutes: [
		{ under: 9, minutes: 8 },
		{ under: 12, minutes: 10 },
		{ under: 16, minutes: 12 },
		{ under: 100, minutes: 15 }
	],
	hardMinutes: 30,
	easyMinutes: 5,
	eyesUnderAge: 18,
	lookUpMetres: 5,
	aloneFromAge: 12,
	contactLevel: 3,
	lightContactShare: 0.25,
	contactRowShare: 0.5,
	contactDayMinutes: 20,
	contactWeekMinutes: 60,
	contactAfter: 2,
	fullContactAfter: 4,
	rampAwayDays: 14,
	standSeconds: [
		{ under: 7, seconds: 30 },
		{ under: 9, seconds: 45 },
		{ under: 12, seconds: 60 },
		{ under: 100, seconds: 120 }
	],
	stationsInSight: 2,
	loadJump: 1.3,
	restrictedContact: 1,
	restrictedEffort: 3,
	waterMinutes: 20,
	likeRatings: 2,
	swingMetres: 4
};

/** What a practice is built from, with look-ups by id. */
export interface Context extends Omit<Surroundings, 'limits'> {
	readonly limits: Limits;
	readonly playerById: ReadonlyMap<string, Player>;
	readonly adultById: ReadonlyMap<string, Adult>;
	readonly zoneById: ReadonlyMap<string, Zone>;
	/** The newest revision of each drill that is not archived. */
	readonly shelf: readonly Drill[];
	readonly drillByRevision: ReadonlyMap<string, Drill>;
	/** How often two players were in a group together, where groups that are made are to mind it; each pair once. */
	readonly met?: readonly (readonly [a: string, b: string, times: number])[];
}

const byId = <Item extends { id: string }>(items: readonly Item[]) =>
	new Map(items.map((item) => [item.id, item]));

const revisionKey = (id: string, revision: number) => `${revision} ${id}`;

/** The newest revision of each drill, in the order in which they first come. */
export function toShelf(drills: readonly Drill[]): Drill[] {
	const newest = new Map<string, Drill>();
	for (const drill of drills)
		if ((drill.revision ?? 1) >= (newest.get(drill.id)?.revision ?? 1)) newest.set(drill.id, drill);
	return [...newest.values()];
}

/** The look-ups that follow from drills. */
const drillLookUps = (drills: readonly Drill[], archived: readonly string[] = []) => ({
	shelf: toShelf(drills).filter(({ id }) => !archived.includes(id)),
	drillByRevision: new Map(
		drills.map((drill) => [revisionKey(drill.id, drill.revision ?? 1), drill])
	)
});

/** The same context with other drills. */
export const withDrills = (context: Context, drills: readonly Drill[]): Context => ({
	...context,
	drills: [...drills],
	...drillLookUps(drills, context.archived)
});

/** The same context with these drills beside its own; the same object where it has all of them. */
export function learning(context: Context, drills: readonly Drill[]): Context {
	const news = drills.filter((drill) => {
		const key = revisionKey(drill.id, drill.revision ?? 1);
		return !context.drillByRevision.has(key);
	});
	return news.length === 0 ? context : withDrills(context, [...context.drills, ...news]);
}

/** Whether runs of the same drills go the same way in both: they have the same people, zones and limits. */
export const playsAlike = (a: Context, b: Context): boolean =>
	a.playerById === b.playerById &&
	a.adultById === b.adultById &&
	a.zoneById === b.zoneById &&
	a.limits === b.limits;

/** Surroundings with look-ups; limits that are not set take their defaults. */
export function toContext(surroundings: Surroundings): Context {
	const { drills, archived, limits, players, adults, ground } = surroundings;
	return {
		...surroundings,
		limits: { ...DEFAULT_LIMITS, ...limits },
		playerById: byId(players),
		adultById: byId(adults),
		zoneById: byId(ground.zones),
		...drillLookUps(drills, archived)
	};
}

/** The revision of a drill that a block names; undefined for a block without a drill or an unknown one. */
export function drillOf(
	context: Context,
	reference: { id: string; revision: number } | undefined
): Drill | undefined {
	return reference && context.drillByRevision.get(revisionKey(reference.id, reference.revision));
}
