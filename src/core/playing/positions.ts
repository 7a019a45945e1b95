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

/** Where everyone expected stands at a second: on a spot, in its line, around the coach, under way. */
export function standingsAt(evaluation: Evaluation, second: number): Standing[] {
	const { context, players, windows, practice } = evaluation;
	const laid = new Map(
		laidCopies(evaluation, second).map((copy) => [copy.played.run.copy.id, copy])
	);
	const window = windows.find(({ toSecond }) => second < toSecond) ?? windows.at(-1);
	const groups = window?.period.groups ?? [];
	const groupOf = (person: string) =>
		groups.find((group) => group.players.includes(person)) ?? null;
	const tracksNow = practice.expected.map((person) =>
		intervalAt(players.get(person) ?? [], second)
	);
	const inLine = new Map<string, number>();
	const onSpot = new Map<string, number>();
	const inHuddle = new Map<string, number>();
	for (const at of tracksNow) {
		if (at?.state === 'wait' && at.spot) countOne(inLine, lineKey(at));
		else if (at?.spot) countOne(onSpot, lineKey(at));
		else if (at?.place && !at.spot && at.state !== 'move') countOne(inHuddle, at.place);
	}
	const counts = new Map<string, number>();
	const next = (key: string) => {
		const index = counts.get(key) ?? 0;
		counts.set(key, index + 1);
		return index;
	};
	const metres = bibMetres(context.ground);
	const bench = { x: context.ground.length * 0.62, y: context.ground.width - 2 };

	function pointOf(track: Track, at: Interval | undefined): Point {
		const copy = at?.copy ? laid.get(at.copy) : undefined;
		const spot = at?.spot ? copy?.spots.get(at.spot) : undefined;
		if (at && copy && spot) {
			const waits = at.state === 'wait';
			const index = next(`${lineKey(at)} ${waits}`);
			// Where all hold a spot together nobody stands in a line: they wait where they run.
			const isShared = copy.drill.spots.some(
				({ id, upTo }) => id === at.spot && upTo !== undefined
			);
			if (waits && isShared) {
				const people = inLine.get(lineKey(at)) ?? 1;
				return besideOthers(spot, copy, { index, people, metres });
			}
			if (!waits) {
				const share = (second - at.fromSecond) / (at.toSecond - at.fromSecond);
				const point = pointAlong(wayFrom(copy, at.spot as string), share);
				const people = onSpot.get(lineKey(at)) ?? 1;
				return besideOthers(point, copy, { index, people, metres });
			}
			const line = lineFrom(spot, copy.zone, {
				players: inLine.get(lineKey(at)) ?? 1,
				metres
			});
			return { x: spot.x + line.x * (index + 1), y: spot.y + line.y * (index + 1) };
		}
		if (at?.state === 'move') {
			const from = context.zoneById.get(zoneNear(track, second, -1) ?? '');
			const to = context.zoneById.get(at.place ?? zoneNear(track, second, 1) ?? '');
			const part = (second - at.fromSecond) / Math.max(1, at.toSecond - at.fromSecond);
			const [a, b] = [from ?? to, to ?? from].map((zone) => (zone ? middleOf(zone) : bench));
			const index = next(`move ${from?.id} ${to?.id}`);
			return {
				x: a.x + (b.x - a.x) * part + (index % 3) * metres,
				y: a.y + (b.y - a.y) * part + Math.floor(index / 3) * metres
			};
		}
		const zone = context.zoneById.get(at?.place ?? '');
		if (zone) {
			const index = next(`huddle ${zone.id}`);
			return huddle(zone, { index, people: inHuddle.get(zone.id) ?? 1, room: metres });
		}
		const index = next('bench');
		const row = Math.floor(index / BENCH_SEATS);
		return { x: bench.x - (index % BENCH_SEATS) * metres, y: bench.y - row * metres };
	}

	return practice.expected.map((person, index) => {
		const track = players.get(person) ?? [];
		const at = tracksNow[index];
		const { x, y } = pointOf(track, at);
		return {
			person,
			x,
			y,
			state: at?.state ?? 'off',
			zone: at?.place ?? null,
			block: at?.block ?? null,
			spot: at?.spot ?? null,
			group: groupOf(person)
		};
	});
}
