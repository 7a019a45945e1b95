import { splitEvenly } from '../base';
import {
	plainPeriod,
	roundPlayers,
	splitIntoStations,
	stationGives,
	stationPlayers,
	suggestStations,
	type StationWish
} from '../building';
import type { Block, Period } from '../model/practice';
import { applyEdit } from '../practice';
import { mostStations } from '../sizing';
import type { Choice } from './choices';
import { laneBeside } from './dailyLane';
import type { Filling, Held } from './filling';

export const MOVE_SECONDS = 30;
/** A station takes a group of at least so many, and no more than these. */
const STATION_GROUP = 3;
const MOST_STATION_GROUP = 10;
export const FEWEST_STATIONS = 3;
/** Share of its time that a group may be in line at a station before that counts against it. */
const LONG_WAIT = 0.47;

/** What a station is worth beside one that keeps its group busy. */
const worthWaiting = (share: number): number => (share > LONG_WAIT ? 1 - share : 1);

/** A round of stations, with a lane beside it for a daily drill that only some do. */
export function stations(filling: Filling, minutes: number): boolean {
	return filling.withoutBlamed(() => stationsOnce(filling, minutes));
}

function stationsOnce(filling: Filling, minutes: number): Held {
	const { context } = filling.plan;
	const id = filling.makeId()('stations');
	const empty: Period = {
		...plainPeriod('stations', { id, name: filling.taste.names.stations, minutes }),
		...{ slots: [], groups: [], min: Math.max(1, Math.round(minutes * 0.7)) }
	};
	const beside = laneBeside(filling, empty);
	const period = beside ? { ...empty, lanes: [beside.lane], groups: beside.groups } : empty;
	const players = stationPlayers(filling.now, period);
	const wishes = stationWishes(filling, period, players);
	if (!wishes) return { isHeld: false };
	const slot = minutes / wishes.length;
	const edit = splitIntoStations(
		{ practice: filling.practice, context },
		{
			...{ period, wishes, moveSeconds: MOVE_SECONDS },
			sizes: splitEvenly(players.length, wishes.length)
		}
	);
	filling.append(period);
	const applied = applyEdit(filling.practice, edit);
	if (!applied.ok) {
		filling.practice = { ...filling.practice, periods: filling.practice.periods.slice(0, -1) };
		return { isHeld: false };
	}
	const before = filling.practice;
	filling.practice = applied.value.practice;
	onRungs(filling, id);
	const held = filling.holdLast();
	if (!held.isHeld) {
		filling.practice = { ...before, periods: before.periods.slice(0, -1) };
		return held;
	}
	takeStations(filling, wishes, slot);
	if (beside) filling.used.add(beside.choice.drill.id);
	return held;
}

/** Stations that their groups can run without long waits: as many as there is time for, or fewer. */
function stationWishes(
	filling: Filling,
	period: Period,
	players: readonly string[]
): StationWish[] | null {
	const { context } = filling.plan;
	const { minutes } = period;
	const most = mostStations(minutes, {
		age: context.team.ages.from,
		moveSeconds: MOVE_SECONDS
	});
	const least = Math.max(FEWEST_STATIONS, Math.ceil(players.length / MOST_STATION_GROUP));
	for (
		let count = Math.min(most, Math.floor(players.length / STATION_GROUP));
		count >= least;
		count -= 1
	) {
		const each = minutes / count;
		const group = Math.ceil(players.length / count);
		const waits = new Map(
			filling.choices.map((choice) => [choice, waitAt(filling, choice, group, each)])
		);
		const order = filling.inOrder(
			each,
			(choice) => waits.get(choice) !== null,
			(choice) => worthWaiting(waits.get(choice) ?? 0)
		);
		const wishes = suggestStations(filling.now, {
			...{ period, kept: [], beside: period.lanes, count, players, minutes: each },
			first: order.map(({ run }) => run)
		});
		const isMeant = ({ drill }: StationWish) => order.some(({ run }) => run === drill);
		if (wishes.length < count || !wishes.every(isMeant)) continue;
		// Who is kept out of one station is out of the round: the groups are smaller then.
		const drills = wishes.map(({ drill }) => drill);
		const smallest = Math.floor(roundPlayers(filling.now, period, drills).length / count);
		if (drills.every(({ group: { min } }) => smallest >= min)) return wishes;
	}
	return null;
}

/** Share of its time that a group is in line at a station, over what suits; null where it cannot run the drill. */
function waitAt(
	filling: Filling,
	{ run }: Choice,
	players: number,
	minutes: number
): number | null {
	if (players < run.group.min || players > run.group.max) return null;
	const given = stationGives(run, { players, minutes });
	if (!given) return null;
	return run.restByDesign ? 0 : given.share.wait;
}

/** Stations run their drills on the rungs where their ladders go on. */
function onRungs(filling: Filling, id: string): void {
	const rungs = new Map(filling.choices.map(({ drill, rung }) => [drill.id, rung]));
	const climbed = (block: Block): Block => {
		const rung = rungs.get(block.drill?.id ?? '');
		if (rung === undefined) return block;
		return { ...block, climb: block.climb.map((step) => ({ ...step, rung })) };
	};
	filling.practice = {
		...filling.practice,
		periods: filling.practice.periods.map((period) =>
			period.id === id
				? {
						...period,
						lanes: period.lanes.map((lane) => ({ ...lane, blocks: lane.blocks.map(climbed) }))
					}
				: period
		)
	};
}

/** What a round gives its players: a slot of each station. */
function takeStations(filling: Filling, wishes: readonly StationWish[], minutes: number): void {
	for (const { drill } of wishes) {
		const choice = filling.choices.find(({ run }) => run === drill);
		if (choice) filling.take(choice, minutes);
	}
}
