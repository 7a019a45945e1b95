import { assertNever } from '../base';
import type { Spread } from '../drill';
import type { Practice } from '../model/practice';
import type { PlayedRun } from './playRun';
import type { State, Track } from './timelineShapes';

/** What a player gets from a whole practice. */
export interface PlayerFigures {
	player: string;
	/** Turns as a worker or an opponent. */
	turns: number;
	seconds: Record<State, number>;
	/** Share of the practice spent doing something: working or helping. */
	busyShare: number;
	/** The part of it with opponents on the ground. */
	opposedShare: number;
	/** Share of the practice spent in line. */
	standingShare: number;
}

/** What the players of a block get from it. Shares are of their whole time in it. */
export interface BlockFigures {
	block: string;
	/** Turns of one player in one slot: least, mean, most. Null where no drill runs. */
	turns: Spread | null;
	busyShare: number;
	waitShare: number;
	longestWaitSeconds: number;
	/** Sizes of the groups that run it, over copies and slots. */
	sizes: number[];
}

/** The numbers over the board. */
export interface Figures {
	players: PlayerFigures[];
	blocks: ReadonlyMap<string, BlockFigures>;
	/** Mean over players of the share of time spent working or helping: what is opposed, and the rest of it. */
	busyShare: number;
	opposedShare: number;
	unopposedShare: number;
	/** Mean over players of the share of time spent in line. */
	standingShare: number;
	/** Turns of a player in the whole practice. */
	turns: Spread;
}

/** Those expected who are in no block of the whole practice, in the order of the practice. */
export function playersNowhere(practice: Practice, runs: readonly PlayedRun[]): string[] {
	const placed = new Set(runs.flatMap(({ run }) => run.players));
	return practice.expected.filter((id) => !placed.has(id));
}

/** Least, mean and most; zeros for nobody. */
export function spreadOf(values: readonly number[]): Spread {
	if (values.length === 0) return { min: 0, mean: 0, max: 0 };
	const sum = values.reduce((total, value) => total + value, 0);
	return { min: Math.min(...values), mean: sum / values.length, max: Math.max(...values) };
}

/** Seconds of a track by state. On the hot path: plain sums are several times as fast as keyed ones. */
function secondsByState(track: Track): Record<State, number> {
	let [active, help, wait, listen, move, water, setup, off] = [0, 0, 0, 0, 0, 0, 0, 0];
	for (let index = 0; index < track.length; index += 1) {
		const { state, fromSecond, toSecond } = track[index];
		const seconds = toSecond - fromSecond;
		switch (state) {
			case 'active':
				active += seconds;
				break;
			case 'wait':
				wait += seconds;
				break;
			case 'help':
				help += seconds;
				break;
			case 'listen':
				listen += seconds;
				break;
			case 'move':
				move += seconds;
				break;
			case 'water':
				water += seconds;
				break;
			case 'setup':
				setup += seconds;
				break;
			case 'off':
				off += seconds;
				break;
			default:
				assertNever(state);
		}
	}
	return { active, help, wait, listen, move, water, setup, off };
}

/** What a player has of all runs together. */
interface Had {
	turns: number;
	/** Seconds spent working or helping where opponents are. */
	opposed: number;
}

function playerFigures(player: string, track: Track, { turns, opposed }: Had): PlayerFigures {
	const seconds = secondsByState(track);
	const whole = Object.values(seconds).reduce((sum, each) => sum + each, 0);
	const busy = seconds.active + seconds.help;
	const share = (some: number) => (whole > 0 ? some / whole : 0);
	return {
		player,
		turns,
		seconds,
		busyShare: share(busy),
		opposedShare: share(Math.min(opposed, busy)),
		standingShare: share(seconds.wait)
	};
}

function blockFigures(block: string, played: readonly PlayedRun[]): BlockFigures {
	const sums = played.flatMap((each) => each.sums);
	const whole = played.reduce(
		(total, { run }) => total + run.players.length * (run.toSecond - run.fromSecond),
		0
	);
	const share = (of: (sum: (typeof sums)[number]) => number) =>
		whole > 0 ? sums.reduce((total, sum) => total + of(sum), 0) / whole : 0;
	const runs = played.some(({ run, fault }) => run.drill && !fault);
	return {
		block,
		turns: runs ? spreadOf(sums.map(({ reps }) => reps)) : null,
		busyShare: share((sum) => sum.activeSeconds + sum.helpSeconds),
		waitShare: share((sum) => sum.waitSeconds),
		longestWaitSeconds: Math.max(0, ...sums.map((sum) => sum.longestWaitSeconds)),
		sizes: [...new Set(played.map(({ run }) => run.players.length))].sort((a, b) => b - a)
	};
}

/** Figures of a played practice: by player, by block and over all. */
export function figuresOf(
	practice: Practice,
	runs: readonly PlayedRun[],
	tracks: ReadonlyMap<string, Track>
): Figures {
	const had = new Map<string, Had>(practice.expected.map((id) => [id, { turns: 0, opposed: 0 }]));
	const byBlock = new Map<string, PlayedRun[]>();
	for (const played of runs) {
		const { id } = played.run.block;
		const list = byBlock.get(id);
		if (list) list.push(played);
		else byBlock.set(id, [played]);
		for (const { player, reps, opposedSeconds } of played.sums) {
			const own = had.get(player);
			if (!own) continue;
			own.turns += reps;
			own.opposed += opposedSeconds;
		}
	}
	const players = practice.expected.map((id) =>
		playerFigures(id, tracks.get(id) ?? [], had.get(id) ?? { turns: 0, opposed: 0 })
	);
	const mean = (of: (each: PlayerFigures) => number) => spreadOf(players.map(of)).mean;
	const [busyShare, opposedShare] = [
		mean((each) => each.busyShare),
		mean((each) => each.opposedShare)
	];
	return {
		players,
		blocks: new Map([...byBlock].map(([id, played]) => [id, blockFigures(id, played)])),
		busyShare,
		opposedShare,
		unopposedShare: busyShare - opposedShare,
		standingShare: mean((each) => each.standingShare),
		turns: spreadOf(players.map((each) => each.turns))
	};
}
