import type { Drill } from '../../src/core/model/drill';
import type { Runner } from '../../src/core/drill';

/** What the slow simulator counts for each player. */
export interface SlowSums {
	reps: number;
	help: number;
	activeSeconds: number;
	helpSeconds: number;
	longestWaitSeconds: number;
	sides: number[];
	loads: Record<string, number>;
	bySpot: Record<string, { turns: number; activeSeconds: number }>;
}

interface Placed {
	runner: Runner;
	sums: SlowSums;
	/** Half seconds of the run in which the player was busy. */
	busy: boolean[];
}

const isWork = (role: string) => role === 'worker' || role === 'opponent';

/** Deals as the rules are written: units first, then counts, then the rest over the flagged lines. */
function dealSlowly(drill: Drill, players: Placed[]): Placed[][] {
	const rest = [...players];
	const lines: Placed[][] = drill.spots.map(() => []);
	drill.spots.forEach((spot, s) => {
		if (spot.unit === undefined) return;
		while (lines[s].length < spot.count) {
			const index = rest.findIndex(({ runner }) => runner.unit === spot.unit);
			if (index < 0) break;
			lines[s].push(...rest.splice(index, 1));
		}
	});
	drill.spots.forEach((spot, s) => {
		while (lines[s].length < spot.count) lines[s].push(rest.shift() as Placed);
	});
	const shared: Record<string, number> = {};
	for (const player of rest) {
		const flagged = drill.spots.map((spot, s) => ({ spot, s })).filter(({ spot }) => spot.line);
		const own = flagged.filter(
			({ spot }) => player.runner.unit !== undefined && spot.unit === player.runner.unit
		);
		const open = flagged.filter(({ spot }) => spot.unit === undefined);
		const set = [own, open, flagged].find((list) => list.length > 0)?.map(({ s }) => s) ?? [0];
		const key = set.join();
		shared[key] = shared[key] ?? 0;
		lines[set[shared[key] % set.length]].push(player);
		shared[key] += 1;
	}
	return lines;
}

/** A step of a slow climb: so many turns, all on one side where one is named. */
export interface SlowStep {
	drill: Drill;
	turns: number;
	side?: string;
}

/** The golden part of a whole: turns that go the other way are spread by it. */
const GOLDEN = (Math.sqrt(5) - 1) / 2;

/**
 * A slow, obvious simulator that walks through a run half a second at a time: the oracle for the
 * fast one. All times of the drills must be multiples of half a second; players hold every spot. The steps
 * go round until the time is over; a drill by itself is one step that never ends.
 */
