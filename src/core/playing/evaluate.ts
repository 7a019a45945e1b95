import type { Zone } from '../model/team';
import type { PeriodKind, Practice } from '../model/practice';
import { type Context, playsAlike } from '../practice';
import { type Figures, figuresOf } from './figures';
import { type PlayedRun, playRun, replayed } from './playRun';
import { arrivesAt, type PeriodWindow, periodWindows, type PlannedRun, planRuns } from './schedule';
import type { Interval, State, Track } from './timelineShapes';

/** Two runs that ask for the same person at the same time. */
export interface PersonClash {
	person: string;
	first: PlannedRun;
	second: PlannedRun;
}

/** A practice played through before it happens: every view draws from it. */
export interface Evaluation {
	practice: Practice;
	context: Context;
	windows: PeriodWindow[];
	/** Sum of the periods; may differ from the practice's minutes. */
	seconds: number;
	runs: PlayedRun[];
	/** By player, for everyone expected. */
	players: ReadonlyMap<string, Track>;
	/** By adult, for everyone there. */
	adults: ReadonlyMap<string, Track>;
	playerClashes: PersonClash[];
	adultClashes: PersonClash[];
	figures: Figures;
}

/** Metres between the middles of two zones. */
export function walkMetres(a: Zone, b: Zone): number {
	const middle = (zone: Zone) => [zone.x + zone.length / 2, zone.y + zone.width / 2];
	const [ax, ay] = middle(a);
	const [bx, by] = middle(b);
	return Math.hypot(ax - bx, ay - by);
}

/** What players do in a period while no block asks for them. */
function idleState(kind: PeriodKind, isBetween: boolean): State {
	switch (kind) {
		case 'water':
			return 'water';
		case 'before':
		case 'room':
		case 'talk':
		case 'close':
			return 'listen';
		default:
			return isBetween ? 'move' : 'off';
	}
}

const runKey = ({ copy, slot }: PlannedRun) => `${slot} ${copy.id}`;

const sameList = (a: readonly string[], b: readonly string[]) =>
	a.length === b.length && a.every((id, index) => id === b[index]);

/** Whether a run is played just as another was, at whatever time: all that playing depends on is the same. */
function isSameRun(a: PlannedRun, b: PlannedRun): boolean {
	return (
		a.block === b.block &&
		a.copy === b.copy &&
		a.drill === b.drill &&
		a.toSecond - a.fromSecond === b.toSecond - b.fromSecond &&
		sameList(a.players, b.players) &&
		sameList(a.adults, b.adults)
	);
}

/** Gives what was played before for a run that has not changed. */
function recallFrom(before: Evaluation | undefined, context: Context) {
	if (!before || !playsAlike(before.context, context)) return () => undefined;
	const known = new Map(before.runs.map((played) => [runKey(played.run), played]));
	return (run: PlannedRun, arriveSeconds: number): PlayedRun | undefined => {
		const played = known.get(runKey(run));
		if (!played || played.arriveSeconds !== arriveSeconds || !isSameRun(played.run, run)) return;
		return replayed(played, run);
	};
}

/** Plays all runs in order of their start, walking players over from where they were last. */
function playAll(
	runs: readonly PlannedRun[],
	context: Context,
	before: Evaluation | undefined
): PlayedRun[] {
	const recall = recallFrom(before, context);
	const lastZone = new Map<string, string>();
	return runs.map((run) => {
		const here = context.zoneById.get(run.copy.zoneId);
		let metres = 0;
		for (const player of run.players) {
			const from = context.zoneById.get(lastZone.get(player) ?? '');
			if (here && from && from !== here) metres = Math.max(metres, walkMetres(from, here));
			lastZone.set(player, run.copy.zoneId);
		}
		const moved = run.slot !== null && run.slot > 0 ? (run.period.moveSeconds ?? 0) : 0;
		const walk = metres / context.limits.walkMetresPerSecond;
		const most = (run.toSecond - run.fromSecond) / 2;
		const arriveSeconds = Math.min(most, Math.max(0, Math.ceil(walk) - moved));
		return recall(run, arriveSeconds) ?? playRun(run, arriveSeconds, context);
	});
}

interface PersonPart {
	run: PlannedRun;
	intervals: readonly Interval[];
}

