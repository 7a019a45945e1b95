import { least, sum } from 'd3-array';
import type { Drill } from '../model/drill';
import type { Block, GamePlan, Lane, Period } from '../model/practice';
import { playersOfLane } from '../playing';
import type { Context, Plan } from '../practice';
import { FILLER, fewerPlaces, lineup } from '../rotation';
import { rungsOf } from './demand';

type Shift = GamePlan['shifts'][number];

const SHIFT_MINUTES = 5;

/** A game: what is played, by whom, for how long. */
export interface Game {
	drill: Drill;
	players: readonly string[];
	minutes: number;
}

/** Who plays where in a game, a shift about every five minutes; null where nobody can say. */
export function gamePlan(
	{ team, playerById }: Context,
	{ drill, players, minutes }: Game
): GamePlan | null {
	// As many play at once as the game takes, half of them on each side.
	const places = sum(drill.spots, ({ role, count, upTo = count }) =>
		role === 'worker' ? upTo : 0
	);
	const side = Math.floor(Math.min(places, players.length) / 2);
	const positions = fewerPlaces(team.positions ?? [], side);
	const all = [...new Set(positions)];
	const planned = (positionsOf: (id: string) => string[]) =>
		lineup({
			players: players.map((id) => ({ id, positions: positionsOf(id) })),
			positions,
			teams: players.length >= 2 * positions.length ? 2 : 1,
			shifts: Math.max(1, Math.round(minutes / SHIFT_MINUTES)),
			fillers: 0
		});
	/** The positions that somebody knows: their own, else those of their unit, else any. */
	const known = (id: string): string[] => {
		const player = playerById.get(id);
		const ofUnit = all.filter((position) =>
			team.positionList?.some((each) => each.id === position && each.unit === player?.unit)
		);
		const own = (player?.positions ?? ofUnit).filter((position) => all.includes(position));
		return own.length > 0 ? own : all;
	};
	/** The same, and then any other that is no special one: only those of its unit go into goal. */
	const widened = (id: string): string[] => {
		const own = known(id);
		const others = all.filter((position) => !own.includes(position) && !isSpecial(position));
		return [...own, ...others];
	};
	const isSpecial = (position: string) =>
		players.some((id) => playerById.get(id)?.positions?.[0] === position) &&
		positions.filter((each) => each === position).length === 1;
	for (const positionsOf of [known, widened, () => all]) {
		const outcome = planned(positionsOf);
		if (outcome.ok) return { positions, shifts: outcome.value.shifts };
	}
	return null;
}

/** A shift in which those who sit take the places of those who are not there; null where a place stays empty. */
function filled(
	{ at, sit }: Shift,
	{
		players,
		positions,
		played,
		context
	}: {
		players: ReadonlySet<string>;
		positions: readonly string[];
		played: Map<string, number>;
		context: Context;
	}
): Shift | null {
	const known = new Set([...Object.values(at), ...sit]);
	const bench = new Set([
		...sit.filter((id) => players.has(id)),
		...[...players].filter((id) => !known.has(id))
	]);
	const next: Record<string, string> = {};
	for (const [place, before] of Object.entries(at)) {
		if (players.has(before) || before === FILLER) {
			next[place] = before;
			continue;
		}
		const position = positions[Number(place.split(':')[1])];
		const mayPlay = (id: string) => {
			const own = context.playerById.get(id)?.positions;
			return own === undefined || own.includes(position);
		};
		const id = least([...bench].filter(mayPlay), (each) => played.get(each) ?? 0);
		if (id === undefined) return null;
		bench.delete(id);
		played.set(id, (played.get(id) ?? 0) + 1);
		next[place] = id;
	}
	return { at: next, sit: [...bench] };
}

/**
 * A line-up for those who are there: everyone stays where they play, and who sits takes an empty place, those
 * first who play least. A new one where that cannot be; null where nobody can say.
 */
export function lineupOf(before: GamePlan, game: Game, context: Context): GamePlan | null {
	const there = new Set(game.players);
	const played = new Map<string, number>();
	for (const { at } of before.shifts)
		for (const id of Object.values(at)) played.set(id, (played.get(id) ?? 0) + 1);
	const { positions } = before;
	const shifts = before.shifts.map((shift) =>
		filled(shift, { players: there, positions, played, context })
	);
	if (shifts.every((shift) => shift !== null)) return { positions, shifts };
	return gamePlan(context, game);
}

/** A period whose line-ups hold those who are there, and nobody else. */
export function withLineups(
	{ context }: Plan,
	period: Period,
	comes: (id: string) => boolean
): Period {
	const ofLane = (lane: Lane) => playersOfLane(period, lane).filter(comes);
	const inBlock = (block: Block, lane: Lane): Block => {
		const { lineup: before, ...rest } = block;
		if (!before) return block;
		const players = ofLane(lane);
		const held = new Set(before.shifts.flatMap(({ at, sit }) => [...Object.values(at), ...sit]));
		held.delete(FILLER);
		if (held.size === players.length && players.every((id) => held.has(id))) return block;
		const [drill] = rungsOf(block, context);
		const next = drill && lineupOf(before, { drill, players, minutes: block.minutes }, context);
		return next ? { ...rest, lineup: next } : rest;
	};
	return {
		...period,
		lanes: period.lanes.map((lane) => ({
			...lane,
			blocks: lane.blocks.map((block) => inBlock(block, lane))
		}))
	};
}
