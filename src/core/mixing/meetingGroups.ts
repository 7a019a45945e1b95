import { movingGroups, regroup } from '../building';
import { sameValue } from '../base';
import type { Lane, Period, Practice } from '../model/practice';
import { isStation } from '../playing';
import { applyEdit, arranging, type Context, type EditOf, findPeriod } from '../practice';
import { columnsOf, needOfLane, playsRole, stationLanes, withColumns } from '../settling';
import type { Occasion } from './readMix';

/** Which groups are mixed: those that go through stations, or the copies of a drill. */
export type Wanted = { of: 'stations' } | { of: 'drill'; drill: string };

/** An occasion of a practice on which players are in groups: a round of stations, or a drill in copies. */
export interface Meeting extends Occasion {
	practice: string;
	date: string;
	/** Ids of the periods that have these groups: a round that water divides has two. */
	periods: string[];
	/** Id of the lane whose copies these are; none for a round. */
	lane?: string;
	/** Names of the periods. */
	name: string;
}

/** An occasion to come, with the number of the state of the practice that it was read from. */
export interface PlannedMeeting extends Meeting {
	revision: number;
}

/** Groups of practices to come that can be mixed, and who has met whom, how often, in those that were held. */
export interface Mixable {
	choices: {
		wanted: Wanted;
		/** Name of the drill; null for rounds of stations. */
		name: string | null;
		meetings: PlannedMeeting[];
	}[];
	met: [a: string, b: string, times: number][];
}

/** Those of some players without whom a lane cannot be run. */
const neededIn = (lanes: readonly Lane[], players: readonly string[], context: Context) => {
	const roles = lanes.flatMap((lane) => needOfLane(lane, context).roles);
	return players.filter((id) =>
		roles.some(({ role }) => playsRole(context.playerById.get(id), role))
	);
};

function ofPeriod(
	practice: Practice,
	period: Period,
	{ wanted, context }: { wanted: Wanted; context: Context }
): Meeting[] {
	const expected = new Set(practice.expected);
	const coming = (ids: readonly string[]) => ids.filter((id) => expected.has(id));
	const at = {
		practice: practice.id,
		date: practice.date,
		periods: [period.id],
		name: period.name
	};
	if (wanted.of === 'stations') {
		if (!period.slots) return [];
		const groups = movingGroups(period).map(({ players }) => coming(players));
		const stay = neededIn(stationLanes(period), groups.flat(), context);
		return groups.length > 1 ? [{ ...at, groups, stay }] : [];
	}
	return period.lanes.flatMap((lane): Meeting[] => {
		const isIt = lane.blocks.every(({ drill }) => drill?.id === wanted.drill);
		const columns = isIt && !isStation(period, lane) ? columnsOf(period, lane) : null;
		if (!columns || columns.length < 2) return [];
		const groups = columns.map(coming);
		return [{ ...at, lane: lane.id, groups, stay: neededIn([lane], groups.flat(), context) }];
	});
}

/** All occasions of some practices on which players are in such groups, in order. */
export function occasionsIn(
	practices: readonly Practice[],
	wanted: Wanted,
	context: Context
): Meeting[] {
	return practices.flatMap((practice) => {
		const all = practice.periods.flatMap((period) =>
			ofPeriod(practice, period, { wanted, context })
		);
		return all.reduce<Meeting[]>((kept, next) => {
			const same = kept.find(({ groups }) => sameValue(groups, next.groups));
			if (same && !next.lane) same.periods.push(...next.periods);
			else kept.push({ ...next });
			return kept;
		}, []);
	});
}

/** A period in which an occasion has these groups; who does not come keeps a place. */
function withGroups(
	period: Period,
	{ lane: laneId, groups }: Pick<Meeting, 'lane' | 'groups'>,
	expected: ReadonlySet<string>
): EditOf<'arrange-period'> {
	const away = (ids: readonly string[]) => ids.filter((id) => !expected.has(id));
	const seated = (before: readonly (readonly string[])[]) =>
		before.map((players, k) => [...(groups[k] ?? []), ...away(players)]);
	const lane = period.lanes.find(({ id }) => id === laneId);
	if (!lane) return regroup(period, seated(movingGroups(period).map(({ players }) => players)));
	const parts = seated(columnsOf(period, lane) ?? []);
	return arranging(withColumns(period, lane, { kept: [...parts.keys()], parts }));
}

/** The edits that give occasions of one practice their groups, one after another. */
export function mixingEdits(
	practice: Practice,
	occasions: readonly Pick<Meeting, 'periods' | 'lane' | 'groups'>[]
): EditOf<'arrange-period'>[] {
	const expected = new Set(practice.expected);
	const edits: EditOf<'arrange-period'>[] = [];
	let now = practice;
	for (const occasion of occasions)
		for (const id of occasion.periods) {
			// Two lanes of one period: the second is changed in what the first has made of it.
			const period = findPeriod(now, id);
			if (!period) continue;
			const edit = withGroups(period, occasion, expected);
			const applied = applyEdit(now, edit);
			if (!applied.ok) throw new Error(`groups of ${id} do not apply: ${applied.failure}`);
			edits.push(edit);
			now = applied.value.practice;
		}
	return edits;
}

/** How many pairs of a squad are never together, and how often those are who are together most. */
export function meetingRange(
	squad: readonly string[],
	met: readonly (readonly [string, string, number])[],
	groups: readonly (readonly string[])[]
): { never: number; most: number } {
	const times = new Map<string, number>();
	const add = (a: string, b: string, by: number) => {
		const key = a < b ? `${a} ${b}` : `${b} ${a}`;
		times.set(key, (times.get(key) ?? 0) + by);
	};
	for (const [a, b, often] of met) add(a, b, often);
	for (const group of groups)
		for (const [k, a] of group.entries()) for (const b of group.slice(k + 1)) add(a, b, 1);
	const all = squad.flatMap((a, k) =>
		squad.slice(k + 1).map((b) => times.get(a < b ? `${a} ${b}` : `${b} ${a}`) ?? 0)
	);
	return { never: all.filter((often) => often === 0).length, most: Math.max(0, ...all) };
}
