import type { Drill } from '../model/drill';
import type { Block, Copy, Lane, Period } from '../model/practice';
import { keptOutOfDrill, maySupervise, onRung, placesLeft } from '../playing';
import {
	arranging,
	drillOf,
	type EditOf,
	type Found,
	idMaker,
	idsIn,
	type Plan
} from '../practice';
import { freeBibs } from './bibs';
import { newLane, type DrillAsked } from './newPeriod';
import { NEW_STOP_SHARE } from './sizeHere';

/** Players of a unit who are expected and not kept out of a drill, where there is one. */
const playersOfUnit = (plan: Plan, unit: string, drill: Drill | undefined): string[] =>
	plan.practice.expected.filter((id) => {
		const player = plan.context.playerById.get(id);
		return player?.unit === unit && !(drill && keptOutOfDrill(player, drill, plan));
	});

/** A period whose lanes and groups have some players no longer; a copy that nobody runs goes. */
function without(period: Period, ids: readonly string[]): Period {
	const gone = new Set(ids);
	const stays = (players: readonly string[]) => players.filter((id) => !gone.has(id));
	const groups = (period.groups ?? []).map((group) => ({
		...group,
		players: stays(group.players)
	}));
	const filled = new Set(groups.filter(({ players }) => players.length > 0).map(({ id }) => id));
	const isRun = ({ group, players }: Copy) =>
		players.length > 0 || (group !== undefined && filled.has(group));
	const lanes = period.lanes.flatMap((lane): Lane[] => {
		const blocks = lane.blocks.flatMap((block): Block[] => {
			const copies = block.copies
				.map((copy) => ({ ...copy, players: stays(copy.players) }))
				.filter(isRun);
			return copies.length > 0 ? [{ ...block, copies }] : [];
		});
		const zoneIds = blocks.flatMap(({ copies }) => copies.map(({ zoneId }) => zoneId));
		return blocks.length > 0 ? [{ ...lane, zoneIds: [...new Set(zoneIds)], blocks }] : [];
	});
	const left = groups.filter(({ id }) => filled.has(id));
	const { groups: _before, ...rest } = period;
	return { ...rest, lanes, ...(left.length > 0 && { groups: left }) };
}

/** The adults of a practice who coach a unit and may have its players in charge. */
const coachesOf = ({ practice, context }: Plan, unit: string): string[] =>
	practice.adults.filter(
		(id) => context.adultById.get(id)?.units?.includes(unit) && maySupervise(id, context)
	);

/** A lane in which two adults have changed places wherever they stand with a copy. */
const swapped = (lane: Lane, one: string, other: string | undefined): Lane => ({
	...lane,
	blocks: lane.blocks.map((block) => ({
		...block,
		copies: block.copies.map((copy) => ({
			...copy,
			adults: copy.adults.flatMap((id) =>
				id === one ? (other ?? []) : id === other ? [one] : [id]
			)
		}))
	}))
});

/**
 * Lanes of which one is led by the coach of its unit, who stands with its first copy: an adult who was
 * there takes the coach's place in another lane. As they are where no coach of it is free to lead.
 */
function withCoach(plan: Plan, lanes: readonly Lane[], { id, unit }: Lane): Lane[] {
	const leading = new Set(
		lanes.flatMap((lane) => (lane.id === id ? [] : lane.blocks.map(({ lead }) => lead)))
	);
	const coach = coachesOf(plan, unit ?? '').find((each) => !leading.has(each));
	const own = lanes.find((lane) => lane.id === id);
	if (coach === undefined || !own) return [...lanes];
	const first = own.blocks[0].copies[0].adults.at(0);
	const moved = first === coach ? lanes : lanes.map((lane) => swapped(lane, coach, first));
	return moved.map((lane) =>
		lane.id === id
			? {
					...lane,
					blocks: lane.blocks.map((block) => ({
						...block,
						lead: coach,
						copies: block.copies.map((copy, index) =>
							index === 0 && first === undefined
								? { ...copy, adults: [coach, ...copy.adults] }
								: copy
						)
					}))
				}
			: lane
	);
}

/** The most zones that the next unit of a period may take: those that have no lane yet want theirs as well. */
function zonesFor({ practice, context }: Plan, { lanes }: Period): number {
	const free = placesLeft(lanes, context);
	// Beside a lane of everyone else no other unit is waited for.
	if (lanes.some(({ unit }) => unit === undefined)) return free;
	const placed = new Set(lanes.map(({ unit }) => unit));
	const units = new Set(practice.expected.flatMap((id) => context.playerById.get(id)?.unit ?? []));
	const waiting = [...units].filter((unit) => !placed.has(unit)).length;
	return Math.max(1, Math.floor(free / waiting));
}

