import { greatest } from 'd3-array';
import { sameValue } from '../base';
import { groupsOf, movingGroups, otherGames, resizePeriods } from '../building';
import type { Lane, Period, Practice } from '../model/practice';
import { arrivesAt, isStation, keptOutOf, playersOfLane, unplacedIn } from '../playing';
import { applyEdit, arranging, type EditOf, type Plan } from '../practice';
import { needOfLane, playsRole } from './demand';
import { shrunk, type Who } from './evened';
import { columnsOf, withColumns } from './lane';
import { withLineups } from './lineups';
import { meeting, needOfRound, stationLanes, withFilledCopies, withParts } from './round';
import { staffed } from './staffed';

/** How many parts fewer than it has a period is left with, by its id: what else is wrong there wants it smaller. */
type Fewer = ReadonlyMap<string, number>;

/** A period while it is settled: who joins, and what cannot be staffed. */
interface Scene {
	plan: Plan;
	who: Who;
	/** How many parts fewer than there are the round and each lane may have at most. */
	fewer: number;
	/** How many fewer still where a lane cannot be staffed, and which these are. */
	fewerStaffed: number;
	unstaffed: ReadonlySet<string>;
}

const isShut = ({ blocks }: Lane, id: string, plan: Plan) =>
	blocks.some((block) => keptOutOf(plan.context.playerById.get(id), block, plan));

/** How many more players the copies of a lane take. */
function roomIn(period: Period, lane: Lane, { plan, who }: Scene): number {
	const copies = Math.max(1, ...lane.blocks.map((block) => block.copies.length));
	const coming = playersOfLane(period, lane).filter(who.comes).length;
	return needOfLane(lane, plan.context).max * copies - coming;
}

/**
 * The lane that each joining player goes to: that of their unit, else one that no unit has, else any; of
 * these one with room, and the one with the most. Who may be in none is left out.
 */
function lanesFor(period: Period, joining: readonly string[], scene: Scene) {
	const { plan } = scene;
	const lanes = period.lanes.filter((lane) => !isStation(period, lane));
	const room = new Map(lanes.map((lane) => [lane, roomIn(period, lane, scene)]));
	const roomOf = (lane: Lane) => room.get(lane) ?? 0;
	const byLane = new Map<Lane, string[]>();
	for (const id of joining) {
		const unit = plan.context.playerById.get(id)?.unit;
		const open = lanes.filter((lane) => !isShut(lane, id, plan));
		const own = open.filter((lane) => lane.unit !== undefined && lane.unit === unit);
		const common = open.filter((lane) => lane.unit === undefined);
		const choices = [own, common, open];
		const roomy = choices.map((each) => each.filter((lane) => roomOf(lane) > 0));
		const choice = [...roomy, ...choices].find(({ length }) => length > 0) ?? [];
		const lane = greatest(choice, roomOf);
		if (!lane) continue;
		room.set(lane, roomOf(lane) - 1);
		byLane.set(lane, [...(byLane.get(lane) ?? []), id]);
	}
	return byLane;
}

/** How many parts fewer some lanes are left with: more where one of them cannot be staffed. */
const fewerIn = (lanes: readonly Lane[], { fewer, fewerStaffed, unstaffed }: Scene): number =>
	fewer + (lanes.some(({ id }) => unstaffed.has(id)) ? fewerStaffed : 0);

/** The groups of a round, as many as can be filled; the round as it is where none of that will do. */
function settledRound(period: Period, joining: readonly string[], scene: Scene): Period {
	const { plan, who, unstaffed } = scene;
	const fewer = fewerIn(stationLanes(period), scene);
	const groups = movingGroups(period);
	const canGo = meeting(period) <= 1;
	const players =
		groups.flatMap((each) => each.players).filter(who.isThere).length + joining.length;
	const sizeOf = (parts: number) => Math.floor(players / Math.max(1, parts));
	const made = shrunk(
		groups.map(({ players }) => players),
		{
			joining,
			who,
			need: (parts) => needOfRound(period, sizeOf(parts), plan.context),
			most: canGo ? groups.length - fewer : groups.length,
			fewest: canGo ? Math.min(2, groups.length) : groups.length
		}
	);
	if (!made) return period;
	const round = withParts(period, made, { context: plan.context, unstaffed });
	return withFilledCopies(round, sizeOf(made.parts.length), plan.context);
}

/** The copies of a lane, as many as can be filled; null where none of that will do. */
function settledLane(
	period: Period,
	lane: Lane,
	{ joining, scene }: { joining: readonly string[]; scene: Scene }
): Period | null {
	const { plan, who } = scene;
	const columns = columnsOf(period, lane);
	if (!columns || columns.length === 0) return period;
	const adultsAt = (index: number) =>
		lane.blocks[0].copies[index].adults.filter((id) => plan.practice.adults.includes(id)).length;
	const made = shrunk(columns, {
		joining,
		who,
		need: () => needOfLane(lane, plan.context),
		most: Math.max(1, columns.length - fewerIn([lane], scene)),
		goes: (index) => Math.min(1, adultsAt(index))
	});
	return made && withColumns(period, lane, made);
}

/** A period without a lane and the groups that only that lane has: its players have no place then. */
function withoutLane(period: Period, gone: Lane): Period {
	const lanes = period.lanes.filter((lane) => lane !== gone);
	const used = period.slots ? movingGroups(period) : [];
	const kept = [...used, ...groupsOf(period, lanes)];
	const { groups: _before, ...rest } = period;
	return { ...rest, lanes, ...(kept.length > 0 && { groups: kept }) };
}

