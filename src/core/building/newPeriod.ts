import type { Drill } from '../model/drill';
import type { Block, Group, Lane, Period, PeriodKind } from '../model/practice';
import type { Zone } from '../model/team';
import { keptOutOfDrill, onRung, roomFor } from '../playing';
import { arranging, drillOf, type EditOf, idMaker, idsIn, type Plan } from '../practice';
import { copiesFor, zoneIdsOf } from './copies';
import { chosenSize, groupAbout, NEW_STOP_SHARE, sizeHere } from './sizeHere';

/** Ideal, least and most minutes of a new period around the minutes asked for. */
function minutesAround(minutes: number) {
	return {
		minutes,
		ideal: minutes,
		min: Math.max(1, Math.round(minutes * 0.6)),
		max: Math.max(minutes, Math.round(minutes * 1.5))
	};
}

/** A kind of period that suits a drill put on the tape. */
function kindFor(drill: Drill): PeriodKind {
	if (drill.family === 'warm-up') return 'warm-up';
	if (drill.family === 'cool-down') return 'close';
	return drill.family === 'scrimmage' ? 'scrimmage' : 'together';
}

/** The zones with one of them first, where it is among them. */
function startingAt(zones: readonly Zone[], first: string | undefined): Zone[] {
	return zones.toSorted((a, b) => Number(b.id === first) - Number(a.id === first));
}

/** What a new lane is made for. */
export interface LaneAsked {
	period: Period;
	drill: Drill;
	/** The rung that it is run on; the drill itself where it is not said. */
	rung?: string;
	players: readonly string[];
	minutes: number;
	/** Lanes that run beside it: their zones, adults and kit are taken. */
	beside: readonly Lane[];
	/** The id of the lane begins with it, and so do those within. */
	stem: string;
	makeId: (stem: string) => string;
	/** The first copy stands there where it can. */
	zoneId?: string;
	/** The most zones that it may take; all that are free where it is not said. */
	mostZones?: number;
}

/** A drill that is put on the tape. */
export interface DrillAsked {
	drill: Drill;
	/** The rung that it is run on; the drill itself where it is not said. */
	rung?: string;
	/** The first copy stands there where it can. */
	zoneId?: string;
}

/**
 * A lane that runs one drill with some players: copies, groups, zones and adults from the best free size;
 * where none is free, one copy, and the checks say what is wrong. Null where no free zone could hold one.
 */
export function newLane(
	plan: Plan,
	{ period, rung, players, minutes, beside, stem, makeId, zoneId, mostZones, ...of }: LaneAsked
): { lane: Lane; groups: Group[] } | null {
	const { practice, context } = plan;
	const drill = onRung(of.drill, rung);
	const sized = sizeHere(plan, {
		...{ period, drill, players: players.length, minutes, beside },
		...(mostZones !== undefined && { mostZones })
	});
	const about = groupAbout(drill, players.length);
	const room = sized.ok
		? sized.value.room
		: roomFor(drill, { practice, period, beside, context, players: about });
	if (room.zones.length === 0) return null;
	const from = { ...room, zones: startingAt(room.zones, zoneId) };
	const output = sized.ok ? sized.value.output : { options: [], best: null };
	const option = chosenSize(drill, output) ??
		output.options[0] ?? { sizes: [players.length], adultsAt: 0 };
	const blockId = makeId(`${stem}.b`);
	const { copies, groups } = copiesFor(drill, {
		option,
		room: from,
		players,
		stem: blockId,
		makeId,
		context
	});
	const block: Block = {
		id: blockId,
		drill: { id: drill.id, revision: drill.revision ?? 1 },
		climb: [{ ...(rung !== undefined && { rung }), minutes }],
		minutes,
		copies,
		stopShare: NEW_STOP_SHARE
	};
	return { lane: { id: makeId(`${stem}.l`), zoneIds: zoneIdsOf(copies), blocks: [block] }, groups };
}

/**
 * A new period that runs one drill with everyone expected who is not kept out of it. Null where no zone
 * of the ground could hold one copy. The first copy stands in `zoneId` where it can.
 */
export function periodFromDrill(
	plan: Plan,
	{ drill, id, minutes, zoneId, rung }: DrillAsked & { id: string; minutes: number }
): Period | null {
	const { practice, context } = plan;
	const period: Period = {
		id,
		name: drill.name,
		kind: kindFor(drill),
		rank: kindFor(drill) === 'warm-up' ? 'must' : 'should',
		...minutesAround(minutes),
		lanes: []
	};
	// Who is kept out of the drill has no place in it from the start.
	const players = practice.expected.filter(
		(player) => !keptOutOfDrill(context.playerById.get(player), onRung(drill, rung), plan)
	);
	const makeId = idMaker([...practice.periods.flatMap(idsIn), id]);
	const made = newLane(plan, {
		...{ period, drill, players, minutes, beside: [], stem: id, makeId },
		...(zoneId !== undefined && { zoneId }),
		...(rung !== undefined && { rung })
	});
	if (!made) return null;
	return { ...period, ...(made.groups.length > 0 && { groups: made.groups }), lanes: [made.lane] };
}

/**
 * Another drill in the place of the only one of a period, in copies that suit whoever comes. Null where no zone
 * could hold one.
 */
export function anotherInside(plan: Plan, period: Period, drill: Drill): EditOf<'all'> | null {
	const { practice, context } = plan;
	const others = practice.periods.filter((other) => other !== period);
	const made = periodFromDrill(
		{ practice: { ...practice, periods: others }, context },
		{ drill, id: period.id, minutes: period.minutes }
	);
	if (!made) return null;
	const { lanes, groups = null } = made;
	const inside = arranging(period, { lanes, groups, slots: null, moveSeconds: null });
	const was = drillOf(context, period.lanes[0]?.blocks[0]?.drill);
	const isNamedSo = was?.name === period.name;
	const { name } = drill;
	return {
		type: 'all',
		edits: [
			inside,
			...(isNamedSo ? [{ type: 'set-period', period: period.id, set: { name } } as const] : [])
		]
	};
}

/** A new period without a drill: water, a talk, the close. */
export function plainPeriod(
	kind: PeriodKind,
	{ id, name, minutes }: { id: string; name: string; minutes: number }
): Period {
	return { id, name, kind, rank: 'must', ...minutesAround(minutes), min: 1, lanes: [] };
}
