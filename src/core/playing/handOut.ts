import { max, sum } from 'd3-array';
import type { Drill } from '../model/drill';
import type { Block, Group, Period } from '../model/practice';
import type { Adult } from '../model/team';
import { kitNeeded } from '../sizing';
import type { Evaluation } from './evaluate';
import type { PlayedRun } from './playRun';
import type { PlannedRun } from './schedule';

/** The way of somebody through a practice: what they run, in order of time. */
export interface Way<Who> {
	who: Who;
	runs: PlannedRun[];
}

const inTime = (runs: readonly PlayedRun[]): PlannedRun[] =>
	runs.map(({ run }) => run).sort((a, b) => a.fromSecond - b.fromSecond);

/** What each adult who comes stands with, in order of time; nobody who stands with nothing. */
export function waysOfAdults({ practice, context, runs }: Evaluation): Way<Adult>[] {
	return practice.adults.flatMap((id) => {
		const who = context.adultById.get(id);
		const own = runs.filter(({ run }) => run.adults.includes(id));
		return who && own.length > 0 ? [{ who, runs: inTime(own) }] : [];
	});
}

/** A group of a round of stations, with those of it who come. */
export interface GroupThere {
	period: Period;
	group: Group;
	/** Ids of its players who come. */
	players: string[];
	/** Its leader, where that one comes. */
	leader?: string;
}

/** The way of each group through its stations, in the order of the practice. */
export function waysOfGroups({ practice, runs }: Evaluation): Way<GroupThere>[] {
	const comes = new Set(practice.expected);
	return practice.periods.flatMap((period) =>
		(period.slots ? (period.groups ?? []) : []).flatMap((group): Way<GroupThere>[] => {
			const own = runs.filter(
				({ run }) =>
					run.period === period && run.slot !== null && run.groups.some(({ id }) => id === group.id)
			);
			const players = group.players.filter((id) => comes.has(id));
			if (own.length === 0 || players.length === 0) return [];
			const leader =
				group.leader !== undefined && comes.has(group.leader) ? group.leader : undefined;
			const who = { period, group, players, ...(leader !== undefined && { leader }) };
			return [{ who, runs: inTime(own) }];
		})
	);
}

/** Things that a block needs, where and when. */
export interface Load {
	block: Block;
	drill: Drill;
	/** Ids of the zones that they lie in. */
	zoneIds: string[];
	/** Seconds of the practice between which they are in use. */
	fromSecond: number;
	toSecond: number;
	/** Seconds before that in which they are laid out. */
	setupSeconds: number;
	/** Ids of the adults who stand there first: they lay it out. */
	adults: string[];
	items: { item: string; count: number }[];
}

/**
 * What lies where in a practice, in order of time, how many of each thing are loose at most at once, and how many
 * stay racked all the while: null where the team does not count them.
 */
export interface CarryList {
	loads: Load[];
	most: { item: string; count: number; racked: number | null }[];
}

/** All that has to be carried for a practice; a block is laid out for the largest of its groups. */
export function carryList({ runs, context }: Evaluation): CarryList {
	const blocks = [...new Set(runs.map(({ run }) => run.block))];
	const loads = blocks.flatMap((block): Load[] => {
		const own = runs.filter(({ run }) => run.block === block).map(({ run }) => run);
		const drill = own[0].drill;
		if (!drill) return [];
		const slots = new Set(own.map(({ slot }) => slot));
		/** Needs of a slot: all copies that run side by side. */
		const needs = [...slots].map((slot) => {
			const there = own.filter((run) => run.slot === slot);
			return kitNeeded(drill, {
				copies: there.length,
				players: sum(there, ({ players }) => players.length)
			});
		});
		const items = [...new Set(needs.flatMap((each) => [...each.keys()]))].map((item) => ({
			item,
			count: max(needs, (each) => each.get(item) ?? 0) ?? 0
		}));
		const first = own.reduce((a, b) => (b.fromSecond < a.fromSecond ? b : a));
		return [
			{
				...{ block, drill, items, setupSeconds: drill.setup?.seconds ?? 0 },
				zoneIds: [...new Set(own.map(({ copy }) => copy.zoneId))],
				fromSecond: first.fromSecond,
				toSecond: max(own, ({ toSecond }) => toSecond) ?? first.toSecond,
				adults: [
					...new Set(own.filter(({ slot }) => slot === first.slot).flatMap(({ adults }) => adults))
				]
			}
		];
	});
	loads.sort((a, b) => a.fromSecond - b.fromSecond);
	const names = [...new Set(loads.flatMap(({ items }) => items.map(({ item }) => item)))];
	const at = (second: number, item: string) =>
		sum(
			loads.filter((load) => load.fromSecond <= second && second < load.toSecond),
			({ items }) => items.find((each) => each.item === item)?.count ?? 0
		);
	const most = names.map((item) => {
		const count = max(loads, ({ fromSecond }) => at(fromSecond, item)) ?? 0;
		const has = Object.hasOwn(context.kit, item) ? context.kit[item] : null;
		return { item, count, racked: has === null ? null : Math.max(0, has - count) };
	});
	return { loads, most };
}
