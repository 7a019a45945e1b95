import { isWork, type Pass, type System, type TurnOnGround } from '../drill';
import type { PlannedRun } from './schedule';
import { stopsBefore, type Stretch } from './stretch';
import type { Interval, State } from './timelineShapes';

/** Writes intervals of a run onto the players' tracks. On the hot path: plain arguments, no copies. */
export class Recorder {
	readonly tracks: Interval[][];
	private readonly place: string;
	private readonly block: string;
	private readonly copy: string;

	constructor(run: PlannedRun) {
		this.tracks = run.players.map(() => []);
		this.place = run.copy.zoneId;
		this.block = run.block.id;
		this.copy = run.copy.id;
	}

	/** Adds an interval; one that goes on as the last ended makes that one longer. */
	private add(
		player: number,
		fromSecond: number,
		toSecond: number,
		state: State,
		spot: string | null
	) {
		if (toSecond - fromSecond < 1e-9) return;
		const track = this.tracks[player];
		const last = track.length > 0 ? track[track.length - 1] : null;
		if (last !== null && last.state === state && last.spot === spot) last.toSecond = toSecond;
		else {
			const { place, block, copy } = this;
			track.push({ fromSecond, toSecond, state, place, block, copy, spot });
		}
	}

	/** The same stretch for everyone. */
	everyone(fromSecond: number, toSecond: number, state: State): void {
		for (let player = 0; player < this.tracks.length; player += 1)
			this.add(player, fromSecond, toSecond, state, null);
	}

	/** Running time of one player from `from` to `to`, cut where the coach stops the drill. */
	running(
		player: number,
		stretch: Stretch,
		from: number,
		to: number,
		state: State,
		spot: string
	): void {
		const { fromSecond, partSeconds, stops, stopSeconds } = stretch;
		let at = from;
		while (at < to - 1e-9) {
			const stop = stopsBefore(stretch, at);
			const boundary = stop < stops ? (stop + 1) * partSeconds : Infinity;
			const until = Math.min(to, boundary);
			const shift = fromSecond + stop * stopSeconds;
			this.add(player, shift + at, shift + until, state, spot);
			if (until === boundary)
				this.add(player, shift + until, shift + until + stopSeconds, 'listen', null);
			at = until;
		}
	}
}

/** Turns the turns of a pass into busy and waiting intervals. */
export function recordTurns(
	recorder: Recorder,
	stretch: Stretch,
	system: System,
	{ lines, fromSecond }: Pick<Pass, 'lines' | 'fromSecond'>
) {
	const at: number[] = [];
	const line: number[] = [];
	const works = system.spots.map(isWork);
	for (const [spot, players] of lines.entries())
		for (const player of players) [at[player], line[player]] = [fromSecond, spot];

	function busy({ startSecond, endSecond, players, spots, leadsTo }: TurnOnGround): void {
		const until = Math.min(endSecond, stretch.runSeconds);
		for (let k = 0; k < players.length; k += 1) {
			const spot = system.spots[spots[k]];
			const from = startSecond + (spot.joinsAtSeconds ?? 0);
			const player = players[k];
			line[player] = leadsTo[spots[k]] ?? spots[k];
			if (until <= from) continue;
			recorder.running(player, stretch, at[player], from, 'wait', spot.id);
			recorder.running(player, stretch, from, until, works[spots[k]] ? 'active' : 'help', spot.id);
			at[player] = until;
		}
	}

	/** Those who are not busy wait until a second. */
	function finish(second: number): void {
		for (const player of line.keys()) {
			const spot = system.spots[line[player]].id;
			recorder.running(player, stretch, at[player], second, 'wait', spot);
		}
	}

	return { busy, finish };
}