/** A period without the lanes that nobody comes to; null where nobody comes to any. */
function withoutEmpty(period: Period, { who }: Scene): Period | null {
	const isRun = (lane: Lane) =>
		isStation(period, lane)
			? movingGroups(period).some(({ players }) => players.some(who.comes))
			: lane.blocks.length === 0 || playersOfLane(period, lane).some(who.comes);
	const lanes = period.lanes.filter(isRun);
	if (lanes.length === 0 && period.lanes.length > 0) return null;
	return lanes.length === period.lanes.length ? period : { ...period, lanes };
}

/**
 * The parts of a period for those who come: its round, then each lane beside. A lane that has too few goes,
 * where the others can take its players. Null where nobody runs any of it.
 */
function shaped(before: Period, scene: Scene): Period | null {
	const { period, stuck } = lanesShaped(before, scene);
	for (const lane of stuck) {
		if (before.lanes.length < 2) break;
		const without = lanesShaped(withoutLane(before, lane), scene);
		if (without.stuck.length < stuck.length) return withoutEmpty(without.period, scene);
	}
	return withoutEmpty(period, scene);
}

/** The parts of a period, and the lanes beside its round that no division suits: they stay as they are. */
function lanesShaped(before: Period, scene: Scene): { period: Period; stuck: Lane[] } {
	const joining = unplacedIn(before, scene.plan);
	const isRound = before.slots !== undefined && before.slots.length > 0;
	const stations = stationLanes(before);
	const throughRound = isRound
		? joining.filter((id) => !stations.some((lane) => isShut(lane, id, scene.plan)))
		: [];
	const beside = lanesFor(
		before,
		joining.filter((id) => !throughRound.includes(id)),
		scene
	);
	let period = isRound ? settledRound(before, throughRound, scene) : before;
	const stuck: Lane[] = [];
	for (const lane of before.lanes) {
		const own = period.lanes.find(({ id }) => id === lane.id);
		if (!own || isStation(before, lane)) continue;
		const settled = settledLane(period, own, { joining: beside.get(lane) ?? [], scene });
		if (!settled) stuck.push(lane);
		else period = settled;
	}
	return { period, stuck };
}

/** How many parts a period can lose at most: more are not tried. */
const MOST_FEWER = 6;

/**
 * A period for those who come: parts that keep who they have, lose who is missing and take who is new; too
 * small ones are filled from others or go, what nobody can stand with goes, line-ups follow. The same value
 * where nothing changes, null where nobody runs any of it.
 */
export function settledPeriod(
	plan: Plan,
	period: Period,
	{ second, fewer = 0 }: { second: number; fewer?: number }
): Period | null {
	if (period.lanes.length === 0) return period;
	const { practice, context } = plan;
	const [expected, adults] = [new Set(practice.expected), new Set(practice.adults)];
	const leaders = new Set((period.groups ?? []).map(({ leader }) => leader));
	const hasCome = (id: string) => arrivesAt(practice, id) <= second;
	const who: Who = {
		comes: (id) => expected.has(id),
		isThere: (id) => expected.has(id) && hasCome(id),
		plays: (id, role) => playsRole(context.playerById.get(id), role),
		leads: (id) => leaders.has(id)
	};
	const isHere = (id: string) => adults.has(id) && hasCome(id);
	const unstaffed = new Set<string>();
	let first: Period | undefined;
	for (let fewerStaffed = 0; fewerStaffed <= MOST_FEWER; fewerStaffed += 1) {
		const next = shaped(period, { plan, who, fewer, fewerStaffed, unstaffed });
		if (!next) return null;
		const made = staffed(plan, next, { isHere, isThere: who.isThere });
		const whole = withLineups(plan, led(made.period, who.comes, context), who.comes);
		const settled = sameValue(whole, period) ? period : whole;
		if (made.unstaffed.size === 0) return settled;
		first ??= settled;
		for (const lane of made.unstaffed) unstaffed.add(lane);
	}
	return first ?? period;
}

/** Groups whose leader does not come are led by another who leads well, where there is one. */
function led(period: Period, comes: (id: string) => boolean, { playerById }: Plan['context']) {
	if (!period.groups) return period;
	const groups = period.groups.map((group) => {
		if (group.leader === undefined) return group;
		const { leader: before, ...rest } = group;
		if (comes(before) && group.players.includes(before)) return group;
		const leader = group.players.find((id) => comes(id) && playerById.get(id)?.leads);
		return { ...rest, ...(leader !== undefined && { leader }) };
	});
	return { ...period, groups };
}

/** A practice whose periods are settled, and the edits that come to it, in their order. */
export interface Settled {
	practice: Practice;
	edits: EditOf<'all'>['edits'];
}

/**
 * Settles the periods of a practice for those who come to it; those that `fewer` names are left with so many parts
 * fewer. Rounds that have other slots then have their minutes cut anew.
 */
export function settle({ practice, context }: Plan, fewer: Fewer = new Map()): Settled {
	const edits: Settled['edits'] = [];
	let now = practice;
	const take = (edit: Settled['edits'][number]) => {
		const applied = applyEdit(now, edit);
		if (!applied.ok) throw new Error(`a settled period does not apply: ${applied.failure}`);
		edits.push(edit);
		now = applied.value.practice;
	};
	const rounds = new Map<string, number>();
	let second = 0;
	for (const period of practice.periods) {
		const own = settledPeriod({ practice, context }, period, {
			second,
			fewer: fewer.get(period.id)
		});
		second += period.minutes * 60;
		if (own === null) {
			const [game] = otherGames({ practice: now, context }, period);
			for (const edit of game?.edits ?? [{ type: 'remove-period' as const, period: period.id }])
				take(edit);
		}
		if (own !== null && own !== period) {
			take(arranging(own));
			if (own.slots) rounds.set(period.id, period.minutes);
		}
	}
	if (rounds.size > 0) take(resizePeriods(now, rounds));
	return { practice: now, edits };
}
