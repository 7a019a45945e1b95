import type { Ground, Zone } from '../model/team';
import type { Group } from '../model/practice';
import type { Evaluation } from './evaluate';
import { laidCopies, type LaidCopy, type Point, pointAlong, wayFrom } from './laying';
import type { Interval, State, Track } from './timelineShapes';

/** Where one person stands at a second. */
export interface Standing extends Point {
	person: string;
	state: State;
	zone: string | null;
	block: string | null;
	spot: string | null;
	/** The group of the period that the player is in, for the bib. */
	group: Group | null;
}

/**
 * Metres between people who wait or stand together: what a bib takes on a drawing of the ground, so that
 * it can be read on an oval as in a hall.
 */
export function bibMetres({ length }: Pick<Ground, 'length'>): number {
	return Math.min(6.6, Math.max(0.9, length / 22.6));
}

/** People in one row at the side. */
const BENCH_SEATS = 12;

/** People side by side when a group stands together, where its zone is deep enough. */
const HUDDLE_ACROSS = 4;

/** The interval of a track that holds at a second: the last one at or after the end. */
export function intervalAt(track: Track, second: number): Interval | undefined {
	let low = 0;
	let high = track.length - 1;
	while (low < high) {
		const middle = (low + high) >> 1;
		if (track[middle].toSecond <= second) low = middle + 1;
		else high = middle;
	}
	return track[low];
}

const middleOf = ({ x, y, length, width }: Zone): Point => ({
	x: x + length / 2,
	y: y + width / 2
});

/** The place of the `index`-th of people who stand together in a zone: rows around its middle. */
function huddle(
	zone: Zone,
	{ index, people, room }: { index: number; people: number; room: number }
): Point {
	const fits = (side: number) => Math.max(1, Math.floor(side / room));
	// A large group spreads along its zone rather than out of it.
	const needed = Math.max(HUDDLE_ACROSS, Math.ceil(people / fits(zone.width)));
	const across = Math.min(needed, fits(zone.length));
	const rows = Math.ceil(people / across);
	const middle = middleOf(zone);
	return {
		x: middle.x + ((index % across) - (across - 1) / 2) * room,
		y: middle.y + (Math.floor(index / across) - (rows - 1) / 2) * room
	};
}

/** The place that a walk at a second leads from or to: the nearest interval with a zone. */
function zoneNear(track: Track, second: number, step: 1 | -1): string | null {
	const start = track.findIndex(({ toSecond }) => toSecond > second);
	for (let index = start; index >= 0 && index < track.length; index += step)
		if (track[index].place !== null && (step > 0 || track[index].toSecond <= second))
			return track[index].place;
	return null;
}

function countOne(counts: Map<string, number>, key: string): void {
	counts.set(key, (counts.get(key) ?? 0) + 1);
}

const lineKey = ({ copy, spot }: Interval) => `${copy} ${spot}`;

/** The step from one to the next in a line of `players` behind a spot: to the side of the zone with most room. */
function lineFrom(
	spot: Point,
	zone: Zone,
	{ players, metres }: { players: number; metres: number }
): Point {
	const edge = metres / 2;
	const ways = [
		{ x: -1, y: 0, room: spot.x - zone.x - edge },
		{ x: 1, y: 0, room: zone.x + zone.length - edge - spot.x },
		{ x: 0, y: 1, room: zone.y + zone.width - edge - spot.y },
		{ x: 0, y: -1, room: spot.y - zone.y - edge }
	];
	const enough = ways.filter(({ room }) => room >= players * metres);
	// The nearest side that takes the whole line, so that it leads away from the drill; else the widest.
	const [way] = (enough.length > 0 ? enough : ways).toSorted((a, b) =>
		enough.length > 0 ? a.room - b.room : b.room - a.room
	);
	const step = Math.max(0.4, Math.min(metres, way.room / players));
	return { x: way.x * step, y: way.y * step };
}

/**
 * The place of one of several who hold a spot together: side by side around it, as wide apart as the ground
 * of the copy lets them be, and all of them within it.
 */
function besideOthers(
	point: Point,
	{ corner, size, zone }: LaidCopy,
	{ index, people, metres }: { index: number; people: number; metres: number }
): Point {
	if (people === 1) return point;
	const across = Math.ceil(Math.sqrt(people));
	const down = Math.ceil(people / across);
	const room = (own: number, count: number) => Math.min(metres * 2.2, own / count);
	const inside = (at: number, from: number, length: number, extent: number) =>
		Math.min(from + length - extent / 2, Math.max(from + extent / 2, at));
	const along = { step: room(size.length, across), place: (index % across) - (across - 1) / 2 };
	const side = { step: room(size.width, down), place: Math.floor(index / across) - (down - 1) / 2 };
	// Ground that is larger than its zone is not stood on.
	const left = Math.max(corner.x, zone.x);
	const top = Math.max(corner.y, zone.y);
	const length = Math.min(size.length, zone.length);
	const width = Math.min(size.width, zone.width);
	return {
		x: inside(point.x, left, length, along.step * across) + along.place * along.step,
		y: inside(point.y, top, width, side.step * down) + side.place * side.step
	};
}