/** Parts of each person in order of time; one that overlaps an earlier one becomes a clash. */
function sortParts(parts: Map<string, PersonPart[]>): PersonClash[] {
	const clashes: PersonClash[] = [];
	for (const [person, list] of parts) {
		const kept: PersonPart[] = [];
		for (const part of list) {
			const last = kept.at(-1);
			if (last && part.run.fromSecond < last.run.toSecond - 1e-6)
				clashes.push({ person, first: last.run, second: part.run });
			else kept.push(part);
		}
		parts.set(person, kept);
	}
	return clashes;
}

/** One person's whole practice: the parts with the gaps between them filled. */
function trackOf(
	parts: readonly PersonPart[],
	windows: readonly PeriodWindow[],
	gap: (kind: PeriodKind, isBetween: boolean) => State,
	arrives = 0
): Track {
	const track: Interval[] = [];
	let next = 0;
	for (const { period, fromSecond, toSecond } of windows) {
		let second = fromSecond;
		const starts = next;
		const fill = (until: number, isBetween: boolean) => {
			if (until - second < 1e-9) return;
			const nowhere = { place: null, block: null, copy: null, spot: null };
			const comes = Math.min(until, Math.max(second, arrives));
			if (comes > second)
				track.push({ fromSecond: second, toSecond: comes, state: 'off', ...nowhere });
			if (until > comes)
				track.push({
					fromSecond: comes,
					toSecond: until,
					state: gap(period.kind, isBetween),
					...nowhere
				});
		};
		for (; next < parts.length && parts[next].run.fromSecond < toSecond - 1e-9; next += 1) {
			fill(parts[next].run.fromSecond, next > starts);
			for (const interval of parts[next].intervals) track.push(interval);
			second = parts[next].run.toSecond;
		}
		// What the rounding of slots leaves over at the end is spent on the way out.
		fill(toSecond, next > starts && toSecond - second < 60);
	}
	return track;
}

function collect(
	people: readonly string[],
	played: readonly PlayedRun[],
	partsOf: (run: PlayedRun) => Iterable<[string, readonly Interval[]]>
): Map<string, PersonPart[]> {
	const parts = new Map<string, PersonPart[]>(people.map((id) => [id, []]));
	for (const each of played)
		for (const [person, intervals] of partsOf(each))
			parts.get(person)?.push({ run: each.run, intervals });
	return parts;
}

const playerParts = ({ run, intervals }: PlayedRun): [string, readonly Interval[]][] =>
	run.players.map((id, index) => [id, intervals[index]]);

function adultParts({ run }: PlayedRun): [string, readonly Interval[]][] {
	const { fromSecond, toSecond, copy, block } = run;
	const where = { place: copy.zoneId, block: block.id, copy: copy.id, spot: null };
	return run.adults.map((id) => [id, [{ fromSecond, toSecond, state: 'active', ...where }]]);
}

/**
 * Plays a practice through: windows of the periods, every run simulated, a track without gaps for
 * each player and adult (seconds from the start), the figures, and who is asked for twice.
 * Pure: the same practice and context give the same evaluation. Checks are made from it (`check`).
 * `before` saves work, never changes the outcome: runs that have not changed since are not played again.
 */
export function evaluate(practice: Practice, context: Context, before?: Evaluation): Evaluation {
	const windows = periodWindows(practice);
	const runs = playAll(planRuns(practice, windows, context), context, before);
	const seconds = windows.at(-1)?.toSecond ?? 0;
	const players = collect(practice.expected, runs, playerParts);
	const adults = collect(practice.adults, runs, adultParts);
	const playerClashes = sortParts(players);
	const adultClashes = sortParts(adults);
	const tracks = (parts: Map<string, PersonPart[]>, gap: typeof idleState) =>
		new Map(
			[...parts].map(([id, list]) => [id, trackOf(list, windows, gap, arrivesAt(practice, id))])
		);
	const playerTracks = tracks(players, idleState);
	return {
		practice,
		context,
		windows,
		seconds,
		runs,
		players: playerTracks,
		adults: tracks(adults, (kind) => (kind === 'water' ? 'water' : 'off')),
		playerClashes,
		adultClashes,
		figures: figuresOf(practice, runs, playerTracks)
	};
}
