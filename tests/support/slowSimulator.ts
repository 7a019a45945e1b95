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

/**
 * A slow, obvious simulator that walks through a run half a second at a time: the oracle for the
 * fast one. All times of the drill must be multiples of half a second; players hold every spot.
 */
export function simulateSlowly(drill: Drill, runners: readonly Runner[], runSeconds: number) {
	const { workSeconds, headwaySeconds } = drill.turn;
	const { everyTurns = 1, everySeconds, moves } = drill.rotation;
	const names = drill.sides?.names ?? ['only'];
	const players = runners.map((runner): Placed => ({
		runner,
		busy: new Array(runSeconds * 2).fill(false),
		sums: {
			reps: 0,
			help: 0,
			activeSeconds: 0,
			helpSeconds: 0,
			longestWaitSeconds: 0,
			sides: names.map(() => 0)
		}
	}));
	const lines = dealSlowly(drill, players);
	const open: { start: number; number: number; on: Placed[][] }[] = [];
	let turns = 0;
	let started = 0;
	let ended = 0;
	let nextStart = 0;
	let mark = everySeconds ?? 0;

	for (let now = 0; now <= runSeconds; now += 0.5) {
		for (const turn of open.filter(({ start }) => start + workSeconds === now)) {
			open.splice(open.indexOf(turn), 1);
			turns += 1;
			ended += 1;
			let moveOn = ended % everyTurns === 0;
			if (everySeconds !== undefined) {
				moveOn = now >= mark;
				if (moveOn) while (mark <= now) mark += everySeconds;
			}
			const side =
				drill.sides?.everyTurns !== undefined
					? Math.floor(turn.number / drill.sides.everyTurns) % names.length
					: Math.floor((turn.start * names.length) / runSeconds + 1e-9);
			turn.on.forEach((group, s) => {
				const spot = drill.spots[s];
				for (const player of group)
					if (isWork(spot.role)) {
						player.sums.reps += spot.repsPerTurn ?? 1;
						player.sums.sides[side] += spot.repsPerTurn ?? 1;
					} else player.sums.help += 1;
				if (!moveOn) lines[s].unshift(...group);
			});
			if (moveOn)
				turn.on.forEach((group, s) => {
					const to = drill.spots.findIndex(
						({ id }) => id === (moves[drill.spots[s].id] ?? drill.spots[s].id)
					);
					lines[to].push(...group);
				});
		}
		if (
			now >= nextStart &&
			now < runSeconds &&
			drill.spots.every(({ count }, s) => lines[s].length >= count)
		) {
			const on = drill.spots.map(({ count, upTo }, s) => lines[s].splice(0, upTo ?? count));
			open.push({ start: now, number: started, on });
			started += 1;
			nextStart = now + headwaySeconds;
		}
		if (now === runSeconds) break;
		for (const { start, on } of open)
			on.forEach((group, s) => {
				const spot = drill.spots[s];
				if (now < start + (spot.joinsAtSeconds ?? 0)) return;
				for (const player of group) {
					player.busy[now * 2] = true;
					player.sums[isWork(spot.role) ? 'activeSeconds' : 'helpSeconds'] += 0.5;
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
	return { turns, sums: players.map(({ sums }) => sums) };
}