/**
 * A drill beside what a period runs, on the same minutes: a unit's players leave the other lanes and run
 * it, with the unit's coach. Null in a period of stations, where nobody of the unit is expected, or where
 * no zone that is left could hold one copy. The first copy stands in `zoneId` where it can.
 */
export function unitBeside(
	plan: Plan,
	period: Period,
	{ drill, unit, zoneId, rung }: DrillAsked & { unit: string }
): EditOf<'arrange-period'> | null {
	const players = playersOfUnit(plan, unit, onRung(drill, rung));
	if (period.slots || players.length === 0) return null;
	const rest = without(period, players);
	const makeId = idMaker(plan.practice.periods.flatMap(idsIn));
	const mostZones = zonesFor(plan, rest);
	const made = newLane(plan, {
		mostZones,
		...(zoneId !== undefined && { zoneId }),
		...(rung !== undefined && { rung }),
		...{ period: rest, drill, players, minutes: period.minutes, beside: rest.lanes },
		...{ stem: `${period.id}.${unit}`, makeId }
	});
	if (!made) return null;
	const lane = { ...made.lane, unit };
	const bibs = freeBibs(rest.groups ?? [], made.groups.length);
	const groups = made.groups.map((group, index) => ({ ...group, bib: bibs[index] }));
	return arranging(rest, {
		kind: 'units',
		lanes: withCoach(plan, [...rest.lanes, lane], lane),
		groups: [...(rest.groups ?? []), ...groups]
	});
}

/**
 * A lane given to a unit, or to nobody in particular: those of the unit who are not kept out of what it
 * runs are its players from then on, in the copies that it has, and the unit's coach leads it.
 */
export function laneForUnit(
	plan: Plan,
	{ period, lane, block }: Found,
	unit: string | null
): EditOf<'arrange-period'> {
	const { unit: _before, ...plain }: Lane = lane;
	if (unit === null) {
		const lanes: Lane[] = period.lanes.map((each) => (each === lane ? plain : each));
		const isUnits = lanes.some((each) => each.unit !== undefined);
		return arranging(period, { lanes, kind: isUnits ? 'units' : 'together' });
	}
	const drill = drillOf(plan.context, block.drill);
	const players = playersOfUnit(plan, unit, drill);
	const others = without(
		{ ...period, lanes: period.lanes.filter((each) => each !== lane) },
		players
	);
	const blocks = plain.blocks.map((each) => ({
		...each,
		copies: each.copies
			.map(({ group: _group, ...copy }, index, { length }) => ({
				...copy,
				players: players.filter((_, at) => at % length === index)
			}))
			.filter((copy, index) => index === 0 || copy.players.length > 0)
	}));
	const own = { ...plain, unit, blocks };
	const lanes = period.lanes.flatMap((each) =>
		each === lane ? [own] : others.lanes.filter(({ id }) => id === each.id)
	);
	// The groups that ran the lane before are nobody's now.
	const run = new Set(
		others.lanes.flatMap((each) =>
			each.blocks.flatMap(({ copies }) => copies.map(({ group }) => group))
		)
	);
	const groups = (others.groups ?? []).filter(({ id }) => run.has(id));
	return arranging(period, {
		kind: 'units',
		lanes: withCoach(plan, lanes, own),
		groups: groups.length > 0 ? groups : null
	});
}

/** Another drill behind a block on its lane: the same copies, the lane's minutes shared by its blocks. */
export function blockAfter(
	plan: Plan,
	{ period, lane, block }: Found,
	drill: Drill
): EditOf<'arrange-period'> | null {
	const count = lane.blocks.length + 1;
	const each = Math.floor(period.minutes / count);
	if (period.slots || each < 1) return null;
	const makeId = idMaker(plan.practice.periods.flatMap(idsIn));
	const added: Block = {
		id: makeId(`${lane.id}.b`),
		drill: { id: drill.id, revision: drill.revision ?? 1 },
		climb: [{ minutes: each }],
		minutes: each,
		copies: block.copies.map(({ climb: _climb, ...copy }) => ({
			...copy,
			id: makeId(`${lane.id}.c`)
		})),
		stopShare: NEW_STOP_SHARE,
		...(block.lead !== undefined && { lead: block.lead })
	};
	const at = lane.blocks.indexOf(block) + 1;
	const blocks = lane.blocks.toSpliced(at, 0, added).map((one, index) => ({
		...one,
		minutes: index === count - 1 ? period.minutes - each * (count - 1) : each
	}));
	const lanes = period.lanes.map((other) => (other === lane ? { ...lane, blocks } : other));
	return arranging(period, { lanes });
}