export function simulateSlowly(
	asked: Drill | readonly SlowStep[],
	runners: readonly Runner[],
	runSeconds: number
) {
	const isClimb = Array.isArray(asked);
	const steps: SlowStep[] = isClimb
		? [...(asked as readonly SlowStep[])]
		: [{ drill: asked as Drill, turns: Infinity }];
	const names = [...new Set(steps.flatMap(({ drill }) => drill.sides?.names ?? []))];
	const players = runners.map((runner): Placed => ({
		runner,
		busy: new Array(runSeconds * 2).fill(false),
		sums: {
			reps: 0,
			help: 0,
			activeSeconds: 0,
			helpSeconds: 0,
			longestWaitSeconds: 0,
			sides: names.map(() => 0),
			loads: {},
			bySpot: {}
		}
	}));
	for (const { sums } of players)
		for (const { drill } of steps) {
			for (const { id } of drill.spots) sums.bySpot[id] = { turns: 0, activeSeconds: 0 };
			for (const { kind } of drill.turn.loads ?? []) sums.loads[kind] = 0;
		}
	const startedOf = steps.map(() => 0);
	const endedOf = steps.map(() => 0);
	const turnsOf = steps.map(() => 0);
	let turns = 0;

	let at = -1;
	let lines: Placed[][] = [];
	let open: { start: number; number: number; on: Placed[][] }[] = [];
	let startedNow = 0;
	let endedNow = 0;
	let nextStart = 0;
	let mark = 0;

	/** The next step begins: those who had least so far go to work first. */
	function beginStep(now: number): void {
		at = (at + 1) % steps.length;
		const { drill } = steps[at];
		const order = players
			.map((player, given) => ({ player, given }))
			.sort(
				(a, b) =>
					a.player.sums.reps - b.player.sums.reps ||
					a.player.sums.activeSeconds - b.player.sums.activeSeconds ||
					a.given - b.given
			)
			.map(({ player }) => player);
		if (isClimb) {
			const sorted = [true, false].flatMap((works) =>
				drill.spots.filter(({ role }) => isWork(role) === works)
			);
			const dealt = dealSlowly({ ...drill, spots: sorted }, order);
			lines = drill.spots.map((spot) => dealt[sorted.indexOf(spot)]);
		} else lines = dealSlowly(drill, order);
		[startedNow, endedNow, nextStart] = [0, 0, now];
		mark = now + (drill.rotation.everySeconds ?? 0);
	}

	function endTurn({ start, number, on }: (typeof open)[number], now: number): void {
		const { drill, side: fixed } = steps[at];
		const { everyTurns = 1, everySeconds, moves, result } = drill.rotation;
		turns += 1;
		turnsOf[at] += 1;
		endedOf[at] += 1;
		endedNow += 1;
		let moveOn = endedNow % everyTurns === 0;
		if (everySeconds !== undefined) {
			moveOn = now >= mark;
			if (moveOn) while (mark <= now) mark += everySeconds;
		}
		const own = drill.sides?.names ?? ['only'];
		const index =
			drill.sides?.everyTurns !== undefined
				? Math.floor(number / drill.sides.everyTurns) % own.length
				: Math.floor((start * own.length) / runSeconds + 1e-9);
		const side = names.indexOf(fixed ?? own[index]);
		const part = endedOf[at] * GOLDEN;
		const isSpecial = result !== undefined && part - Math.floor(part) >= 1 - result.share;
		on.forEach((group, s) => {
			const spot = drill.spots[s];
			for (const { sums } of group) {
				sums.bySpot[spot.id].turns += 1;
				for (const { kind, count, spots } of drill.turn.loads ?? [])
					if (spots ? spots.includes(spot.id) : isWork(spot.role)) sums.loads[kind] += count;
				if (isWork(spot.role)) {
					sums.reps += spot.repsPerTurn ?? 1;
					if (side >= 0) sums.sides[side] += spot.repsPerTurn ?? 1;
				} else sums.help += 1;
			}
		});
		const leadOf = (id: string): string | undefined =>
			isSpecial ? result?.moves[id] : moveOn ? (moves[id] ?? id) : undefined;
		on.forEach((group, s) => {
			if (leadOf(drill.spots[s].id) === undefined) lines[s].unshift(...group);
		});
		on.forEach((group, s) => {
			const to = leadOf(drill.spots[s].id);
			if (to !== undefined) lines[drill.spots.findIndex(({ id }) => id === to)].push(...group);
		});
	}

	beginStep(0);
	for (let now = 0; now <= runSeconds; now += 0.5) {
		const over = open.filter(({ start }) => start + steps[at].drill.turn.workSeconds === now);
		open = open.filter((turn) => !over.includes(turn));
		for (const turn of over) endTurn(turn, now);
		if (startedNow === steps[at].turns && open.length === 0 && now >= nextStart && now < runSeconds)
			beginStep(now);
		const { drill, turns: most } = steps[at];
		if (
			startedNow < most &&
			now >= nextStart &&
			now < runSeconds &&
			drill.spots.every(({ count }, s) => lines[s].length >= count)
		) {
			const on = drill.spots.map(({ count, upTo }, s) => lines[s].splice(0, upTo ?? count));
			open.push({ start: now, number: startedOf[at], on });
			startedOf[at] += 1;
			startedNow += 1;
			nextStart = now + drill.turn.headwaySeconds;
		}
		if (now === runSeconds) break;
		for (const { start, on } of open)
			on.forEach((group, s) => {
				const spot = drill.spots[s];
				if (now < start + (spot.joinsAtSeconds ?? 0)) return;
				for (const { busy, sums } of group) {
					busy[now * 2] = true;
					sums.bySpot[spot.id].activeSeconds += 0.5;
					sums[isWork(spot.role) ? 'activeSeconds' : 'helpSeconds'] += 0.5;
				}
			});
	}
	for (const { busy, sums } of players) {
		let wait = 0;
		for (const isBusy of busy) {
			wait = isBusy ? 0 : wait + 0.5;
			sums.longestWaitSeconds = Math.max(sums.longestWaitSeconds, wait);
		}
	}
	return { turns, turnsOf, sums: players.map(({ sums }) => sums) };
}