/** Everyone at one second: how many are at each place, and who of them is the next to be put there. */
class Crowd {
	/** What each does now, in the order in which they are expected. */
	readonly now: readonly (Interval | undefined)[];
	private readonly inLine = new Map<string, number>();
	private readonly onSpot = new Map<string, number>();
	private readonly inHuddle = new Map<string, number>();
	private readonly placed = new Map<string, number>();
	private readonly laid: ReadonlyMap<string, LaidCopy>;
	private readonly metres: number;
	private readonly bench: Point;

	constructor(
		private readonly evaluation: Evaluation,
		private readonly second: number
	) {
		const { practice, players, context } = evaluation;
		const { ground } = context;
		this.laid = new Map(
			laidCopies(evaluation, second).map((copy) => [copy.played.run.copy.id, copy])
		);
		this.metres = bibMetres(ground);
		this.bench = { x: ground.length * 0.62, y: ground.width - 2 };
		this.now = practice.expected.map((person) => intervalAt(players.get(person) ?? [], second));
		for (const at of this.now) {
			if (at?.state === 'wait' && at.spot) countOne(this.inLine, lineKey(at));
			else if (at?.spot) countOne(this.onSpot, lineKey(at));
			else if (at?.place && at.state !== 'move') countOne(this.inHuddle, at.place);
		}
	}

	/** The place of whoever does this now; each call puts the next of those who share a place. */
	pointOf(track: Track, at: Interval | undefined): Point {
		const copy = at?.copy ? this.laid.get(at.copy) : undefined;
		const spot = at?.spot ? copy?.spots.get(at.spot) : undefined;
		if (at && copy && spot) return this.atSpot(at, copy, spot);
		if (at?.state === 'move') return this.underWay(track, at);
		const zone = this.evaluation.context.zoneById.get(at?.place ?? '');
		return zone ? this.aroundTheCoach(zone) : this.onTheBench();
	}

	/** How many have been put at a place before. */
	private next(key: string): number {
		const index = this.placed.get(key) ?? 0;
		this.placed.set(key, index + 1);
		return index;
	}

	/** On a spot or on its way, or in its line. */
	private atSpot(at: Interval, copy: LaidCopy, spot: Point): Point {
		const { metres } = this;
		const key = lineKey(at);
		const waits = at.state === 'wait';
		const index = this.next(`${key} ${waits}`);
		if (!waits) {
			const share = (this.second - at.fromSecond) / (at.toSecond - at.fromSecond);
			const point = pointAlong(wayFrom(copy, at.spot as string), share);
			return besideOthers(point, copy, { index, people: this.onSpot.get(key) ?? 1, metres });
		}
		const players = this.inLine.get(key) ?? 1;
		// Where all hold a spot together nobody stands in a line: they wait where they run.
		const isShared = copy.drill.spots.some(({ id, upTo }) => id === at.spot && upTo !== undefined);
		if (isShared) return besideOthers(spot, copy, { index, people: players, metres });
		const line = lineFrom(spot, copy.zone, { players, metres });
		return { x: spot.x + line.x * (index + 1), y: spot.y + line.y * (index + 1) };
	}

	private underWay(track: Track, at: Interval): Point {
		const { second, metres, bench } = this;
		const { zoneById } = this.evaluation.context;
		const from = zoneById.get(zoneNear(track, second, -1) ?? '');
		const to = zoneById.get(at.place ?? zoneNear(track, second, 1) ?? '');
		const part = (second - at.fromSecond) / Math.max(1, at.toSecond - at.fromSecond);
		const [a, b] = [from ?? to, to ?? from].map((zone) => (zone ? middleOf(zone) : bench));
		const index = this.next(`move ${from?.id} ${to?.id}`);
		return {
			x: a.x + (b.x - a.x) * part + (index % 3) * metres,
			y: a.y + (b.y - a.y) * part + Math.floor(index / 3) * metres
		};
	}

	private aroundTheCoach(zone: Zone): Point {
		const index = this.next(`huddle ${zone.id}`);
		return huddle(zone, { index, people: this.inHuddle.get(zone.id) ?? 1, room: this.metres });
	}

	private onTheBench(): Point {
		const index = this.next('bench');
		const row = Math.floor(index / BENCH_SEATS);
		const { bench, metres } = this;
		return { x: bench.x - (index % BENCH_SEATS) * metres, y: bench.y - row * metres };
	}
}

/** Where everyone expected stands at a second: on a spot, in its line, around the coach, under way. */
export function standingsAt(evaluation: Evaluation, second: number): Standing[] {
	const { players, windows, practice } = evaluation;
	const window = windows.find(({ toSecond }) => second < toSecond) ?? windows.at(-1);
	const groups = window?.period.groups ?? [];
	const crowd = new Crowd(evaluation, second);
	return practice.expected.map((person, index) => {
		const at = crowd.now[index];
		return {
			person,
			...crowd.pointOf(players.get(person) ?? [], at),
			state: at?.state ?? 'off',
			zone: at?.place ?? null,
			block: at?.block ?? null,
			spot: at?.spot ?? null,
			group: groups.find((group) => group.players.includes(person)) ?? null
		};
	});
}
